/**
 * Where a point lies in the picture, and the camera that each sample is drawn through, against the perspective camera of
 * three (registry), which is put up by an angle of view and a target and knows nothing of ours.
 */
import fc from 'fast-check';
import { PerspectiveCamera, Vector3 } from 'three';
import { instantOf, seenAt, type Point3, type Scene } from '@/core';
import { projector } from '@/core/motion/projection';

const SENSOR = { widthMm: 36, heightMm: 24, widthPx: 6000, heightPx: 4000 };

const apartM = (a: Point3, b: Point3) => Math.hypot(a.x - b.x, a.y - b.y, a.z - b.z);

/**
 * Where three has a point, in millimetres on the sensor from its middle. The lens is as far from the sensor as the
 * thin-lens equation has it when it is focused on its aim.
 */
function threes(position: Point3, aim: Point3, focalMm: number, point: Point3) {
  const imageMm = 1 / (1 / focalMm - 1 / (apartM(position, aim) * 1000));
  const upDeg = (2 * Math.atan(SENSOR.heightMm / 2 / imageMm) * 180) / Math.PI;
  const camera = new PerspectiveCamera(upDeg, SENSOR.widthMm / SENSOR.heightMm, 0.1, 2000);
  camera.up.set(0, 0, 1);
  camera.position.set(position.x, position.y, position.z);
  camera.lookAt(aim.x, aim.y, aim.z);
  camera.updateMatrixWorld();
  const { x, y } = new Vector3(point.x, point.y, point.z).project(camera);
  return { x: (x * SENSOR.widthMm) / 2, y: (y * SENSOR.heightMm) / 2 };
}

const metres = (max: number) => fc.double({ min: -max, max, noNaN: true });
const place = fc.record({ x: metres(100), y: metres(100), z: metres(20) });
const aside = fc.record({ x: metres(10), y: metres(10), z: metres(5) });
const focal = fc.double({ min: 14, max: 800, noNaN: true });
const plus = (a: Point3, b: Point3): Point3 => ({ x: a.x + b.x, y: a.y + b.y, z: a.z + b.z });

test('a point lies where three has it, from any place at any aim', () => {
  fc.assert(
    fc.property(place, place, aside, focal, (position, aim, off, focalMm) => {
      // Not straight down or up, and before the camera.
      fc.pre(Math.hypot(position.x - aim.x, position.y - aim.y) > 25);
      const point = plus(aim, off);
      const mm = projector({ position, aim, focalMm, sensor: SENSOR })(point);
      const expected = threes(position, aim, focalMm, point);
      expect(mm?.x).toBeCloseTo(expected.x, 5);
      expect(mm?.y).toBeCloseTo(expected.y, 5);
    }),
  );
});

test('through the middle of the lens a sample is drawn through that very camera', () => {
  const camera = {
    ...{ position: { x: 4, y: -30, z: 1.6 }, aim: { x: -2, y: 9, z: 0.9 } },
    ...{
      focalMm: 300,
      aperture: 4,
      shutterS: 1 / 1000,
      shakeS: 1e9,
      orientation: 'level' as const,
    },
    sensor: SENSOR,
  };
  const scene = { camera } as unknown as Scene;
  const { position, axes, left, right, foot, top, near } = seenAt(scene, instantOf(0), 600, 400);
  const [rightward, upward, forward] = axes;
  fc.assert(
    fc.property(aside, (off) => {
      const point = plus(camera.aim, off);
      const ray = { x: point.x - position.x, y: point.y - position.y, z: point.z - position.z };
      const along = (axis: Point3) => ray.x * axis.x + ray.y * axis.y + ray.z * axis.z;
      const onNear = (axis: Point3) => (along(axis) / along(forward)) * near;
      const across = (onNear(rightward) - left) / (right - left) - 0.5;
      const up = (onNear(upward) - foot) / (top - foot) - 0.5;
      const expected = threes(camera.position, camera.aim, camera.focalMm, point);
      expect(across * SENSOR.widthMm).toBeCloseTo(expected.x, 5);
      expect(up * SENSOR.heightMm).toBeCloseTo(expected.y, 5);
    }),
  );
});
