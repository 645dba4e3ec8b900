import { memo } from 'react';
import { G, Line, Path, Rect, Svg } from 'react-native-svg';
import { scaleLinear } from 'd3-scale';
import { useInks } from '@/ui/theme';
import { HaloText } from './HaloText';

/** Visits of one hour of the day: how many an hour, and from where to where that is sure. */
export interface VisitsBar {
  readonly hour: number;
  readonly rate: number;
  readonly low: number;
  readonly high: number;
}

const HEIGHT_PX = 170;
const TOP_PX = 16;
const FOOT_PX = 40;
const AXIS_PX = 28;
const HOUR_MS = 3_600_000;

/**
 * A day in a hide by its hours: visits as bars with their doubt, the sun on the mark along the foot,
 * what comes by the clock as ticks. Words beside it say the same.
 */
export const VisitsChart = memo(function VisitsChart({
  hours,
  bars,
  lit,
  ticks,
  fromMs,
  clockHour,
  widthPx,
  label,
}: {
  /** The hours shown, by the wall clock, in order. */
  readonly hours: readonly number[];
  readonly bars: readonly VisitsBar[];
  readonly lit: readonly { readonly fromMs: number; readonly toMs: number }[];
  readonly ticks: readonly { readonly timeMs: number; readonly name: string }[];
  /** When the first hour shown begins. */
  readonly fromMs: number;
  readonly clockHour: (hour: number) => string;
  readonly widthPx: number;
  readonly label: string;
}) {
  const inks = useInks();
  const floor = HEIGHT_PX - FOOT_PX;
  const x = scaleLinear()
    .domain([0, hours.length])
    .range([AXIS_PX, widthPx - 2]);
  const shown = bars.filter(({ hour }) => hours.includes(hour));
  const most = Math.max(1, ...shown.map(({ rate, high }) => Math.min(high, rate * 2 + 2)));
  const y = scaleLinear().domain([0, most]).nice(4).range([floor, TOP_PX]);
  const xAt = (ms: number) => x(Math.max(0, Math.min(hours.length, (ms - fromMs) / HOUR_MS)));
  const every = Math.ceil(hours.length / 8);
  return (
    <Svg width={widthPx} height={HEIGHT_PX} role="img" aria-label={label}>
      {y.ticks(4).map((value) => (
        <G key={value}>
          <Line x1={AXIS_PX} x2={widthPx} y1={y(value)} y2={y(value)} stroke={inks.line} />
          <HaloText x={12} y={y(value) + 4} text={String(value)} inks={inks} withinPx={widthPx} />
        </G>
      ))}
      {shown.map(({ hour, rate, low, high }) => {
        const i = hours.indexOf(hour);
        const middle = x(i + 0.5);
        const half = (x(1) - x(0)) * 0.3;
        const top = y(Math.min(high, y.domain()[1] ?? high));
        return (
          <G key={hour}>
            <Rect
              x={middle - half}
              y={y(rate)}
              width={2 * half}
              height={Math.max(1.5, floor - y(rate))}
              fill={inks.shade}
              stroke={inks.ink}
            />
            <Path
              d={`M${middle} ${y(low)}L${middle} ${top}M${middle - 4} ${y(low)}h8M${middle - 4} ${top}h8`}
              stroke={inks.ink}
              strokeWidth={1.5}
            />
          </G>
        );
      })}
      <Line x1={AXIS_PX} x2={widthPx} y1={floor} y2={floor} stroke={inks.ink} strokeWidth={1.5} />
      {lit.map((span) => (
        <Rect
          key={span.fromMs}
          x={xAt(span.fromMs)}
          y={floor + 3}
          width={Math.max(1, xAt(span.toMs) - xAt(span.fromMs))}
          height={6}
          fill={inks.ink}
        />
      ))}
      {ticks.map(({ timeMs, name }) => (
        <Line
          key={`${name} ${timeMs}`}
          x1={xAt(timeMs)}
          x2={xAt(timeMs)}
          y1={TOP_PX}
          y2={floor}
          stroke={inks.signal}
          strokeWidth={2}
          strokeDasharray="4 3"
        />
      ))}
      {hours.map((hour, i) =>
        i % every === 0 ? (
          <HaloText
            key={hour}
            x={x(i)}
            y={HEIGHT_PX - 12}
            text={clockHour(hour)}
            inks={inks}
            withinPx={widthPx}
          />
        ) : null,
      )}
    </Svg>
  );
});
