import { useMemo } from 'react';
import { asRectangle, FEATURE_SHAPE, type Point2 } from '@/core';
import { useEdits, useLooked } from '@/features/shoot/open-shoot';
import { legWords, nearestTo } from '@/features/shoot/lengths';
import type { PlanUse } from '@/features/shoot/plan-use';
import type { PlanScale } from '@/figures/plan-scale';
import type { PlanDraft } from '@/figures/plan-types';
import {
  anchorOf,
  changeItem,
  itemOf,
  moveItem,
  pointsOf,
  sameItem,
  withPointMoved,
  type Item,
  type ItemRef,
} from '@/records/edit-site';
import type { Shoot } from '@/records/shoot';
import { pinsOnGround } from '@/records/underlay';
import type { DrawState } from './draw-state';
import { itemAt } from './hit';
import { drawnAs, KIND_WORDS } from './kinds';
import { piecesOf, settled } from './put';
import { useDrawTool } from './use-draw';
import { usePut } from './use-put';

/** The drawing tool as the plan needs it. */
export interface Drawing extends PlanUse {
  readonly placeCorner: (id: string, index: number, to: Point2) => void;
  /** Where a point that is wished comes to lie: on a corner or a line near it, while snapping is on. */
  readonly snapped: (at: Point2) => Point2;
}

/** The outline of what is in hand, with the lengths that matter while it is shaped. */
function outlineOf(item: Item): PlanDraft | undefined {
  if (!('points' in item) || item.points.length < 2) return undefined;
  const closed = FEATURE_SHAPE[item.kind] === 'area';
  const [first] = item.points;
  const round = closed && first ? [...item.points, first] : item.points;
  const sides = asRectangle(item.points) ? round.slice(0, 3) : round;
  return {
    points: item.points,
    closed,
    words: item.points.length <= 8 ? legWords(sides) : [],
  };
}

/** Two points called A and B. */
const lettered = (points: readonly Point2[]): PlanDraft => ({
  points,
  closed: false,
  words: points.map((at, i) => ({ at, text: i === 0 ? 'A' : 'B' })),
});

/** What is drawn over the plan in the signal ink. */
export function draftOf(
  state: DrawState,
  shoot: Pick<Shoot, 'marks' | 'positions' | 'features' | 'underlay'>,
): PlanDraft | undefined {
  const { tool, points, selected } = state;
  if (tool.name === 'underlay') {
    return shoot.underlay?.shown ? lettered(pinsOnGround(shoot.underlay)) : undefined;
  }
  if (tool.name === 'select') {
    const item = selected && itemOf(shoot, selected);
    return item && (outlineOf(item) ?? nearestTo(shoot, selected));
  }
  if (points.length === 0) return undefined;
  if (tool.name === 'lay') return lettered(points);
  const closed = tool.name === 'add' && drawnAs(tool.kind) === 'area';
  return { points, closed, words: legWords(points) };
}

function labelOf({ tool }: DrawState): string {
  const keys = 'Arrow keys move it, plus and minus zoom, brackets turn it';
  const enter = {
    select: 'Enter selects what is under the cross',
    add: `Enter puts ${tool.name === 'add' ? KIND_WORDS[tool.kind].name.toLowerCase() : ''} at the cross`,
    measure: 'Enter measures to the cross',
    lay: 'Enter takes the point at the cross',
    underlay: 'Its pins A and B are moved by their own keys',
  }[tool.name];
  return `Plan. ${keys}. ${enter}`;
}

/** The drawing tool's use of the plan, tied to its scale and to the shoot. */
export function useDrawing(scale: PlanScale): Drawing {
  const { setup, shoot } = useLooked('setup', 'shoot');
  const { update } = useEdits();
  const { state, act } = useDrawTool();
  const { put } = usePut();
  const { ground, features } = setup;
  const { tool, selected } = state;
  const held = tool.name === 'select' ? selected : undefined;
  const movingId = held?.id;
  const { pxPerM } = scale;
  const snapped = (at: Point2) =>
    settled(at, piecesOf({ ground, features }, movingId), { snap: state.snap, pxPerM }).point;

  const tap = (at: Point2) => {
    if (tool.name === 'select') {
      const found = itemAt(at, pxPerM, shoot);
      act({ do: 'select', item: found });
      if (found && found.list !== 'features') {
        const chosen = found.list === 'marks' ? { markId: found.id } : { positionId: found.id };
        update((current) => ({ ...current, choice: { ...current.choice, ...chosen } }));
      }
      return;
    }
    if (tool.name !== 'underlay') put(at);
  };

  const place = ({ list, id }: ItemRef, to: Point2) => {
    const wished = snapped(to);
    update((current) => {
      const item = itemOf(current, { list, id });
      const anchor = item && anchorOf(item);
      return anchor
        ? moveItem(current, { list, id }, wished.x - anchor.x, wished.y - anchor.y)
        : current;
    }, `drag ${id}`);
  };

  const placeCorner = (id: string, index: number, to: Point2) => {
    const wished = snapped(to);
    update(
      (current) =>
        changeItem(current, 'features', id, (item) => withPointMoved(item, index, wished)),
      `corner ${id} ${index}`,
    );
  };

  const grab: PlanUse['grab'] = (at, hold) => {
    if (!held || !sameItem(itemAt(at, pxPerM, shoot), held)) return undefined;
    const item = itemOf(shoot, held);
    const anchor = item && anchorOf(item);
    if (!anchor || pointsOf(item).length === 0) return undefined;
    hold(true);
    const start = scale.toPx(anchor);
    return {
      move: (by) => place(held, scale.toMetres({ x: start.x + by.x, y: start.y + by.y })),
      end: () => hold(false),
    };
  };

  const { marks, positions } = setup;
  const { underlay } = shoot;
  const draft = useMemo(
    () => draftOf(state, { marks, positions, features, ...(underlay && { underlay }) }),
    [state, marks, positions, features, underlay],
  );
  return {
    picking: tool.name === 'select',
    crossed: tool.name !== 'select' && tool.name !== 'underlay',
    draft,
    label: labelOf(state),
    picked: (item) => act({ do: 'select', item }),
    tap,
    place,
    placeCorner,
    snapped,
    grab,
  };
}
