import { memo } from 'react';
import { scaleLinear } from 'd3-scale';
import { Circle, Defs, G, Line, Path, Pattern, Rect } from 'react-native-svg';
import { alongBearing, type Point2 } from '@/core';
import type { Inks } from '@/ui/theme';
import { FEATURE_LAYERS, layerPath, type FeatureLayer } from './feature-paths';
import { oneWay } from './line-work';
import { pathThrough, type PlanScale } from './plan-scale';
import type {
  Canvas,
  PlanGround,
  PlanLight,
  PlanMark,
  PlanPosition,
  PlanSight,
} from './plan-types';

const shadeBefore = new WeakMap<readonly Point2[], { scale: PlanScale; d: string }>();

/** The path of a shadow; the one of before while neither it nor the scale has changed. */
function shadePath(shadow: readonly Point2[], scale: PlanScale): string {
  const before = shadeBefore.get(shadow);
  if (before?.scale === scale) return before.d;
  const d = pathThrough(oneWay(shadow), scale, true);
  shadeBefore.set(shadow, { scale, d });
  return d;
}

/**
 * Sunlight as fine strokes along the way it travels: longer and further apart as the sun drops.
 * Shade lies over them as a cool flat tint.
 */
export function LightField({
  light,
  canvas,
}: {
  readonly light: PlanLight;
  readonly canvas: Canvas;
}) {
  const { inks, widthPx, heightPx, scale } = canvas;
  if (light.sunStrength <= 0) return null;
  const low = 1 - Math.min(1, Math.max(0, light.sunAltitudeDeg / 50));
  const across = 9 + 8 * low;
  const strokePx = 4 + 27 * low;
  const along = strokePx * 2 + 4;
  const tint = scaleLinear<string>().range([inks.paper, inks.shade]);
  const shade = light.shadows.map((shadow) => shadePath(shadow, scale)).join('');
  return (
    <G>
      <Defs>
        <Pattern
          id="light-strokes"
          patternUnits="userSpaceOnUse"
          width={across * 2}
          height={along}
          patternTransform={`rotate(${(light.sunAzimuthDeg - scale.upDeg).toFixed(2)})`}
        >
          {[0, 1].map((column) => (
            <Line
              key={column}
              x1={across * (column + 0.5)}
              x2={across * (column + 0.5)}
              y1={(column * along) / 2}
              y2={(column * along) / 2 + strokePx}
              stroke={inks.ink}
              strokeOpacity={0.34 * light.sunStrength}
              strokeWidth={0.9}
            />
          ))}
        </Pattern>
      </Defs>
      <Rect
        x={-widthPx}
        y={-heightPx}
        width={3 * widthPx}
        height={3 * heightPx}
        fill="url(#light-strokes)"
      />
      <Path d={shade} fill={tint(0.12 + 0.28 * light.sunStrength)} />
    </G>
  );
}

const LINE_STYLE = {
  boundary: { strokeWidth: 2 },
  marking: { strokeWidth: 1 },
  broken: { strokeWidth: 1, strokeDasharray: '3 4' },
} as const;

/** What is painted on the ground, and what stands, lies or runs on it. */
export const Features = memo(function Features({
  ground,
  lampsOn,
  canvas,
}: {
  readonly ground: PlanGround;
  readonly lampsOn: boolean;
  readonly canvas: Canvas;
}) {
  return (
    <G>
      {FEATURE_LAYERS.map((layer) => (
        <Strokes
          key={layer.key}
          layer={layer}
          d={layerPath(ground.features, layer, canvas)}
          inks={canvas.inks}
          lampsOn={lampsOn}
        />
      ))}
      <Painted lines={ground.lines} canvas={canvas} />
    </G>
  );
});

/** One layer of things, drawn again only when its path, the inks or its lamps' light change. */
const Strokes = memo(function Strokes({
  layer,
  d,
  inks,
  lampsOn,
}: {
  readonly layer: FeatureLayer;
  readonly d: string;
  readonly inks: Inks;
  readonly lampsOn: boolean;
}) {
  return d === '' ? null : <Path d={d} {...layer.style(inks, lampsOn)} />;
});

/** Painted lines, one path for each weight. */
const Painted = memo(function Painted({
  lines,
  canvas: { inks, scale },
}: {
  readonly lines: PlanGround['lines'];
  readonly canvas: Canvas;
}) {
  return (['broken', 'marking', 'boundary'] as const).map((weight) => (
    <Path
      key={weight}
      d={lines
        .filter((line) => line.weight === weight)
        .map(({ points }) => pathThrough(points, scale))
        .join('')}
      fill="none"
      stroke={inks.ink}
      {...LINE_STYLE[weight]}
    />
  ));
});

const ARROW_PX = 26;

export const MarkSign = memo(function MarkSign({
  mark,
  chosen,
  canvas,
}: {
  readonly mark: PlanMark;
  readonly chosen: boolean;
  readonly canvas: Canvas;
}) {
  const { inks, scale } = canvas;
  const { x, y } = scale.toPx(mark);
  const run = alongBearing(mark.headingDeg - scale.upDeg);
  const tip = { x: x + run.x * ARROW_PX, y: y - run.y * ARROW_PX };
  const barb = (turnDeg: number) => {
    const back = alongBearing(mark.headingDeg - scale.upDeg + turnDeg);
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
        r={chosen ? 6 : 4.5}
        fill={chosen ? inks.ink : inks.paper}
        stroke={inks.ink}
        strokeWidth={2}
      />
    </G>
  );
});

export const Sight = memo(function Sight({
  sight,
  canvas,
}: {
  readonly sight: PlanSight;
  readonly canvas: Canvas;
}) {
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
});

export const PositionSign = memo(function PositionSign({
  position,
  chosen,
  canvas,
}: {
  readonly position: PlanPosition;
  readonly chosen: boolean;
  readonly canvas: Canvas;
}) {
  const { inks, scale } = canvas;
  const { x, y } = scale.toPx(position);
  return (
    <Path
      d={`M${x} ${y - 9}L${x + 9} ${y + 7}L${x - 9} ${y + 7}Z`}
      fill={chosen ? inks.signal : inks.paper}
      stroke={chosen ? inks.paper : inks.ink}
      strokeWidth={1.5}
    />
  );
});
