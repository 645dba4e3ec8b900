/** Light, exposure, wire and the silent shutter of the true picture, measured in its own pixels (frame.ts). */
import { expect } from '@playwright/test';
import {
  alongBearing,
  grainOf,
  illuminanceFromEv,
  imageSize,
  linearPerNit,
  meshThrough,
  pixelPitchMm,
  rollingShutterSkew,
  shadowLength,
  skyNits,
  type Figure,
  type Scene,
  type Solid,
} from '../src/core';
import { pictured } from '../src/answers/pictured';
import { chosenMark } from '../src/answers/view';
import { DEMO_SHOOTS } from '../src/demo';
import { msOf } from '../src/records/times';
import { projector } from '../src/core/motion/projection';
import {
  Drawn,
  GREY,
  HEIGHT,
  PX_PER_MM,
  SENSOR,
  WIDTH,
  across,
  ballAt,
  draw,
  expectNear,
  middleOf,
  sceneOf,
  sum,
  test,
} from './frame';

test(
  'between clouds the sky is the clear one, under them the overcast; together they take what was said',
  { tag: '@once' },
  async ({ drawing: page }) => {
    const toSun = alongBearing(200, 35);
    const EYE_UP = 40;
    const skyOf = (bearingDeg: number, cloud: number): Scene => {
      const { x, y, z } = alongBearing(bearingDeg, EYE_UP);
      const scene = sceneOf(1, { aim: { x, y, z: z + 1.5 }, focalMm: 24 });
      const light = { ...scene.light, lampLux: 0, skyLux: 12_000, toSun, cloud };
      return { ...scene, light, exposure: { ...scene.exposure, ev: 12 } };
    };
    const covers: number[] = [];
    for (const bearingDeg of [0, 90, 180, 270]) {
      const drawn = async (cloud: number) => (await draw(page, skyOf(bearingDeg, cloud), 1)).light;
      const [clear, half, overcast] = [await drawn(0), await drawn(0.4), await drawn(1)];
      // The middle of the picture, in nits as the core has it.
      const mid = Math.floor(HEIGHT / 2) * WIDTH + WIDTH / 2;
      const perNit = linearPerNit(skyOf(bearingDeg, 0).exposure);
      const toward = alongBearing(bearingDeg, EYE_UP);
      for (const [light, cloud] of [
        [clear, 0],
        [overcast, 1],
      ] as const) {
        const nits = skyNits({ skyLux: 12_000, cloud, toSun }, toward);
        expect((light[mid] as number) / (nits * perNit)).toBeCloseTo(1, 1);
      }
      // Where the two are alike nothing is told of what covers it.
      half.forEach((value, i) => {
        const [least, most] = [clear[i] as number, overcast[i] as number];
        if (Math.abs(most / least - 1) > 0.3) covers.push((value - least) / (most - least));
      });
    }
    covers.sort((a, b) => a - b);
    const share = (of: number) => covers[Math.floor(of * (covers.length - 1))] as number;
    expect(share(0)).toBeGreaterThan(-0.02);
    expect(share(1)).toBeLessThan(1.02);
    expect(share(0.95) - share(0.05)).toBeGreaterThan(0.5);
    expect(Math.abs(sum(covers) / covers.length - 0.4)).toBeLessThan(0.1);
  },
);

test(
  'a post’s shadow lies as the sun has it, and wire lets the sun through',
  { tag: '@once' },
  async ({ drawing: page }) => {
    const sun = { azimuthDeg: 240, altitudeDeg: 35 };
    const foot = { x: 0, y: 20, z: 0 };
    const camera = { position: { x: 0, y: 0, z: 30 }, aim: foot, focalMm: 135, sensor: SENSOR };
    const post: Solid = {
      ...{ shape: 'rod', from: foot, to: { ...foot, z: 2 }, radiusM: 0.12 },
      ...{ material: 'line', reflectance: 0.3 },
    };
    const toward = alongBearing(sun.azimuthDeg);
    const along = alongBearing(sun.azimuthDeg + 90);
    const fenceAt = (m: number) => ({
      x: foot.x + 1.5 * toward.x + m * along.x,
      y: foot.y + 1.5 * toward.y + m * along.y,
    });
    const fence: Solid = {
      ...{ shape: 'mesh', from: fenceAt(-3), to: fenceAt(3), heightM: 4 },
      ...{ pitchM: 0.05, wireM: 0.002, material: 'line', reflectance: 0 },
    };
    const scene = sceneOf(1, camera, { solids: [post, fence] });
    const drawn = await draw(
      page,
      {
        ...scene,
        ground: { material: 'line', reflectance: 0.2 },
        light: {
          ...{ ...scene.light, lampLux: 0, sunLux: 40_000, skyLux: 8000, cloud: 0 },
          toSun: alongBearing(sun.azimuthDeg, sun.altitudeDeg),
        },
        exposure: { ...scene.exposure, ev: 13 },
      },
      16,
    );
    const project = projector(camera);
    const away = alongBearing(sun.azimuthDeg + 180);
    const lengthM = shadowLength(2, sun.altitudeDeg);
    const lightAt = (alongM: number, asideM: number): number => {
      const at = {
        x: foot.x + away.x * alongM - away.y * asideM,
        y: foot.y + away.y * alongM + away.x * asideM,
        z: 0,
      };
      const image = project(at) ?? { x: 0, y: 0 };
      const [x, y] = [WIDTH / 2 + image.x * PX_PER_MM, HEIGHT / 2 + image.y * PX_PER_MM];
      return drawn.light[Math.floor(y) * WIDTH + Math.floor(x)] as number;
    };
    const lit = lightAt(lengthM * 0.5, 0.8);
    const shaded = lightAt(lengthM * 0.5, 0);
    // Sky alone against sky and sun: 8000 to 8000 + 40 000 · sin 35°.
    expect(shaded / lit).toBeCloseTo(8000 / (8000 + 40_000 * Math.sin((35 * Math.PI) / 180)), 1);
    const half = (lit + shaded) / 2;
    expect(lightAt(lengthM * 0.95, 0)).toBeLessThan(half);
    expect(lightAt(lengthM * 1.05 + 0.1, 0)).toBeGreaterThan(half);
    expect(lightAt(lengthM * 0.8, 0.3)).toBeGreaterThan(half);
    expect(lightAt(lengthM * 0.8, -0.3)).toBeGreaterThan(half);
  },
);

test(
  'exposure: grey where it is metered, a stop doubles it, highlights end, grain grows',
  { tag: '@once' },
  async ({ drawing: page }) => {
    const card: Solid = {
      ...{ shape: 'prism', fromM: 0, toM: 5 },
      footprint: [
        { x: -3, y: 10 },
        { x: 3, y: 10 },
        { x: 3, y: 11 },
        { x: -3, y: 11 },
      ],
      ...{ material: 'line', reflectance: GREY },
    };
    const scene = sceneOf(10, {}, { solids: [card] });
    const exposed = (change: Partial<Scene['exposure']>): Scene => ({
      ...scene,
      exposure: { ...scene.exposure, ...change },
    });
    const { ev } = scene.exposure;
    const grey = middleOf(await draw(page, scene, 4));
    expect(Math.abs(Math.log2(grey / 0.18))).toBeLessThan(0.1);
    for (const change of [{ ev: ev - 1 }, { liftStops: 1 }, { lossStops: -1 }]) {
      expect(middleOf(await draw(page, exposed(change), 4)) / grey).toBeCloseTo(2, 2);
    }
    // Three stops over grey is where it ends: common practice, no source.
    const mid = Math.floor(HEIGHT / 2) * WIDTH + WIDTH / 2;
    const over = await draw(page, exposed({ ev: ev - 3.3 }), 4);
    expect(over.shown[mid]).toBe(255);
    const under = await draw(page, exposed({ ev: ev - 2 }), 4);
    expect(under.shown[mid]).toBeLessThan(250);

    // A sensor of few large pixels, so that each drawn one is one of its own.
    const coarse = { ...SENSOR, widthPx: WIDTH, heightPx: HEIGHT };
    const variance = async (isoStops: number) => {
      const grained = { ...exposed({ isoStops }), camera: { ...scene.camera, sensor: coarse } };
      const { shown } = await draw(page, grained, 4);
      const decoded = shown.flatMap((value, i) => {
        const [x, y] = [i % WIDTH, Math.floor(i / WIDTH)];
        const inside = Math.abs(x - WIDTH / 2) < 60 && Math.abs(y - HEIGHT / 2) < 30;
        return inside ? [((value / 255 + 0.055) / 1.055) ** 2.4] : [];
      });
      const mean = sum(decoded) / decoded.length;
      return sum(decoded.map((value) => (value - mean) ** 2)) / decoded.length;
    };
    const computed = (isoStops: number) => {
      const { shot, read } = grainOf({ isoStops, liftStops: 0 }, pixelPitchMm(coarse), 1);
      return shot * 0.18 + read;
    };
    const [low, high] = [await variance(12), await variance(13)];
    expect(high / low / (computed(13) / computed(12))).toBeCloseTo(1, 1);
    expect(low / computed(12)).toBeGreaterThan(0.9);
    expect(low / computed(12)).toBeLessThan(1.1);
  },
);

test(
  'wire before the lens: what it takes, and how far its pattern is washed out',
  { tag: '@once' },
  async ({ drawing: page }) => {
    const wall: Solid = {
      ...{ shape: 'prism', fromM: -20, toM: 40, material: 'line', reflectance: GREY },
      footprint: [
        { x: -9, y: 20 },
        { x: 9, y: 20 },
        { x: 9, y: 21 },
        { x: -9, y: 21 },
      ],
    };
    const [fenceM, pitchM, wireM] = [5, 0.05, 0.008];
    const fence: Solid = {
      ...{ shape: 'mesh', from: { x: -5, y: fenceM }, to: { x: 5, y: fenceM }, heightM: 4 },
      ...{ pitchM, wireM, material: 'line', reflectance: 0 },
    };
    const pitchPx = ((pitchM / fenceM) * 1000 * PX_PER_MM * 200 * 20) / (20 - 0.2) / 1000;
    /** Mean of a stretch of whole periods, and how strongly it goes up and down with the wire. */
    const measured = async (aperture: number, samples: number) => {
      const scene = sceneOf(20, { aperture }, { solids: [wall, fence] });
      const profile = across(await draw(page, scene, samples)).slice(
        0,
        Math.round(Math.floor(WIDTH / pitchPx) * pitchPx),
      );
      const [cos, sin] = [Math.cos, Math.sin].map((of) =>
        sum(profile.map((value, x) => value * of((2 * Math.PI * (x + 0.5)) / pitchPx))),
      ) as [number, number];
      return { mean: sum(profile) / profile.length, swing: Math.hypot(cos, sin) / sum(profile) };
    };
    const free = across(await draw(page, sceneOf(20, {}, { solids: [wall] }), 8));
    const sharp = await measured(500, 64);
    const open = await measured(5.6, 160);
    const through = (aperture: number) =>
      meshThrough({
        ...{ focalMm: 200, aperture, fenceM, subjectM: 20 },
        ...{ pitchMm: pitchM * 1000, wireMm: wireM * 1000 },
      });
    const { lossShare, patternContrast } = through(5.6);
    expect(Math.abs(open.mean / (sum(free) / WIDTH) / (1 - lossShare) - 1)).toBeLessThan(0.05);
    const washed = patternContrast / through(500).patternContrast;
    expect(washed).toBeLessThan(0.8);
    expect(Math.abs(open.swing / sharp.swing / washed - 1)).toBeLessThan(0.05);
  },
);

test(
  'a silent shutter leans what goes by; the mirrored scene is the mirrored picture',
  { tag: '@once' },
  async ({ drawing: page }) => {
    const ball = ballAt(30, 0.1, 9);
    const end = (upM: number) => ({ aheadM: 0, leftM: 0, upM, part: 'body' });
    const post: Figure = {
      ...ball,
      pieces: [
        {
          ...{ shape: 'limb', from: end(-0.9), to: end(0.9), fromRadiusM: 0.05, toRadiusM: 0.05 },
          ...{ material: 'line', reflectance: GREY },
        },
      ],
    };
    const readoutS = 1 / 16;
    const middleOfRow = ({ light }: Drawn, fromTop: number) => {
      const row = light.slice((HEIGHT - 1 - fromTop) * WIDTH, (HEIGHT - fromTop) * WIDTH);
      return sum(row.map((value, x) => value * x)) / sum(row);
    };
    const drawn = await draw(page, sceneOf(30, { readoutS }, { figure: post }), 48);
    const [top, foot] = [HEIGHT / 2 - 40, HEIGHT / 2 + 40];
    const speed = imageSize({ sizeM: 9, distanceM: 30, focalMm: 200 });
    const { skewMm } = rollingShutterSkew({
      ...{ imageSpeedMmS: speed, readoutS, frameHeightMm: 24, heightShare: 80 / HEIGHT },
    });
    // Later rows see it further on: it goes to the right.
    expectNear(middleOfRow(drawn, foot) - middleOfRow(drawn, top), skewMm * PX_PER_MM);

    const sided = (side: 1 | -1) =>
      sceneOf(
        20,
        { aim: { x: 0, y: 20, z: 1 } },
        {
          solids: [
            {
              ...{ shape: 'rod', from: { x: side * 0.5, y: 20, z: 0 } },
              ...{ to: { x: side * 1.2, y: 20, z: 1.6 }, radiusM: 0.1 },
              ...{ material: 'line', reflectance: 0.5 },
            },
          ],
          ground: { material: 'line', reflectance: 0.2 },
          light: {
            ...{ ...sceneOf(1).light, lampLux: 100, sunLux: 900, skyLux: 200 },
            toSun: alongBearing(side * 120, 40),
          },
        },
      );
    const [right, left] = [await draw(page, sided(1), 32), await draw(page, sided(-1), 32)];
    const off = right.light.map((value, i) => {
      const [x, y] = [i % WIDTH, Math.floor(i / WIDTH)];
      return Math.abs(value - (left.light[y * WIDTH + WIDTH - 1 - x] as number));
    });
    const brightest = Math.max(...right.light);
    expect(sum(off) / off.length).toBeLessThan(0.01 * brightest);
    // And it is no picture that is its own mirror image.
    const own = right.light.map((value, i) => {
      const [x, y] = [i % WIDTH, Math.floor(i / WIDTH)];
      return Math.abs(value - (right.light[y * WIDTH + WIDTH - 1 - x] as number));
    });
    expect(sum(own) / own.length).toBeGreaterThan(0.02 * brightest);
  },
);

test(
  'in the demo shoots a grey ball where the subject is comes out as its face is exposed',
  { tag: '@once' },
  async ({ drawing: page }) => {
    for (const [shoot, at, markName] of [
      [0, '2027-04-16T18:50', undefined],
      // In the shade of the west stand.
      [0, '2027-04-16T19:10', 'Midfield, running up'],
      [0, '2027-04-16T20:30', undefined],
      [1, '2027-05-08T06:40', undefined],
      [1, '2027-05-08T05:20', undefined],
      [2, '2027-06-19T12:20', undefined],
    ] as const) {
      const demo = DEMO_SHOOTS[shoot] as (typeof DEMO_SHOOTS)[number];
      const mark = demo.marks.find(({ name }) => name === markName) ?? chosenMark(demo);
      const looking = { ...demo, choice: { ...demo.choice, markId: mark.id } };
      const picture = pictured(looking, msOf(at, demo.place.timeZone));
      if (!picture) throw new Error('must be seen');
      const { scene, view, answer } = picture;
      const radiusM = view.subject.heightM * 0.12;
      const end = (upM: number) => ({ aheadM: 0, leftM: 0, upM });
      const figure: Figure = {
        ...{ subject: { heightM: view.subject.heightM, speedMs: 0 }, parts: [], facingDeg: 0 },
        path: { position: scene.camera.aim, headingDeg: 0 },
        pieces: [
          {
            ...{ shape: 'ball', from: end(-radiusM), to: end(radiusM) },
            ...{ fromRadiusM: radiusM, toRadiusM: radiusM },
            ...{ material: 'line', reflectance: GREY },
          },
        ],
      };
      const { pan: _pan, ...still } = scene.camera;
      const drawn = await draw(
        page,
        { ...scene, camera: { ...still, shakeS: 1e9 }, figure, others: [] },
        12,
      );
      const lux = illuminanceFromEv(answer.light.ev.expected);
      const linear = ((GREY * lux) / Math.PI) * linearPerNit(scene.exposure);
      const offStops = Math.abs(Math.log2(middleOf(drawn) / linear));
      expect({ at, near: offStops < 0.1, offStops: offStops.toFixed(2) }).toMatchObject({
        near: true,
      });
    }
  },
);
