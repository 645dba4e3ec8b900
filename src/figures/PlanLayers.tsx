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
  MarkSun,
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
 * Drawn for whole degrees, finer than one sees, since the pattern is the dearest thing to paint.
 */
export function SunStrokes({
  light: { sunAzimuthDeg, sunAltitudeDeg, sunStrength },
  canvas,
}: {
  readonly light: PlanLight;
  readonly canvas: Canvas;
}) {
  if (sunStrength <= 0) return null;
  return (
    <StrokePattern
      azimuthDeg={Math.round(sunAzimuthDeg)}
      altitudeDeg={Math.round(sunAltitudeDeg)}
      strength={sunStrength}
      canvas={canvas}
    />
  );
}

const StrokePattern = memo(function StrokePattern({
  azimuthDeg,
  altitudeDeg,
  strength,
  canvas: { inks, widthPx, heightPx, scale },
}: {
  readonly azimuthDeg: number;
  readonly altitudeDeg: number;
  readonly strength: number;
  readonly canvas: Canvas;
}) {
  const low = 1 - Math.min(1, Math.max(0, altitudeDeg / 50));
  const across = 9 + 8 * low;
  const strokePx = 4 + 27 * low;
  const along = strokePx * 2 + 4;
  return (
    <G>
      <Defs>
        <Pattern
          id="light-strokes"
          patternUnits="userSpaceOnUse"
          width={across * 2}
          height={along}
          patternTransform={`rotate(${(azimuthDeg - scale.upDeg).toFixed(2)})`}
        >
          {[0, 1].map((column) => (
            <Line
              key={column}
              x1={across * (column + 0.5)}
              x2={across * (column + 0.5)}
              y1={(column * along) / 2}
              y2={(column * along) / 2 + strokePx}
              stroke={inks.ink}
              strokeOpacity={0.34 * strength}
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
    </G>
  );
});

/** How dense the shade of a branch is drawn. */
const DAPPLED = 0.6;

/** Shade lies over the strokes of light as a cool flat tint. */
export function Shade({ light, canvas }: { readonly light: PlanLight; readonly canvas: Canvas }) {
  const { inks, scale } = canvas;
  if (light.sunStrength <= 0) return null;
  const tint = scaleLinear<string>().range([inks.paper, inks.shade]);
  const fill = tint(0.12 + 0.28 * light.sunStrength);
  const pathOf = (shadows: PlanLight['shadows']) =>
    shadows.map((shadow) => shadePath(shadow, scale)).join('');
  return (
    <G>
      <Path d={pathOf(light.shadows)} fill={fill} />
      {light.dapples.length > 0 ? (
        <Path d={pathOf(light.dapples)} fill={fill} fillOpacity={DAPPLED} />
      ) : null}
      {light.strips.length > 0 ? <Strips strips={light.strips} canvas={canvas} /> : null}
    </G>
  );
}

/** However small the plan, a strip of shade is this long. */
const LEAST_STRIP_PX = 4;

/** Shade of posts along their fences: where to put a lens. */
function Strips({
  strips,
  canvas: { inks, scale },
}: {
  readonly strips: PlanLight['strips'];
  readonly canvas: Canvas;
}) {
  const d = strips.map(({ from, to }) => {
    const [a, b] = [scale.toPx(from), scale.toPx(to)];
    const lengthPx = Math.hypot(b.x - a.x, b.y - a.y);
    const longer = Math.max(1, LEAST_STRIP_PX / lengthPx) / 2;
    const [x, y] = [(a.x + b.x) / 2, (a.y + b.y) / 2];
    const [dx, dy] = [(b.x - a.x) * longer, (b.y - a.y) * longer];
    return `M${(x - dx).toFixed(1)} ${(y - dy).toFixed(1)}L${(x + dx).toFixed(1)} ${(y + dy).toFixed(1)}`;
  });
  return <Path d={d.join('')} stroke={inks.ink} strokeWidth={5} strokeOpacity={0.55} />;
}

/** The photographer's own shadow: darker than the rest, since it goes where they go. */
export const OwnShadow = memo(function OwnShadow({
  shadow,
  canvas: { inks, scale },
}: {
  readonly shadow: readonly (readonly Point2[])[];
  readonly canvas: Canvas;
}) {
  const d = shadow.map((polygon) => pathThrough(polygon, scale, true)).join('');
  return d === '' ? null : <Path d={d} fill={inks.ink} fillOpacity={0.5} />;
});

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

/** Half a disc on the side away from a direction, as the moon is drawn. */
function darkHalf({ x, y }: Point2, r: number, lightFromDeg: number): string {
  const aside = alongBearing(lightFromDeg + 90);
  const [dx, dy] = [aside.x * r, -aside.y * r];
  return `M${x - dx} ${y - dy}A${r} ${r} 0 0 0 ${x + dx} ${y + dy}Z`;
}

/**
 * A mark: a disc whose dark half is turned from the sun, all dark in the shade, open where no sun
 * is to be had; with the way the subject runs. The chosen one has a ring.
 */
export const MarkSign = memo(function MarkSign({
  mark,
  chosen,
  sun,
  canvas,
}: {
  readonly mark: PlanMark;
  readonly chosen: boolean;
  readonly sun: MarkSun;
  readonly canvas: Canvas;
}) {
  const { inks, scale } = canvas;
  const { x, y } = scale.toPx(mark);
  const r = chosen ? 6 : 5;
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
      {chosen ? (
        <Circle cx={x} cy={y} r={10} fill={inks.paper} stroke={inks.ink} strokeWidth={1.6} />
      ) : null}
      <Circle
        cx={x}
        cy={y}
        r={r}
        fill={sun === 'shade' ? inks.ink : inks.paper}
        stroke={inks.ink}
        strokeWidth={1.8}
      />
      {typeof sun === 'number' ? (
        <Path d={darkHalf({ x, y }, r, sun - scale.upDeg)} fill={inks.ink} />
      ) : null}
    </G>
  );
});

/** What lies beyond the subject is followed this far at most, as times its distance. */
const WEDGE_TIMES = 2.6;
const CROSS_PX = 6;
/** Longer than any plan is wide. */
const EDGE_PX = 3000;

/** The view of the chosen lens: its wedge to what is behind, the sight line and what blocks it. */
export const Sight = memo(function Sight({
  sight,
  canvas,
}: {
  readonly sight: PlanSight;
  readonly canvas: Canvas;
}) {
  const { inks, scale } = canvas;
  const [from, to, twice] = [sight.from, sight.to, sight.twice].map(scale.toPx) as [
    Point2,
    Point2,
    Point2,
  ];
  const reach = { x: to.x - from.x, y: to.y - from.y };
  const lengthPx = Math.max(1e-6, Math.hypot(reach.x, reach.y));
  const unit = { x: reach.x / lengthPx, y: reach.y / lengthPx };
  const at = (alongPx: number, asidePx: number) =>
    `${(from.x + unit.x * alongPx - unit.y * asidePx).toFixed(1)} ${(from.y + unit.y * alongPx + unit.x * asidePx).toFixed(1)}`;
  const away = (px: Point2) => Math.hypot(px.x - from.x, px.y - from.y);
  const spread = Math.tan((sight.horizontalDeg * Math.PI) / 360);
  const back = sight.back && away(scale.toPx(sight.back));
  const blocked = sight.blockedAt && away(scale.toPx(sight.blockedAt));
  const end = Math.min(back ?? Infinity, lengthPx * WEDGE_TIMES);
  const twicePx = away(twice);
  // From the jamb of a window on, as far as the plan goes.
  const swingEdge = (jamb: Point2): string => {
    const px = scale.toPx(jamb);
    const [x, y] = [px.x - from.x, px.y - from.y];
    const times = EDGE_PX / Math.max(1e-6, Math.hypot(x, y));
    return `M${px.x.toFixed(1)} ${px.y.toFixed(1)}L${(from.x + x * times).toFixed(1)} ${(from.y + y * times).toFixed(1)}`;
  };
  return (
    <G>
      <Path
        d={`M${at(0, 0)}L${at(end, -end * spread)}L${at(end, end * spread)}Z`}
        fill={inks.signal}
        fillOpacity={0.07}
      />
      <Path
        d={`M${at(end, -end * spread)}L${at(0, 0)}L${at(end, end * spread)}`}
        fill="none"
        stroke={inks.signal}
        strokeWidth={1}
      />
      {back !== undefined && back <= end ? (
        <Path
          d={`M${at(back, -back * spread)}L${at(back, back * spread)}`}
          stroke={inks.signal}
          strokeWidth={3}
        />
      ) : null}
      {sight.jambs.length > 0 ? (
        <Path
          d={sight.jambs.flatMap((pair) => pair.map(swingEdge)).join('')}
          fill="none"
          stroke={inks.ink}
          strokeWidth={1}
          strokeDasharray="2 5"
        />
      ) : null}
      <Path d={`M${at(twicePx, -7)}L${at(twicePx, 7)}`} stroke={inks.signal} strokeWidth={1.6} />
      <Path
        d={`M${at(0, 0)}L${at(blocked ?? lengthPx, 0)}`}
        stroke={inks.signal}
        strokeWidth={2}
        strokeDasharray="7 4"
      />
      {blocked === undefined ? null : (
        <>
          <Path
            d={`M${at(blocked, 0)}L${at(lengthPx, 0)}`}
            stroke={inks.quiet}
            strokeWidth={1.4}
            strokeDasharray="1 4"
          />
          <Path
            d={`M${at(blocked - CROSS_PX, -CROSS_PX)}L${at(blocked + CROSS_PX, CROSS_PX)}M${at(blocked - CROSS_PX, CROSS_PX)}L${at(blocked + CROSS_PX, -CROSS_PX)}`}
            stroke={inks.signal}
            strokeWidth={2.4}
          />
        </>
      )}
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
