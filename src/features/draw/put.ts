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
import { addItem, type ItemRef } from '@/records/edit-site';
import { within } from '@/records/edit-ground';
import type { Shoot } from '@/records/shoot';
import { newFeature, newMark, newPosition, type AddKind } from './kinds';

/** How far a point is drawn to what lies near it, in pixels. */
const SNAP_PX = 12;
/** Spacings of the grid that points are drawn to, metres; the finest that shows is used. */
const GRIDS_M = [0.1, 0.5, 1, 5, 10];
const FINEST_GRID_PX = 8;

const gridFor = (pxPerM: number): number =>
  GRIDS_M.find((gridM) => gridM * pxPerM >= FINEST_GRID_PX) ?? 10;

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

/** Every straight piece on a ground but those of the thing that is being moved. */
export function piecesOf({ ground, features }: Drawn, without?: string): readonly Segment[] {
  const painted = kept(ground, () =>
    groundLines(ground.template, ground.bearingDeg).flatMap(({ points }) =>
      segmentsOf(points, false),
    ),
  );
  const drawn = features
    .filter(({ id, kind }) => id !== without && FEATURE_SHAPE[kind] !== 'point')
    .map((feature) =>
      kept(feature, () => segmentsOf(feature.points, FEATURE_SHAPE[feature.kind] === 'area')),
    );
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
    const { to, segment } = snapPoint(at, segmentsOf(points, false), { reachM: 0.05, gridM: 1000 });
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
    const along = points[0] && courseThrough(points[0], shoot);
    return {
      shoot: addItem(shoot, 'marks', newMark(placed, along)),
      item: { list: 'marks', id },
    };
  }
  if (kind === 'position') {
    return {
      shoot: addItem(shoot, 'positions', newPosition(placed)),
      item: { list: 'positions', id },
    };
  }
  return {
    shoot: addItem(shoot, 'features', newFeature(kind, placed, towardDeg)),
    item: { list: 'features', id },
  };
}
