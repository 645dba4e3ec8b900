import type { Point2 } from '@/core';
import { useEdits, useLooked } from '@/features/shoot/open-shoot';
import { newId } from '@/records/new-id';
import { drawnAs, type AddKind } from './kinds';
import { piecesOf, putDown, settled } from './put';
import { useDrawTool } from './use-draw';

/** Putting points down with the tool in hand. */
export function usePut() {
  const { shoot, light } = useLooked('shoot', 'light');
  const { update } = useEdits();
  const { state, act, seen } = useDrawTool();
  const { tool } = state;

  const finish = (kind: AddKind, points: readonly Point2[]) => {
    const id = newId();
    const sunDeg = light.sun.azimuthDeg;
    const { item } = putDown(shoot, kind, id, points, sunDeg);
    update((current) => putDown(current, kind, id, points, sunDeg).shoot);
    act({ do: 'select', item });
  };
  /** @param exactly not drawn to what lies near: it was typed or walked to */
  const put = (at: Point2, exactly = false) => {
    const point = settled(at, exactly ? [] : piecesOf(shoot), {
      snap: state.snap && !exactly,
      pxPerM: seen().pxPerM,
    }).point;
    if (tool.name === 'add' && drawnAs(tool.kind) === 'point') finish(tool.kind, [point]);
    else act({ do: 'point', at: point });
  };
  return { put, finish };
}
