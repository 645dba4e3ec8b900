/** Size, blur, depth and motion of the true picture, measured in its own pixels (frame.ts). */
import { expect } from '@playwright/test';
import { backgroundBlur, depthOfField, imageSize, motionSmear, pan } from '../src/core';
import {
  EYE,
  NOBODY,
  PX_PER_MM,
  SENSOR,
  WIDTH,
  across,
  ballAt,
  column,
  discPx,
  draw,
  expectNear,
  point,
  sceneOf,
  test,
  widthOf,
} from './frame';

test(
  'size and blur: as the lens formulas have them',
  { tag: '@once' },
  async ({ drawing: page }) => {
    const ball = await draw(page, sceneOf(30, {}, { figure: ballAt(30, 1.8) }));
    const sizePx = imageSize({ sizeM: 1.8, distanceM: 30, focalMm: 200 }) * PX_PER_MM;
    expectNear(widthOf(column(ball, WIDTH / 2)), sizePx);

    // A point at twice the distance, through an open lens.
    const behind = point({ x: 0, y: 40, z: EYE.z }, 0.01);
    const open = { focalMm: 200, aperture: 2.8 };
    const blurred = await draw(page, sceneOf(20, open, { solids: [behind] }), 96);
    const { discMm } = backgroundBlur({ ...open, subjectM: 20, backgroundM: 40 });
    expectNear(discPx(blurred), discMm * PX_PER_MM);
  },
);

test(
  'at both limits of the depth of field the disc is the circle they are reckoned by',
  { tag: '@once' },
  async ({ drawing: page }) => {
    const cocMm = 1;
    const long = { focalMm: 400, aperture: 2.8 };
    const limits = depthOfField({ ...long, distanceM: 20, cocMm });
    for (const y of [limits.nearM, limits.farM]) {
      const solids = [point({ x: 0, y, z: EYE.z }, 0.015)];
      const drawn = await draw(page, sceneOf(20, long, { solids }), 128);
      expectNear(discPx(drawn), cocMm * PX_PER_MM);
    }
  },
);

test(
  'motion: a crossing ball, and the background of a pan',
  { tag: '@once' },
  async ({ drawing: page }) => {
    const shutterS = 1 / 60;
    const figure = ballAt(30, 0.1, 9);
    const drawn = await draw(page, sceneOf(30, { shutterS }, { figure }), 96);
    const [smear] = motionSmear({
      ...{ subject: figure.subject, parts: figure.parts, path: figure.path, shutterS },
      camera: { position: EYE, aim: { x: 0, y: 30, z: EYE.z }, focalMm: 200, sensor: SENSOR },
    });
    expectNear(widthOf(across(drawn)), (smear?.onSensorMm ?? 0) * PX_PER_MM);

    const following = { part: 'body', rateError: 0 };
    const wall = [point({ x: 0, y: 60, z: EYE.z }, 0.1)];
    const panned = sceneOf(30, { shutterS, pan: following }, { figure: NOBODY, solids: wall });
    const streak = await draw(page, { ...panned, figure: { ...figure, pieces: [] } }, 96);
    const { streakMm } = pan({
      ...{ speedMs: 9, closestM: 30, offsetM: 0, focalMm: 200, shutterS, skillSigma: 0.1 },
    });
    expectNear(widthOf(across(streak)), streakMm * PX_PER_MM);
    // What is followed stands still.
    const held = await draw(page, sceneOf(30, { shutterS, pan: following }, { figure }), 64);
    const ballPx = imageSize({ sizeM: 0.1, distanceM: 30, focalMm: 200 }) * PX_PER_MM;
    expectNear(widthOf(column(held, WIDTH / 2)), ballPx);
    expect(Math.max(...held.light)).toBeGreaterThan(0.15);
  },
);
