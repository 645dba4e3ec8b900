import type { Point2 } from '@/core';
import { MoveHandle } from '@/features/shoot/PlanHandles';
import { useEdits, useLooked } from '@/features/shoot/open-shoot';
import { withUnderlay } from '@/records/edit-underlay';
import { pinsOnGround, withPinAt, type Pin } from '@/records/underlay';
import { useInks } from '@/ui/theme';
import type { HandlesProps } from './DrawHandles';
import { useDrawTool } from './use-draw';

const PINS = ['A', 'B'] as const;

/** The two pins of the picture under the plan, to be dragged. */
export function UnderlayPins({ scale, drawing, onHold }: HandlesProps) {
  const inks = useInks();
  const { shoot } = useLooked('shoot');
  const { update } = useEdits();
  const { tool } = useDrawTool().state;
  const { underlay } = shoot;
  if (tool.name !== 'underlay' || !underlay?.shown) return null;
  const { hand } = tool;
  const move = (pin: Pin, to: (from: Point2) => Point2, tag: string) =>
    update(
      (current) =>
        withUnderlay(current, (was) => withPinAt(was, pin, to(pinsOnGround(was)[pin]), hand)),
      `${tag} pin ${pin}`,
    );
  return pinsOnGround(underlay).map((point, i) => {
    const pin = i as Pin;
    return (
      <MoveHandle
        key={pin}
        label={`Pin ${PINS[pin]} of the picture`}
        point={point}
        scale={scale}
        ringInk={inks.signal}
        onHold={onHold}
        // Over the picture a pin goes where one sees it; with the picture, onto what is drawn.
        onPlace={(to) => move(pin, () => (hand === 'set' ? to : drawing.snapped(to)), 'drag')}
        onShift={(east, north) => move(pin, ({ x, y }) => ({ x: x + east, y: y + north }), 'keys')}
      />
    );
  });
}
