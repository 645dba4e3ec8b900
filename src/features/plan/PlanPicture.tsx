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
import { bestPlaces } from '@/features/ground/search';
import { useSearchTool } from '@/features/ground/use-search';
import { closeExtent, planExtent, planGround, planLight, planSight, withChosen } from './drawing';
import { useShootPage } from './ShootContext';
import { chosenMark, chosenPosition } from './view';
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
  const search = useSearchTool();
  const { setup, seen } = plan;
  const { ground: site, features, obstacles, marks, positions, choice } = setup;
  const [size, setSize] = useState({ width: 0, height: 0 });
  // The picture keeps its scale while a position is dragged, and takes a new one after.
  const [heldScale, setHeldScale] = useState<PlanScale>();
  const [close, setClose] = useState(false);
  const ground = useMemo(
    () => planGround({ ground: site, features, obstacles }),
    [site, features, obstacles],
  );
  const view = seen.ok ? seen.view : undefined;
  const { result, request, running } = search.state ?? {};
  const pins = useMemo(
    () => (result && request && !running ? bestPlaces(result, request) : undefined),
    [result, request, running],
  );
  const fitted = useMemo(() => {
    const extent =
      close && view
        ? closeExtent(view)
        : [...planExtent(ground, { marks, positions }), ...(pins ?? [])];
    return planScale(extent, Math.max(1, size.width), Math.max(1, size.height));
  }, [close, view, ground, marks, positions, pins, size]);
  const shownMarks = useMemo(
    () => withChosen(marks, chosenMark({ marks, choice })),
    [marks, choice],
  );
  const shownPositions = useMemo(
    () => withChosen(positions, chosenPosition({ positions, choice })),
    [positions, choice],
  );
  const sight = useMemo(() => view && planSight(view), [view]);
  const scale = heldScale ?? fitted;
  const inks = useInks();
  const Icon = close ? ZoomOut : ZoomIn;
  const position = chosenPosition(setup);

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
        <>
          <GroundPlan
            ground={ground}
            marks={shownMarks}
            positions={shownPositions}
            light={
              seen.ok ? planLight({ sky: setup.light.sky, obstacles }, seen.answer.light) : NO_LIGHT
            }
            sight={sight}
            scores={search.state?.result}
            pins={pins}
            scale={scale}
            widthPx={size.width}
            heightPx={size.height}
            label={`Ground plan of ${plan.shoot.title}, north up`}
          />
          <PositionHandle
            name={position.name}
            about={
              view
                ? `${metres(view.sight.distanceM)} from ${view.mark.name}, looking ${bearingInWords(view.sight.bearingDeg)}`
                : 'no answer from here'
            }
            point={position}
            scale={scale}
            onShift={shift}
            onHold={(held) => setHeldScale(held ? scale : undefined)}
          />
        </>
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
