import { memo } from 'react';
import { Circle, G, Path } from 'react-native-svg';
import { alongBearing, type FeatureOf, type Point2, type SiteFeature } from '@/core';
import type { Inks } from '@/ui/theme';
import { arrowAlong, inwardTicks } from './line-work';
import { pathThrough, type PlanScale } from './plan-scale';
import type { Canvas } from './plan-types';

interface SignProps<F extends SiteFeature = SiteFeature> {
  readonly feature: F;
  readonly canvas: Canvas;
}

const LINE_STYLE = {
  path: { strokeWidth: 3, strokeOpacity: 0.4, strokeDasharray: '6 5' },
  water: { strokeWidth: 1.6 },
  lane: { strokeWidth: 0.7 },
  outline: { strokeWidth: 1 },
} as const;

function LampMast({
  at,
  lit,
  inks,
}: {
  readonly at: Point2;
  readonly lit: boolean;
  readonly inks: Inks;
}) {
  const { x, y } = at;
  return (
    <G>
      {lit ? (
        <Circle
          cx={x}
          cy={y}
          r={11}
          fill="none"
          stroke={inks.ink}
          strokeWidth={0.8}
          strokeDasharray="2 3"
        />
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

/** A crown to scale, never smaller than can be seen, and the trunk. */
function TreeSign({ feature, canvas: { inks, scale } }: SignProps<FeatureOf<'tree'>>) {
  const { x, y } = scale.toPx(feature.points[0] as Point2);
  return (
    <G>
      <Circle
        cx={x}
        cy={y}
        r={Math.max(5, (feature.crownM / 2) * scale.pxPerM)}
        fill={inks.line}
        fillOpacity={0.7}
        stroke={inks.ink}
        strokeWidth={1.2}
        strokeDasharray="5 2"
      />
      <Circle cx={x} cy={y} r={1.8} fill={inks.ink} />
    </G>
  );
}

/** Hachures along the edge of the sheet where the skyline stands, longer the higher it is. */
function HillSign({ feature, canvas }: SignProps<FeatureOf<'hill'>>) {
  const { inks, scale, widthPx, heightPx } = canvas;
  const width = (feature.toDeg - feature.fromDeg + 360) % 360 || 360;
  const ticks = Math.max(2, Math.round(width / 2.5));
  const longPx = 5 + Math.min(24, feature.elevationDeg * 2);
  const d = Array.from({ length: ticks + 1 }, (_, i) => {
    const { x, y } = alongBearing(feature.fromDeg + (width * i) / ticks - scale.upDeg);
    const half = { x: widthPx / 2 - 3, y: heightPx / 2 - 3 };
    const reach = Math.min(
      Math.abs(x) > 1e-9 ? half.x / Math.abs(x) : Infinity,
      Math.abs(y) > 1e-9 ? half.y / Math.abs(y) : Infinity,
    );
    const at = (px: number) =>
      `${(widthPx / 2 + x * px).toFixed(1)} ${(heightPx / 2 - y * px).toFixed(1)}`;
    return `M${at(reach)}L${at(reach - longPx)}`;
  }).join('');
  return <Path d={d} stroke={inks.ink} strokeWidth={1.4} />;
}

function FenceSign({ feature, canvas: { inks, scale } }: SignProps<FeatureOf<'fence'>>) {
  return (
    <Path
      d={pathThrough(feature.points, scale)}
      fill="none"
      stroke={inks.ink}
      strokeWidth={1.2}
      strokeDasharray="1.5 3.5"
    />
  );
}

/** A dashed edge with short ticks on the side where nobody may stand. */
function KeepOutSign({ feature, canvas: { inks, scale } }: SignProps) {
  return (
    <G>
      <Path
        d={pathThrough(feature.points, scale, true)}
        fill="none"
        stroke={inks.ink}
        strokeWidth={1.1}
        strokeDasharray="9 4"
      />
      <Path d={inwardTicks(feature.points.map(scale.toPx))} stroke={inks.ink} strokeWidth={0.8} />
    </G>
  );
}

function CourseSign({ feature, canvas: { inks, scale } }: SignProps) {
  return (
    <G>
      <Path
        d={pathThrough(feature.points, scale)}
        fill="none"
        stroke={inks.ink}
        strokeWidth={1.4}
        strokeDasharray="12 3 2 3"
      />
      <Path
        d={arrowAlong(feature.points.map(scale.toPx))}
        fill="none"
        stroke={inks.ink}
        strokeWidth={1.4}
      />
    </G>
  );
}

const closedPath = (points: readonly Point2[], scale: PlanScale) =>
  pathThrough(points, scale, true);

/** One thing on the ground. Drawn again only when it, the scale or its lamp's light changes. */
export const FeatureSign = memo(function FeatureSign({
  feature,
  lampsOn,
  canvas,
}: SignProps & { readonly lampsOn: boolean }) {
  const { inks, scale } = canvas;
  switch (feature.kind) {
    case 'stand':
    case 'hide':
      return (
        <Path
          d={closedPath(feature.points, scale)}
          fill={feature.kind === 'hide' ? inks.sheet : inks.line}
          stroke={inks.ink}
          strokeWidth={1.6}
        />
      );
    case 'trees':
      return (
        <Path
          d={closedPath(feature.points, scale)}
          fill={inks.line}
          fillOpacity={0.7}
          stroke={inks.ink}
          strokeWidth={1.4}
          strokeDasharray="5 2"
        />
      );
    case 'tree':
      return <TreeSign feature={feature} canvas={canvas} />;
    case 'hill':
      return <HillSign feature={feature} canvas={canvas} />;
    case 'fence':
      return <FenceSign feature={feature} canvas={canvas} />;
    case 'keepOut':
      return <KeepOutSign feature={feature} canvas={canvas} />;
    case 'course':
      return <CourseSign feature={feature} canvas={canvas} />;
    case 'lamp':
      return <LampMast at={scale.toPx(feature.points[0] as Point2)} lit={lampsOn} inks={inks} />;
    case 'perch': {
      const { x, y } = scale.toPx(feature.points[0] as Point2);
      return (
        <Path
          d={`M${x} ${y}L${x} ${y - 11}M${x - 6} ${y - 11}L${x + 6} ${y - 11}`}
          stroke={inks.ink}
          strokeWidth={1.6}
        />
      );
    }
    case 'wall':
      return (
        <Path
          d={pathThrough(feature.points, scale)}
          fill="none"
          stroke={inks.ink}
          strokeWidth={3.2}
        />
      );
    case 'backdrop':
      return (
        <G>
          <Path
            d={pathThrough(feature.points, scale)}
            fill="none"
            stroke={inks.ink}
            strokeWidth={5}
          />
          <Path
            d={pathThrough(feature.points, scale)}
            fill="none"
            stroke={inks.paper}
            strokeWidth={2.6}
          />
        </G>
      );
    default:
      return (
        <Path
          d={pathThrough(feature.points, scale)}
          fill="none"
          stroke={inks.ink}
          {...LINE_STYLE[feature.kind]}
        />
      );
  }
});
