import { FEATURE_SHAPE, FEWEST_POINTS, withCornerMoved, type Point2 } from '@/core';
import { heldOn } from './carried';
import { within } from './edit-ground';
import { withValidEvents } from './edit-events';
import {
  MOST_ENTRIES,
  MOST_POINTS,
  type Feature,
  type Mark,
  type Position,
  type Shoot,
} from './shoot';

/** Changes of the things on a ground. Each gives a new shoot, or the same one when it can't be done. */

export type ItemList = 'marks' | 'positions' | 'features';
/** One thing on the ground. */
export interface ItemRef {
  readonly list: ItemList;
  readonly id: string;
}
export type ItemOf<L extends ItemList> = Shoot[L][number];
export type Item = Mark | Position | Feature;

export const sameItem = (a: ItemRef | undefined, b: ItemRef | undefined): boolean =>
  a?.list === b?.list && a?.id === b?.id;

export const itemOf = (shoot: Pick<Shoot, ItemList>, { list, id }: ItemRef): Item | undefined =>
  (shoot[list] as readonly Item[]).find((entry) => entry.id === id);

/** Points of a thing: one for marks and positions. */
export const pointsOf = (item: Item): readonly Point2[] =>
  'points' in item ? item.points : [item];

/** Where a thing is taken hold of: the mean of its points; nothing for a hill. */
export function anchorOf(item: Item): Point2 | undefined {
  const points = pointsOf(item);
  if (points.length === 0) return undefined;
  const sum = points.reduce((a, b) => ({ x: a.x + b.x, y: a.y + b.y }), { x: 0, y: 0 });
  return { x: sum.x / points.length, y: sum.y / points.length };
}

/** Whether one more thing fits into a list; a ground has one slope. */
export const hasRoom = (shoot: Shoot, list: ItemList, kind?: string): boolean =>
  shoot[list].length < MOST_ENTRIES &&
  !(kind === 'slope' && shoot.features.some((feature) => feature.kind === 'slope'));

/** The shoot with a thing added; a mark or a position is chosen at once. */
export function addItem<L extends ItemList>(shoot: Shoot, list: L, item: ItemOf<L>): Shoot {
  if (!hasRoom(shoot, list, 'kind' in item ? item.kind : undefined)) return shoot;
  const chosen =
    list === 'marks' ? { markId: item.id } : list === 'positions' ? { positionId: item.id } : {};
  return {
    ...shoot,
    [list]: [...shoot[list], item],
    choice: { ...shoot.choice, ...chosen },
  };
}

/** The shoot with one thing changed. */
export function changeItem<L extends ItemList>(
  shoot: Shoot,
  list: L,
  id: string,
  how: (item: ItemOf<L>) => ItemOf<L>,
): Shoot {
  const entries: readonly ItemOf<L>[] = shoot[list];
  return { ...shoot, [list]: entries.map((entry) => (entry.id === id ? how(entry) : entry)) };
}

/** A thing so far away from where it was, by itself. */
export const shifted = <I extends Item>(item: I, eastM: number, northM: number): I =>
  'points' in item
    ? {
        ...item,
        points: item.points.map(({ x, y }) => within({ x: x + eastM, y: y + northM })),
      }
    : within({ ...item, x: item.x + eastM, y: item.y + northM });

/**
 * The shoot with one thing moved, whole, and kept within reach of the site. A perch takes along who sits on it, a
 * hide who is in it; one of these moved by itself leaves them.
 */
export function moveItem(
  shoot: Shoot,
  { list, id }: ItemRef,
  eastM: number,
  northM: number,
): Shoot {
  const move = <I extends Item>(item: I): I => shifted(item, eastM, northM);
  if (list !== 'features') {
    return changeItem(shoot, list, id, (item) => heldOn(list, move(item), shoot.features));
  }
  const moved = changeItem(shoot, list, id, move);
  const along = <P extends Mark | Position>(item: P): P =>
    item.carriedBy === id ? move(item) : item;
  return { ...moved, marks: moved.marks.map(along), positions: moved.positions.map(along) };
}

/** The feature with one point moved. A rectangle stays one: the corner across from it holds still. */
export function withPointMoved(feature: Feature, index: number, to: Point2): Feature {
  const held = within(to);
  const corners =
    FEATURE_SHAPE[feature.kind] === 'area'
      ? withCornerMoved(feature.points, index, held)
      : undefined;
  const points =
    corners?.map(within) ?? feature.points.map((point, i) => (i === index ? held : point));
  return { ...feature, points };
}

/** A slope with a height for each corner it now has; of anything else nothing changes. */
const withHeights = (
  feature: Feature,
  how: (heightsM: readonly number[]) => readonly number[],
): Feature =>
  feature.kind === 'slope' ? { ...feature, heightsM: [...how(feature.heightsM)] } : feature;

/** A hide's windows in the walls that these have become; of anything else nothing changes. */
const withWalls = (feature: Feature, now: (wall: number) => number): Feature =>
  feature.kind === 'hide' && feature.windows
    ? {
        ...feature,
        windows: feature.windows.map((window) => ({ ...window, wall: now(window.wall) })),
      }
    : feature;

/** The feature with a point put in after another; the same when it has as many as it may. */
export function withPointAdded(feature: Feature, after: number, at: Point2): Feature {
  if (feature.points.length >= MOST_POINTS) return feature;
  const points = feature.points.toSpliced(after + 1, 0, within(at));
  const walled = withWalls({ ...feature, points }, (wall) => (wall > after ? wall + 1 : wall));
  // Half way up, as it is put in half way along.
  return withHeights(walled, (heightsM) => {
    const before = heightsM[after] ?? 0;
    return heightsM.toSpliced(after + 1, 0, (before + (heightsM[after + 1] ?? before)) / 2);
  });
}

/** The feature without one of its points; the same when it needs them all. */
export function withoutPoint(feature: Feature, index: number): Feature {
  if (feature.points.length <= FEWEST_POINTS[FEATURE_SHAPE[feature.kind]]) return feature;
  const points = feature.points.filter((_, i) => i !== index);
  const last = points.length - 1;
  const walled = withWalls({ ...feature, points }, (wall) =>
    wall < index ? wall : wall > 0 ? wall - 1 : last,
  );
  return withHeights(walled, (heightsM) => heightsM.filter((_, i) => i !== index));
}

/** Why a thing can't be taken away; nothing when it can. */
export function cannotRemove(shoot: Shoot, { list }: ItemRef): string | undefined {
  if (list === 'features' || shoot[list].length > 1) return undefined;
  return list === 'marks'
    ? 'This is the only mark: put another one first.'
    : 'This is the only position: put another one first.';
}

/** The shoot without one thing. What is chosen stays something that is there. */
export function removeItem(shoot: Shoot, ref: ItemRef): Shoot {
  if (cannotRemove(shoot, ref)) return shoot;
  const entries: readonly Item[] = shoot[ref.list];
  return withValidChoice({
    ...shoot,
    [ref.list]: entries.filter(({ id }) => id !== ref.id),
  });
}

/** The shoot with its choice, shots and events among the marks and positions that there are. */
export function withValidChoice(changed: Shoot): Shoot {
  const shoot = withValidEvents(changed);
  const { choice, marks, positions } = shoot;
  const valid = (entries: readonly { id: string }[], id: string) =>
    entries.some((entry) => entry.id === id) ? id : (entries[0]?.id ?? id);
  const markId = valid(marks, choice.markId);
  const positionId = valid(positions, choice.positionId);
  // What was promised stays promised: a shot whose mark is gone goes to the first there is.
  const homeless = shoot.shots.some((shot) => valid(marks, shot.markId) !== shot.markId);
  return markId === choice.markId && positionId === choice.positionId && !homeless
    ? shoot
    : {
        ...shoot,
        choice: { ...choice, markId, positionId },
        shots: shoot.shots.map((shot) => ({ ...shot, markId: valid(marks, shot.markId) })),
      };
}
