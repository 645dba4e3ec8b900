import { G, Line, Path, Rect, Svg, Text } from 'react-native-svg';
import type { FaceSpan, Span, SunOnFace } from '@/core';
import { useInks } from '@/ui/theme';

/** One day of it, with a name where its row has one. */
export interface LitDay extends Span {
  readonly name: string;
  readonly spans: readonly FaceSpan[];
}

/** How much of a row's height each light fills: the more ink, the more sun on the face. */
const FILLS: Partial<Record<SunOnFace, number>> = {
  front: 1,
  high: 0.75,
  side: 0.55,
  back: 0.2,
};
const NAMES_PX = 50;
const HOURS_PX = 18;
const HOURS = [0, 6, 12, 18, 24];
const GAP_SHARE = 0.16;
const TEXT = { fontFamily: 'Perch Body', fontSize: 12 } as const;

/**
 * Days as rows from midnight to midnight: a full bar for front light, three quarters under a high sun,
 * half for side light, a thin one for back light, dots for shade, nothing while the sun is down. Readable without colour.
 */
export function LitHours({
  days,
  rowPx,
  widthPx,
  atShare,
  chosen,
  label,
}: {
  readonly days: readonly LitDay[];
  readonly rowPx: number;
  readonly widthPx: number;
  /** The time of day looked at. */
  readonly atShare: number;
  /** Row that is looked at. */
  readonly chosen?: number;
  readonly label: string;
}) {
  const inks = useInks();
  const wide = Math.max(1, widthPx - NAMES_PX - 8);
  const x = (share: number) => NAMES_PX + share * wide;
  const heightPx = days.length * rowPx;
  const bar = (sun: SunOnFace) =>
    days.flatMap(({ fromMs, toMs, spans }, row) => {
      const share = (ms: number) => (ms - fromMs) / (toMs - fromMs);
      const foot = (row + 1 - GAP_SHARE / 2) * rowPx;
      const tall = rowPx * (1 - GAP_SHARE) * (FILLS[sun] ?? 0);
      return spans
        .filter((span) => span.sun === sun)
        .map((span) => {
          const [a, b] = [x(share(span.fromMs)).toFixed(1), x(share(span.toMs)).toFixed(1)];
          return tall > 0
            ? `M${a} ${foot}L${b} ${foot}L${b} ${foot - tall}L${a} ${foot - tall}Z`
            : `M${a} ${foot - rowPx * 0.3}L${b} ${foot - rowPx * 0.3}`;
        });
    });
  return (
    <Svg width={widthPx} height={heightPx + HOURS_PX} role="img" aria-label={label}>
      {HOURS.map((hour) => (
        <G key={hour}>
          <Line
            x1={x(hour / 24)}
            x2={x(hour / 24)}
            y1={0}
            y2={heightPx}
            stroke={inks.line}
            strokeWidth={1}
          />
          <Text
            x={x(hour / 24)}
            y={heightPx + 14}
            textAnchor={hour === 24 ? 'end' : hour === 0 ? 'start' : 'middle'}
            fill={inks.quiet}
            {...TEXT}
          >
            {`${String(hour).padStart(2, '0')}:00`}
          </Text>
        </G>
      ))}
      {(['front', 'high', 'side', 'back'] as const).map((sun) => (
        <Path key={sun} d={bar(sun).join('')} fill={inks.ink} />
      ))}
      <Path
        d={bar('shade').join('')}
        stroke={inks.quiet}
        strokeWidth={2}
        strokeDasharray="2 3"
        fill="none"
      />
      {days.map(({ name }, row) =>
        name === '' ? null : (
          <Text
            key={row}
            x={NAMES_PX - 6}
            y={(row + 0.5) * rowPx + 4}
            textAnchor="end"
            fill={inks.ink}
            {...TEXT}
          >
            {name}
          </Text>
        ),
      )}
      {chosen === undefined ? null : (
        <Rect
          x={NAMES_PX - 2}
          y={chosen * rowPx}
          width={wide + 4}
          height={rowPx}
          fill="none"
          stroke={inks.signal}
          strokeWidth={2}
        />
      )}
      <Line
        x1={x(atShare)}
        x2={x(atShare)}
        y1={0}
        y2={heightPx}
        stroke={inks.signal}
        strokeWidth={2}
      />
    </Svg>
  );
}
