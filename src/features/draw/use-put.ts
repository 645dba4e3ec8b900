import type { Point2 } from '@/core';
import { useShootPage } from '@/features/plan/ShootContext';
import { newId } from '@/records/new-shoot';
import { drawnAs, type AddKind } from './kinds';
import { piecesOf, putDown, settled } from './put';
import { useDrawTool } from './use-draw';

/** Putting points down with the tool in hand. */
export function usePut() {
  const { plan, update } = useShootPage();
  const { state, act, seen } = useDrawTool();
  const { tool } = state;

  const finish = (kind: AddKind, points: readonly Point2[]) => {
    const id = newId();
    const sunDeg = plan.seen.ok ? plan.seen.answer.light.sun.azimuthDeg : undefined;
    const { item } = putDown(plan.shoot, kind, id, points, sunDeg);
    update((current) => putDown(current, kind, id, points, sunDeg).shoot);
    act({ do: 'select', item });
  };
  /** @param exactly not drawn to what lies near: it was typed or walked to */
  const put = (at: Point2, exactly = false) => {
    const point = settled(at, exactly ? [] : piecesOf(plan.shoot), {
      snap: state.snap && !exactly,
      pxPerM: seen().pxPerM,
    }).point;
    if (tool.name === 'add' && drawnAs(tool.kind) === 'point') finish(tool.kind, [point]);
    else act({ do: 'point', at: point });
  };
  return { put, finish };
}
