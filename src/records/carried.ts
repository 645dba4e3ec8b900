import {
  distanceToLine,
  insidePolygon,
  landsAt,
  onPerch,
  perchEnds,
  type LandsAt,
  type Point2,
  type Stick,
} from '@/core';
import type { Feature, Mark, Position, Shoot } from './shoot';

/** What sits on a perch or stands in a hide goes where that goes: it is carried by it. */

/** Nearer than this to a perch, a subject sits on it. */
const ON_PERCH_M = 0.3;
/** In a hide, or looking out of it. */
const OUT_OF_HIDE_M = 0.6;

type Ground = Pick<Shoot, 'features' | 'marks' | 'positions'>;

const nearPerch = (at: Point2, feature: Feature): boolean =>
  feature.kind === 'perch' && distanceToLine(at, perchEnds(feature)) <= ON_PERCH_M;

const inHide = (at: Point2, { kind, points }: Feature): boolean => {
  const [first] = points;
  return (
    kind === 'hide' &&
    first !== undefined &&
    (insidePolygon(at, points) || distanceToLine(at, [...points, first]) <= OUT_OF_HIDE_M)
  );
};

/** The perch that a mark sits on, or the hide that a position is in, as they lie. */
export const carrierOf = (
  list: 'marks' | 'positions',
  at: Point2,
  features: readonly Feature[],
): Feature | undefined =>
  features.find((feature) => (list === 'marks' ? nearPerch : inHide)(at, feature));

const joined = <P extends Mark | Position>(
  list: 'marks' | 'positions',
  item: P,
  features: readonly Feature[],
): P => {
  const carrier = carrierOf(list, item, features);
  return carrier ? { ...item, carriedBy: carrier.id } : item;
};

/** A ground whose subjects on perches and places in hides are carried by these. */
export const withCarried = <G extends Ground>(ground: G): G => ({
  ...ground,
  marks: ground.marks.map((mark) => joined('marks', mark, ground.features)),
  positions: ground.positions.map((position) => joined('positions', position, ground.features)),
});

/** A mark or a position that was moved by itself: off its perch or out of its hide, that carries it no more. */
export function heldOn<P extends Mark | Position>(
  list: 'marks' | 'positions',
  item: P,
  features: readonly Feature[],
): P {
  if (item.carriedBy === undefined) return item;
  const carrier = features.find(({ id }) => id === item.carriedBy);
  if (carrier && carrierOf(list, item, [carrier])) return item;
  const { carriedBy: _off, ...free } = item;
  return free as P;
}

/** What a perch or a hide carries, by name. */
export const carriedNames = ({ marks, positions }: Ground, id: string): readonly string[] =>
  [...marks, ...positions].filter(({ carriedBy }) => carriedBy === id).map(({ name }) => name);

/** After a perch has become higher or lower: who sits on it sits at its top. */
export function seatedOn<G extends Ground>(ground: G, id: string): G {
  const perch = ground.features.find((feature) => feature.id === id);
  if (perch?.kind !== 'perch') return ground;
  return {
    ...ground,
    marks: ground.marks.map((mark) =>
      mark.carriedBy === id ? { ...mark, feetM: perch.heightM } : mark,
    ),
  };
}

type Perch = Extract<Feature, { kind: 'perch' }>;

/** A perch with another stick, or none: who sits at an end of it goes with that end. */
export function withStick<G extends Ground>(ground: G, id: string, stick: Stick | undefined): G {
  const perch = ground.features.find((feature) => feature.id === id);
  if (perch?.kind !== 'perch') return ground;
  const { stick: _before, ...post } = perch;
  const now: Perch = { ...post, ...(stick && { stick }) };
  return {
    ...ground,
    features: ground.features.map((feature) => (feature.id === id ? now : feature)),
    marks: ground.marks.map((mark) =>
      mark.carriedBy === id ? { ...mark, ...onPerch(now, landsAt(perch, mark)) } : mark,
    ),
  };
}

/** A mark that lands on an end of its perch's stick, or in its middle. */
export function landedOn<G extends Ground>(ground: G, markId: string, at: LandsAt): G {
  const mark = ground.marks.find(({ id }) => id === markId);
  const perch = ground.features.find(({ id }) => id === mark?.carriedBy);
  if (perch?.kind !== 'perch') return ground;
  return {
    ...ground,
    marks: ground.marks.map((one) => (one.id === markId ? { ...one, ...onPerch(perch, at) } : one)),
  };
}
