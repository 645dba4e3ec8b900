import { memo } from 'react';
import { G, Line, Path, Rect, Svg } from 'react-native-svg';
import { scaleLinear } from 'd3-scale';
import type { LightSeries } from '@/core';
import { useInks } from '@/ui/theme';
import { evSpan, hoursWithin } from './chart-scale';
import { HaloText } from './HaloText';
import type { RibbonEvent } from './TimeRibbon';

/** Light of one place through the hours. */
export interface ChartLine {
  readonly name: string;
  readonly chosen: boolean;
  readonly series: LightSeries;
}

/** What a chart of light shows. */
export interface LightChartProps {
  readonly fromMs: number;
  readonly toMs: number;
  readonly startMs: number;
  readonly endMs: number;
  readonly lines: readonly ChartLine[];
  /** Light under which the shot can't be had. */
  readonly needed?: { readonly ev: number; readonly text: string } | undefined;
  readonly events: readonly RibbonEvent[];
  readonly lampsRuleMs?: number | undefined;
  readonly atMs: number;
  readonly clock: (ms: number) => string;
  /** What turns when, and why: written over the chart. */
  readonly notes?: readonly { readonly timeMs: number; readonly text: string }[];
  readonly widthPx: number;
  readonly heightPx?: number;
  readonly label: string;
}

const HEIGHT_PX = 270;
const SUN_PX = 52;
const HOURS_PX = 20;
const GAP_PX = 8;
const AXIS_PX = 30;
/** Line patterns that tell unchosen lines apart without colour. */
const DASHES = ['', '7 3', '2 3', '9 3 2 3', '4 2', '1 4'] as const;
const HIGHEST_SUN_DEG = 65;
const LOWEST_SUN_DEG = -18;

const pathOf = (points: readonly (readonly [number, number])[]): string =>
  points.map(([x, y], i) => `${i ? 'L' : 'M'}${x.toFixed(1)} ${y.toFixed(1)}`).join('');

/**
 * EV on the face through the shoot: the chosen place as a heavy line in its band of doubt, others
 * thin; under it the sun's height and where it reaches the face. Words say what it shows.
 */
export const LightChart = memo(function LightChart(chart: LightChartProps) {
  const { heightPx = HEIGHT_PX, notes = [] } = chart;
  const evPx = heightPx - SUN_PX - HOURS_PX - GAP_PX;
  const { fromMs, toMs, startMs, endMs, lines, needed, events, atMs, clock, widthPx } = chart;
  const inks = useInks();
  const main = lines.find(({ chosen }) => chosen);
  const values = lines.flatMap(({ series, chosen }) =>
    chosen ? [...series.low, ...series.high] : series.ev,
  );
  const [low, high] = evSpan(needed ? [...values, needed.ev] : values.length ? values : [0, 8]);
  const x = scaleLinear()
    .domain([fromMs, toMs])
    .range([AXIS_PX, widthPx - 4]);
  const y = scaleLinear()
    .domain([low, high])
    .range([evPx - 4, 14]);
  const sunTop = evPx + GAP_PX;
  const sunY = scaleLinear()
    .domain([LOWEST_SUN_DEG, HIGHEST_SUN_DEG])
    .range([sunTop + SUN_PX, sunTop])
    .clamp(true);
  const bottom = sunTop + SUN_PX;
  const curve = ({ timeMs }: LightSeries, of: readonly number[]) =>
    pathOf(timeMs.map((at, i) => [x(at), y(of[i] ?? low)] as const));
  const grid = Array.from({ length: (high - low) / 2 + 1 }, (_, i) => low + 2 * i);
  const horizon = sunY(0);
  return (
    <Svg width={widthPx} height={bottom + HOURS_PX} role="img" aria-label={chart.label}>
      <Rect
        x={x(startMs)}
        y={4}
        width={Math.max(0, x(endMs) - x(startMs))}
        height={bottom - 4}
        fill={inks.sheet}
      />
      {grid.map((ev) => (
        <G key={ev}>
          <Line x1={AXIS_PX} x2={widthPx - 4} y1={y(ev)} y2={y(ev)} stroke={inks.line} />
          <HaloText x={13} y={y(ev) + 4} text={String(ev)} inks={inks} withinPx={widthPx} />
        </G>
      ))}
      {events.map((event) => (
        <Line
          key={event.name}
          x1={x(event.timeMs)}
          x2={x(event.timeMs)}
          y1={14}
          y2={bottom}
          stroke={inks.quiet}
          strokeDasharray="2 3"
        />
      ))}
      {main ? <Band series={main.series} x={x} y={y} inks={inks} /> : null}
      {lines
        .filter(({ chosen }) => !chosen)
        .map(({ name, series }, i) => (
          <Path
            key={name}
            d={curve(series, series.ev)}
            fill="none"
            stroke={inks.quiet}
            strokeWidth={1.4}
            strokeDasharray={DASHES[(i + 1) % DASHES.length] ?? ''}
          />
        ))}
      {main ? (
        <Path
          d={curve(main.series, main.series.ev)}
          fill="none"
          stroke={inks.ink}
          strokeWidth={3}
        />
      ) : null}
      {needed ? (
        <>
          <Line
            x1={AXIS_PX}
            x2={widthPx - 4}
            y1={y(needed.ev)}
            y2={y(needed.ev)}
            stroke={inks.signal}
            strokeWidth={2}
            strokeDasharray="8 4"
          />
          <HaloText
            x={AXIS_PX + 6}
            y={y(needed.ev) + (y(needed.ev) > evPx - 24 ? -6 : 15)}
            text={needed.text}
            inks={inks}
            anchor="start"
            withinPx={widthPx}
          />
        </>
      ) : null}
      <Notes notes={notes} x={x} widthPx={widthPx} />
      {chart.lampsRuleMs !== undefined ? (
        <G>
          <Path
            d={`M${x(chart.lampsRuleMs)} ${evPx - 18}l6 6l-6 6l-6 -6Z`}
            fill={inks.paper}
            stroke={inks.ink}
            strokeWidth={1.5}
          />
        </G>
      ) : null}
      <Line x1={AXIS_PX} x2={widthPx - 4} y1={horizon} y2={horizon} stroke={inks.ink} />
      {main ? (
        <>
          <Path
            d={pathOf(
              main.series.timeMs.map(
                (at, i) => [x(at), sunY(main.series.sunAltitudeDeg[i] ?? 0)] as const,
              ),
            )}
            fill="none"
            stroke={inks.ink}
            strokeWidth={1.5}
          />
          <Path d={litPath(main.series, x, horizon)} stroke={inks.ink} strokeWidth={6} />
        </>
      ) : null}
      <HaloText
        x={AXIS_PX + 6}
        y={sunTop + 12}
        text="sun"
        inks={inks}
        anchor="start"
        withinPx={widthPx}
      />
      {hoursWithin(fromMs, toMs).map((hour) => (
        <G key={hour}>
          <Line x1={x(hour)} x2={x(hour)} y1={bottom - 4} y2={bottom + 2} stroke={inks.ink} />
          <HaloText x={x(hour)} y={bottom + 16} text={clock(hour)} inks={inks} withinPx={widthPx} />
        </G>
      ))}
      <Line x1={x(atMs)} x2={x(atMs)} y1={4} y2={bottom} stroke={inks.signal} strokeWidth={2} />
    </Svg>
  );
});

type Scale = (value: number) => number;

const NOTE_PX = 15;
const LETTER_PX = 6.4;

/** Words over the chart, each beside its minute, in as many lines as keep them apart. */
function Notes({
  notes,
  x,
  widthPx,
}: {
  readonly notes: NonNullable<LightChartProps['notes']>;
  readonly x: Scale;
  readonly widthPx: number;
}) {
  const inks = useInks();
  const ends: number[] = [];
  return [...notes]
    .sort((a, b) => a.timeMs - b.timeMs)
    .map(({ timeMs, text }) => {
      const wide = text.length * LETTER_PX;
      const left = Math.max(AXIS_PX + 2, Math.min(widthPx - wide - 4, x(timeMs) + 4));
      const free = ends.findIndex((end) => end + 6 < left);
      const line = free < 0 ? ends.length : free;
      ends[line] = left + wide;
      return (
        <HaloText
          key={`${timeMs} ${text}`}
          x={left}
          y={16 + line * NOTE_PX}
          text={text}
          inks={inks}
          anchor="start"
          withinPx={widthPx}
        />
      );
    });
}

function Band({
  series: { timeMs, low, high },
  x,
  y,
  inks,
}: {
  readonly series: LightSeries;
  readonly x: Scale;
  readonly y: Scale;
  readonly inks: ReturnType<typeof useInks>;
}) {
  const there = timeMs.map((at, i) => [x(at), y(high[i] ?? 0)] as const);
  const back = timeMs.map((at, i) => [x(at), y(low[i] ?? 0)] as const).reverse();
  return <Path d={`${pathOf([...there, ...back])}Z`} fill={inks.shade} fillOpacity={0.3} />;
}

/** The hours in which the sun reaches the face, along the horizon. */
function litPath({ timeMs, sunlit }: LightSeries, x: Scale, y: number): string {
  return timeMs
    .slice(1)
    .map((at, i) =>
      sunlit[i] ? `M${x(timeMs[i] ?? at).toFixed(1)} ${y}L${x(at).toFixed(1)} ${y}` : '',
    )
    .join('');
}

/** How a line is drawn in the chart, for the list of what is what. */
export const LineKey = memo(function LineKey({ at }: { readonly at: number }) {
  const inks = useInks();
  return (
    <Svg width={34} height={12} aria-hidden>
      <Line
        x1={1}
        x2={33}
        y1={6}
        y2={6}
        stroke={at < 0 ? inks.ink : inks.quiet}
        strokeWidth={at < 0 ? 3 : 1.4}
        strokeDasharray={at < 0 ? '' : (DASHES[(at + 1) % DASHES.length] ?? '')}
      />
    </Svg>
  );
});
