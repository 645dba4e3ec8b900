import { Text } from 'react-native-svg';
import type { Inks } from '@/ui/theme';

const SIZE_PX = 13;
const MEAN_LETTER_PX = SIZE_PX * 0.48;

/** A label over a drawing, with a halo of paper, kept within the picture's width. */
export function HaloText({
  x,
  y,
  text,
  inks,
  strong = false,
  anchor = 'middle',
  withinPx,
}: {
  readonly x: number;
  readonly y: number;
  readonly text: string;
  readonly inks: Inks;
  readonly strong?: boolean;
  readonly anchor?: 'middle' | 'start';
  readonly withinPx: number;
}) {
  const half = (text.length * MEAN_LETTER_PX) / 2 + 4;
  const kept = Math.max(half, Math.min(withinPx - half, x));
  return (
    <Text
      x={anchor === 'middle' ? kept : x}
      y={y}
      textAnchor={anchor}
      fontFamily="Perch Body"
      fontSize={SIZE_PX}
      fontWeight={strong ? '600' : '400'}
      fill={inks.ink}
      stroke={inks.paper}
      strokeWidth={4}
      strokeLinejoin="round"
    >
      {text}
    </Text>
  );
}
