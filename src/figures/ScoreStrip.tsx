import { Rect, Svg } from 'react-native-svg';
import { useInks } from '@/ui/theme';

const HEIGHT_PX = 28;
const GAP_PX = 2;

/** A score through the hours as a row of bars, the minute looked at in the signal ink. */
export function ScoreStrip({
  totals,
  atIndex,
  widthPx,
  label,
}: {
  /** 0 to 1 each. */
  readonly totals: readonly number[];
  readonly atIndex: number;
  readonly widthPx: number;
  readonly label: string;
}) {
  const inks = useInks();
  const each = widthPx / Math.max(1, totals.length);
  return (
    <Svg width={widthPx} height={HEIGHT_PX} role="img" aria-label={label}>
      <Rect y={HEIGHT_PX - 1} width={widthPx} height={1} fill={inks.quiet} />
      {totals.map((total, i) => (
        <Rect
          key={i}
          x={i * each}
          y={(1 - total) * (HEIGHT_PX - 2)}
          width={Math.max(1, each - GAP_PX)}
          height={total * (HEIGHT_PX - 2) + 1}
          fill={i === atIndex ? inks.signal : inks.ink}
        />
      ))}
    </Svg>
  );
}
