import { scaleLinear } from 'd3-scale';
import { memo } from 'react';
import { Circle, G, Line, Rect, Svg } from 'react-native-svg';
import { useInks } from '@/ui/theme';
import { HaloText } from './HaloText';

const HEIGHT_PX = 132;
const AXIS_PX = 40;
const EDGE_PX = 8;

/**
 * Tries one after the other by how far each was off to either side: full where it was good, hollow where not; the band
 * is what still is good, the line where they lie on the whole.
 */
export const TriesChart = memo(function TriesChart({
  offs,
  most,
  good,
  mean,
  nameOf,
  label,
  widthPx,
}: {
  readonly offs: readonly { readonly off: number; readonly good: boolean }[];
  /** Those further off are drawn at the edge. */
  readonly most: number;
  /** As far as this is good. */
  readonly good?: number;
  readonly mean?: number;
  readonly nameOf: (off: number) => string;
  readonly label: string;
  readonly widthPx: number;
}) {
  const inks = useInks();
  const x = scaleLinear()
    .domain([0, Math.max(10, offs.length)])
    .range([AXIS_PX, widthPx - EDGE_PX]);
  const y = scaleLinear()
    .domain([-most, most])
    .range([HEIGHT_PX - EDGE_PX, EDGE_PX])
    .clamp(true);
  return (
    <Svg width={widthPx} height={HEIGHT_PX} role="img" aria-label={label}>
      {good === undefined ? null : (
        <Rect
          x={AXIS_PX}
          y={y(good)}
          width={widthPx - AXIS_PX - EDGE_PX}
          height={Math.max(2, y(-good) - y(good))}
          fill={inks.line}
        />
      )}
      {[most, 0, -most].map((value) => (
        <G key={value}>
          <Line
            x1={AXIS_PX}
            x2={widthPx - EDGE_PX}
            y1={y(value)}
            y2={y(value)}
            stroke={value === 0 ? inks.ink : inks.line}
            strokeWidth={value === 0 ? 1.5 : 1}
          />
          <HaloText
            x={AXIS_PX / 2}
            y={y(value) + 4}
            text={nameOf(value)}
            inks={inks}
            withinPx={widthPx}
          />
        </G>
      ))}
      {mean === undefined ? null : (
        <Line
          x1={AXIS_PX}
          x2={widthPx - EDGE_PX}
          y1={y(mean)}
          y2={y(mean)}
          stroke={inks.signal}
          strokeWidth={2}
          strokeDasharray="6 4"
        />
      )}
      {offs.map(({ off, good: came }, i) => (
        <Circle
          key={i}
          cx={x(i + 0.5)}
          cy={y(off)}
          r={4}
          fill={came ? inks.ink : inks.paper}
          stroke={inks.ink}
          strokeWidth={1.5}
        />
      ))}
    </Svg>
  );
});
