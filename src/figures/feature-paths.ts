import {
  openingsOf,
  perchEnds,
  slopeContours,
  slopeOf,
  wallObstacles,
  alongBearing,
  type FeatureKind,
  type FeatureOf,
  type Point2,
  type SiteFeature,
} from '@/core';
import type { Inks } from '@/ui/theme';
import { arrowAlong, circlePath, inwardTicks, polyline } from './line-work';
import type { Canvas } from './plan-types';

/**
 * How the things on a ground are drawn: layer over layer, each one path for all things of its
 * kinds, so that two hundred things are some twenty strokes of the pen.
 */

type Draw<K extends FeatureKind> = (feature: FeatureOf<K>, canvas: Canvas) => string;

export interface FeatureLayer {
  readonly key: string;
  readonly kinds: ReadonlySet<FeatureKind>;
  readonly draw: (feature: SiteFeature, canvas: Canvas) => string;
  readonly style: (inks: Inks, lampsOn: boolean) => Readonly<Record<string, string | number>>;
}

/** A layer of some kinds. */
const layer = <K extends FeatureKind>(
  key: string,
  kinds: readonly K[],
  draw: Draw<K>,
  style: FeatureLayer['style'],
): FeatureLayer => ({
  key,
  kinds: new Set<FeatureKind>(kinds),
  style,
  draw: (feature, canvas) => draw(feature as unknown as FeatureOf<K>, canvas),
});

const open = ({ points }: SiteFeature, { scale }: Canvas) =>
  polyline(points.map(scale.toPx), false);
const closed = ({ points }: SiteFeature, { scale }: Canvas) =>
  polyline(points.map(scale.toPx), true);
const at = ({ points }: SiteFeature, { scale }: Canvas) => scale.toPx(points[0] as Point2);

/** A crown is never drawn smaller than can be seen. */
const LEAST_CROWN_PX = 5;

const crown: Draw<'tree'> = (feature, canvas) =>
  circlePath(
    at(feature, canvas),
    Math.max(LEAST_CROWN_PX, (feature.crownM / 2) * canvas.scale.pxPerM),
  );

/** Hachures along the edge of the sheet where the skyline stands, longer the higher it is. */
const skyline: Draw<'hill'> = (feature, { scale, widthPx, heightPx }) => {
  const width = (feature.toDeg - feature.fromDeg + 360) % 360 || 360;
  const ticks = Math.max(2, Math.round(width / 2.5));
  const longPx = 5 + Math.min(24, feature.elevationDeg * 2);
  const half = { x: widthPx / 2 - 3, y: heightPx / 2 - 3 };
  return Array.from({ length: ticks + 1 }, (_, i) => {
    const { x, y } = alongBearing(feature.fromDeg + (width * i) / ticks - scale.upDeg);
    const reach = Math.min(
      Math.abs(x) > 1e-9 ? half.x / Math.abs(x) : Infinity,
      Math.abs(y) > 1e-9 ? half.y / Math.abs(y) : Infinity,
    );
    const along = (px: number) => ({ x: widthPx / 2 + x * px, y: heightPx / 2 - y * px });
    return polyline([along(reach), along(reach - longPx)], false);
  }).join('');
};

const diamond: Draw<'lamp'> = (feature, canvas) => {
  const { x, y } = at(feature, canvas);
  return polyline(
    [
      { x, y: y - 5 },
      { x: x + 5, y },
      { x, y: y + 5 },
      { x: x - 5, y },
    ],
    true,
  );
};

/** A stick to scale, and never too short to be seen. */
const LEAST_STICK_PX = 14;

function stick(feature: FeatureOf<'perch'>, { scale }: Canvas): string {
  const [tip, root] = perchEnds(feature).map(scale.toPx);
  if (!tip || !root) return '';
  const middle = { x: (tip.x + root.x) / 2, y: (tip.y + root.y) / 2 };
  const lengthPx = Math.hypot(tip.x - root.x, tip.y - root.y);
  const by = Math.max(1, LEAST_STICK_PX / lengthPx);
  const out = ({ x, y }: Point2) => ({
    x: middle.x + (x - middle.x) * by,
    y: middle.y + (y - middle.y) * by,
  });
  return polyline([out(tip), out(root)], false) + circlePath(middle, 2);
}

/** A low bush: three humps over its foot. */
const bush: Draw<'cover'> = (feature, canvas) => {
  const { x, y } = at(feature, canvas);
  return `M${x - 9} ${y + 4}a4 4 0 0 1 3 -7a6 6 0 0 1 12 0a4 4 0 0 1 3 7Z`;
};

/** A bowl on a stem. */
const bowl: Draw<'food'> = (feature, canvas) => {
  const { x, y } = at(feature, canvas);
  const rim = y - 8;
  return (
    polyline(
      [
        { x, y: y + 3 },
        { x, y: y - 3 },
      ],
      false,
    ) +
    polyline(
      [
        { x: x - 6, y: rim },
        { x: x - 3, y: y - 3 },
        { x: x + 3, y: y - 3 },
        { x: x + 6, y: rim },
      ],
      true,
    )
  );
};

const perch: Draw<'perch'> = (feature, canvas) => {
  if (feature.stick) return stick(feature, canvas);
  const { x, y } = at(feature, canvas);
  const top = y - 11;
  return (
    polyline(
      [
        { x, y },
        { x, y: top },
      ],
      false,
    ) +
    polyline(
      [
        { x: x - 6, y: top },
        { x: x + 6, y: top },
      ],
      false,
    )
  );
};

/** What its leaves cover of the ground beneath. */
const leaves: Draw<'branch'> = ({ points, spreadM }, { scale }) =>
  spreadM === 0
    ? ''
    : wallObstacles(points, spreadM, 1)
        .map(({ footprint }) => polyline(footprint.map(scale.toPx), true))
        .join('');

/** Gaps in the walls. */
const windows: Draw<'hide'> = ({ points, windows: all = [] }, { scale }) =>
  openingsOf(points, all)
    .map(({ left, right }) => polyline([scale.toPx(left), scale.toPx(right)], false))
    .join('');

/** More lines than this are grey. */
const MOST_CONTOURS = 6;

/** Lines of one height across a slope. */
const contours: Draw<'slope'> = (feature, { scale }) =>
  slopeContours(slopeOf(feature), MOST_CONTOURS)
    .map((line) => polyline(line.map(scale.toPx), false))
    .join('');

/** The line itself, an arrow at its higher end. */
const rising: Draw<'slope'> = ({ points, heightsM }, { scale }) => {
  const corners = points.map(scale.toPx);
  const up = (heightsM.at(-1) ?? 0) >= (heightsM[0] ?? 0) ? corners : corners.toReversed();
  return polyline(up, false) + arrowAlong(up);
};

const line =
  (strokeWidth: number, more: Readonly<Record<string, string | number>> = {}) =>
  (inks: Inks) => ({ fill: 'none', stroke: inks.ink, strokeWidth, ...more });

export const FEATURE_LAYERS: readonly FeatureLayer[] = [
  layer('contours of slopes', ['slope'], contours, (inks) => ({
    ...line(0.7, { strokeOpacity: 0.5 })(inks),
    stroke: inks.quiet,
  })),
  layer('slopes', ['slope'], rising, line(1, { strokeDasharray: '2 4' })),
  layer('trees', ['trees'], closed, (inks) => ({
    ...line(1.4, { strokeDasharray: '5 2', fillOpacity: 0.7 })(inks),
    fill: inks.line,
  })),
  layer('crowns', ['tree'], crown, (inks) => ({
    ...line(1.2, { strokeDasharray: '5 2', fillOpacity: 0.7 })(inks),
    fill: inks.line,
  })),
  layer(
    'trunks',
    ['tree'],
    (f, canvas) => circlePath(at(f, canvas), 1.8),
    (inks) => ({
      fill: inks.ink,
    }),
  ),
  layer('leaves', ['branch'], leaves, (inks) => ({
    ...line(0.8, { strokeDasharray: '5 2', fillOpacity: 0.5 })(inks),
    fill: inks.line,
  })),
  layer('branches', ['branch'], open, line(2.2)),
  layer('stands', ['stand'], closed, (inks) => ({ ...line(1.6)(inks), fill: inks.line })),
  layer('hides', ['hide'], closed, (inks) => ({ ...line(1.6)(inks), fill: inks.sheet })),
  layer('windows of hides', ['hide'], windows, (inks) => ({
    ...line(3.4)(inks),
    stroke: inks.sheet,
  })),
  layer('backdrops', ['backdrop'], open, line(5)),
  layer('backdrops, within', ['backdrop'], open, (inks) => ({
    ...line(2.6)(inks),
    stroke: inks.paper,
  })),
  layer('walls', ['wall'], open, line(3.2)),
  layer('water', ['water'], open, line(1.6)),
  layer('lanes', ['lane'], open, line(0.7)),
  layer('outlines', ['outline'], open, line(1)),
  layer('paths', ['path'], open, line(3, { strokeOpacity: 0.4, strokeDasharray: '6 5' })),
  layer('courses', ['course'], open, line(1.4, { strokeDasharray: '12 3 2 3' })),
  layer(
    'heads of courses',
    ['course'],
    ({ points }, { scale }) => arrowAlong(points.map(scale.toPx)),
    line(1.4),
  ),
  layer('fences', ['fence'], open, line(1.2, { strokeDasharray: '1.5 3.5' })),
  layer('keep-outs', ['keepOut'], closed, line(1.1, { strokeDasharray: '9 4' })),
  layer(
    'ticks of keep-outs',
    ['keepOut'],
    ({ points }, { scale }) => inwardTicks(points.map(scale.toPx)),
    line(0.8),
  ),
  layer('hills', ['hill'], skyline, line(1.4)),
  layer('perches', ['perch'], perch, line(1.6)),
  layer('cover', ['cover'], bush, line(1.6)),
  layer('food', ['food'], bowl, line(1.6)),
  layer(
    'halos of lamps',
    ['lamp'],
    (f, canvas) => circlePath(at(f, canvas), 11),
    (inks, lit) => ({
      ...line(0.8, { strokeDasharray: '2 3' })(inks),
      strokeOpacity: lit ? 1 : 0,
    }),
  ),
  layer('lamps', ['lamp'], diamond, (inks, lit) => ({
    ...line(1.2)(inks),
    fill: lit ? inks.ink : inks.paper,
  })),
];

const drawnBefore = new WeakMap<SiteFeature, Map<string, { canvas: Canvas; d: string }>>();

/** A thing's strokes on a layer; those of before while neither it nor the sheet has changed. */
function strokesOf(feature: SiteFeature, { key, draw }: FeatureLayer, canvas: Canvas): string {
  const known = drawnBefore.get(feature) ?? new Map<string, { canvas: Canvas; d: string }>();
  const before = known.get(key);
  if (before?.canvas === canvas) return before.d;
  const d = draw(feature, canvas);
  known.set(key, { canvas, d });
  drawnBefore.set(feature, known);
  return d;
}

/** One path for all that a layer shows. */
export const layerPath = (
  features: readonly SiteFeature[],
  layerOf: FeatureLayer,
  canvas: Canvas,
): string =>
  features
    .filter(({ kind }) => layerOf.kinds.has(kind))
    .map((feature) => strokesOf(feature, layerOf, canvas))
    .join('');
