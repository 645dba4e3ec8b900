import { Circle, G, Path, Svg, Text as SvgText } from 'react-native-svg';
import { useInks } from '@/ui/theme';
import { SketchPaths, type Sketch } from './ShootSketch';

const MIDDLE = 75;
const SIDE_AT = 64;
const LETTER_R = 10;

/** A ground as it lies, north up, its sides named by letters. */
export function GroundSides({
  sketch,
  sides,
  chosen,
  sizePx,
  label,
}: {
  readonly sketch: Sketch;
  readonly sides: readonly { readonly letter: string; readonly deg: number }[];
  readonly chosen?: string | undefined;
  readonly sizePx: number;
  readonly label: string;
}) {
  const inks = useInks();
  return (
    <Svg width={sizePx} height={sizePx} viewBox="0 0 150 150" role="img" aria-label={label}>
      <G transform="translate(25 25)">
        <SketchPaths sketch={sketch} />
      </G>
      {sides.map(({ letter, deg }) => {
        const angle = (deg * Math.PI) / 180;
        const [x, y] = [MIDDLE + SIDE_AT * Math.sin(angle), MIDDLE - SIDE_AT * Math.cos(angle)];
        const is = letter === chosen;
        return (
          <G key={letter}>
            <Circle
              cx={x}
              cy={y}
              r={LETTER_R}
              fill={is ? inks.ink : inks.paper}
              stroke={inks.ink}
              strokeWidth={1}
            />
            <SvgText
              x={x}
              y={y + 4.5}
              fontSize={13}
              fontWeight="600"
              textAnchor="middle"
              fill={is ? inks.paper : inks.ink}
            >
              {letter}
            </SvgText>
          </G>
        );
      })}
      <Path d="M140 6L136 15L144 15ZM140 15V26" fill={inks.ink} stroke={inks.ink} strokeWidth={1} />
      <SvgText x={140} y={37} fontSize={10} fontWeight="600" textAnchor="middle" fill={inks.ink}>
        N
      </SvgText>
    </Svg>
  );
}
