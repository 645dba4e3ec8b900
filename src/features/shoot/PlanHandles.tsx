import { memo, useMemo, useState } from 'react';
import { Pressable, View } from 'react-native';
import { Gesture, GestureDetector } from 'react-native-gesture-handler';
import { Circle, Svg } from 'react-native-svg';
import type { Point2 } from '@/core';
import type { PlanScale } from '@/figures/plan-scale';
import type { ItemList, ItemRef } from '@/records/edit-site';
import { onKeys } from '@/ui/keys';
import { useSteady } from '@/ui/use-steady';

const HANDLE_PX = 52;
const STEP_M = 1;
const BIG_STEP_M = 5;

const boxAt = ({ x, y }: Point2, sizePx: number) => ({
  position: 'absolute' as const,
  left: x - sizePx / 2,
  top: y - sizePx / 2,
  width: sizePx,
  height: sizePx,
  cursor: 'pointer' as const,
});

/** A sign on the plan that is chosen by a tap. */
const PickTarget = memo(function PickTarget({
  label,
  x,
  y,
  list,
  id,
  onPick,
  onPickUnder,
}: {
  readonly label: string;
  readonly x: number;
  readonly y: number;
  readonly list: ItemList;
  readonly id: string;
  /** By a key: this very one. */
  readonly onPick: (item: ItemRef) => void;
  /** By a finger, which may cover others. */
  readonly onPickUnder: (item: ItemRef) => void;
}) {
  return (
    <Pressable
      role="button"
      aria-label={label}
      onPress={({ nativeEvent }) =>
        ('detail' in nativeEvent && nativeEvent.detail === 0 ? onPick : onPickUnder)({ list, id })
      }
      style={boxAt({ x, y }, HANDLE_PX)}
    />
  );
});

const keep = (event: Event) => event.stopPropagation();

/** A press on a handle is its own: the plan under it is not dragged as well. */
function ownPress(node: View | null) {
  const element = node as unknown as HTMLElement | null;
  element?.addEventListener('pointerdown', keep);
  return () => element?.removeEventListener('pointerdown', keep);
}

/** Less than this is a tap. */
const TAP_PX = 6;

/** Where a drag began, so that being drawn to a line on the way does not add up. */
function startOfDrag() {
  let at: Point2 = { x: 0, y: 0 };
  let farthestPx = 0;
  return {
    get: () => at,
    set: (to: Point2) => {
      at = to;
      farthestPx = 0;
    },
    gone: (px: number) => {
      farthestPx = Math.max(farthestPx, px);
    },
    wasTap: () => farthestPx < TAP_PX,
  };
}

/**
 * A thing on the plan that is dragged, or moved by the arrow keys: a metre, or five with Shift.
 */
export function MoveHandle({
  label,
  point,
  scale,
  onPlace,
  onShift,
  onHold,
  onTap,
  ringInk,
  sizePx = HANDLE_PX,
}: {
  readonly label: string;
  readonly point: Point2;
  readonly scale: PlanScale;
  /** Where a drag wishes it, in metres; not yet drawn to anything. */
  readonly onPlace: (to: Point2) => void;
  /** How far a key moves it: several may come before the next drawing. */
  readonly onShift: (eastM: number, northM: number) => void;
  readonly onHold: (held: boolean) => void;
  /** Touched and let go without being moved. */
  readonly onTap?: () => void;
  /** Ink of a ring that shows where to take hold; none where the sign shows it. */
  readonly ringInk?: string;
  readonly sizePx?: number;
}) {
  const here = scale.toPx(point);
  const [start] = useState(startOfDrag);
  // The gesture stays the same while it moves what it is about: a new one would be taken up with every frame.
  const hand = useSteady({
    begin: () => {
      start.set(here);
      onHold(true);
    },
    move: (byPx: Point2) => {
      const { x, y } = start.get();
      start.gone(Math.hypot(byPx.x, byPx.y));
      if (start.wasTap()) return;
      onPlace(scale.toMetres({ x: x + byPx.x, y: y + byPx.y }));
    },
    end: () => {
      onHold(false);
      if (start.wasTap()) onTap?.();
    },
  });
  const drag = useMemo(
    () =>
      Gesture.Pan()
        .runOnJS(true)
        .minDistance(0)
        .onBegin(() => hand.begin())
        .onUpdate(({ translationX, translationY }) =>
          hand.move({ x: translationX, y: translationY }),
        )
        .onFinalize(() => hand.end()),
    [hand],
  );
  const step = (east: number, north: number) => (press: { shiftKey: boolean }) => {
    const by = press.shiftKey ? BIG_STEP_M : STEP_M;
    onShift(east * by, north * by);
  };
  return (
    <GestureDetector gesture={drag} touchAction="none">
      <View
        ref={ownPress}
        role="button"
        tabIndex={0}
        aria-label={`${label}. Drag, or use the arrow keys, to move it`}
        style={boxAt(here, sizePx)}
        {...onKeys({
          ArrowUp: step(0, 1),
          ArrowDown: step(0, -1),
          ArrowRight: step(1, 0),
          ArrowLeft: step(-1, 0),
        })}
      >
        {ringInk ? (
          <Svg width={sizePx} height={sizePx} pointerEvents="none">
            <Circle
              cx={sizePx / 2}
              cy={sizePx / 2}
              r={8}
              fill="none"
              stroke={ringInk}
              strokeWidth={2.4}
            />
          </Svg>
        ) : null}
      </View>
    </GestureDetector>
  );
}

/** Marks or positions under the hand: the chosen one is dragged, the others are picked. */
export const People = memo(function People({
  list,
  people,
  chosenId,
  chosenLabel,
  scale,
  onPick,
  onPickUnder,
  onPlace,
  onShift,
  onHold,
}: {
  readonly list: 'marks' | 'positions';
  readonly people: readonly (Point2 & { readonly id: string; readonly name: string })[];
  readonly chosenId: string;
  readonly chosenLabel: string;
  readonly scale: PlanScale;
  readonly onPick: (item: ItemRef) => void;
  readonly onPickUnder: (item: ItemRef) => void;
  readonly onPlace: (item: ItemRef, to: Point2) => void;
  readonly onShift: (item: ItemRef, eastM: number, northM: number) => void;
  readonly onHold: (held: boolean) => void;
}) {
  const word = list === 'marks' ? 'mark' : 'position';
  const chosen = people.find(({ id }) => id === chosenId);
  const item = { list, id: chosenId };
  return (
    <>
      {people
        .filter(({ id }) => id !== chosenId)
        .map(({ id, name, x, y }) => (
          <PickTarget
            key={id}
            list={list}
            id={id}
            label={`Choose ${word} ${name}`}
            {...scale.toPx({ x, y })}
            onPick={onPick}
            onPickUnder={onPickUnder}
          />
        ))}
      {chosen ? (
        <MoveHandle
          label={chosenLabel}
          point={chosen}
          scale={scale}
          onHold={onHold}
          onTap={() => onPickUnder(item)}
          onPlace={(to) => onPlace(item, to)}
          onShift={(eastM, northM) => onShift(item, eastM, northM)}
        />
      ) : null}
    </>
  );
});
