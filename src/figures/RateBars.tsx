import { memo } from 'react';
import { Line, Rect, Svg } from 'react-native-svg';
import { useInks } from '@/ui/theme';

const HEIGHT_PX = 18;

/** A share with its doubt: a bar as far as it goes, and a line over what it may be. */
export const RateBar = memo(function RateBar({
  share,
  low,
  high,
  widthPx,
  label,
}: {
  /** All three from 0 to 1. */
  readonly share: number;
  readonly low: number;
  readonly high: number;
  readonly widthPx: number;
  readonly label: string;
}) {
  const inks = useInks();
  const x = (value: number) => 1 + value * (widthPx - 2);
  const middle = HEIGHT_PX / 2;
  return (
    <Svg width={widthPx} height={HEIGHT_PX} role="img" aria-label={label}>
      <Line x1={1} x2={1} y1={0} y2={HEIGHT_PX} stroke={inks.ink} strokeWidth={1.5} />
      <Line
        x1={widthPx - 1}
        x2={widthPx - 1}
        y1={0}
        y2={HEIGHT_PX}
        stroke={inks.line}
        strokeWidth={1}
      />
      <Rect
        x={1}
        y={3}
        width={Math.max(0, x(share) - 1)}
        height={HEIGHT_PX - 6}
        fill={inks.shade}
        stroke={inks.ink}
      />
      <Line x1={x(low)} x2={x(high)} y1={middle} y2={middle} stroke={inks.ink} strokeWidth={2.5} />
      {[low, high].map((end, i) => (
        <Line
          key={i}
          x1={x(end)}
          x2={x(end)}
          y1={2}
          y2={HEIGHT_PX - 2}
          stroke={inks.ink}
          strokeWidth={2}
        />
      ))}
    </Svg>
  );
});
