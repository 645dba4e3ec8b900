import { memo } from 'react';
import { View } from 'react-native';
import { G, Line, Path, Rect, Svg } from 'react-native-svg';
import type { LightSeries } from '@/core';
import { SlideArea } from '@/ui/Slider';
import { useInks, type Inks } from '@/ui/theme';
import { HaloText } from './HaloText';
import { tonesOf } from './tone';

export interface RibbonEvent {
  readonly timeMs: number;
  readonly name: string;
  /** Sunrise, sunset and noon, which are named before the twilights. */
  readonly main: boolean;
}

/** A while at one place of a day's route. */
export interface RibbonStay {
  readonly fromMs: number;
  readonly toMs: number;
  /** Its turn in the route. */
  readonly name: string;
}

/** Hours as a strip whose tone is the light on the subject, with what happens written on it. */
export interface Ribbon {
  readonly fromMs: number;
  readonly toMs: number;
  readonly startMs: number;
  readonly endMs: number;
  readonly series: LightSeries;
  readonly events: readonly RibbonEvent[];
  /** From when the light no longer does. */
  readonly shortFromMs?: number | undefined;
  readonly lampsFromMs?: number | undefined;
  /** Where one is through the day, with gaps for the walks. */
  readonly stays?: readonly RibbonStay[] | undefined;
}

const HEIGHT_PX = 54;
const STRIP_TOP_PX = 6;
const STRIP_PX = 28;
const MINUTE_MS = 60_000;

const COLUMNS = 120;

/** The strip's tones from left to right as one gradient, hard-edged at each column. */
export function toneGradient(
  series: LightSeries,
  fromMs: number,
  toMs: number,
  inks: Inks,
): string {
  if (series.ev.length === 0) return 'none';
  const [first = fromMs, second = toMs] = series.timeMs;
  const toneOf = tonesOf(inks);
  const stops = Array.from({ length: COLUMNS }, (_, i) => {
    const timeMs = fromMs + ((i + 0.5) / COLUMNS) * (toMs - fromMs);
    const at = Math.round((timeMs - first) / (second - first));
    const ev = series.ev[Math.max(0, Math.min(series.ev.length - 1, at))] as number;
    const percent = (column: number) => `${((column / COLUMNS) * 100).toFixed(2)}%`;
    return `${toneOf(ev)} ${percent(i)} ${percent(i + 1)}`;
  });
  return `linear-gradient(to right, ${stops.join(', ')})`;
}

const LETTER_PX = 6.6;

/** What is written under the strip as far as it fits: begin and end, rise and set, then the twilights. */
function labelled(
  { events, startMs, endMs }: Pick<Ribbon, 'events' | 'startMs' | 'endMs'>,
  clock: (ms: number) => string,
  widthPx: number,
  xOf: (ms: number) => number,
) {
  const placed: { readonly text: string; readonly x: number; readonly half: number }[] = [];
  const wanted = [
    { name: clock(startMs), timeMs: startMs },
    { name: clock(endMs), timeMs: endMs },
    ...[...events]
      .sort((a, b) => Number(b.main) - Number(a.main))
      .map(({ name, timeMs, main }) => ({
        name: main ? `${name} ${clock(timeMs)}` : name,
        timeMs,
      })),
  ];
  for (const { name, timeMs } of wanted) {
    const half = (name.length * LETTER_PX) / 2 + 4;
    const x = Math.max(half, Math.min(widthPx - half, xOf(timeMs)));
    if (placed.every((other) => Math.abs(other.x - x) > other.half + half)) {
      placed.push({ text: name, x, half });
    }
  }
  return placed;
}

const RibbonDrawing = memo(function RibbonDrawing({
  ribbon,
  clock,
  widthPx,
}: {
  readonly ribbon: Ribbon;
  readonly clock: (ms: number) => string;
  readonly widthPx: number;
}) {
  const inks = useInks();
  const xOf = (ms: number) => ((ms - ribbon.fromMs) / (ribbon.toMs - ribbon.fromMs)) * widthPx;
  const bottom = STRIP_TOP_PX + STRIP_PX;
  const labels = labelled(ribbon, clock, widthPx, xOf);
  return (
    <Svg width={widthPx} height={HEIGHT_PX} style={{ position: 'absolute' }} aria-hidden>
      <Rect
        x={0.5}
        y={STRIP_TOP_PX}
        width={widthPx - 1}
        height={STRIP_PX}
        fill="none"
        stroke={inks.ink}
      />
      {[ribbon.startMs, ribbon.endMs].map((ms) => (
        <Line
          key={ms}
          x1={xOf(ms)}
          x2={xOf(ms)}
          y1={STRIP_TOP_PX - 4}
          y2={bottom + 4}
          stroke={inks.ink}
          strokeWidth={2.5}
        />
      ))}
      {ribbon.shortFromMs !== undefined ? (
        <Line
          x1={xOf(ribbon.shortFromMs)}
          x2={widthPx}
          y1={bottom + 3}
          y2={bottom + 3}
          stroke={inks.signal}
          strokeWidth={4}
          strokeDasharray="5 3"
        />
      ) : null}
      {ribbon.lampsFromMs !== undefined ? (
        <LampDiamond x={xOf(ribbon.lampsFromMs)} inks={inks} />
      ) : null}
      {ribbon.stays?.map(({ fromMs, toMs, name }) => {
        const [left, right] = [xOf(fromMs), xOf(toMs)];
        return (
          <G key={`${name} ${fromMs}`}>
            <Rect
              x={left}
              y={bottom - 13}
              width={Math.max(3, right - left)}
              height={12}
              fill={inks.paper}
              stroke={inks.ink}
            />
            {right - left > 12 ? (
              <HaloText
                x={(left + right) / 2}
                y={bottom - 2.5}
                text={name}
                inks={inks}
                withinPx={widthPx}
              />
            ) : null}
          </G>
        );
      })}
      {ribbon.events.map((event) => {
        const x = xOf(event.timeMs);
        return (
          <Line
            key={event.name}
            x1={x}
            x2={x}
            y1={STRIP_TOP_PX - 3}
            y2={bottom}
            stroke={inks.ink}
            strokeDasharray="2 2"
          />
        );
      })}
      {labels.map(({ text, x }) => (
        <HaloText key={text} x={x} y={HEIGHT_PX - 4} text={text} inks={inks} withinPx={widthPx} />
      ))}
    </Svg>
  );
});

function LampDiamond({ x, inks }: { readonly x: number; readonly inks: Inks }) {
  const y = STRIP_TOP_PX + STRIP_PX / 2;
  return (
    <Path
      d={`M${x} ${y - 6}L${x + 6} ${y}L${x} ${y + 6}L${x - 6} ${y}Z`}
      fill={inks.paper}
      stroke={inks.ink}
      strokeWidth={1.5}
    />
  );
}

/** The light itself: a strip of tones under the drawing. */
const Tones = memo(function Tones({
  series,
  fromMs,
  toMs,
}: Pick<Ribbon, 'series' | 'fromMs' | 'toMs'>) {
  const inks = useInks();
  const backgroundImage = toneGradient(series, fromMs, toMs, inks);
  return (
    <View
      style={[
        { position: 'absolute', left: 0, right: 0, top: STRIP_TOP_PX, height: STRIP_PX },
        { backgroundImage } as object,
      ]}
    />
  );
});

/** The time ribbon: one handle, by finger, mouse or keys, that moves the whole page's minute. */
export function TimeRibbon({
  ribbon,
  atMs,
  clock,
  onChange,
  onHold,
}: {
  readonly ribbon: Ribbon;
  readonly atMs: number;
  readonly clock: (ms: number) => string;
  readonly onChange: (next: (ms: number) => number) => void;
  readonly onHold: (held: boolean) => void;
}) {
  const inks = useInks();
  return (
    <SlideArea
      label="Time"
      value={atMs}
      min={ribbon.fromMs}
      max={ribbon.toMs}
      step={MINUTE_MS}
      bigStep={15 * MINUTE_MS}
      valueText={clock(atMs)}
      onChange={onChange}
      onHold={onHold}
      heightPx={HEIGHT_PX}
    >
      {(widthPx) => {
        const x = ((atMs - ribbon.fromMs) / (ribbon.toMs - ribbon.fromMs)) * widthPx;
        // Beside the hand: on its right until the strip ends there.
        const labelX = x < widthPx - 62 ? x + 29 : x - 29;
        return (
          <View style={{ width: widthPx, height: HEIGHT_PX }}>
            <Tones series={ribbon.series} fromMs={ribbon.fromMs} toMs={ribbon.toMs} />
            <RibbonDrawing ribbon={ribbon} clock={clock} widthPx={widthPx} />
            <Svg width={widthPx} height={HEIGHT_PX} style={{ position: 'absolute' }} aria-hidden>
              <Rect
                x={x - 3}
                y={STRIP_TOP_PX - 4}
                width={6}
                height={STRIP_PX + 8}
                fill={inks.signal}
                stroke={inks.paper}
                strokeWidth={1.5}
              />
              <Rect
                x={labelX - 23}
                y={STRIP_TOP_PX + 4}
                width={46}
                height={STRIP_PX - 8}
                fill={inks.signal}
              />
              <HandleTime x={labelX} text={clock(atMs)} inks={inks} />
            </Svg>
          </View>
        );
      }}
    </SlideArea>
  );
}

function HandleTime({
  x,
  text,
  inks,
}: {
  readonly x: number;
  readonly text: string;
  readonly inks: Inks;
}) {
  return (
    <HaloText
      x={x}
      y={STRIP_TOP_PX + STRIP_PX / 2 + 5}
      text={text}
      inks={{ ...inks, paper: inks.signal, ink: inks.paper }}
      strong
      withinPx={1e6}
    />
  );
}
