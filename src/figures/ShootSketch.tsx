import { Path, Svg } from 'react-native-svg';
import { useInks } from '@/ui/theme';

/** A ground in a box of 100: paths of lines and areas, and where one may stand. */
export interface Sketch {
  readonly lines: string;
  readonly solids: string;
  readonly places: readonly { readonly x: number; readonly y: number }[];
}

/** Its lines and areas, drawn in a box of 100. */
export function SketchPaths({ sketch }: { readonly sketch: Sketch }) {
  const inks = useInks();
  return (
    <>
      <Path
        d={sketch.lines}
        fill="none"
        stroke={inks.ink}
        strokeWidth={1}
        vectorEffect="non-scaling-stroke"
      />
      <Path
        d={sketch.solids}
        fill={inks.line}
        fillOpacity={0.5}
        stroke={inks.ink}
        strokeWidth={1}
        vectorEffect="non-scaling-stroke"
      />
    </>
  );
}

/** Dots as one line: a season's list has hundreds. */
const dots = (places: Sketch['places'], r: number): string =>
  places
    .map(({ x, y }) => `M${x - r} ${y}a${r} ${r} 0 1 1 ${2 * r} 0a${r} ${r} 0 1 1 ${-2 * r} 0`)
    .join('');

/** A shoot's ground, to know it by: at the size of a stamp, or as an outline until the plan itself is there. */
export function ShootSketch({
  sketch,
  sizePx,
}: {
  readonly sketch: Sketch;
  readonly sizePx: number;
}) {
  const inks = useInks();
  return (
    <Svg width={sizePx} height={sizePx} viewBox="0 0 100 100" style={{ flexShrink: 0 }} aria-hidden>
      <SketchPaths sketch={sketch} />
      <Path d={dots(sketch.places, sizePx > 100 ? 1.5 : 3)} fill={inks.signal} />
    </Svg>
  );
}
