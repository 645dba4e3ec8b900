import { memo } from 'react';
import { Circle, Defs, G, Line, Path, Pattern, Rect, Svg } from 'react-native-svg';
import { alongBearing, type Point2 } from '@/core';
import { useInks, type Inks } from '@/ui/theme';
import { HaloText } from './HaloText';
import { placeLabels } from './labels';
import { pathThrough, scaleBarM, type PlanScale } from './plan-scale';

/** A ground plan in metres east and north; what each thing is decides how it is drawn. */
export interface PlanDrawing {
  readonly lines: readonly {
    readonly points: readonly Point2[];
    readonly weight: 'boundary' | 'marking' | 'broken';
  }[];
  readonly features: readonly {
    readonly kind: string;
    readonly name: string;
    readonly points: readonly Point2[];
  }[];
  readonly obstacles: readonly { readonly name: string; readonly footprint: readonly Point2[] }[];
  readonly marks: readonly PlanMark[];
  readonly positions: readonly PlanPosition[];
}
export interface PlanMark extends Point2 {
  readonly id: string;
  readonly name: string;
  readonly headingDeg: number;
  readonly chosen: boolean;
}
export interface PlanPosition extends Point2 {
  readonly id: string;
  readonly name: string;
  readonly chosen: boolean;
}

/** What changes with the minute. */
export interface PlanLight {
  readonly sunAzimuthDeg: number;
  readonly sunAltitudeDeg: number;
  /** 1 under a clear sky, less through cloud, 0 when no sunlight reaches the ground. */
  readonly sunStrength: number;
  readonly shadows: readonly (readonly Point2[])[];
  readonly lampsOn: boolean;
  /** Where the sun stands, in words. */
  readonly label: string;
}

/** The line from position to mark and how wide the frame is there. */
export interface PlanSight {
  readonly from: Point2;
  readonly to: Point2;
  readonly label: string;
  readonly horizontalDeg: number;
}

interface Canvas {
  readonly scale: PlanScale;
  readonly widthPx: number;
  readonly heightPx: number;
  readonly inks: Inks;
}

/**
 * Sunlight as fine strokes along the way it travels: longer and further apart as the sun drops.
 * Shade lies over them as a cool flat tint.
 */
function LightField({ light, canvas }: { readonly light: PlanLight; readonly canvas: Canvas }) {
  const { inks, widthPx, heightPx, scale } = canvas;
  if (light.sunStrength <= 0) return null;
  const low = 1 - Math.min(1, Math.max(0, light.sunAltitudeDeg / 50));
  const across = 7 + 9 * low;
  const strokePx = 5 + 26 * low;
  const along = strokePx * 2;
  return (
    <G>
      <Defs>
        <Pattern
          id="light-strokes"
          patternUnits="userSpaceOnUse"
          width={across * 2}
          height={along}
          patternTransform={`rotate(${light.sunAzimuthDeg.toFixed(2)})`}
        >
          {[0, 1].map((column) => (
            <Line
              key={column}
              x1={across * (column + 0.5)}
              x2={across * (column + 0.5)}
              y1={column * strokePx}
              y2={column * strokePx + strokePx * 0.9}
              stroke={inks.ink}
              strokeOpacity={0.34 * light.sunStrength}
              strokeWidth={0.9}
            />
          ))}
        </Pattern>
      </Defs>
      <Rect width={widthPx} height={heightPx} fill="url(#light-strokes)" />
      {light.shadows.map((shadow, i) => (
        <G key={i}>
          <Path d={pathThrough(shadow, scale, true)} fill={inks.paper} />
          <Path
            d={pathThrough(shadow, scale, true)}
            fill={inks.shade}
            fillOpacity={0.12 + 0.28 * light.sunStrength}
          />
        </G>
      ))}
    </G>
  );
}

const LINE_STYLE = {
  boundary: { strokeWidth: 2 },
  marking: { strokeWidth: 1 },
  broken: { strokeWidth: 1, strokeDasharray: '3 4' },
} as const;

const FEATURE_STYLE: Readonly<Record<string, object>> = {
  fence: { strokeWidth: 1.2, strokeDasharray: '1.5 3.5' },
  path: { strokeWidth: 3, strokeOpacity: 0.4, strokeDasharray: '6 5' },
  water: { strokeWidth: 1.6 },
  lane: { strokeWidth: 0.7 },
};

function LampMast({ at, lit, inks }: { readonly at: Point2; readonly lit: boolean; readonly inks: Inks }) {
  const { x, y } = at;
  return (
    <G>
      {lit ? (
        <Circle cx={x} cy={y} r={11} fill="none" stroke={inks.ink} strokeWidth={0.8} strokeDasharray="2 3" />
      ) : null}
      <Path
        d={`M${x} ${y - 5}L${x + 5} ${y}L${x} ${y + 5}L${x - 5} ${y}Z`}
        fill={lit ? inks.ink : inks.paper}
        stroke={inks.ink}
        strokeWidth={1.2}
      />
    </G>
  );
}

function Features({ drawing, light, canvas }: { readonly drawing: PlanDrawing; readonly light: PlanLight; readonly canvas: Canvas }) {
  const { inks, scale } = canvas;
  return (
    <G>
      {drawing.features.map((feature, i) =>
        feature.kind === 'lamp' ? (
          <LampMast key={i} at={scale.toPx(feature.points[0] as Point2)} lit={light.lampsOn} inks={inks} />
        ) : (
          <Path
            key={i}
            d={pathThrough(feature.points, scale)}
            fill="none"
            stroke={inks.ink}
            {...FEATURE_STYLE[feature.kind]}
          />
        ),
      )}
      {drawing.lines.map((line, i) => (
        <Path
          key={i}
          d={pathThrough(line.points, scale)}
          fill="none"
          stroke={inks.ink}
          {...LINE_STYLE[line.weight]}
        />
      ))}
      {drawing.obstacles.map((obstacle, i) => (
        <Path
          key={i}
          d={pathThrough(obstacle.footprint, scale, true)}
          fill={inks.line}
          stroke={inks.ink}
          strokeWidth={1.5}
        />
      ))}
    </G>
  );
}

function meanPoint(points: readonly Point2[]): Point2 {
  const sum = points.reduce((a, b) => ({ x: a.x + b.x, y: a.y + b.y }));
  return { x: sum.x / points.length, y: sum.y / points.length };
}

const ARROW_PX = 26;

function MarkSign({ mark, canvas }: { readonly mark: PlanMark; readonly canvas: Canvas }) {
  const { inks, scale } = canvas;
  const { x, y } = scale.toPx(mark);
  const run = alongBearing(mark.headingDeg);
  const tip = { x: x + run.x * ARROW_PX, y: y - run.y * ARROW_PX };
  const barb = (turnDeg: number) => {
    const back = alongBearing(mark.headingDeg + turnDeg);
    return `${tip.x + back.x * 7} ${tip.y - back.y * 7}`;
  };
  return (
    <G>
      <Path
        d={`M${x} ${y}L${tip.x} ${tip.y}M${barb(150)}L${tip.x} ${tip.y}L${barb(210)}`}
        fill="none"
        stroke={inks.ink}
        strokeWidth={1.8}
      />
      <Circle
        cx={x}
        cy={y}
        r={mark.chosen ? 6 : 4.5}
        fill={mark.chosen ? inks.ink : inks.paper}
        stroke={inks.ink}
        strokeWidth={2}
      />
    </G>
  );
}

function Sight({ sight, canvas }: { readonly sight: PlanSight; readonly canvas: Canvas }) {
  const { inks, scale } = canvas;
  const from = scale.toPx(sight.from);
  const to = scale.toPx(sight.to);
  const reach = { x: to.x - from.x, y: to.y - from.y };
  const edge = (turnDeg: number) => {
    const turn = (turnDeg * Math.PI) / 180;
    const longer = 1.25;
    return `${from.x + longer * (reach.x * Math.cos(turn) - reach.y * Math.sin(turn))} ${from.y + longer * (reach.x * Math.sin(turn) + reach.y * Math.cos(turn))}`;
  };
  const half = sight.horizontalDeg / 2;
  return (
    <G>
      <Path
        d={`M${from.x} ${from.y}L${edge(-half)}M${from.x} ${from.y}L${edge(half)}`}
        stroke={inks.signal}
        strokeWidth={1}
      />
      <Line
        x1={from.x}
        y1={from.y}
        x2={to.x}
        y2={to.y}
        stroke={inks.signal}
        strokeWidth={2}
        strokeDasharray="7 4"
      />
    </G>
  );
}

function PositionSign({ position, canvas }: { readonly position: PlanPosition; readonly canvas: Canvas }) {
  const { inks, scale } = canvas;
  const { x, y } = scale.toPx(position);
  return (
    <Path
      d={`M${x} ${y - 9}L${x + 9} ${y + 7}L${x - 9} ${y + 7}Z`}
      fill={position.chosen ? inks.signal : inks.paper}
      stroke={position.chosen ? inks.paper : inks.ink}
      strokeWidth={1.5}
    />
  );
}

const SIGN_CLEAR_PX = 11;

/** Names of what is chosen first, then of the rest, each where there is room. */
function Names({ drawing, canvas }: { readonly drawing: PlanDrawing; readonly canvas: Canvas }) {
  const { scale, widthPx, heightPx, inks } = canvas;
  const named = [...drawing.positions, ...drawing.marks].map((entry) => ({
    text: entry.name,
    at: scale.toPx(entry),
    clearPx: SIGN_CLEAR_PX,
    must: entry.chosen,
  }));
  const obstacles = drawing.obstacles.map(({ name, footprint }) => ({
    text: name,
    at: scale.toPx(meanPoint(footprint)),
    clearPx: 0,
    must: false,
  }));
  const wishes = [...named.filter(({ must }) => must), ...named.filter(({ must }) => !must), ...obstacles];
  const legend = { left: 0, right: LEGEND_WIDTH_PX, top: 0, bottom: LEGEND_HEIGHT_PX };
  return placeLabels(wishes, widthPx, heightPx, [legend]).map((label) => (
    <HaloText key={`${label.text} ${label.x}`} {...label} inks={inks} withinPx={widthPx} />
  ));
}

const LEGEND_WIDTH_PX = 150;
const LEGEND_HEIGHT_PX = 44;

/** Line of sight and sun in figures, in the corner where they cover nothing. */
function Legend({ lines, canvas }: { readonly lines: readonly string[]; readonly canvas: Canvas }) {
  const { inks } = canvas;
  return lines.map((line, i) => (
    <HaloText
      key={line}
      x={12}
      y={20 + 18 * i}
      text={line}
      inks={inks}
      strong={i === 0}
      anchor="start"
      withinPx={canvas.widthPx}
    />
  ));
}

function NorthAndScale({ canvas }: { readonly canvas: Canvas }) {
  const { inks, scale, heightPx, widthPx } = canvas;
  const barM = scaleBarM(scale.pxPerM, 90);
  const barPx = barM * scale.pxPerM;
  const north = { x: widthPx - 22, y: 44 };
  return (
    <G>
      <Path
        d={`M${north.x} ${north.y}L${north.x} ${north.y - 26}M${north.x - 5} ${north.y - 18}L${north.x} ${north.y - 28}L${north.x + 5} ${north.y - 18}`}
        fill="none"
        stroke={inks.ink}
        strokeWidth={1.6}
      />
      <HaloText x={north.x} y={north.y + 14} text="N" inks={inks} strong withinPx={widthPx} />
      <Path
        d={`M12 ${heightPx - 18}L12 ${heightPx - 12}L${12 + barPx} ${heightPx - 12}L${12 + barPx} ${heightPx - 18}`}
        fill="none"
        stroke={inks.ink}
        strokeWidth={1.4}
      />
      <HaloText x={12 + barPx / 2} y={heightPx - 18} text={`${barM} m`} inks={inks} withinPx={widthPx} />
    </G>
  );
}

/** The site to scale, north up: light first, then lines, marks, the line of sight, positions. */
export const GroundPlan = memo(function GroundPlan({
  drawing,
  light,
  sight,
  scale,
  widthPx,
  heightPx,
  label,
}: {
  readonly drawing: PlanDrawing;
  readonly light: PlanLight;
  readonly sight: PlanSight | undefined;
  readonly scale: PlanScale;
  readonly widthPx: number;
  readonly heightPx: number;
  readonly label: string;
}) {
  const inks = useInks();
  const canvas = { scale, widthPx, heightPx, inks };
  return (
    <Svg width={widthPx} height={heightPx} role="img" aria-label={label}>
      <LightField light={light} canvas={canvas} />
      <Features drawing={drawing} light={light} canvas={canvas} />
      {sight ? <Sight sight={sight} canvas={canvas} /> : null}
      {drawing.marks.map((mark) => (
        <MarkSign key={mark.id} mark={mark} canvas={canvas} />
      ))}
      {drawing.positions.map((position) => (
        <PositionSign key={position.id} position={position} canvas={canvas} />
      ))}
      <Names drawing={drawing} canvas={canvas} />
      <Legend lines={[...(sight ? [sight.label] : []), light.label]} canvas={canvas} />
      <NorthAndScale canvas={canvas} />
    </Svg>
  );
});
