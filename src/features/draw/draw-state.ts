import { FEWEST_POINTS, type Point2 } from '@/core';
import { MOST_POINTS } from '@/records/shoot';
import type { ItemRef } from '@/records/edit-site';
import type { Hand } from '@/records/underlay';
import { drawnAs, type AddKind } from './kinds';

/** What the person is doing on the plan. */
export type Tool =
  | { readonly name: 'select' }
  | { readonly name: 'add'; readonly kind: AddKind }
  | { readonly name: 'measure' }
  /** Naming two points of the plan whose place on the globe is known. */
  | { readonly name: 'lay' }
  /** Laying a picture under the plan: what a drag of its pins moves. */
  | { readonly name: 'underlay'; readonly hand: Hand };

export interface DrawState {
  readonly tool: Tool;
  /** Points put down with the tool so far. */
  readonly points: readonly Point2[];
  readonly selected: ItemRef | undefined;
  /** Which corner of the selected thing is in hand. */
  readonly corner: number | undefined;
  readonly snap: boolean;
}

export const SELECT: Tool = { name: 'select' };
export const FIRST_DRAW: DrawState = {
  tool: SELECT,
  points: [],
  selected: undefined,
  corner: undefined,
  snap: true,
};

export type DrawAction =
  | { readonly do: 'take'; readonly tool: Tool }
  | { readonly do: 'point'; readonly at: Point2 }
  | { readonly do: 'unpoint' }
  | { readonly do: 'clear' }
  | { readonly do: 'select'; readonly item: ItemRef | undefined }
  | { readonly do: 'corner'; readonly index: number | undefined }
  | { readonly do: 'snap'; readonly on: boolean };

/** How many points a tool takes at most. */
export function mostPoints(tool: Tool): number {
  switch (tool.name) {
    case 'select':
    case 'underlay':
      return 0;
    case 'lay':
      return 2;
    case 'measure':
      return MOST_POINTS;
    case 'add':
      return { none: 0, point: 1, line: MOST_POINTS, area: MOST_POINTS }[drawnAs(tool.kind)];
  }
}

/** Whether the points put down make a whole thing. */
export const isWhole = ({ tool, points }: DrawState): boolean =>
  tool.name === 'add' && points.length >= FEWEST_POINTS[drawnAs(tool.kind)];

/** The next state. Taking a tool begins anew; selecting puts the tool away. */
export function drawn(state: DrawState, action: DrawAction): DrawState {
  switch (action.do) {
    case 'take':
      return { ...state, tool: action.tool, points: [], selected: undefined, corner: undefined };
    case 'point': {
      // One point too many takes the place of the last.
      const kept = state.points.slice(0, Math.max(0, mostPoints(state.tool) - 1));
      return mostPoints(state.tool) === 0 ? state : { ...state, points: [...kept, action.at] };
    }
    case 'unpoint':
      return { ...state, points: state.points.slice(0, -1) };
    case 'clear':
      return { ...state, points: [] };
    case 'select':
      return { ...state, tool: SELECT, points: [], selected: action.item, corner: undefined };
    case 'corner':
      return { ...state, corner: action.index };
    case 'snap':
      return { ...state, snap: action.on };
  }
}
