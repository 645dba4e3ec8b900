import { memo } from 'react';
import { G, Line, Path, Rect, Svg } from 'react-native-svg';
import { scaleLog } from 'd3-scale';
import type { IsoLandmarks } from '@/core';
import { useInks } from '@/ui/theme';
import { HaloText } from './HaloText';

const HEIGHT_PX = 58;
const BAR_PX = 14;
const TOP_PX = 16;

/** A body's ISO from base to last as steps of grain, denser as it grows, and where the dial stands. */
export const NoiseScale = memo(function NoiseScale({
  iso,
  landmarks,
  widthPx,
  label,
}: {
  readonly iso: number;
  readonly landmarks: IsoLandmarks;
  readonly widthPx: number;
  readonly label: string;
}) {
  const inks = useInks();
  const { base, good, usable, last } = landmarks;
  const x = scaleLog()
    .domain([base, last])
    .range([4, widthPx - 4])
    .clamp(true);
  const steps = [
    { from: base, to: good, opacity: 0.06 },
    { from: good, to: usable, opacity: 0.25 },
    { from: usable, to: last, opacity: 0.55 },
  ];
  return (
    <Svg width={widthPx} height={HEIGHT_PX} role="img" aria-label={label}>
      {steps.map(({ from, to, opacity }) => (
        <Rect
          key={from}
          x={x(from)}
          y={TOP_PX}
          width={x(to) - x(from)}
          height={BAR_PX}
          fill={inks.ink}
          fillOpacity={opacity}
          stroke={inks.ink}
        />
      ))}
      {[base, good, usable, last].map((mark) => (
        <G key={mark}>
          <Line x1={x(mark)} x2={x(mark)} y1={TOP_PX} y2={TOP_PX + BAR_PX + 5} stroke={inks.ink} />
          <HaloText
            x={x(mark)}
            y={HEIGHT_PX - 8}
            text={String(mark)}
            inks={inks}
            withinPx={widthPx}
          />
        </G>
      ))}
      <Path
        d={`M${x(iso)} ${TOP_PX - 1}l-8 -13h16Z`}
        fill={inks.signal}
        stroke={inks.paper}
        strokeWidth={1.5}
      />
    </Svg>
  );
});
