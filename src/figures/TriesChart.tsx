import { scaleLinear } from 'd3-scale';
import { memo } from 'react';
import { Circle, G, Line, Rect, Svg } from 'react-native-svg';
import type { Between } from '@/core';
import { useInks } from '@/ui/theme';
import { HaloText } from './HaloText';

const HEIGHT_PX = 132;
const AXIS_PX = 40;
const EDGE_PX = 8;

/** Tries in their order. */
export interface TriesDrawn {
  readonly tries: readonly { readonly off: number; readonly good: boolean }[];
  /** Those further off are drawn at the edge. */
  readonly ends: readonly [low: number, high: number];
  /** Where they lie on the whole, and what that lies between. */
  readonly lies?: Between | undefined;
  readonly nameOf: (off: number) => string;
}

/**
 * Tries one after the other by how far each was off: full where it was good, hollow where not; the line is where they
 * lie on the whole, the band about it what that lies between.
 */
export const TriesChart = memo(function TriesChart({
  tries,
  ends: [low, high],
  lies,
  nameOf,
  label,
  widthPx,
}: TriesDrawn & { readonly label: string; readonly widthPx: number }) {
  const inks = useInks();
  const x = scaleLinear()
    .domain([0, Math.max(10, tries.length)])
    .range([AXIS_PX, widthPx - EDGE_PX]);
  const y = scaleLinear()
    .domain([low, high])
    .range([HEIGHT_PX - EDGE_PX, EDGE_PX])
    .clamp(true);
  return (
    <Svg width={widthPx} height={HEIGHT_PX} role="img" aria-label={label}>
      {lies ? (
        <Rect
          x={AXIS_PX}
          y={y(lies.high)}
          width={widthPx - AXIS_PX - EDGE_PX}
          height={Math.max(2, y(lies.low) - y(lies.high))}
          fill={inks.line}
        />
      ) : null}
      {[...new Set([high, 0, low])].map((value) => (
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
      {lies ? (
        <Line
          x1={AXIS_PX}
          x2={widthPx - EDGE_PX}
          y1={y(lies.value)}
          y2={y(lies.value)}
          stroke={inks.signal}
          strokeWidth={2}
          strokeDasharray="6 4"
        />
      ) : null}
      {tries.map(({ off, good: came }, i) => (
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
