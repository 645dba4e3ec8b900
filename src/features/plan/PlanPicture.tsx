import { useMemo, useState } from 'react';
import { Pressable, View } from 'react-native';
import { Gesture, GestureDetector } from 'react-native-gesture-handler';
import ZoomIn from 'lucide-react-native/icons/zoom-in';
import ZoomOut from 'lucide-react-native/icons/zoom-out';
import type { Point2 } from '@/core';
import { GroundPlan } from '@/figures/GroundPlan';
import type { PlanLight } from '@/figures/plan-types';
import { planScale, type PlanScale } from '@/figures/plan-scale';
import { IconButton } from '@/ui/Button';
import { onKeys } from '@/ui/keys';
import { useInks } from '@/ui/theme';
import { bestPlaces } from '@/features/ground/search';
import { useSearchTool } from '@/features/ground/use-search';
import { closeExtent, planExtent, planGround, planLight, planSight, withChosen } from './drawing';
import { useShootPage } from './ShootContext';
import { chosenMark, chosenPosition, type Setup } from './view';
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

  const mark = chosenMark(setup);
  const choose = (choice: Partial<Setup['choice']>) =>
    update((current) => ({ ...current, choice: { ...current.choice, ...choice } }));
  const hold = (held: boolean) => setHeldScale(held ? scale : undefined);

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
          {marks
            .filter(({ id }) => id !== mark.id)
            .map((entry) => (
              <PickTarget
                key={entry.id}
                label={`Choose mark ${entry.name}`}
                point={entry}
                scale={scale}
                onPick={() => choose({ markId: entry.id })}
              />
            ))}
          {positions
            .filter(({ id }) => id !== position.id)
            .map((entry) => (
              <PickTarget
                key={entry.id}
                label={`Choose position ${entry.name}`}
                point={entry}
                scale={scale}
                onPick={() => choose({ positionId: entry.id })}
              />
            ))}
          <MoveHandle
            label={`Mark ${mark.name}: ${Math.round(mark.x)} m east, ${Math.round(mark.y)} m north of the middle`}
            point={mark}
            scale={scale}
            onShift={(east, north) =>
              update((current) => ({
                ...current,
                marks: shifted(current.marks, chosenMark(current).id, east, north),
              }))
            }
            onHold={hold}
          />
          <MoveHandle
            label={`Position ${position.name}: ${
              view
                ? `${metres(view.sight.distanceM)} from ${view.mark.name}, looking ${bearingInWords(view.sight.bearingDeg)}`
                : 'no answer from here'
            }`}
            point={position}
            scale={scale}
            onShift={(east, north) =>
              update((current) => ({
                ...current,
                positions: shifted(current.positions, chosenPosition(current).id, east, north),
              }))
            }
            onHold={hold}
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

/** The entries with one of them moved, kept within reach of the site. */
const shifted = <T extends Point2 & { readonly id: string }>(
  entries: readonly T[],
  id: string,
  eastM: number,
  northM: number,
): T[] =>
  entries.map((entry) =>
    entry.id === id ? { ...entry, x: clamp(entry.x + eastM), y: clamp(entry.y + northM) } : entry,
  );

const boxAt = ({ x, y }: Point2) => ({
  position: 'absolute' as const,
  left: x - HANDLE_PX / 2,
  top: y - HANDLE_PX / 2,
  width: HANDLE_PX,
  height: HANDLE_PX,
  cursor: 'pointer' as const,
});

/** A sign on the plan that is chosen by a tap. */
function PickTarget({
  label,
  point,
  scale,
  onPick,
}: {
  readonly label: string;
  readonly point: Point2;
  readonly scale: PlanScale;
  readonly onPick: () => void;
}) {
  return (
    <Pressable role="button" aria-label={label} onPress={onPick} style={boxAt(scale.toPx(point))} />
  );
}

/** A sign on the plan that is dragged, or moved by the arrow keys. */
function MoveHandle({
  label,
  point,
  scale,
  onShift,
  onHold,
}: {
  readonly label: string;
  readonly point: Point2;
  readonly scale: PlanScale;
  readonly onShift: (eastM: number, northM: number) => void;
  readonly onHold: (held: boolean) => void;
}) {
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
        aria-label={`${label}. Drag, or use the arrow keys, to move it`}
        style={boxAt(scale.toPx(point))}
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
