import { Circle, Path, Svg } from 'react-native-svg';
import type { Summary } from '@/records/list';
import { useInks } from '@/ui/theme';

/** A shoot's ground at the size of a stamp, to know it by. */
export function ShootSketch({
  sketch,
  sizePx,
}: {
  readonly sketch: Summary['sketch'];
  readonly sizePx: number;
}) {
  const inks = useInks();
  return (
    <Svg width={sizePx} height={sizePx} viewBox="0 0 100 100" style={{ flexShrink: 0 }} aria-hidden>
      <Path d={sketch.lines} fill="none" stroke={inks.ink} strokeWidth={1} />
      <Path
        d={sketch.solids}
        fill={inks.line}
        fillOpacity={0.5}
        stroke={inks.ink}
        strokeWidth={1}
      />
      {sketch.places.map(({ x, y }, i) => (
        <Circle key={i} cx={x} cy={y} r={3} fill={inks.signal} />
      ))}
    </Svg>
  );
}
