import { FEATURE_SHAPE, type Point2 } from '@/core';
import { MoveHandle } from '@/features/shoot/PlanHandles';
import { useEdits, useLooked } from '@/features/shoot/open-shoot';
import type { PlanScale } from '@/figures/plan-scale';
import { anchorOf, changeItem, itemOf, moveItem, withPointMoved } from '@/records/edit-site';
import { useInks } from '@/ui/theme';
import { useDrawTool } from './use-draw';
import type { Drawing } from './use-drawing';

/** More corners than this are shaped one at a time from the list, or by their figures. */
const MOST_HANDLES = 24;
const CORNER_PX = 48;
/** Handles that would cover each other are made smaller, down to this: zoomed in they are whole. */
const LEAST_CORNER_PX = 20;

/** Size of a corner's handle: no other corner lies under it. */
function handlePx(points: readonly Point2[], index: number, pxPerM: number): number {
  const [x, y] = [points[index]?.x ?? 0, points[index]?.y ?? 0];
  const nearestM = Math.min(
    ...points.filter((_, i) => i !== index).map((p) => Math.hypot(p.x - x, p.y - y)),
  );
  return Math.max(LEAST_CORNER_PX, Math.min(CORNER_PX, nearestM * pxPerM));
}

/** What handles on the plan are given. */
export interface HandlesProps {
  readonly scale: PlanScale;
  readonly drawing: Drawing;
  readonly onHold: (held: boolean) => void;
}

/** Where the selected thing is taken hold of: its middle, and each of its corners. */
export function DrawHandles({ scale, drawing, onHold }: HandlesProps) {
  const inks = useInks();
  const { shoot } = useLooked('shoot');
  const { update } = useEdits();
  const { state, act } = useDrawTool();
  const { selected, tool } = state;
  if (tool.name !== 'select' || selected?.list !== 'features') return null;
  const item = itemOf(shoot, selected);
  const anchor = item && anchorOf(item);
  if (!item || !anchor || !('points' in item)) return null;
  const { id, name, points } = item;
  const corners =
    FEATURE_SHAPE[item.kind] === 'point' || points.length > MOST_HANDLES ? [] : points;
  return (
    <>
      <MoveHandle
        label={name}
        point={anchor}
        scale={scale}
        ringInk={inks.signal}
        onHold={onHold}
        onPlace={(to) => drawing.place(selected, to)}
        onShift={(east, north) =>
          update((current) => moveItem(current, selected, east, north), `keys ${id}`)
        }
      />
      {corners.map((point, index) => (
        <MoveHandle
          key={index}
          label={`${name}, corner ${index + 1} of ${points.length}`}
          point={point}
          scale={scale}
          sizePx={handlePx(points, index, scale.pxPerM)}
          onHold={(held) => {
            if (held) act({ do: 'corner', index });
            onHold(held);
          }}
          onPlace={(to) => drawing.placeCorner(id, index, to)}
          onShift={(east, north) =>
            update(
              (current) =>
                changeItem(current, 'features', id, (feature) => {
                  const corner = feature.points[index];
                  return corner
                    ? withPointMoved(feature, index, {
                        x: corner.x + east,
                        y: corner.y + north,
                      })
                    : feature;
                }),
              `keys ${id} ${index}`,
            )
          }
        />
      ))}
    </>
  );
}
