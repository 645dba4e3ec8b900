import {
  FEATURE_SHAPE,
  fullCircle,
  rectangleCorners,
  type FeatureKind,
  type FeatureShape,
  type Point2,
} from '@/core';
import { HIDE_FORMS, type HideForm } from '@/presets/hides';
import type { Feature, Mark, Position, Shoot } from '@/records/shoot';
import { newHide } from './new-hide';

/** What can be put on a ground, in words, with usual figures to begin with. */

export type AddKind = 'mark' | 'position' | FeatureKind | HideForm;

interface KindWords {
  readonly name: string;
  /** What it is for, in a line. */
  readonly what: string;
}

export const KIND_WORDS: Readonly<Record<AddKind, KindWords>> = {
  mark: { name: 'Mark', what: 'Where the subject will be' },
  position: { name: 'Position', what: 'A place to shoot from' },
  course: { name: 'Course', what: 'The way the subject takes; marks put on it face along it' },
  backdrop: { name: 'Backdrop', what: 'What stands behind, and how busy it is' },
  keepOut: { name: 'Keep-out', what: 'Ground where nobody may stand' },
  stand: { name: 'Stand or building', what: 'Shades the ground and blocks the view' },
  wall: { name: 'Wall', what: 'Upright and thin: a wall, a hedge, boards' },
  fence: { name: 'Fence', what: 'Wire to shoot through, and the posts’ shade' },
  tree: { name: 'Tree', what: 'One crown' },
  trees: { name: 'Trees', what: 'A row or a wood' },
  branch: { name: 'Branch', what: 'From its stem to its tip: dapples, hides, and can be cut' },
  hill: { name: 'Hill on the skyline', what: 'Keeps the sun off the whole ground' },
  lamp: { name: 'Lamp mast', what: 'Where the lamps stand' },
  hide: { name: 'Hide', what: 'To sit in, with a window and a seat' },
  tent: { name: 'Tent hide', what: 'A small hide that is carried in' },
  car: { name: 'Car', what: 'To shoot from, out of its side window' },
  house: { name: 'House window', what: 'A room to shoot from, through glass until it is opened' },
  tower: { name: 'Tower', what: 'A seat high up, level with the canopy' },
  perch: { name: 'Perch', what: 'A post, or a stick with two ends to land on' },
  cover: { name: 'Cover', what: 'Where birds come from: a bush, a gap in the hedge' },
  food: { name: 'Food', what: 'What they come for: a feeder, a berry bush' },
  slope: { name: 'Slope', what: 'Ground that rises: how high it is along a line' },
  path: { name: 'Path of walkers', what: 'Where others pass: on the ground, or on boards' },
  water: { name: 'Water’s edge', what: 'A bank or a shore' },
  lane: { name: 'Lane', what: 'Buoys, ropes, a lane on the water' },
  outline: { name: 'Line', what: 'Any other line worth seeing' },
};

/** In the order they are offered: what is put down most comes first. */
export const ADD_KINDS = Object.keys(KIND_WORDS) as readonly AddKind[];

/** Things of these kinds are put down whole by one point. */
const AT_ONE_POINT: ReadonlySet<AddKind> = new Set([
  ...(['mark', 'position', 'stand'] as const),
  ...HIDE_FORMS,
]);

const isAtOnePoint = (kind: AddKind): kind is HideForm | 'stand' => AT_ONE_POINT.has(kind);

/** How a kind is drawn: by no point, by one, along a line, or round an area. */
export function drawnAs(kind: AddKind): FeatureShape {
  if (kind === 'mark' || kind === 'position') return 'point';
  return isAtOnePoint(kind) ? 'point' : FEATURE_SHAPE[kind];
}

/** Sides of what is put down as a rectangle, metres. Common practice, no source. */
const STAND_M = { widthM: 30, depthM: 8 } as const;

/** Usual figures. Common practice, no source. */
const USUAL = {
  stand: { heightM: 8 },
  wall: { heightM: 2 },
  trees: { heightM: 10 },
  tree: { heightM: 8, crownM: 5 },
  fence: { heightM: 3, meshPitchMm: 50, wireMm: 3, postSpacingM: 3, postWidthMm: 60 },
  lamp: { heightM: 15 },
  perch: { heightM: 1.2 },
  cover: { heightM: 1.5 },
  food: { heightM: 1.6 },
  backdrop: { heightM: 2, detail: 'leaf' },
  branch: {
    ...{ heightM: 2.5, tipM: 2, thickMm: 30, spreadM: 0.6 },
    ...{ leafTakes: 0.6, leafFrom: 5, leafTo: 10 },
  },
} as const;

/** A new slope rises so much from its first corner to its last. */
const SLOPE_RISE_M = 2;

/** Half the width of skyline that a new hill takes, and how high it stands. */
const HILL = { halfDeg: 20, elevationDeg: 4 } as const;

/** "Tree", "Tree 2", "Tree 3": the first that is not taken. */
export function freeName(shoot: Shoot, name: string): string {
  const taken = new Set(
    [...shoot.marks, ...shoot.positions, ...shoot.features].map((entry) => entry.name),
  );
  for (let n = 1; ; n += 1) {
    const tried = n === 1 ? name : `${name} ${n}`;
    if (!taken.has(tried)) return tried;
  }
}

interface Placed {
  readonly shoot: Shoot;
  readonly id: string;
  readonly points: readonly Point2[];
}

/** A new feature of a kind at the points given. @param towardDeg bearing that a new hill lies about */
export function newFeature(
  kind: FeatureKind,
  { shoot, id, points }: Placed,
  towardDeg = 270,
): Feature {
  const base = { id, name: freeName(shoot, KIND_WORDS[kind].name), points: [...points] };
  const [at = { x: 0, y: 0 }] = points;
  switch (kind) {
    case 'stand':
      return {
        ...base,
        kind,
        points: rectangleCorners({
          middle: at,
          ...STAND_M,
          bearingDeg: shoot.ground.bearingDeg,
        }),
        ...USUAL.stand,
      };
    case 'hide':
      return newHide('hide', { shoot, id, at, name: base.name });
    case 'hill':
      return {
        ...base,
        kind,
        points: [],
        fromDeg: Math.round(fullCircle(towardDeg - HILL.halfDeg)) % 360,
        toDeg: Math.round(fullCircle(towardDeg + HILL.halfDeg)) % 360,
        elevationDeg: HILL.elevationDeg,
      };
    case 'wall':
    case 'trees':
    case 'lamp':
    case 'perch':
    case 'cover':
    case 'food':
      return { ...base, kind, ...USUAL[kind] };
    case 'tree':
      return { ...base, kind, ...USUAL.tree };
    case 'fence':
      return { ...base, kind, ...USUAL.fence };
    case 'branch':
      return { ...base, kind, ...USUAL.branch };
    case 'backdrop':
      return { ...base, kind, ...USUAL.backdrop };
    case 'path':
      return { ...base, kind, deckM: 0 };
    case 'slope':
      return {
        ...base,
        kind,
        heightsM: points.map((_, i) => (SLOPE_RISE_M * i) / Math.max(1, points.length - 1)),
      };
    default:
      return { ...base, kind };
  }
}

/** A new mark like the one chosen; on a course it runs along it. */
export function newMark({ shoot, id, points }: Placed, alongDeg?: number): Mark {
  const like = shoot.marks.find((mark) => mark.id === shoot.choice.markId) ?? shoot.marks[0];
  const [at = { x: 0, y: 0 }] = points;
  const headingDeg = alongDeg ?? like?.headingDeg ?? 0;
  return {
    id,
    name: freeName(shoot, KIND_WORDS.mark.name),
    x: at.x,
    y: at.y,
    headingDeg,
    facingDeg: alongDeg ?? like?.facingDeg ?? 0,
    subjectId: like?.subjectId ?? 'standing',
  };
}

const EYE_HEIGHT_M = 1.5;

export function newPosition({ shoot, id, points }: Placed): Position {
  const [at = { x: 0, y: 0 }] = points;
  return {
    id,
    name: freeName(shoot, KIND_WORDS.position.name),
    x: at.x,
    y: at.y,
    cameraHeightM: EYE_HEIGHT_M,
  };
}

/** A figure that a kind has, to type in. */
export interface NumberSpec {
  readonly key: string;
  readonly label: string;
  readonly unit: string;
  readonly min: number;
  readonly max: number;
}

const HEIGHT: NumberSpec = { key: 'heightM', label: 'Height', unit: 'm', min: 0.1, max: 200 };

/** Figures of each kind, in the order they are asked. The record's schema has the last word. */
export const KIND_NUMBERS: Readonly<Partial<Record<FeatureKind, readonly NumberSpec[]>>> = {
  stand: [HEIGHT],
  wall: [HEIGHT],
  hide: [HEIGHT],
  trees: [HEIGHT],
  lamp: [HEIGHT],
  perch: [HEIGHT],
  cover: [HEIGHT],
  food: [HEIGHT],
  backdrop: [HEIGHT],
  tree: [HEIGHT, { key: 'crownM', label: 'Crown across', unit: 'm', min: 0.1, max: 60 }],
  branch: [
    { key: 'heightM', label: 'Height at its stem', unit: 'm', min: 0.1, max: 200 },
    { key: 'tipM', label: 'Height at its tip', unit: 'm', min: 0, max: 200 },
    { key: 'thickMm', label: 'Wood, across', unit: 'mm', min: 1, max: 1000 },
    { key: 'spreadM', label: 'Leaves, across', unit: 'm', min: 0, max: 20 },
  ],
  path: [{ key: 'deckM', label: 'Boards over the ground', unit: 'm', min: 0, max: 20 }],
  hill: [
    { key: 'fromDeg', label: 'From bearing', unit: '°', min: 0, max: 359.9 },
    { key: 'toDeg', label: 'To bearing, clockwise', unit: '°', min: 0, max: 359.9 },
    { key: 'elevationDeg', label: 'Stands up', unit: '°', min: 0.1, max: 60 },
  ],
  fence: [
    HEIGHT,
    { key: 'meshPitchMm', label: 'Mesh', unit: 'mm', min: 2, max: 500 },
    { key: 'wireMm', label: 'Wire', unit: 'mm', min: 0.1, max: 20 },
    { key: 'postSpacingM', label: 'Posts every', unit: 'm', min: 0.2, max: 100 },
    { key: 'postWidthMm', label: 'Post', unit: 'mm', min: 5, max: 1000 },
  ],
};
