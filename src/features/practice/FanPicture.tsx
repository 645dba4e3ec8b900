import { createElement, useState, type ReactNode } from 'react';
import { View } from 'react-native';
import { Gesture, GestureDetector } from 'react-native-gesture-handler';
import { Circle, Line, Path, Svg } from 'react-native-svg';
import type { FrameSize } from '@/figures/frame/size';
import { useInks } from '@/ui/theme';
import { broughtTo, drawnArc, gripAt, type Arc, type Grip } from './arc';

/** A picture of a fan with the arc that its mark smeared over, to be brought to lie on it: by its hub and its ends. */
export function FanPicture({
  url,
  arc,
  size,
  onArc,
  onUnread,
}: {
  readonly url: string;
  /** Nothing to lay on a picture that can't be read. */
  readonly arc: Arc | undefined;
  readonly size: FrameSize;
  readonly onArc: (next: Arc) => void;
  readonly onUnread: () => void;
}) {
  const { widthPx, heightPx } = size;
  const picture = createElement('img', {
    src: url,
    alt: 'Your fan',
    draggable: false,
    onError: onUnread,
    style: { width: widthPx, height: heightPx, objectFit: 'contain', pointerEvents: 'none' },
  });
  return arc ? (
    <Laid {...{ arc, size, onArc }}>{picture}</Laid>
  ) : (
    <View style={{ width: widthPx, height: heightPx }}>{picture}</View>
  );
}

/** What is in the hand from touch to touch; several readings may come before the next drawing. */
function holdOf() {
  let grip: Grip = 'hub';
  return {
    grip: () => grip,
    take: (next: Grip) => {
      grip = next;
    },
  };
}

function Laid({
  arc,
  size,
  onArc,
  children,
}: {
  readonly arc: Arc;
  readonly size: FrameSize;
  readonly onArc: (next: Arc) => void;
  readonly children: ReactNode;
}) {
  const inks = useInks();
  const [hold] = useState(holdOf);
  const { widthPx, heightPx } = size;
  const { hub, from, to, radiusPx } = drawnArc(arc, size);
  const drag = Gesture.Pan()
    .runOnJS(true)
    .minDistance(0)
    .onBegin((touch) => {
      hold.take(gripAt(arc, size, touch));
      // An end stays put until it is drawn; the hub comes to the finger.
      if (hold.grip() === 'hub') onArc(broughtTo(arc, 'hub', size, touch));
    })
    .onUpdate((touch) => onArc(broughtTo(arc, hold.grip(), size, touch)));
  const large = arc.sweepDeg > 180 ? 1 : 0;
  return (
    <GestureDetector gesture={drag} touchAction="none">
      <View style={{ width: widthPx, height: heightPx, cursor: 'pointer' }}>
        {children}
        <View className="absolute inset-0" style={{ pointerEvents: 'none' }}>
          <Svg
            width={widthPx}
            height={heightPx}
            role="img"
            aria-label={`An arc of ${Math.round(arc.sweepDeg)}°`}
          >
            {[inks.paper, inks.signal].map((stroke, i) => (
              <Path
                key={stroke}
                d={`M${from.x} ${from.y}A${radiusPx} ${radiusPx} 0 ${large} 1 ${to.x} ${to.y}`}
                stroke={stroke}
                strokeWidth={i === 0 ? 7 : 3}
                fill="none"
              />
            ))}
            {[from, to].map((end, i) => (
              <Line
                key={i}
                x1={hub.x}
                y1={hub.y}
                x2={end.x}
                y2={end.y}
                stroke={inks.signal}
                strokeWidth={1.5}
              />
            ))}
            <Circle {...at(hub)} r={5} fill={inks.signal} stroke={inks.paper} strokeWidth={2} />
            {/* What a thumb takes hold of: where it begins is hollow. */}
            {[from, to].map((end, i) => (
              <Circle
                key={i}
                {...at(end)}
                r={10}
                fill={i === 0 ? inks.paper : inks.signal}
                stroke={i === 0 ? inks.signal : inks.paper}
                strokeWidth={3}
              />
            ))}
          </Svg>
        </View>
      </View>
    </GestureDetector>
  );
}

const at = ({ x, y }: { readonly x: number; readonly y: number }) => ({ cx: x, cy: y });
