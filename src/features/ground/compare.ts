import {
  bearingDeg,
  withConverter,
  type Advice,
  type Compared,
  type CompareRequest,
  type ScorePart,
} from '@/core';
import { perchUnder } from '@/answers/perch';
import type { Setup, View } from '@/answers/view';
import { bearingInWords, smallLength } from '@/features/shoot/words';
import { CONVERTERS, type Converter } from '@/presets/lenses';
import { lensOf } from '@/records/kit';
import { changeItem, moveItem, removeItem } from '@/records/edit-site';
import type { Shoot } from '@/records/shoot';
import { localMinuteOf, type ShootHours } from '@/records/times';
import { searchRequestOf, type Wish } from '@/answers/search';
import { scoreWhyInWords } from '@/features/shoot/score-words';
import { written } from '@/ui/units';

/** Positions side by side: what is asked, in what order they are shown, and what is advised. */

const QUARTER_MS = 15 * 60_000;

/** Converters that the lens on the camera could take instead of the one it has. */
export function otherConverters(kit: Setup['kit']): readonly Converter[] {
  const takes = lensOf(kit).takesConverter;
  return CONVERTERS.filter((factor) => factor !== kit.converter && (takes || factor === 1));
}

/** All positions for the chosen mark, with the kit as it is and with other converters. */
export function compareRequestOf(
  setup: Setup,
  view: View,
  wish: Wish,
  atMs: number,
  { startMs, endMs }: Pick<ShootHours, 'startMs' | 'endMs'>,
): CompareRequest {
  const { shots, kits, site } = searchRequestOf(setup, view, wish, atMs);
  const [asked] = shots;
  const [kit] = kits;
  if (!asked || !kit) throw new RangeError('search request: must ask for a shot with a kit');
  const mark = setup.marks.find(({ id }) => id === view.mark.id);
  const perchMoves = mark !== undefined && perchUnder(setup, mark) !== undefined;
  const count = Math.floor((endMs - startMs) / QUARTER_MS) + 1;
  return {
    positions: setup.positions.map(({ id, x, y, cameraHeightM }) => ({ id, x, y, cameraHeightM })),
    mark: asked.mark,
    shot: asked.shot,
    site,
    timeMs: atMs,
    perchMoves,
    timesMs: Array.from({ length: count }, (_, i) => startMs + i * QUARTER_MS),
    kits: [
      kit,
      ...otherConverters(setup.kit).map((factor) => ({
        ...kit,
        lens: withConverter(lensOf(setup.kit), factor),
      })),
    ],
  };
}

export type SortKey = 'total' | Exclude<ScorePart, 'walk'>;

/** What each order is called: over a column, and in a list of orders. */
export const SORTS: readonly {
  readonly value: SortKey;
  readonly head: string;
  readonly label: string;
}[] = [
  { value: 'total', head: 'Score', label: 'The whole score' },
  { value: 'reach', head: 'Reach', label: 'Reach: how it fills the frame' },
  { value: 'face', head: 'Face', label: 'The face seen' },
  { value: 'light', head: 'Light', label: 'The light on it' },
  { value: 'exposure', head: 'Exposure', label: 'Exposure in hand' },
  { value: 'backdrop', head: 'Background', label: 'Background' },
  { value: 'view', head: 'View', label: 'Clear view' },
];

/** A part's share of a hundred and its reason; nothing where one cannot stand at all. */
export function partOf({ score }: Compared, key: SortKey): { points: string; why: string } {
  if (key === 'total') return { points: String(Math.round(score.total * 100)), why: '' };
  const part = score.parts.find(({ name }) => name === key);
  return part
    ? { points: String(Math.round(part.desirability * 100)), why: scoreWhyInWords(part.why) }
    : { points: '–', why: '' };
}

const valueOf = ({ score }: Compared, key: SortKey): number =>
  key === 'total' ? score.total : (score.parts.find(({ name }) => name === key)?.desirability ?? 0);

/** Best first by the whole score or by one part; of equal ones the better whole. */
export const sorted = (compared: readonly Compared[], key: SortKey): readonly Compared[] =>
  [...compared].sort((a, b) => valueOf(b, key) - valueOf(a, key) || b.score.total - a.score.total);

/** What a thing on a shoot's ground is called. */
export const nameIn =
  ({ features }: Pick<Shoot, 'features'>) =>
  (id: string): string =>
    features.find((feature) => feature.id === id)?.name ?? 'it';

const heldAt = (m: number) => written(m, 'm', 1);

/** "Move 6 m S": what one would do, as a button says it. */
export function adviceInWords(
  advice: Advice,
  from: { readonly x: number; readonly y: number },
  {
    converters,
    clock,
    atMs,
    nameOf,
  }: {
    readonly converters: readonly Converter[];
    readonly clock: (ms: number) => string;
    readonly atMs: number;
    /** What a thing on the ground is called. */
    readonly nameOf: (id: string) => string;
  },
): string {
  const { lever, position, timeMs, kit, cutId = '', shift = { x: 0, y: 0 } } = advice;
  switch (lever) {
    case 'move': {
      const offM = Math.hypot(position.x - from.x, position.y - from.y);
      const off = written(offM, 'm', Number.isInteger(Math.round(offM * 10) / 10) ? 0 : 1);
      return `Move ${off} ${bearingInWords(bearingDeg(from, position)).slice(5)}`;
    }
    case 'time':
      return timeMs > atMs ? `Wait until ${clock(timeMs)}` : `Be there by ${clock(timeMs)}`;
    case 'kit': {
      const factor = converters[kit - 1] ?? 1;
      return factor === 1 ? 'Take the converter off' : `Add the ${factor}x`;
    }
    case 'cut':
      return `Cut ${nameOf(cutId)}`;
    case 'perch':
      return `Move the perch ${smallLength(Math.hypot(shift.x, shift.y))} ${bearingInWords(bearingDeg({ x: 0, y: 0 }, shift)).slice(5)}`;
    case 'height':
      return `Hold the camera at ${heldAt(position.cameraHeightM)}`;
  }
}

/** The shoot with one piece of advice followed, and its position looked from. */
export function followed(
  shoot: Shoot,
  id: string,
  { lever, position, timeMs, kit, cutId, markAt }: Advice,
  converters: readonly Converter[],
): Shoot {
  const here = { ...shoot, choice: { ...shoot.choice, positionId: id } };
  switch (lever) {
    case 'move':
    case 'height':
      return changeItem(here, 'positions', id, (entry) => ({ ...entry, ...position }));
    case 'time':
      return { ...here, atLocal: localMinuteOf(timeMs, shoot.place.timeZone) };
    case 'cut':
      return cutId === undefined ? here : removeItem(here, { list: 'features', id: cutId });
    case 'perch': {
      const mark = here.marks.find((one) => one.id === here.choice.markId);
      const perch = mark && perchUnder(here, mark);
      return perch && markAt
        ? moveItem(here, { list: 'features', id: perch.id }, markAt.x - mark.x, markAt.y - mark.y)
        : here;
    }
    case 'kit':
      return { ...here, kit: { ...here.kit, converter: converters[kit - 1] ?? 1 } };
  }
}
