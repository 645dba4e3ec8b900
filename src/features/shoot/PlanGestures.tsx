import { useEffect, useRef, useState, type ReactNode } from 'react';
import { View } from 'react-native';
import { Gesture, GestureDetector } from 'react-native-gesture-handler';
import type { Point2 } from '@/core';
import { viewAfter, zoomWithin, type Gestured, type PlanView } from '@/figures/plan-scale';
import { onKeys } from '@/ui/keys';
import { byTwoFingers, planHand, STILL, type ItemDrag, type TwoFingers } from './plan-hand';

const PAN_KEY_PX = 40;
const ZOOM_KEY = 1.25;
const TURN_KEY_DEG = 15;
const WHEEL_ZOOM = 0.0015;
/** After the wheel has rested this long the plan is drawn anew. */
const WHEEL_REST_MS = 140;

interface Wheel {
  readonly currentTarget: Element;
  readonly clientX: number;
  readonly clientY: number;
  readonly deltaY: number;
}

interface Props {
  readonly view: PlanView;
  readonly widthPx: number;
  readonly heightPx: number;
  readonly label: string;
  readonly onView: (view: PlanView) => void;
  readonly onTap: (at: Point2) => void;
  /** What a drag from here takes hold of; the plan itself when nothing. */
  readonly grab: (at: Point2) => ItemDrag | undefined;
  /** The plan as drawn, and what lies over it to be touched. */
  readonly children: ReactNode;
}

/** As CSS: about the fingers, zoomed and turned, and then moved with them. */
const cssTransform = ({ about, by, zoom, turnDeg }: Gestured): string =>
  `translate(${about.x + by.x}px, ${about.y + by.y}px) rotate(${turnDeg}deg) scale(${zoom}) translate(${-about.x}px, ${-about.y}px)`;

/**
 * The plan under the hand: dragged, pinched, turned, wheeled, or moved by keys. While the hand
 * moves, the drawn picture is moved as it is; when it rests, the plan is drawn anew.
 */
export function PlanGestures({
  view,
  widthPx,
  heightPx,
  label,
  onView,
  onTap,
  grab,
  children,
}: Props) {
  const [live, setLive] = useState<Gestured>();
  const [hand] = useState(planHand);
  const rest = useRef<ReturnType<typeof setTimeout>>(undefined);

  const show = (change: Partial<Gestured>) => setLive(hand.change(change));
  const lift = () => {
    const { last, done } = hand.up();
    if (!last) return;
    hand.held()?.end();
    hand.forget();
    if (done) onView(viewAfter(view, done, widthPx, heightPx));
    setLive(undefined);
  };

  const pan = Gesture.Pan()
    .runOnJS(true)
    .minDistance(5)
    .maxPointers(1)
    .onStart(({ x, y, translationX, translationY }) => {
      hand.down();
      if (!hand.moved()) hand.take(grab({ x: x - translationX, y: y - translationY }));
    })
    .onUpdate(({ translationX, translationY }) => {
      const by = { x: translationX, y: translationY };
      const item = hand.held();
      if (item) item.move(by);
      else show({ by });
    })
    .onEnd(lift);
  const fingers = (touches: readonly Point2[]): TwoFingers | undefined => {
    const [first, second] = touches;
    return first && second ? [first, second] : undefined;
  };
  const two = Gesture.Manual()
    .runOnJS(true)
    .onTouchesDown(({ allTouches }) => {
      const start = fingers(allTouches);
      if (!start || hand.held()) return;
      hand.down();
      hand.put(start);
    })
    .onTouchesMove(({ allTouches }) => {
      const now = fingers(allTouches);
      const start = hand.pair();
      if (!now || !start) return;
      const done = byTwoFingers(start, now);
      show({ ...done, zoom: zoomWithin(view, done.zoom) });
    })
    .onTouchesUp(() => {
      if (!hand.pair()) return;
      hand.put(undefined);
      lift();
    })
    .onTouchesCancelled(() => {
      if (!hand.pair()) return;
      hand.put(undefined);
      lift();
    });
  // Enter and the space bar are taps on the middle: the gesture package sees to that.
  const tap = Gesture.Tap()
    .runOnJS(true)
    .maxDistance(8)
    .onEnd(({ x, y }) => onTap({ x, y }));
  const gesture = Gesture.Simultaneous(pan, two, tap);

  useEffect(() => () => clearTimeout(rest.current), []);
  const wheel = ({ currentTarget, clientX, clientY, deltaY }: Wheel) => {
    const { left, top } = currentTarget.getBoundingClientRect();
    const about = hand.moved() ? hand.now().about : { x: clientX - left, y: clientY - top };
    hand.down();
    show({ about, zoom: zoomWithin(view, hand.now().zoom * Math.exp(-deltaY * WHEEL_ZOOM)) });
    hand.up();
    clearTimeout(rest.current);
    rest.current = setTimeout(lift, WHEEL_REST_MS);
  };

  const middle = { x: widthPx / 2, y: heightPx / 2 };
  const by = (change: Partial<Gestured>) => () =>
    onView(viewAfter(view, { ...STILL, about: middle, ...change }, widthPx, heightPx));
  const moved = {
    position: 'absolute' as const,
    top: 0,
    left: 0,
    width: widthPx,
    height: heightPx,
    transformOrigin: '0 0',
    // Moved as one picture, not painted anew at each move.
    ...(live && { transform: cssTransform(live), willChange: 'transform' as const }),
  };
  return (
    <GestureDetector gesture={gesture} touchAction="none">
      <View
        role="group"
        tabIndex={0}
        aria-label={label}
        style={{ position: 'absolute', inset: 0, cursor: 'pointer', overflow: 'hidden' }}
        {...{ onWheel: wheel }}
        {...onKeys({
          ArrowLeft: by({ by: { x: PAN_KEY_PX, y: 0 } }),
          ArrowRight: by({ by: { x: -PAN_KEY_PX, y: 0 } }),
          ArrowUp: by({ by: { x: 0, y: PAN_KEY_PX } }),
          ArrowDown: by({ by: { x: 0, y: -PAN_KEY_PX } }),
          '+': by({ zoom: ZOOM_KEY }),
          '=': by({ zoom: ZOOM_KEY }),
          '-': by({ zoom: 1 / ZOOM_KEY }),
          '[': by({ turnDeg: TURN_KEY_DEG }),
          ']': by({ turnDeg: -TURN_KEY_DEG }),
        })}
      >
        <View style={moved}>{children}</View>
      </View>
    </GestureDetector>
  );
}
