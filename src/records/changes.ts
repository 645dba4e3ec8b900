import { hashKey } from '@tanstack/react-query';

/**
 * What changed from one state of a record to another, done to a third: how two tabs write one record, and
 * how an undo takes back its own step and nothing else.
 */

/** Lists of plain values, each at most once; the order says nothing. */
const SETS: ReadonlySet<string> = new Set(['packed', 'thrown', 'forbidden', 'always']);
/** Lists of plain values that may stand twice. */
const BAGS: ReadonlySet<string> = new Set(['visitsLocal']);

type Tree = Readonly<Record<string, unknown>>;
interface Entry extends Tree {
  readonly id: string;
}

const isTree = (value: unknown): value is Tree =>
  typeof value === 'object' && value !== null && !Array.isArray(value);
const own = (tree: Tree, key: string): unknown =>
  Object.hasOwn(tree, key) ? tree[key] : undefined;
const same = (a: unknown, b: unknown): boolean => a === b || hashKey([a]) === hashKey([b]);

/** Whether entries of a list are known by their id, wherever in it they stand. */
const isById = (list: unknown): list is readonly Entry[] =>
  Array.isArray(list) && list.every((entry) => isTree(entry) && typeof entry.id === 'string');

/** Entries in the order of `wanted`; those it does not have stay behind the one they came after. */
function inOrderOf(wanted: readonly Entry[], list: readonly Entry[]): readonly Entry[] {
  const places = new Map(wanted.map(({ id }, i) => [id, i]));
  const ordered = list
    .filter(({ id }) => places.has(id))
    .sort((a, b) => (places.get(a.id) ?? 0) - (places.get(b.id) ?? 0));
  list.forEach((entry, i) => {
    if (places.has(entry.id)) return;
    const before = list[i - 1];
    ordered.splice(before ? ordered.indexOf(before) + 1 : 0, 0, entry);
  });
  return ordered;
}

function listOnto(
  from: readonly Entry[],
  to: readonly Entry[],
  record: readonly Entry[],
): readonly Entry[] {
  const before = new Map(from.map((entry) => [entry.id, entry]));
  const after = new Map(to.map((entry) => [entry.id, entry]));
  const here = new Set(record.map(({ id }) => id));
  const kept = record.flatMap((entry) => {
    const [was, is] = [before.get(entry.id), after.get(entry.id)];
    if (!is) return was ? [] : [entry];
    return [was ? (onto(was, is, entry) as Entry) : is];
  });
  const added = to.filter(({ id }) => !before.has(id) && !here.has(id));
  const ids = (list: readonly Entry[]) => list.map(({ id }) => id).join();
  const all = [...kept, ...added];
  return ids(from) === ids(to) ? all : inOrderOf(to, all);
}

/** Values taken out of the list, and those put in, as often as each. */
function valuesOnto(
  from: readonly unknown[],
  to: readonly unknown[],
  record: readonly unknown[],
  once: boolean,
): readonly unknown[] {
  const less = (list: readonly unknown[], other: readonly unknown[]) => {
    const rest = [...other];
    return list.filter((value) => {
      const at = rest.indexOf(value);
      if (at >= 0) rest.splice(at, 1);
      return at < 0;
    });
  };
  const all = [...less(record, less(from, to)), ...less(to, from)];
  return once ? [...new Set(all)] : all.sort();
}

function onto(from: unknown, to: unknown, record: unknown, key = ''): unknown {
  if (from === to) return record;
  if (record === from) return to;
  if (isTree(from) && isTree(to) && isTree(record)) {
    const keys = new Set([...Object.keys(record), ...Object.keys(to)]);
    const entries = [...keys].map((name) => [
      name,
      onto(own(from, name), own(to, name), own(record, name), name),
    ]);
    return Object.fromEntries(entries.filter(([, value]) => value !== undefined));
  }
  if (Array.isArray(from) && Array.isArray(to) && Array.isArray(record)) {
    if (SETS.has(key) || BAGS.has(key)) return valuesOnto(from, to, record, SETS.has(key));
    if (isById(from) && isById(to) && isById(record)) return listOnto(from, to, record);
  }
  return same(from, to) ? record : to;
}

/**
 * The change from `from` to `to`, done to `record`, which may be another state of the same record: what
 * was changed there and not here stays, and where both changed one thing `to` holds.
 */
export const changedOnto = <T extends object>(from: T, to: T, record: T): T =>
  onto(from, to, record) as T;
