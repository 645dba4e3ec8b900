import { memo } from 'react';
import { G, Line, Path, Svg } from 'react-native-svg';
import { scaleLog } from 'd3-scale';
import { useInks } from '@/ui/theme';
import { HaloText } from './HaloText';
import { placeRows } from './rows';

/** A time that something asks for, or that a rule of thumb names. */
export interface ScaleMark {
  readonly text: string;
  readonly shutterS: number;
  /** Computed for this subject; else a rule of the trade. */
  readonly computed: boolean;
}

const FASTEST_S = 1 / 8000;
const SLOWEST_S = 1 / 4;
const STOPS_S = [1 / 4000, 1 / 2000, 1 / 1000, 1 / 500, 1 / 250, 1 / 125, 1 / 60, 1 / 30, 1 / 15];
const LINE_PX = 44;
const ROW_PX = 18;
const TEXT_PX = 6.4;
/** Room over the line for the dial's own sign. */
const ABOVE_PX = 16;

/**
 * The shutter's scale with what each part needs above it and the trade's rules below, and where the
 * dial stands: what the rules of thumb would give up is seen at a glance.
 */
export const ShutterScale = memo(function ShutterScale({
  shutterS,
  marks,
  widthPx,
  label,
}: {
  readonly shutterS: number;
  readonly marks: readonly ScaleMark[];
  readonly widthPx: number;
  readonly label: string;
}) {
  const inks = useInks();
  const x = scaleLog()
    .domain([SLOWEST_S, FASTEST_S])
    .range([8, widthPx - 8])
    .clamp(true);
  const rowsOf = (computed: boolean) =>
    placeRows(
      marks
        .filter((mark) => mark.computed === computed)
        .map((mark) => ({ ...mark, x: x(mark.shutterS), half: (mark.text.length * TEXT_PX) / 2 })),
      widthPx,
    );
  const [above, below] = [rowsOf(true), rowsOf(false)];
  const aboveRows = 1 + Math.max(0, ...above.map(({ row }) => row));
  const belowRows = 1 + Math.max(0, ...below.map(({ row }) => row));
  const line = aboveRows * ROW_PX + ABOVE_PX + 4;
  const heightPx = line + LINE_PX + belowRows * ROW_PX;
  return (
    <Svg width={widthPx} height={heightPx} role="img" aria-label={label}>
      <Line x1={4} x2={widthPx - 4} y1={line} y2={line} stroke={inks.ink} strokeWidth={2} />
      {STOPS_S.map((time) => (
        <G key={time}>
          <Line x1={x(time)} x2={x(time)} y1={line} y2={line + 7} stroke={inks.ink} />
          <HaloText
            x={x(time)}
            y={line + 21}
            text={String(Math.round(1 / time))}
            inks={inks}
            withinPx={widthPx}
          />
        </G>
      ))}
      {above.map((mark) => (
        <Line
          key={mark.text}
          x1={mark.x}
          x2={mark.x}
          y1={line - ABOVE_PX - mark.row * ROW_PX}
          y2={line}
          stroke={inks.ink}
          strokeWidth={1.5}
        />
      ))}
      {below.map((mark) => (
        <Line
          key={mark.text}
          x1={mark.x}
          x2={mark.x}
          y1={line + 26}
          y2={line + 32 + mark.row * ROW_PX}
          stroke={inks.quiet}
          strokeDasharray="2 2"
        />
      ))}
      {above.map((mark) => (
        <HaloText
          key={mark.text}
          x={mark.textX}
          y={line - ABOVE_PX - 4 - mark.row * ROW_PX}
          text={mark.text}
          inks={inks}
          withinPx={widthPx}
        />
      ))}
      {below.map((mark) => (
        <HaloText
          key={mark.text}
          x={mark.textX}
          y={line + 44 + mark.row * ROW_PX}
          text={mark.text}
          inks={{ ...inks, ink: inks.quiet }}
          withinPx={widthPx}
        />
      ))}
      <Path
        d={`M${x(shutterS)} ${line - 2}l-8 -13h16Z`}
        fill={inks.signal}
        stroke={inks.paper}
        strokeWidth={1.5}
      />
    </Svg>
  );
});
