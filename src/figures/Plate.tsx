import { G, Rect } from 'react-native-svg';
import type { Point2 } from '@/core';
import type { Inks } from '@/ui/theme';
import { HaloText } from './HaloText';
import type { BoxPx } from './labels';

const LETTER_PX = 6.4;
const PLATE_PX = 20;

/** Where a plate stands that is wished at a point: kept within the picture. */
export function plateBox({ x, y }: Point2, text: string, withinPx: number): BoxPx {
  const half = (text.length * LETTER_PX) / 2 + 6;
  const middle = Math.max(half + 2, Math.min(withinPx - half - 2, x));
  return {
    left: middle - half,
    right: middle + half,
    top: y - PLATE_PX / 2,
    bottom: y + PLATE_PX / 2,
  };
}

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
  const { left, right, top } = plateBox({ x, y }, text, withinPx);
  return (
    <G>
      <Rect
        x={left}
        y={top}
        width={right - left}
        height={PLATE_PX}
        fill={inks.paper}
        stroke={strong ? inks.signal : inks.ink}
        strokeWidth={strong ? 2.5 : 0.75}
      />
      <HaloText
        x={(left + right) / 2}
        y={y + 5}
        text={text}
        inks={inks}
        strong={strong}
        withinPx={withinPx}
      />
    </G>
  );
}
