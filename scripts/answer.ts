/**
 * Settings without the interface: `npm run answer -- FILE.json [--json]`, or `--list` for the ids that
 * a file may name. docs/answer-file.md describes the file. A wrong field ends with exit code 2 and its
 * index.
 */
import { readFileSync } from 'node:fs';
import { parseArgs } from 'node:util';
import { TECHNIQUES } from '@/core';
import { answerAsked, answerFileSchema } from '@/features/quick/answer-file';
import { settingsInWords } from '../src/features/shoot/exposure-words';
import { BODIES } from '@/presets/bodies';
import { LENSES } from '@/presets/lenses';
import { SUBJECTS } from '@/presets/subjects';

function refuse(reason: string): never {
  console.error(reason);
  process.exit(2);
}

function options() {
  try {
    return parseArgs({
      allowPositionals: true,
      options: {
        json: { type: 'boolean', default: false },
        list: { type: 'boolean', default: false },
      },
    });
  } catch (error) {
    return refuse(error instanceof Error ? error.message : String(error));
  }
}

/** The ids that a file may name, with what they are. */
function list(): string {
  const lines = (title: string, of: readonly { readonly id: string; readonly name: string }[]) => [
    title,
    ...of.map(({ id, name }) => `  ${id.padEnd(22)} ${name}`),
  ];
  const subjects = SUBJECTS.map(({ id, name, parts }) => ({
    id,
    name: `${name} (parts: ${parts.map((part) => part.name).join(', ')})`,
  }));
  return [
    ...lines('subjectId', subjects),
    ...lines('bodyId', BODIES),
    ...lines('lensId', LENSES),
    `technique\n  ${TECHNIQUES.join(', ')}`,
  ].join('\n');
}

function readAsked(file: string) {
  let content: unknown;
  try {
    content = JSON.parse(readFileSync(file, 'utf8'));
  } catch (error) {
    return refuse(`${file}: can't be read (${error instanceof Error ? error.message : error})`);
  }
  const read = answerFileSchema.safeParse(content);
  if (read.success) return read.data;
  return refuse(
    read.error.issues
      .slice(0, 20)
      .map(({ path, message }) => {
        const [index, ...field] = path;
        const where = index === undefined ? 'the file' : [`[${String(index)}]`, ...field].join('.');
        return `${file}: ${where}: ${message}`;
      })
      .join('\n'),
  );
}

const { values, positionals } = options();
if (values.list) {
  console.log(list());
  process.exit(0);
}
const [file, ...more] = positionals;
if (file === undefined || more.length > 0) refuse('usage: npm run answer -- FILE.json [--json]');
const answers = readAsked(file).map(answerAsked);
console.log(
  values.json
    ? JSON.stringify(answers, null, 2)
    : answers
        .map(({ settings, sentences }, i) =>
          [`${i}  ${settingsInWords(settings)}`, ...sentences.map((line) => `   ${line}`)].join(
            '\n',
          ),
        )
        .join('\n\n'),
);
