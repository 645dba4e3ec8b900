import { G, Rect } from 'react-native-svg';
import type { Inks } from '@/ui/theme';
import { HaloText } from './HaloText';

const LETTER_PX = 6.4;
const PLATE_PX = 20;

/** Words on a plate of paper, over whatever is drawn under them. */
export function Plate({
  x,
  y,
  text,
  inks,
  withinPx,
  strong = false,
}: {
  readonly x: number;
  readonly y: number;
  readonly text: string;
  readonly inks: Inks;
  readonly withinPx: number;
  readonly strong?: boolean;
}) {
  const half = (text.length * LETTER_PX) / 2 + 6;
  const middle = Math.max(half + 2, Math.min(withinPx - half - 2, x));
  return (
    <G>
      <Rect
        x={middle - half}
        y={y - PLATE_PX / 2}
        width={2 * half}
        height={PLATE_PX}
        fill={inks.paper}
        stroke={strong ? inks.signal : inks.ink}
        strokeWidth={strong ? 2.5 : 0.75}
      />
      <HaloText x={middle} y={y + 5} text={text} inks={inks} strong={strong} withinPx={withinPx} />
    </G>
  );
}
