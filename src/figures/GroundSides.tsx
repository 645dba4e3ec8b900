import { Circle, G, Path, Svg, Text as SvgText } from 'react-native-svg';
import { useInks } from '@/ui/theme';
import { SketchPaths, type Sketch } from './ShootSketch';

const MIDDLE = 75;
const SIDE_AT = 64;
const LETTER_R = 10;
/** Larger its letters shout. */
const MOST_PX = 480;

/** A ground as it lies, north up, its sides named by letters. */
export function GroundSides({
  sketch,
  sides,
  label,
}: {
  readonly sketch: Sketch;
  readonly sides: readonly { readonly letter: string; readonly deg: number }[];
  readonly label: string;
}) {
  const inks = useInks();
  return (
    <Svg
      width="100%"
      height="100%"
      viewBox="0 0 150 150"
      style={{ maxWidth: MOST_PX, maxHeight: MOST_PX }}
      role="img"
      aria-label={label}
    >
      <G transform="translate(25 25)">
        <SketchPaths sketch={sketch} />
      </G>
      {sides.map(({ letter, deg }) => {
        const angle = (deg * Math.PI) / 180;
        const [x, y] = [MIDDLE + SIDE_AT * Math.sin(angle), MIDDLE - SIDE_AT * Math.cos(angle)];
        return (
          <G key={letter}>
            <Circle
              cx={x}
              cy={y}
              r={LETTER_R}
              fill={inks.paper}
              stroke={inks.ink}
              strokeWidth={1}
            />
            <SvgText
              x={x}
              y={y + 4.5}
              fontSize={13}
              fontFamily="Perch Body"
              fontWeight="600"
              textAnchor="middle"
              fill={inks.ink}
            >
              {letter}
            </SvgText>
          </G>
        );
      })}
      <Path d="M140 6L136 15L144 15ZM140 15V26" fill={inks.ink} stroke={inks.ink} strokeWidth={1} />
      <SvgText
        x={140}
        y={37}
        fontSize={10}
        fontFamily="Perch Body"
        fontWeight="600"
        textAnchor="middle"
        fill={inks.ink}
      >
        N
      </SvgText>
    </Svg>
  );
}
