/** Size, blur, depth and motion of the true picture, measured in its own pixels (frame.ts). */
import { expect } from '@playwright/test';
import { SUBJECTS } from '../src/presets/subjects';
import {
  backgroundBlur,
  depthOfField,
  imageSize,
  motionSmear,
  pan,
  type Figure,
} from '../src/core';
import {
  type Drawn,
  EYE,
  GREY,
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
  sum,
  test,
  widthOf,
} from './frame';

test(
  'size and blur: as the lens formulas have them',
  { tag: '@once' },
  async ({ drawing: page }) => {
    const ball = await draw(page, sceneOf(30, {}, { figure: ballAt(30, 1.8) }), 24);
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

test(
  'every part of a player who swings a stick is drawn out as far as the core says',
  { tag: '@once' },
  async ({ drawing: page }) => {
    test.slow();
    const subject = SUBJECTS.find(({ id }) => id === 'field-player-swing');
    if (!subject) throw new Error('must be there');
    const path = { position: { x: 0, y: 20, z: 0 }, headingDeg: 70 };
    const aim = { x: 0, y: 20, z: subject.heightM / 2 };
    const shutterS = 1 / 125;
    const eye = { x: 0, y: 0, z: 1.2 };
    const smear = motionSmear({
      ...{ subject, parts: subject.parts, path, shutterS },
      camera: { position: eye, aim, focalMm: 200, sensor: SENSOR },
    });
    /** How far the light is spread about its middle, both ways together, in px². */
    const spread = ({ light }: Drawn): number => {
      const all = sum(light);
      const mean = (of: (x: number, y: number) => number) =>
        sum(light.map((value, i) => value * of(i % WIDTH, Math.floor(i / WIDTH)))) / all;
      const [x, y] = [mean((px) => px), mean((_, py) => py)];
      return mean((px, py) => (px - x) ** 2 + (py - y) ** 2);
    };
    for (const part of subject.parts) {
      const end = (upM: number) => ({
        ...{ aheadM: part.aheadM, leftM: part.leftM, upM: part.upM + upM, part: part.name },
      });
      const said = smear.find((one) => one.part === part.name);
      const figure: Figure = {
        ...{ subject, parts: subject.parts, path, facingDeg: path.headingDeg },
        phasesRad: { [part.name]: said?.phaseRad ?? 0 },
        pieces: [
          {
            ...{ shape: 'ball', from: end(-0.03), to: end(0.03) },
            ...{ fromRadiusM: 0.03, toRadiusM: 0.03, material: 'line', reflectance: GREY },
          },
        ],
      };
      const taken = (openS: number, samples: number) =>
        draw(page, sceneOf(20, { position: eye, aim, shutterS: openS }, { figure }), samples);
      const still = spread(await taken(1e-7, 6));
      const moved = spread(await taken(shutterS, 24));
      // What moves evenly by a length is spread by a twelfth of its square.
      expectNear(Math.sqrt(12 * (moved - still)), (said?.onSensorMm ?? 0) * PX_PER_MM);
    }
  },
);
