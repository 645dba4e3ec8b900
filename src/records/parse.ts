import type { z } from 'zod';

/** A record read, or the reason it can't be, with the field named. */
export type Parsed<T> =
  { readonly ok: true; readonly record: T } | { readonly ok: false; readonly reason: string };

type Migration = (older: Record<string, unknown>) => unknown;

/** Longest piece of a file that a refusal quotes. */
const LONGEST_QUOTE = 60;
const LONGEST_MESSAGE = 240;

/** Text as a refusal shows it: no longer than fits, and cut off visibly. */
export const shortened = (text: string, most = LONGEST_QUOTE): string =>
  text.length > most ? `${text.slice(0, most)}…` : text;

/** A value of a file as a refusal shows it. */
export const quoted = (value: unknown): string => shortened(JSON.stringify(value) ?? 'nothing');

/** What a size is counted in, by what has it. */
const COUNTED: Readonly<Record<string, string>> = {
  string: ' characters',
  array: ' entries',
  set: ' entries',
};
const CALLED: Readonly<Record<string, string>> = {
  string: 'text',
  int: 'a whole number',
  number: 'a number',
  boolean: 'true or false',
  array: 'a list',
  object: 'a record',
};

/** What to change, where the schema has no words of its own for it. */
function toChange(issue: z.core.$ZodIssue): string {
  if (!/^(Too (big|small)|Invalid (input|option))/.test(issue.message)) return issue.message;
  switch (issue.code) {
    case 'too_big':
      return `must be ${issue.inclusive === false ? 'under' : 'at most'} ${issue.maximum}${COUNTED[issue.origin] ?? ''}`;
    case 'too_small':
      return `must be ${issue.inclusive === false ? 'over' : 'at least'} ${issue.minimum}${COUNTED[issue.origin] ?? ''}`;
    case 'invalid_type':
      return `must be ${CALLED[issue.expected] ?? issue.expected}`;
    case 'invalid_value':
      return `must be ${issue.values.map(quoted).join(' or ')}`;
    default:
      return issue.message;
  }
}

/** "marks[0].headingDeg: must be ..." for the first thing that is wrong. */
export function firstProblem(error: z.ZodError): string {
  const [issue] = error.issues;
  if (!issue) return 'unreadable';
  const path = issue.path.reduce<string>(
    (soFar, key) =>
      typeof key === 'number'
        ? `${soFar}[${key}]`
        : soFar
          ? `${soFar}.${shortened(String(key))}`
          : shortened(String(key)),
    '',
  );
  const message = shortened(toChange(issue), LONGEST_MESSAGE);
  return path ? `${path}: ${message}` : message;
}

/** Lifts an older record through its migrations and checks it whole. */
export function parseRecord<T>(
  raw: unknown,
  {
    schema,
    version,
    migrations,
  }: { schema: z.ZodType<T>; version: number; migrations: readonly Migration[] },
): Parsed<T> {
  if (typeof raw !== 'object' || raw === null || Array.isArray(raw)) {
    return { ok: false, reason: 'not a record' };
  }
  const from = (raw as { version?: unknown }).version;
  if (typeof from !== 'number' || !Number.isInteger(from) || from < 1) {
    return { ok: false, reason: 'version: must be a whole number from 1' };
  }
  if (from > version) {
    return {
      ok: false,
      reason: `version: ${from} was written by a newer Bright Perch; this one reads up to ${version}`,
    };
  }
  try {
    const lifted = migrations
      .slice(from - 1, version - 1)
      .reduce<unknown>((record, lift) => lift(record as Record<string, unknown>), raw);
    const checked = schema.safeParse(lifted);
    return checked.success
      ? { ok: true, record: checked.data }
      : { ok: false, reason: firstProblem(checked.error) };
  } catch (error) {
    return {
      ok: false,
      reason: `version ${from}: could not be brought up to date (${String(error)})`,
    };
  }
}

/** As {@link parseRecord}, from text. */
export function parseRecordText<T>(
  text: string,
  kind: Parameters<typeof parseRecord<T>>[1],
): Parsed<T> {
  let raw: unknown;
  try {
    raw = JSON.parse(text);
  } catch {
    return { ok: false, reason: 'not valid JSON: the text is cut off or damaged' };
  }
  return parseRecord(raw, kind);
}
