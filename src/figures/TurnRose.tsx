import { Circle, G, Line, Path, Svg, Text as SvgText } from 'react-native-svg';
import { useInks } from '@/ui/theme';
import { SketchPaths, type Sketch } from './ShootSketch';

const AROUND = Array.from({ length: 36 }, (_, i) => i * 10);
const POINTS = [
  ['N', 0],
  ['E', 90],
  ['S', 180],
  ['W', 270],
] as const;
const RADIUS = 92;

const at = (deg: number, radius: number) => {
  const angle = (deg * Math.PI) / 180;
  return { x: 100 + radius * Math.sin(angle), y: 100 - radius * Math.cos(angle) };
};

/** A ground on a compass rose, its marked end towards a bearing, and where the sun rises and sets that day. */
export function TurnRose({
  sketch,
  bearingDeg,
  riseDeg,
  setDeg,
  sizePx,
}: {
  /** The ground with its long axis upright, in a box of 100. */
  readonly sketch: Sketch;
  readonly bearingDeg: number;
  readonly riseDeg: number | undefined;
  readonly setDeg: number | undefined;
  readonly sizePx: number;
}) {
  const inks = useInks();
  return (
    <Svg width={sizePx} height={sizePx} viewBox="0 0 200 200" aria-hidden>
      <Circle cx={100} cy={100} r={RADIUS} fill="none" stroke={inks.ink} strokeWidth={1} />
      {AROUND.map((deg) => {
        const [from, to] = [at(deg, RADIUS), at(deg, RADIUS - (deg % 30 === 0 ? 6 : 3))];
        return (
          <Line
            key={deg}
            x1={from.x}
            y1={from.y}
            x2={to.x}
            y2={to.y}
            stroke={inks.ink}
            strokeWidth={deg % 90 === 0 ? 2 : 0.8}
          />
        );
      })}
      {POINTS.map(([name, deg]) => {
        const { x, y } = at(deg, RADIUS - 13);
        return (
          <SvgText
            key={name}
            x={x}
            y={y + 4}
            fontFamily="Perch Body"
            fontSize={11}
            fontWeight="600"
            textAnchor="middle"
            fill={inks.ink}
          >
            {name}
          </SvgText>
        );
      })}
      {(
        [
          ['rises', riseDeg],
          ['sets', setDeg],
        ] as const
      ).map(([what, deg]) => {
        if (deg === undefined) return null;
        const { x, y } = at(deg, RADIUS);
        const low = at(deg, RADIUS - 22);
        return (
          <G key={what}>
            <Circle
              cx={x}
              cy={y}
              r={5}
              fill={what === 'sets' ? inks.ink : inks.paper}
              stroke={inks.ink}
            />
            <SvgText
              x={low.x}
              y={low.y + 3}
              fontFamily="Perch Body"
              fontSize={9}
              textAnchor="middle"
              fill={inks.quiet}
            >
              {what}
            </SvgText>
          </G>
        );
      })}
      <G transform={`rotate(${bearingDeg} 100 100) translate(50 50)`}>
        <SketchPaths sketch={sketch} />
        <Path d="M50 -9 L45 0 L55 0 Z" fill={inks.signal} />
      </G>
    </Svg>
  );
}
