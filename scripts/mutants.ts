/**
 * Puts small faults into the code, one at a time, and asks whether a test falls: `npm run mutants -- [how many] [seed]`.
 * Faults are drawn by chance over core, records, formats and the pure parts of features. The tests beside a file are
 * asked first, then all that rest on it, then the types. A third word keeps to paths that are like it. Works on a copy;
 * the tree is left as it is.
 */
import { spawnSync } from 'node:child_process';
import {
  cpSync,
  existsSync,
  mkdirSync,
  readdirSync,
  readFileSync,
  rmSync,
  symlinkSync,
  writeFileSync,
} from 'node:fs';
import { tmpdir } from 'node:os';
import path from 'node:path';
import ts from 'typescript';
import { seeded } from './seeded';

const ROOT = path.resolve(__dirname, '..');
const COPY = path.join(tmpdir(), 'bright-perch-mutants');
const COPIED = [
  'src',
  'checks',
  'server',
  'scripts',
  'e2e',
  'public',
  'docs',
  'package.json',
  'jest.config.js',
  'babel.config.js',
  'tsconfig.json',
  'tailwind.config.js',
  'app.json',
  'types.d.ts',
  'expo-env.d.ts',
  'nativewind-env.d.ts',
  'metro.config.js',
];
/** Pure TypeScript: what draws and what holds state is tried in the browser. */
const TRIED =
  /^src\/(?:core|records|formats|answers|features)\/(?:.*\/)?(?!use-|index\.ts|queries\.ts|list-queries\.ts)[\w-]+\.ts$/;
/** Nine in ten must fall. */
const GOAL = 0.9;
const LONGEST_MS = 300_000;

interface Mutant {
  readonly file: string;
  readonly line: number;
  readonly from: string;
  readonly to: string;
  readonly text: string;
}

/** Comparisons are turned round: between figures that are no counts, < and <= are the same. */
const SWAPPED: Readonly<Partial<Record<ts.SyntaxKind, string>>> = {
  [ts.SyntaxKind.LessThanToken]: '>=',
  [ts.SyntaxKind.LessThanEqualsToken]: '>',
  [ts.SyntaxKind.GreaterThanToken]: '<=',
  [ts.SyntaxKind.GreaterThanEqualsToken]: '<',
  [ts.SyntaxKind.PlusToken]: '-',
  [ts.SyntaxKind.MinusToken]: '+',
  [ts.SyntaxKind.AsteriskToken]: '/',
  [ts.SyntaxKind.SlashToken]: '*',
  [ts.SyntaxKind.AmpersandAmpersandToken]: '||',
  [ts.SyntaxKind.BarBarToken]: '&&',
  [ts.SyntaxKind.EqualsEqualsEqualsToken]: '!==',
  [ts.SyntaxKind.ExclamationEqualsEqualsToken]: '===',
};

/** The fault a place in the code can have, as the piece that is replaced and what by. */
function faultAt(node: ts.Node, source: ts.SourceFile): readonly [ts.Node, string] | undefined {
  if (ts.isBinaryExpression(node)) {
    const to = SWAPPED[node.operatorToken.kind];
    // Texts are put together with a plus; there is no minus for them.
    const texts = /['"`]/.test(node.getText(source));
    return to && !(texts && to === '-') ? [node.operatorToken, to] : undefined;
  }
  if (ts.isPrefixUnaryExpression(node)) {
    const { operator, operand } = node;
    const dropped = [ts.SyntaxKind.ExclamationToken, ts.SyntaxKind.MinusToken].includes(operator);
    return dropped ? [node, `(${operand.getText(source)})`] : undefined;
  }
  if (ts.isPropertyAccessExpression(node) && node.expression.getText(source) === 'Math') {
    const other = { min: 'Math.max', max: 'Math.min', sin: 'Math.cos', cos: 'Math.sin' };
    const to = other[node.name.text as keyof typeof other];
    return to ? [node, to] : undefined;
  }
  if (ts.isConditionalExpression(node)) {
    const [yes, no] = [node.whenTrue.getText(source), node.whenFalse.getText(source)];
    return [node, `(${node.condition.getText(source)} ? (${no}) : (${yes}))`];
  }
  if (ts.isExpressionStatement(node) && ts.isCallExpression(node.expression)) return [node, ';'];
  if (ts.isNumericLiteral(node) && !ts.isTypeNode(node.parent)) {
    return [node, Number(node.text) === 0 ? '1' : `(${node.text} * 2)`];
  }
  return undefined;
}

function mutantsOf(file: string): Mutant[] {
  const text = readFileSync(path.join(ROOT, file), 'utf8');
  const source = ts.createSourceFile(file, text, ts.ScriptTarget.Latest, true);
  const found: Mutant[] = [];
  const visit = (node: ts.Node): void => {
    if (ts.isImportDeclaration(node) || ts.isTypeNode(node) || ts.isInterfaceDeclaration(node))
      return;
    const fault = faultAt(node, source);
    if (fault) {
      const [replaced, to] = fault;
      const [start, end] = [replaced.getStart(source), replaced.getEnd()];
      found.push({
        file,
        line: source.getLineAndCharacterOfPosition(start).line + 1,
        from: text.slice(start, end),
        to,
        text: text.slice(0, start) + to + text.slice(end),
      });
    }
    ts.forEachChild(node, visit);
  };
  visit(source);
  return found;
}

const filesUnder = (folder: string): string[] =>
  readdirSync(path.join(ROOT, folder), { withFileTypes: true }).flatMap((entry) => {
    const name = `${folder}/${entry.name}`;
    return entry.isDirectory() ? filesUnder(name) : [name];
  });

/** Whether some test falls. One that never ends has fallen, too. */
function falls(args: readonly string[]): boolean {
  const { status } = spawnSync(
    path.join(ROOT, 'node_modules/.bin/jest'),
    // In one process: what never ends is ended with it.
    ['--runInBand', '--bail', '--silent', '--passWithNoTests', ...args],
    { cwd: COPY, stdio: 'ignore', timeout: LONGEST_MS, killSignal: 'SIGKILL' },
  );
  return status !== 0;
}

/** Whether the types no longer fit: `npm test` asks for them, too. */
function mistyped(): boolean {
  const { status } = spawnSync(
    path.join(ROOT, 'node_modules/.bin/tsc'),
    ['--noEmit', '--incremental', '--tsBuildInfoFile', 'types.tsbuildinfo', '-p', '.'],
    { cwd: COPY, stdio: 'ignore', timeout: LONGEST_MS },
  );
  return status !== 0;
}

function dies({ file, text }: Mutant): boolean {
  const place = path.join(COPY, file);
  const whole = readFileSync(place, 'utf8');
  writeFileSync(place, text);
  // Random shoots take minutes: they are asked last.
  const slow = '--testPathIgnorePatterns=random-shoots';
  try {
    return (
      falls([`^${path.join(COPY, path.dirname(file))}/[^/]+$`]) ||
      falls(['--findRelatedTests', file, slow]) ||
      mistyped()
    );
  } finally {
    writeFileSync(place, whole);
  }
}

const [count = 80, seed = 1] = process.argv.slice(2, 4).map(Number);
/** Faults are put in where the path is like this: anywhere, unless something is said. */
const where = new RegExp(process.argv[4] ?? '.');
const chance = seeded(seed);
const all = ['core', 'records', 'formats', 'answers', 'features']
  .flatMap((folder) => filesUnder(`src/${folder}`))
  .filter((file) => TRIED.test(file) && where.test(file) && !file.endsWith('.test.ts'))
  .flatMap(mutantsOf);
rmSync(COPY, { recursive: true, force: true });
mkdirSync(COPY, { recursive: true });
COPIED.filter((name) => existsSync(path.join(ROOT, name))).forEach((name) =>
  cpSync(path.join(ROOT, name), path.join(COPY, name), { recursive: true }),
);
symlinkSync(path.join(ROOT, 'node_modules'), path.join(COPY, 'node_modules'));

if (mistyped()) throw new Error('the types of the copy do not fit before any fault is put in');

const left: Mutant[] = [];
for (let i = 0; i < count; i++) {
  const mutant = all[Math.floor(chance() * all.length)] as Mutant;
  const { file, line, from, to } = mutant;
  const dead = dies(mutant);
  if (!dead) left.push(mutant);
  const said = `${from.replace(/\s+/g, ' ').slice(0, 60)} → ${to.replace(/\s+/g, ' ').slice(0, 60)}`;
  console.log(`${String(i + 1).padStart(3)} ${dead ? 'fell ' : 'LIVES'} ${file}:${line}  ${said}`);
}
const share = (count - left.length) / count;
console.log(
  `\n${count - left.length} of ${count} fell (of ${all.length} that can be drawn, seed ${seed})`,
);
process.exit(share >= GOAL ? 0 : 1);
