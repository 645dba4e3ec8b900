import {
  bearingDeg,
  FEATURE_SHAPE,
  segmentsOf,
  snapPoint,
  type Point2,
  type Segment,
  type Snapped,
} from '@/core';
import { groundLines } from '@/presets/grounds';
import { isHideForm, type HideForm } from '@/presets/hides';
import { carrierOf, withCarried } from '@/records/carried';
import { addItem, type ItemRef } from '@/records/edit-site';
import { within } from '@/records/edit-ground';
import type { Feature, Shoot } from '@/records/shoot';
import { freeName, KIND_WORDS, newFeature, newMark, newPosition, type AddKind } from './kinds';
import { isSatIn, newHide, seatIn } from './new-hide';

/** How far a point is drawn to what lies near it, in pixels. */
const SNAP_PX = 12;
/** Spacings of the grid that points are drawn to, metres; the finest that shows is used. */
const GRIDS_M = [0.1, 0.5, 1, 5, 10];
const FINEST_GRID_PX = 8;

const gridFor = (pxPerM: number): number =>
  GRIDS_M.find((gridM) => gridM * pxPerM >= FINEST_GRID_PX) ?? 10;

/** Nearer than this a point is on a thing. */
const ON_IT_M = 0.05;

type Drawn = Pick<Shoot, 'ground' | 'features'>;

const piecesBefore = new WeakMap<object, readonly Segment[]>();

/** The pieces of something drawn; those of before while it has not changed. */
function kept(thing: object, make: () => readonly Segment[]): readonly Segment[] {
  const before = piecesBefore.get(thing);
  if (before) return before;
  const made = make();
  piecesBefore.set(thing, made);
  return made;
}

/** Sides of a line or an area; a single thing is a corner to fall on. */
function drawnPieces({ kind, points }: Feature): readonly Segment[] {
  const shape = FEATURE_SHAPE[kind];
  if (shape === 'point') return points.map((at) => [at, at] as const);
  return segmentsOf(points, shape === 'area');
}

/** Every straight piece on a ground but those of the thing that is being moved. */
export function piecesOf({ ground, features }: Drawn, without?: string): readonly Segment[] {
  const painted = kept(ground, () =>
    groundLines(ground.template, ground.bearingDeg).flatMap(({ points }) =>
      segmentsOf(points, false),
    ),
  );
  const drawn = features
    .filter(({ id }) => id !== without)
    .map((feature) => kept(feature, () => drawnPieces(feature)));
  return [painted, ...drawn].flat();
}

/** A point as it is put down: drawn to what lies near when that is wished, within reach always. */
export function settled(
  at: Point2,
  pieces: readonly Segment[],
  { snap, pxPerM }: { readonly snap: boolean; readonly pxPerM: number },
): Snapped {
  const held = within({ x: at.x, y: at.y });
  if (!snap) return { point: held, to: 'nothing' };
  return snapPoint(held, pieces, { reachM: SNAP_PX / pxPerM, gridM: gridFor(pxPerM) });
}

/** Heading of the course that passes through a point, if one does. */
export function courseThrough(at: Point2, { features }: Drawn): number | undefined {
  for (const { kind, points } of features) {
    if (kind !== 'course') continue;
    const { to, segment } = snapPoint(at, segmentsOf(points, false), {
      reachM: ON_IT_M,
      gridM: 1000,
    });
    if (segment && (to === 'line' || to === 'corner')) return bearingDeg(segment[0], segment[1]);
  }
  return undefined;
}

/** The shoot with a new thing on its ground, and which it is. */
export function putDown(
  shoot: Shoot,
  kind: AddKind,
  id: string,
  points: readonly Point2[],
  towardDeg?: number,
): { readonly shoot: Shoot; readonly item: ItemRef } {
  const placed = { shoot, id, points };
  if (kind === 'mark') {
    const [at] = points;
    const along = at && courseThrough(at, shoot);
    const perch = at && carrierOf('marks', at, shoot.features);
    const sits = perch?.kind === 'perch' && { feetM: perch.heightM, carriedBy: perch.id };
    return {
      shoot: addItem(shoot, 'marks', { ...newMark(placed, along), ...sits }),
      item: { list: 'marks', id },
    };
  }
  if (kind === 'position') {
    const [at] = points;
    const hide = at && carrierOf('positions', at, shoot.features);
    const position = { ...newPosition(placed), ...(hide && { carriedBy: hide.id }) };
    return {
      shoot: addItem(shoot, 'positions', position),
      item: { list: 'positions', id },
    };
  }
  const item: ItemRef = { list: 'features', id };
  if (isHideForm(kind)) return { shoot: withHide(shoot, kind, id, points), item };
  return { shoot: addItem(shoot, 'features', newFeature(kind, placed, towardDeg)), item };
}

/** The shoot with a hide, and with a seat at its window unless somebody's place lies within it. */
function withHide(shoot: Shoot, form: HideForm, id: string, points: readonly Point2[]): Shoot {
  const [at = { x: 0, y: 0 }] = points;
  const hide = newHide(form, { shoot, id, at, name: freeName(shoot, KIND_WORDS[form].name) });
  const there = addItem(shoot, 'features', hide);
  if (isSatIn(hide, shoot)) return withCarried(there);
  const seat = seatIn(hide, `${id}-seat`, freeName(there, `Seat, ${hide.name.toLowerCase()}`));
  return seat ? addItem(there, 'positions', seat) : there;
}
