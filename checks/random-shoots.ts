import { z } from 'zod';
import { shootSchema, type Shoot } from '@/records/shoot';

/** Shoots changed at random within what their schema allows, figure by figure. */

type Json = null | boolean | number | string | Json[] | { [key: string]: Json };
interface Node {
  readonly type?: string;
  readonly const?: Json;
  readonly enum?: readonly Json[];
  readonly minimum?: number;
  readonly maximum?: number;
  readonly exclusiveMinimum?: number;
  readonly exclusiveMaximum?: number;
  readonly properties?: Readonly<Record<string, Node>>;
  readonly required?: readonly string[];
  readonly items?: Node;
  readonly anyOf?: readonly Node[];
  readonly oneOf?: readonly Node[];
}

const SCHEMA = z.toJSONSchema(shootSchema, { unrepresentable: 'any', io: 'input' }) as Node;

/** Hours in which something is odd: polar day and night, clocks that change, a shoot past midnight. */
const HOURS = [
  ['2027-06-21T00:10', '2027-06-21T23:50'],
  ['2027-12-21T10:00', '2027-12-21T14:00'],
  ['2027-03-28T00:10', '2027-03-28T04:05'],
  ['2027-10-31T00:10', '2027-10-31T03:10'],
  ['2027-04-16T22:00', '2027-04-18T05:00'],
  ['2027-01-01T00:00', '2027-01-01T00:01'],
] as const;
const ZONES = ['Europe/London', 'UTC', 'Pacific/Kiritimati', 'America/St_Johns', 'Asia/Kathmandu'];

export type Chance = () => number;

const oneOf = <T>(list: readonly T[], chance: Chance): T =>
  list[Math.floor(chance() * list.length)] as T;

function figureWithin(node: Node, now: number, chance: Chance): number {
  const low = node.minimum ?? node.exclusiveMinimum ?? -1000;
  const high = node.maximum ?? node.exclusiveMaximum ?? 1000;
  const least = node.exclusiveMinimum === undefined ? low : low + (high - low) * 1e-9;
  const most = node.exclusiveMaximum === undefined ? high : high - (high - low) * 1e-9;
  const value = oneOf(
    [
      least,
      most,
      least + (most - least) * chance(),
      // Small figures are where things meet, end and vanish.
      Math.min(most, Math.max(least, (chance() - 0.5) * 4)),
      Math.min(most, Math.max(least, now * 2 ** ((chance() - 0.5) * 6))),
      Math.min(most, Math.max(least, 0)),
    ],
    chance,
  );
  return node.type === 'integer' ? Math.round(value) : value;
}

const isTree = (value: Json | undefined): value is { [key: string]: Json } =>
  typeof value === 'object' && value !== null && !Array.isArray(value);

/** The branch of a union that a value is of, by the constants in it. */
function branchOf(node: Node, value: Json): Node {
  const branches = node.oneOf ?? node.anyOf;
  if (!branches) return node;
  const fits = branches.find(({ properties = {} }) =>
    Object.entries(properties).every(
      ([name, { const: wanted }]) =>
        wanted === undefined || (isTree(value) && value[name] === wanted),
    ),
  );
  return branchOf(fits ?? node, fits ? value : null);
}

/** Changes a figure, a switch or a choice of `value` in place, a few of a hundred of them. */
function shaken(node: Node, value: Json, chance: Chance, share: number): Json {
  const at = branchOf(node, value);
  if (Array.isArray(value)) {
    return value.map((entry) => (at.items ? shaken(at.items, entry, chance, share) : entry));
  }
  if (isTree(value)) {
    const entries = Object.entries(value).flatMap(([name, entry]): [string, Json][] => {
      const inner = at.properties?.[name];
      const optional = !at.required?.includes(name);
      if (optional && chance() < share / 2) return [];
      return [[name, inner ? shaken(inner, entry, chance, share) : entry]];
    });
    return Object.fromEntries(entries);
  }
  if (chance() > share) return value;
  if (at.enum) return oneOf(at.enum, chance);
  if (typeof value === 'boolean') return !value;
  return typeof value === 'number' ? figureWithin(at, value, chance) : value;
}

/** A shoot with some of its things laid one into another: a mark in a stand, a position on a mark. */
function laidTogether(shoot: Shoot, chance: Chance): Shoot {
  const places = [
    ...shoot.features.flatMap(({ points }) => points),
    ...shoot.marks,
    ...shoot.positions,
  ];
  const drawn = shoot.features.filter(({ points }) => points.length > 0);
  const middles = drawn.map(({ points }) => ({
    x: points.reduce((sum, { x }) => sum + x, 0) / points.length,
    y: points.reduce((sum, { y }) => sum + y, 0) / points.length,
  }));
  const moved = <T extends { readonly x: number; readonly y: number }>(entry: T): T => {
    if (chance() > 0.25) return entry;
    const { x, y } = oneOf([...places, ...middles], chance);
    return { ...entry, x, y };
  };
  return { ...shoot, marks: shoot.marks.map(moved), positions: shoot.positions.map(moved) };
}

/** A shoot that its schema takes, made from one by chance; the one itself where too little held. */
export function randomShoot(from: Shoot, chance: Chance): Shoot {
  const [startLocal, endLocal] =
    chance() < 0.5 ? oneOf(HOURS, chance) : [from.startLocal, from.endLocal];
  const timeZone = chance() < 0.3 ? oneOf(ZONES, chance) : from.place.timeZone;
  const wished = laidTogether(
    { ...from, startLocal, endLocal, atLocal: startLocal, place: { ...from.place, timeZone } },
    chance,
  );
  const base = shootSchema.safeParse(wished).success ? wished : from;
  for (const share of [0.2, 0.06, 0.02]) {
    const wild = shaken(SCHEMA, base as unknown as Json, chance, share) as unknown as Shoot;
    const checked = shootSchema.safeParse({ ...wild, id: from.id, title: from.title });
    if (checked.success) return checked.data;
    // A part that no longer fits would refuse the rest with it: it stays as it was.
    const bad = new Set(checked.error.issues.map(({ path }) => String(path[0])));
    const mended = Object.fromEntries(
      Object.entries(wild).map(([name, part]) => [
        name,
        bad.has(name) ? base[name as keyof Shoot] : part,
      ]),
    );
    const again = shootSchema.safeParse(mended);
    if (again.success) return again.data;
  }
  return base;
}
