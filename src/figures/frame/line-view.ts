import {
  alongBearing,
  figureThrough,
  imageScale,
  projector,
  type Figure,
  type Point2,
  type Point3,
  type Scene,
  type Solid,
} from '@/core';
import type { Paper } from './paper';

/** What a lens sees as flat shapes, drawn anew many times a second while a hand follows something. */

export interface LineView {
  readonly scene: Scene;
  /** What the camera looks at just now. */
  readonly aim: Point3;
  readonly figures: readonly Figure[];
  /** What flies besides: a ball. */
  readonly balls?: readonly { readonly middle: Point3; readonly radiusM: number }[];
  readonly widthPx: number;
  readonly heightPx: number;
  readonly paper: Paper;
}

/** A bend of the ground is drawn so wide. */
const EDGE_WIDE_M = 0.05;

type Rgb = readonly [number, number, number];

/** How light a surface looks, 0 to 1, much as the eye has it. */
const lightness = (reflectance: number): number => Math.min(1, reflectance ** 0.45 * 1.05);
const SKY_LIGHTNESS = 0.93;

function colour({ white, black }: Paper, share: number): string {
  const mixed = white.map((value, i) =>
    Math.round(255 * ((black[i] as number) + share * (value - (black[i] as number)))),
  ) as unknown as Rgb;
  return `rgb(${mixed.join(' ')})`;
}

/** A line is cut where it passes behind the lens, to so many halvings. */
const HALVINGS = 14;

type Spot = Point2;

/** A shape to be drawn, with how far off it is. */
interface Shape {
  readonly farM: number;
  readonly draw: (pen: CanvasRenderingContext2D) => void;
}

/** Draws what is seen, the furthest first. */
export function drawLineView(pen: CanvasRenderingContext2D, view: LineView): void {
  const { scene, aim, figures, balls = [], widthPx, heightPx, paper } = view;
  const { position, focalMm, sensor, orientation } = scene.camera;
  const camera = { position, aim, focalMm, sensor };
  const project = projector(camera);
  const mmPerM = imageScale(camera);
  const pxPerMm = widthPx / (orientation === 'level' ? sensor.widthMm : sensor.heightMm);
  const spotOf = (point: Point3): Spot | undefined => {
    const image = project(point);
    return image && { x: widthPx / 2 + image.x * pxPerMm, y: heightPx / 2 - image.y * pxPerMm };
  };
  const farOf = (point: Point3) =>
    Math.hypot(point.x - position.x, point.y - position.y, point.z - position.z);
  const between = (a: Point3, b: Point3, share: number): Point3 => ({
    x: a.x + share * (b.x - a.x),
    y: a.y + share * (b.y - a.y),
    z: a.z + share * (b.z - a.z),
  });
  /** What of a line is before the lens. */
  const before = (a: Point3, b: Point3): readonly [Point3, Point3] | undefined => {
    const [seenA, seenB] = [project(a), project(b)];
    if (seenA && seenB) return [a, b];
    if (!seenA && !seenB) return undefined;
    const [front, back] = seenA ? [a, b] : [b, a];
    let [near, far] = [0, 1];
    for (let i = 0; i < HALVINGS; i += 1) {
      const middle = (near + far) / 2;
      if (project(between(front, back, middle))) near = middle;
      else far = middle;
    }
    const end = between(front, back, near * 0.98);
    return seenA ? [front, end] : [end, front];
  };
  const polygon = (points: readonly Point3[], fill: string): Shape['draw'] => {
    const spots = points.flatMap((point) => spotOf(point) ?? []);
    return (to) => {
      if (spots.length < 3) return;
      to.fillStyle = fill;
      to.beginPath();
      spots.forEach(({ x, y }, i) => (i === 0 ? to.moveTo(x, y) : to.lineTo(x, y)));
      to.closePath();
      to.fill();
    };
  };
  const stroke =
    (from: Point3, to: Point3, widthM: number, ink: string, cap: CanvasLineCap) =>
    (into: CanvasRenderingContext2D): void => {
      const ends = before(from, to);
      if (!ends) return;
      const [a, b] = [spotOf(ends[0]), spotOf(ends[1])];
      if (!a || !b) return;
      into.strokeStyle = ink;
      into.lineCap = cap;
      into.lineWidth = Math.max(1, widthM * mmPerM(between(...ends, 0.5)) * pxPerMm);
      into.beginPath();
      into.moveTo(a.x, a.y);
      into.lineTo(b.x, b.y);
      into.stroke();
    };
  const round =
    (middle: Point3, acrossM: number, upM: number, fill: string) =>
    (into: CanvasRenderingContext2D): void => {
      const spot = spotOf(middle);
      if (!spot) return;
      const perM = mmPerM(middle) * pxPerMm;
      into.fillStyle = fill;
      into.beginPath();
      into.ellipse(
        spot.x,
        spot.y,
        Math.max(0.5, acrossM * perM),
        Math.max(0.5, upM * perM),
        0,
        0,
        7,
      );
      into.fill();
    };

  /** A ball drawn out between two points. */
  const drawnOut =
    (from: Point3, to: Point3, radiusM: number, fill: string) =>
    (into: CanvasRenderingContext2D): void => {
      const [a, b] = [spotOf(from), spotOf(to)];
      if (!a || !b) return;
      const radiusPx = radiusM * mmPerM(between(from, to, 0.5)) * pxPerMm;
      const halfPx = Math.max(radiusPx, Math.hypot(b.x - a.x, b.y - a.y) / 2);
      into.fillStyle = fill;
      into.beginPath();
      into.ellipse(
        (a.x + b.x) / 2,
        (a.y + b.y) / 2,
        halfPx,
        radiusPx,
        Math.atan2(b.y - a.y, b.x - a.x),
        0,
        7,
      );
      into.fill();
    };

  const ofSolid = (solid: Solid): readonly Shape[] => {
    const ink = colour(paper, lightness(solid.reflectance));
    switch (solid.shape) {
      case 'prism':
        return solid.footprint.flatMap((from, i): readonly Shape[] => {
          const to = solid.footprint[(i + 1) % solid.footprint.length] as Point2;
          const ends = before({ ...from, z: solid.fromM }, { ...to, z: solid.fromM });
          if (!ends) return [];
          const [a, b] = ends;
          const corners = [a, b, { ...b, z: solid.toM }, { ...a, z: solid.toM }];
          // Walls of a corner are told apart by how they lie to the light from above left.
          const turn = Math.abs(Math.sin(Math.atan2(to.y - from.y, to.x - from.x)));
          const wall = colour(paper, lightness(solid.reflectance) * (1 - 0.15 * turn));
          return [{ farM: farOf(between(a, b, 0.5)), draw: polygon(corners, wall) }];
        });
      case 'ellipsoid': {
        const { middle, radiiM } = solid;
        const acrossM = (radiiM.x + radiiM.y) / 2;
        // Its near side: what stands in it is not seen.
        return [{ farM: farOf(middle) - acrossM, draw: round(middle, acrossM, radiiM.z, ink) }];
      }
      case 'rod': {
        const { from, to, radiusM } = solid;
        const farM = farOf(between(from, to, 0.5));
        return [{ farM, draw: stroke(from, to, 2 * radiusM, ink, 'butt') }];
      }
      case 'painted':
        return solid.points.slice(1).map((to, i) => ({
          // Paint lies under all that stands.
          farM: Infinity,
          draw: stroke(
            { ...(solid.points[i] as Point2), z: 0 },
            { ...to, z: 0 },
            solid.widthM,
            ink,
            'butt',
          ),
        }));
      case 'slab': {
        // Where the ground bends: its two level edges.
        const [a, b, c, d] = solid.corners;
        return [
          [a, d],
          [b, c],
        ].flatMap(([from, to]): readonly Shape[] => {
          const ends = from && to && before(from, to);
          return ends
            ? [{ farM: Infinity, draw: stroke(ends[0], ends[1], EDGE_WIDE_M, ink, 'butt') }]
            : [];
        });
      }
      case 'mesh': {
        const { from, to, heightM } = solid;
        const ends = [heightM, heightM / 2].map((z) => [
          { ...from, z },
          { ...to, z },
        ]) as (readonly [Point3, Point3])[];
        return ends.map(([a, b]) => ({
          farM: farOf(between(a, b, 0.5)),
          draw: stroke(a, b, solid.wireM, ink, 'butt'),
        }));
      }
    }
  };
  const ofFigure = (figure: Figure): Shape => {
    const placed = figureThrough(figure, position)(0);
    const pieces = placed
      .map(({ from, to }, i) => {
        const piece = figure.pieces[i] as Figure['pieces'][number];
        const ink = colour(paper, lightness(piece.reflectance));
        const widthM = piece.fromRadiusM + piece.toRadiusM;
        return {
          farM: farOf(between(from, to, 0.5)),
          draw:
            piece.shape === 'ball'
              ? drawnOut(from, to, widthM / 2, ink)
              : stroke(from, to, widthM, ink, 'round'),
        };
      })
      .sort((a, b) => b.farM - a.farM);
    return {
      farM: farOf(figure.path.position),
      draw: (into) => pieces.forEach(({ draw }) => draw(into)),
    };
  };

  // Where the ground meets the sky: far along the way the camera looks, level with it.
  const ahead = Math.atan2(aim.x - position.x, aim.y - position.y);
  const along = alongBearing((ahead * 180) / Math.PI);
  const horizon = spotOf({
    x: position.x + along.x * 1e6,
    y: position.y + along.y * 1e6,
    z: position.z,
  });
  const horizonPx = Math.min(heightPx, Math.max(0, horizon?.y ?? 0));
  pen.fillStyle = colour(paper, SKY_LIGHTNESS);
  pen.fillRect(0, 0, widthPx, heightPx);
  pen.fillStyle = colour(paper, lightness(scene.ground.reflectance));
  pen.fillRect(0, horizonPx, widthPx, heightPx - horizonPx);
  [
    ...scene.solids.flatMap(ofSolid),
    ...scene.others.map(ofFigure),
    ...figures.map(ofFigure),
    ...balls.map(({ middle, radiusM }) => ({
      farM: farOf(middle),
      draw: round(middle, radiusM, radiusM, colour(paper, 1)),
    })),
  ]
    .sort((a, b) => b.farM - a.farM)
    .forEach(({ draw }) => draw(pen));
}
