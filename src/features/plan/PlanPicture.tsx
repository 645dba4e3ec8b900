import { useMemo, useState } from 'react';
import { View } from 'react-native';
import { Gesture, GestureDetector } from 'react-native-gesture-handler';
import ZoomIn from 'lucide-react-native/icons/zoom-in';
import ZoomOut from 'lucide-react-native/icons/zoom-out';
import type { Point2 } from '@/core';
import { GroundPlan } from '@/figures/GroundPlan';
import type { PlanLight } from '@/figures/plan-types';
import { planScale, type PlanScale } from '@/figures/plan-scale';
import type { Position } from '@/records/shoot';
import { IconButton } from '@/ui/Button';
import { onKeys } from '@/ui/keys';
import { useInks } from '@/ui/theme';
import { closeExtent, planDrawing, planExtent, planLight, planSight } from './drawing';
import { useShootPage } from './ShootContext';
import { bearingInWords, metres } from './words';

const NO_LIGHT: PlanLight = {
  sunAzimuthDeg: 0,
  sunAltitudeDeg: 0,
  sunStrength: 0,
  shadows: [],
  lampsOn: false,
  label: '',
};
const HANDLE_PX = 52;
const STEP_M = 1;
const BIG_STEP_M = 5;
/** Nothing may be placed further than this from the site's origin. */
const FURTHEST_M = 5000;

const clamp = (value: number) => Math.min(FURTHEST_M, Math.max(-FURTHEST_M, value));

/** The ground plan, with the chosen position to drag by finger, mouse or arrow keys. */
export function PlanPicture() {
  const { plan, update } = useShootPage();
  const { shoot, seen } = plan;
  const [size, setSize] = useState({ width: 0, height: 0 });
  // The picture keeps its scale while a position is dragged, and takes a new one after.
  const [heldScale, setHeldScale] = useState<PlanScale>();
  const [close, setClose] = useState(false);
  const drawing = useMemo(() => planDrawing(shoot), [shoot]);
  const extent = close && seen.ok ? closeExtent(seen.view) : planExtent(shoot);
  const fitted = planScale(extent, Math.max(1, size.width), Math.max(1, size.height));
  const scale = heldScale ?? fitted;
  const inks = useInks();
  const Icon = close ? ZoomOut : ZoomIn;
  const position = drawing.positions.find((entry) => entry.chosen);

  const shift = (eastM: number, northM: number) =>
    update((current) => ({
      ...current,
      positions: current.positions.map((entry: Position) =>
        entry.id === current.choice.positionId
          ? { ...entry, x: clamp(entry.x + eastM), y: clamp(entry.y + northM) }
          : entry,
      ),
    }));

  return (
    <View
      className="flex-1 overflow-hidden bg-paper"
      onLayout={({ nativeEvent: { layout } }) =>
        setSize({ width: layout.width, height: layout.height })
      }
    >
      {size.width > 0 ? (
        <GroundPlan
          drawing={drawing}
          light={seen.ok ? planLight(shoot, seen.answer.light) : NO_LIGHT}
          sight={seen.ok ? planSight(seen.view) : undefined}
          scale={scale}
          widthPx={size.width}
          heightPx={size.height}
          label={`Ground plan of ${shoot.title}, north up`}
        />
      ) : null}
      {position && size.width > 0 ? (
        <PositionHandle
          name={position.name}
          about={
            seen.ok
              ? `${metres(seen.view.sight.distanceM)} from ${seen.view.mark.name}, looking ${bearingInWords(seen.view.sight.bearingDeg)}`
              : 'no answer from here'
          }
          point={position}
          scale={scale}
          onShift={shift}
          onHold={(held) => setHeldScale(held ? scale : undefined)}
        />
      ) : null}
      <View className="absolute bottom-1 right-1">
        <IconButton
          label={close ? 'Show the whole ground' : 'Look closer at position and mark'}
          onPress={() => setClose(!close)}
        >
          <Icon color={inks.ink} size={22} />
        </IconButton>
      </View>
    </View>
  );
}

function PositionHandle({
  name,
  about,
  point,
  scale,
  onShift,
  onHold,
}: {
  readonly name: string;
  readonly about: string;
  readonly point: Point2;
  readonly scale: PlanScale;
  readonly onShift: (eastM: number, northM: number) => void;
  readonly onHold: (held: boolean) => void;
}) {
  const { x, y } = scale.toPx(point);
  const drag = Gesture.Pan()
    .runOnJS(true)
    .minDistance(0)
    .onBegin(() => onHold(true))
    .onChange(({ changeX, changeY }) => onShift(changeX / scale.pxPerM, -changeY / scale.pxPerM))
    .onFinalize(() => onHold(false));
  const step = (east: number, north: number) => (press: { shiftKey: boolean }) => {
    const by = press.shiftKey ? BIG_STEP_M : STEP_M;
    onShift(east * by, north * by);
  };
  return (
    <GestureDetector gesture={drag} touchAction="none">
      <View
        role="button"
        tabIndex={0}
        aria-label={`Position ${name}: ${about}. Drag, or use the arrow keys, to move it`}
        style={{
          position: 'absolute',
          left: x - HANDLE_PX / 2,
          top: y - HANDLE_PX / 2,
          width: HANDLE_PX,
          height: HANDLE_PX,
          cursor: 'pointer',
        }}
        {...onKeys({
          ArrowUp: step(0, 1),
          ArrowDown: step(0, -1),
          ArrowRight: step(1, 0),
          ArrowLeft: step(-1, 0),
        })}
      />
    </GestureDetector>
  );
}
