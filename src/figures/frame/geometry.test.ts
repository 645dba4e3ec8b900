import { BufferGeometry, Mesh, type Material } from 'three';
import { joined, pieceGeometry, placePiece } from './geometry';

const SURFACE = { material: 'kit', reflectance: 0.2 } as const;

/** A ball of 0.1 m between two ends, drawn as the subject's pieces are. */
const ball = (from: [number, number, number], to: [number, number, number]) => {
  const point = ([x, y, z]: [number, number, number]) => ({ x, y, z });
  const made = pieceGeometry(
    { shape: 'ball', fromRadiusM: 0.1, toRadiusM: 0.1, ...SURFACE } as Parameters<
      typeof pieceGeometry
    >[0],
    0.2,
  );
  const mesh = new Mesh<BufferGeometry, Material>(made);
  placePiece(mesh as Mesh, 0.2, point(from), point(to));
  return mesh as Mesh;
};

test('pieces that stand still are one geometry, each corner where its own piece had it', () => {
  const [low, side] = [
    () => ball([5, 2, 0], [5, 2, 0.2]),
    // Lying along x and drawn out to three times its length.
    () => ball([8, 2, 1], [8.6, 2, 1]),
  ];
  const apart = [low().geometry, side().geometry];
  const whole = joined([low(), side()]);
  const [a, b] = apart.map((part) => part.getAttribute('position').count) as [number, number];
  expect(whole.getAttribute('position').count).toBe(a + b);
  whole.computeBoundingBox();
  const { min, max } = whole.boundingBox as NonNullable<typeof whole.boundingBox>;
  const near = (value: number) => expect.closeTo(value, 2) as number;
  expect([min.x, min.z, max.x, max.z]).toEqual([near(4.9), near(0), near(8.6), near(1.1)]);
  // The triangles of the second are of its own corners.
  const corners = [...(whole.getIndex()?.array ?? [])];
  const firsts = apart[0]?.getIndex()?.count ?? 0;
  expect(Math.max(...corners.slice(0, firsts))).toBeLessThan(a);
  expect(Math.min(...corners.slice(firsts))).toBe(a);
  const places = whole.getAttribute('position');
  for (let i = a; i < a + b; i += 1) expect(places.getX(i)).toBeGreaterThan(7.9);
  // Which way it faces is turned along: what was its end looks along x.
  const facing = whole.getAttribute('normal');
  const end = [...Array(b).keys()]
    .map((i) => a + i)
    .filter((i) => places.getX(i) > 8.59)
    .map((i) => facing.getX(i));
  expect(end.length).toBeGreaterThan(0);
  expect(Math.min(...end)).toBeGreaterThan(0.9);
  expect(whole.getAttribute('colour').count).toBe(a + b);
});
