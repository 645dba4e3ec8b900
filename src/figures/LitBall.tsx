import { memo } from 'react';
import Svg, { Circle, Path } from 'react-native-svg';
import { useInks } from '@/ui/theme';
import { ballStrokes, looksAlike, type BallLight, type Stroke } from './ball-shading';

function strokePath({ points }: Stroke, centre: number, radius: number): string {
  const tenth = (px: number) => Math.round(px * 10) / 10;
  const at = (x: number, y: number) =>
    `${tenth(centre + x * radius)} ${tenth(centre + y * radius)}`;
  const upper = points.map(({ x, y, half }) => at(x, y - half));
  const lower = [...points].reverse().map(({ x, y, half }) => at(x, y + half));
  return `M${upper.join('L')}L${lower.join('L')}Z`;
}

/**
 * A small sphere as the camera would see it, lit from the true sun direction: engraved strokes
 * that swell where it is dark. In the dark scheme too, strokes are shade.
 */
export const LitBall = memo(
  LitBallDrawing,
  (a, b) => a.sizePx === b.sizePx && a.label === b.label && looksAlike(a.light, b.light),
);

function LitBallDrawing({
  light,
  sizePx,
  label,
}: {
  readonly light: BallLight;
  readonly sizePx: number;
  readonly label: string;
}) {
  const inks = useInks();
  const dark = inks.paper < '#888888';
  const centre = sizePx / 2;
  const radius = centre - 2;
  return (
    <Svg width={sizePx} height={sizePx} style={{ flexShrink: 0 }} role="img" aria-label={label}>
      <Circle cx={centre} cy={centre} r={radius} fill={dark ? inks.ink : inks.sheet} />
      <Path
        d={ballStrokes(light)
          .map((stroke) => strokePath(stroke, centre, radius))
          .join('')}
        fill={dark ? inks.paper : inks.ink}
      />
      <Circle cx={centre} cy={centre} r={radius} fill="none" stroke={inks.ink} strokeWidth={2} />
    </Svg>
  );
}
