import {
  BufferGeometry,
  Color,
  Float32BufferAttribute,
  ShapeUtils,
  Vector2,
  Vector3,
  LatheGeometry,
  type Mesh,
} from 'three';
import type { Material, Piece, Point2, Point3, Solid, Surface } from '@/core';

/** A scene's solids as triangles, each with its colour. */

/** Colours of what things are made of, before they are made as light as the surface is: few, and matt. */
const INKS: Readonly<Record<Material, string>> = {
  ground: '#8f9a63',
  line: '#fbf7ec',
  leaf: '#6f8058',
  wood: '#8a7458',
  stone: '#b9b0a0',
  water: '#7c909c',
  skin: '#d8a887',
  hair: '#4a3b30',
  kit: '#b5452c',
  cloth: '#46566b',
  dark: '#3a3833',
  pale: '#efe8d8',
  rust: '#c9743c',
  blue: '#4a7fa0',
  sand: '#d9c08f',
  flower: '#b0617e',
};
const LUMINANCE = [0.2126, 0.7152, 0.0722] as const;
/** Drawn farther off than this, things are set at it, as large as they look. */
export const FARTHEST_M = 3000;

/** How large the light and dark of a surface is, in metres; 0 where it is even. Rough, no source. */
const DETAIL_M: Readonly<Partial<Record<Material, number>>> = {
  leaf: 0.5,
  stone: 0.7,
  ground: 0.3,
  water: 0.5,
  flower: 0.2,
};

/** Linear colour whose luminance is the surface's reflectance, and the size of its detail. */
export function albedo({
  material,
  reflectance,
}: Surface): readonly [number, number, number, number] {
  const { r, g, b } = new Color(INKS[material]);
  const share = reflectance / (LUMINANCE[0] * r + LUMINANCE[1] * g + LUMINANCE[2] * b);
  return [r * share, g * share, b * share, DETAIL_M[material] ?? 0];
}

/** Triangles as they are put together. */
class Triangles {
  private readonly positions: number[] = [];
  private readonly normals: number[] = [];
  private readonly colours: number[] = [];

  add(corners: readonly Point3[], normals: readonly Point3[], surface: Surface): void {
    const colour = albedo(surface);
    corners.forEach((corner, i) => {
      const normal = normals[i] as Point3;
      this.positions.push(corner.x, corner.y, corner.z);
      this.normals.push(normal.x, normal.y, normal.z);
      this.colours.push(...colour);
    });
  }

  /** A flat four-sided piece, its corners in order. */
  quad(corners: readonly [Point3, Point3, Point3, Point3], normal: Point3, surface: Surface): void {
    const [a, b, c, d] = corners;
    this.add([a, b, c, a, c, d], Array<Point3>(6).fill(normal), surface);
  }

  geometry(): BufferGeometry {
    const made = new BufferGeometry();
    made.setAttribute('position', new Float32BufferAttribute(this.positions, 3));
    made.setAttribute('normal', new Float32BufferAttribute(this.normals, 3));
    made.setAttribute('colour', new Float32BufferAttribute(this.colours, 4));
    return made;
  }
}

const UP: Point3 = { x: 0, y: 0, z: 1 };
const at = ({ x, y }: Point2, z: number): Point3 => ({ x, y, z });

/** What is farther than can be drawn, nearer on the same line of sight. */
function pulled(point: Point3, eye: Point3): Point3 {
  const [x, y, z] = [point.x - eye.x, point.y - eye.y, point.z - eye.z];
  const share = Math.min(1, FARTHEST_M / Math.hypot(x, y));
  return { x: eye.x + x * share, y: eye.y + y * share, z: eye.z + z * share };
}

function addPrism(to: Triangles, solid: Extract<Solid, { shape: 'prism' }>, eye: Point3): void {
  const { footprint, fromM, toM } = solid;
  const outline = ShapeUtils.isClockWise(footprint.map(({ x, y }) => new Vector2(x, y)))
    ? [...footprint].reverse()
    : footprint;
  const place = (point: Point2, z: number) => pulled(at(point, z), eye);
  outline.forEach((a, i) => {
    const b = outline[(i + 1) % outline.length] as Point2;
    const length = Math.hypot(b.x - a.x, b.y - a.y) || 1;
    const normal = { x: (b.y - a.y) / length, y: (a.x - b.x) / length, z: 0 };
    to.quad([place(a, fromM), place(b, fromM), place(b, toM), place(a, toM)], normal, solid);
  });
  const faces = ShapeUtils.triangulateShape(
    outline.map(({ x, y }) => new Vector2(x, y)),
    [],
  );
  faces.forEach((face) =>
    to.add(
      face.map((i) => place(outline[i] as Point2, toM)),
      [UP, UP, UP],
      solid,
    ),
  );
}

const ROUND = 20;

function addEllipsoid(
  to: Triangles,
  { middle, radiiM, ...surface }: Extract<Solid, { shape: 'ellipsoid' }>,
) {
  const on = (i: number, j: number) => {
    const [turn, rise] = [(2 * Math.PI * i) / ROUND, Math.PI * (j / (ROUND / 2) - 0.5)];
    const unit = {
      x: Math.cos(rise) * Math.cos(turn),
      y: Math.cos(rise) * Math.sin(turn),
      z: Math.sin(rise),
    };
    const point = {
      x: middle.x + radiiM.x * unit.x,
      y: middle.y + radiiM.y * unit.y,
      z: middle.z + radiiM.z * unit.z,
    };
    const { x, y, z } = new Vector3(
      unit.x / radiiM.x,
      unit.y / radiiM.y,
      unit.z / radiiM.z,
    ).normalize();
    return { point, normal: { x, y, z } };
  };
  for (let i = 0; i < ROUND; i += 1) {
    for (let j = 0; j < ROUND / 2; j += 1) {
      const [a, b, c, d] = [on(i, j), on(i + 1, j), on(i + 1, j + 1), on(i, j + 1)];
      const corners = [a, b, c, a, c, d];
      to.add(
        corners.map(({ point }) => point),
        corners.map(({ normal }) => normal),
        surface,
      );
    }
  }
}

const ROD_SIDES = 10;

function addRod(
  to: Triangles,
  { from, to: end, radiusM, ...surface }: Extract<Solid, { shape: 'rod' }>,
) {
  const along = new Vector3(end.x - from.x, end.y - from.y, end.z - from.z).normalize();
  const aside = new Vector3(
    ...((Math.abs(along.z) < 0.9 ? [0, 0, 1] : [1, 0, 0]) as [number, number, number]),
  )
    .cross(along)
    .normalize();
  const third = new Vector3().crossVectors(along, aside);
  const out = (i: number): Point3 => {
    const turn = (2 * Math.PI * i) / ROD_SIDES;
    const v = aside.clone().multiplyScalar(Math.cos(turn)).addScaledVector(third, Math.sin(turn));
    return { x: v.x, y: v.y, z: v.z };
  };
  const off = (base: Point3, n: Point3): Point3 => ({
    x: base.x + n.x * radiusM,
    y: base.y + n.y * radiusM,
    z: base.z + n.z * radiusM,
  });
  for (let i = 0; i < ROD_SIDES; i += 1) {
    const [m, n] = [out(i), out(i + 1)];
    const [a, b, c, d] = [off(from, m), off(from, n), off(end, n), off(end, m)];
    to.add([a, b, c, a, c, d], [m, n, n, m, n, m], surface);
    const cap = { x: along.x, y: along.y, z: along.z };
    to.add([d, c, end], [cap, cap, cap], surface);
  }
}

function addSlab(to: Triangles, { corners, ...surface }: Extract<Solid, { shape: 'slab' }>): void {
  const [a, b, , d] = corners.map(({ x, y, z }) => new Vector3(x, y, z)) as [
    Vector3,
    Vector3,
    Vector3,
    Vector3,
  ];
  const { x, y, z } = b.sub(a).cross(d.sub(a)).normalize();
  const up = z < 0 ? { x: -x, y: -y, z: -z } : { x, y, z };
  to.quad(corners as [Point3, Point3, Point3, Point3], up, surface);
}

/** Just over the ground, so that it is not lost in it. */
const PAINT_M = 0.004;

function addPainted(
  to: Triangles,
  { points, widthM, ...surface }: Extract<Solid, { shape: 'painted' }>,
) {
  points.slice(1).forEach((b, i) => {
    const a = points[i] as Point2;
    const length = Math.hypot(b.x - a.x, b.y - a.y) || 1;
    const [nx, ny] = [((a.y - b.y) / length) * (widthM / 2), ((b.x - a.x) / length) * (widthM / 2)];
    const corner = (p: Point2, side: number) =>
      at({ x: p.x + nx * side, y: p.y + ny * side }, PAINT_M);
    to.quad([corner(a, -1), corner(b, -1), corner(b, 1), corner(a, 1)], UP, surface);
  });
}

/** All that stands, in one piece; wire is not in it. */
export function solidsGeometry(solids: readonly Solid[], eye: Point3): BufferGeometry {
  const triangles = new Triangles();
  solids.forEach((solid) => {
    if (solid.shape === 'prism') addPrism(triangles, solid, eye);
    else if (solid.shape === 'ellipsoid') addEllipsoid(triangles, solid);
    else if (solid.shape === 'rod') addRod(triangles, solid);
    else if (solid.shape === 'painted') addPainted(triangles, solid);
    else if (solid.shape === 'slab') addSlab(triangles, solid);
  });
  return triangles.geometry();
}

/** The level ground round a point, out to where it is lost. */
export function groundGeometry(surface: Surface, middle: Point3): BufferGeometry {
  const triangles = new Triangles();
  const r = FARTHEST_M * 1.2;
  const corner = (x: number, y: number): Point3 => ({
    x: middle.x + x * r,
    y: middle.y + y * r,
    z: 0,
  });
  triangles.quad([corner(-1, -1), corner(1, -1), corner(1, 1), corner(-1, 1)], UP, surface);
  return triangles.geometry();
}

/** A wire fence's plane; `metres` counts along and up it. */
export function meshGeometry({
  from,
  to,
  heightM,
  ...surface
}: Extract<Solid, { shape: 'mesh' }>): BufferGeometry {
  const triangles = new Triangles();
  const length = Math.hypot(to.x - from.x, to.y - from.y);
  const normal = { x: (to.y - from.y) / length, y: (from.x - to.x) / length, z: 0 };
  triangles.quad([at(from, 0), at(to, 0), at(to, heightM), at(from, heightM)], normal, surface);
  const made = triangles.geometry();
  const [l, h] = [length, heightM];
  made.setAttribute('metres', new Float32BufferAttribute([0, 0, l, 0, l, h, 0, 0, l, h, 0, h], 2));
  return made;
}

const ARC = 5;

/** A piece of a figure along +y, its ends at 0 and 1 of `lengthM`: a tapering limb with round ends, or a ball. */
export function pieceGeometry(
  { shape, fromRadiusM, toRadiusM, ...surface }: Piece,
  lengthM: number,
): BufferGeometry {
  const profile: Vector2[] = [];
  if (shape === 'ball') {
    for (let i = 0; i <= 2 * ARC; i += 1) {
      const turn = Math.PI * (i / (2 * ARC));
      profile.push(new Vector2(fromRadiusM * Math.sin(turn), (lengthM / 2) * (1 - Math.cos(turn))));
    }
  } else {
    for (let i = 0; i <= ARC; i += 1) {
      const turn = (Math.PI / 2) * (i / ARC);
      profile.push(new Vector2(fromRadiusM * Math.sin(turn), -fromRadiusM * Math.cos(turn)));
    }
    for (let i = 0; i <= ARC; i += 1) {
      const turn = (Math.PI / 2) * (i / ARC);
      profile.push(new Vector2(toRadiusM * Math.cos(turn), lengthM + toRadiusM * Math.sin(turn)));
    }
  }
  const made = new LatheGeometry(profile, 14);
  const count = made.getAttribute('position').count;
  const colour = albedo(surface);
  made.setAttribute(
    'colour',
    new Float32BufferAttribute(Array.from({ length: count }, () => colour).flat(), 4),
  );
  return made;
}

const Y = new Vector3(0, 1, 0);

/** A figure's piece, put between its two ends. */
export function placePiece(mesh: Mesh, restM: number, from: Point3, to: Point3): void {
  const along = new Vector3(to.x - from.x, to.y - from.y, to.z - from.z);
  const length = along.length();
  mesh.position.set(from.x, from.y, from.z);
  if (length > 0) mesh.quaternion.setFromUnitVectors(Y, along.divideScalar(length));
  mesh.scale.set(1, restM > 0 ? length / restM : 1, 1);
}

/** Placed pieces as one geometry: each that is drawn by itself costs a graphics card as much as hundreds of corners. */
export function joined(pieces: readonly Mesh[]): BufferGeometry {
  const parts = pieces.map((piece) => {
    piece.updateMatrix();
    return piece.geometry.applyMatrix4(piece.matrix);
  });
  const made = new BufferGeometry();
  const values = (name: string) => parts.flatMap((part) => [...part.getAttribute(name).array]);
  made.setAttribute('position', new Float32BufferAttribute(values('position'), 3));
  made.setAttribute('normal', new Float32BufferAttribute(values('normal'), 3));
  made.setAttribute('colour', new Float32BufferAttribute(values('colour'), 4));
  let before = 0;
  const corners = parts.flatMap((part) => {
    const own = [...(part.getIndex()?.array ?? [])].map((corner) => corner + before);
    before += part.getAttribute('position').count;
    return own;
  });
  made.setIndex(corners);
  return made;
}
