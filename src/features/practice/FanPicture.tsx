import { createElement } from 'react';
import { View } from 'react-native';
import { Circle, Line, Path, Svg } from 'react-native-svg';
import type { FrameSize } from '@/figures/frame/size';
import { useInks } from '@/ui/theme';

/** An arc that is laid over a picture: its hub as shares of the picture, from where, and how far round. */
export interface Arc {
  readonly acrossShare: number;
  readonly downShare: number;
  readonly fromDeg: number;
  readonly sweepDeg: number;
}

const RADIUS_SHARE = 0.38;

/** A picture of a fan with the arc that its mark smeared over, to be brought to lie on it. */
export function FanPicture({
  url,
  arc,
  size: { widthPx, heightPx },
  onHub,
  onUnread,
}: {
  readonly url: string;
  readonly arc: Arc;
  readonly size: FrameSize;
  readonly onHub: (acrossShare: number, downShare: number) => void;
  readonly onUnread: () => void;
}) {
  const inks = useInks();
  const [x, y] = [arc.acrossShare * widthPx, arc.downShare * heightPx];
  const radiusPx = RADIUS_SHARE * Math.min(widthPx, heightPx);
  // From the top, with the hands of a clock.
  const at = (deg: number, px = radiusPx) => ({
    x: x + px * Math.sin((deg * Math.PI) / 180),
    y: y - px * Math.cos((deg * Math.PI) / 180),
  });
  const [from, to] = [at(arc.fromDeg), at(arc.fromDeg + arc.sweepDeg)];
  const large = arc.sweepDeg > 180 ? 1 : 0;
  return (
    <View
      style={{ width: widthPx, height: heightPx }}
      onPointerDown={({ nativeEvent }) => {
        const { offsetX, offsetY } = nativeEvent as unknown as PointerEvent;
        onHub(offsetX / widthPx, offsetY / heightPx);
      }}
    >
      {createElement('img', {
        src: url,
        alt: 'Your fan',
        onError: onUnread,
        style: { width: widthPx, height: heightPx, objectFit: 'contain', pointerEvents: 'none' },
      })}
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
              x1={x}
              y1={y}
              x2={end.x}
              y2={end.y}
              stroke={inks.signal}
              strokeWidth={1.5}
            />
          ))}
          <Circle cx={x} cy={y} r={5} fill={inks.signal} stroke={inks.paper} strokeWidth={2} />
        </Svg>
      </View>
    </View>
  );
}
