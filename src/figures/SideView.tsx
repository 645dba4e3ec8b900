import { Circle, Ellipse, G, Line, Path, Rect, Svg } from 'react-native-svg';
import { useInks } from '@/ui/theme';
import { HaloText } from './HaloText';
import { apartFrom } from './side-names';

/** What is drawn from the side: distances from the camera, heights over the ground, metres. */
export interface SideViewPieces {
  readonly reachM: number;
  readonly topM: number;
  readonly cameraM: number;
  readonly subject: {
    readonly name: string;
    readonly awayM: number;
    readonly feetM: number;
    readonly headM: number;
  };
  readonly things: readonly {
    readonly name: string;
    readonly fromM: number;
    readonly toM: number;
    readonly lowM: number;
    readonly heightM: number;
  }[];
  /** The ground under the line, where it is not level. */
  readonly ground?: readonly { readonly atM: number; readonly heightM: number }[];
  /** Branches that cross the line: where, how high, and how far their leaves reach along it and up. */
  readonly branches: readonly {
    readonly atM: number;
    readonly heightM: number;
    readonly acrossM: number;
    readonly upM: number;
    readonly isBare: boolean;
  }[];
}

const HEIGHT_PX = 150;
const FOOT_PX = 26;
const HEAD_PX = 22;
const SIDE_PX = 14;
const LEAST_WIDE_PX = 3;
const MOST_NAMES = 4;

/**
 * The line from camera over the subject and on, from the side. Heights are drawn larger than
 * distances, so that a head can be told from a hedge.
 */
export function SideView({
  pieces,
  widthPx,
  label,
}: {
  readonly pieces: SideViewPieces;
  readonly widthPx: number;
  readonly label: string;
}) {
  const inks = useInks();
  const { reachM, topM, cameraM, subject, things, branches, ground } = pieces;
  const groundY = HEIGHT_PX - FOOT_PX;
  const x = (m: number) => SIDE_PX + (m / reachM) * (widthPx - 2 * SIDE_PX);
  const y = (m: number) => groundY - (m / topM) * (groundY - HEAD_PX);
  const named = things.filter(({ name }) => name !== '').slice(0, MOST_NAMES);
  const middles = apartFrom(
    named.map(({ name, fromM, toM }) => ({ name, at: x((fromM + toM) / 2) })),
    widthPx,
  );
  const aimM = (subject.feetM + subject.headM) / 2;
  const slope = (subject.headM - cameraM) / subject.awayM;
  return (
    <Svg width={widthPx} height={HEIGHT_PX} role="img" aria-label={label}>
      {things.map(({ fromM, toM, lowM, heightM }, i) => (
        <Rect
          key={i}
          x={x(fromM)}
          y={y(Math.min(heightM, topM))}
          width={Math.max(LEAST_WIDE_PX, x(toM) - x(fromM))}
          height={Math.max(0, y(Math.min(lowM, topM)) - y(Math.min(heightM, topM)))}
          fill={inks.line}
          stroke={inks.ink}
          strokeWidth={1.4}
        />
      ))}
      {branches.map(({ atM, heightM, acrossM, upM, isBare }, i) => (
        <G key={i}>
          {isBare ? null : (
            <Ellipse
              cx={x(atM)}
              cy={y(heightM)}
              rx={Math.max(LEAST_WIDE_PX, x(acrossM / 2) - x(0))}
              ry={Math.max(LEAST_WIDE_PX, y(0) - y(upM / 2))}
              fill={inks.line}
              fillOpacity={0.6}
              stroke={inks.ink}
              strokeWidth={0.8}
              strokeDasharray="5 2"
            />
          )}
          <Circle cx={x(atM)} cy={y(heightM)} r={2.2} fill={inks.ink} />
        </G>
      ))}
      {ground ? (
        <Path
          d={`M${x(0)} ${groundY}${ground.map(({ atM, heightM }) => `L${x(atM)} ${y(Math.min(heightM, topM))}`).join('')}L${x(reachM)} ${groundY}Z`}
          fill={inks.paper}
          stroke={inks.ink}
          strokeWidth={2}
        />
      ) : null}
      <Line x1={0} x2={widthPx} y1={groundY} y2={groundY} stroke={inks.ink} strokeWidth={2} />
      <Line
        x1={x(0)}
        y1={y(cameraM)}
        x2={x(reachM)}
        y2={y(cameraM + slope * reachM)}
        stroke={inks.quiet}
        strokeWidth={1}
      />
      <Line
        x1={x(0)}
        y1={y(cameraM)}
        x2={x(subject.awayM)}
        y2={y(aimM)}
        stroke={inks.signal}
        strokeWidth={2}
        strokeDasharray="7 4"
      />
      <G>
        <Line
          x1={x(0)}
          x2={x(0)}
          y1={y(ground?.[0]?.heightM ?? 0)}
          y2={y(cameraM)}
          stroke={inks.ink}
          strokeWidth={1.4}
        />
        <Path
          d={`M${x(0) - 7} ${y(cameraM) + 6}L${x(0) + 9} ${y(cameraM)}L${x(0) - 7} ${y(cameraM) - 6}Z`}
          fill={inks.signal}
        />
        <Line
          x1={x(subject.awayM)}
          x2={x(subject.awayM)}
          y1={y(subject.feetM)}
          y2={y(subject.headM)}
          stroke={inks.ink}
          strokeWidth={5}
          strokeLinecap="round"
        />
      </G>
      <HaloText
        x={x(subject.awayM)}
        y={Math.max(14, y(subject.headM) - 9)}
        text={subject.name}
        inks={inks}
        strong
        withinPx={widthPx}
      />
      {named.map(({ name }, i) => (
        <HaloText
          key={i}
          x={middles[i] ?? 0}
          y={groundY + 16}
          text={name}
          inks={inks}
          withinPx={widthPx}
        />
      ))}
    </Svg>
  );
}
