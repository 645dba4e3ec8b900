import { memo } from 'react';
import { G, Line, Path, Svg } from 'react-native-svg';
import { useInks } from '@/ui/theme';

/** A frame of a run: how far it is from what it should be, in stops, and whether the lamps caught it with its neighbour. */
export interface EvenTick {
  readonly key: string;
  /** To be lifted by; negative to be brought down. */
  readonly liftStops: number;
  readonly isPaired: boolean;
}

const HALF_PX = 16;
const HEIGHT_PX = 2 * HALF_PX + 8;
/** What reaches the edge; more is drawn as much. */
const SHOWN_STOPS = 2;
const EDGE_PX = 3;
const PAIR_PX = 4;

/** Frames side by side over a line that stands for even: those too dark hang under it, those too bright stand on it. */
export const EvenTicks = memo(function EvenTicks({
  ticks,
  widthPx,
  label,
}: {
  readonly ticks: readonly EvenTick[];
  readonly widthPx: number;
  readonly label: string;
}) {
  const inks = useInks();
  const stepPx = Math.min(14, (widthPx - 2 * EDGE_PX) / Math.max(1, ticks.length));
  const x = (i: number) => EDGE_PX + (i + 0.5) * stepPx;
  const middle = HALF_PX + 4;
  const y = (stops: number) =>
    middle + (Math.max(-SHOWN_STOPS, Math.min(SHOWN_STOPS, stops)) / SHOWN_STOPS) * HALF_PX;
  return (
    <Svg width={widthPx} height={HEIGHT_PX} role="img" aria-label={label}>
      <Line
        x1={EDGE_PX}
        x2={EDGE_PX + ticks.length * stepPx}
        y1={middle}
        y2={middle}
        stroke={inks.line}
        strokeWidth={1}
      />
      {ticks.map(({ key, liftStops, isPaired }, i) => (
        <G key={key}>
          <Line
            x1={x(i)}
            x2={x(i)}
            y1={liftStops === 0 ? middle - 2 : middle}
            y2={liftStops === 0 ? middle + 2 : y(liftStops)}
            stroke={liftStops === 0 ? inks.quiet : inks.ink}
            strokeWidth={Math.min(4, Math.max(1, stepPx - 2))}
          />
          {isPaired ? (
            <Path
              d={`M${x(i) - PAIR_PX} 1l${PAIR_PX} ${PAIR_PX + 2}l${PAIR_PX} ${-PAIR_PX - 2}z`}
              fill={inks.signal}
            />
          ) : null}
        </G>
      ))}
    </Svg>
  );
});
