import { memo } from 'react';
import { G, Line, Svg, Text as SvgText } from 'react-native-svg';
import { useInks } from '@/ui/theme';

/** A row of moments under a name. */
export interface TickRow {
  readonly name: string;
  readonly atMs: readonly number[];
  /** Drawn in the quiet ink. */
  readonly quiet?: boolean;
}

const ROW_PX = 34;
const NAME_PX = 14;
const TICK_PX = 14;
const EDGE_PX = 2;

/** Moments in rows under each other, over the same minutes: what falls in step stands under each other. */
export const ClockTicks = memo(function ClockTicks({
  rows,
  fromMs,
  toMs,
  widthPx,
  label,
}: {
  readonly rows: readonly TickRow[];
  readonly fromMs: number;
  readonly toMs: number;
  readonly widthPx: number;
  readonly label: string;
}) {
  const inks = useInks();
  const x = (ms: number) => EDGE_PX + ((ms - fromMs) / (toMs - fromMs)) * (widthPx - 2 * EDGE_PX);
  const within = (ms: number) => ms >= fromMs && ms <= toMs;
  return (
    <Svg width={widthPx} height={rows.length * ROW_PX} role="img" aria-label={label}>
      {rows.map(({ name, atMs, quiet }, i) => (
        <G key={name}>
          <SvgText x={EDGE_PX} y={i * ROW_PX + NAME_PX - 3} fontSize={12} fill={inks.quiet}>
            {name}
          </SvgText>
          <Line
            x1={EDGE_PX}
            x2={widthPx - EDGE_PX}
            y1={i * ROW_PX + NAME_PX + TICK_PX}
            y2={i * ROW_PX + NAME_PX + TICK_PX}
            stroke={inks.line}
            strokeWidth={1}
          />
          {atMs.some(within) ? null : (
            <SvgText x={EDGE_PX} y={i * ROW_PX + NAME_PX + 11} fontSize={12} fill={inks.quiet}>
              none in these minutes
            </SvgText>
          )}
          {atMs.filter(within).map((ms) => (
            <Line
              key={ms}
              x1={x(ms)}
              x2={x(ms)}
              y1={i * ROW_PX + NAME_PX}
              y2={i * ROW_PX + NAME_PX + TICK_PX}
              stroke={quiet ? inks.quiet : inks.ink}
              strokeWidth={quiet ? 1.5 : 2.5}
            />
          ))}
        </G>
      ))}
    </Svg>
  );
});
