import fc from 'fast-check';
import { SUBJECTS } from '@/presets/subjects';
import { figureOf } from '@/presets/subject-figures';
import {
  bandsOf,
  CLEAR_SKY,
  CLIPPED_AT,
  figurePieces,
  figureThrough,
  grainOf,
  instantOf,
  linearPerNit,
  MID_GREY,
  OVERCAST_SKY,
  seenAt,
  siteSolids,
  skyNits,
  skyOnLevel,
  skyShape,
  toned,
  windowOn,
  type Figure,
  type Scene,
} from '.';
import { projector } from '../motion/projection';
import { partTrack } from '../motion/subject';
import { alongBearing, dot, length, subtract, unit } from '../site/vector';

const EYE = { x: 0, y: -20, z: 1 };
const SENSOR = { widthMm: 36, heightMm: 24, widthPx: 6000, heightPx: 4000 };
const figureOfSubject = (id: string, facingDeg = 0): Figure => {
  const subject = SUBJECTS.find((one) => one.id === id);
  if (!subject) throw new Error(`no subject ${id}`);
  return {
    ...{ subject, parts: subject.parts, facingDeg },
    path: { position: { x: 0, y: 0, z: 0 }, headingDeg: facingDeg },
    pieces: figurePieces(figureOf(subject), subject),
  };
};

/** Somebody who stands, through a long lens, under lamps. */
const sceneOf = (aim: Scene['camera']['aim']): Scene => ({
  camera: {
    ...{ position: { x: 1, y: -2, z: 1.4 }, aim, focalMm: 300, aperture: 4, shutterS: 1 / 500 },
    ...{ sensor: SENSOR, orientation: 'level', shakeS: 1e9 },
  },
  exposure: { ev: 10, lossStops: 0, liftStops: 0, isoStops: 0 },
  light: {
    ...{ toSun: { x: 0, y: 0, z: 1 }, sunLux: 0, skyLux: 0, cloud: 0, subjectSkyView: 0.5 },
    ...{ lampLux: 100, groundReflectance: 0.2, share: 1, indoors: false },
  },
  ground: { material: 'ground', reflectance: 0.2 },
  solids: [],
  figure: figureOfSubject('standing'),
  others: [],
});

describe('figures', () => {
  test.each(SUBJECTS.map(({ id, heightM }) => [id, heightM] as const))(
    '%s is drawn some %d m high',
    (id, heightM) => {
      const figure = figureOfSubject(id);
      const placed = figureThrough(figure, EYE)(0);
      const ends = placed.flatMap(({ from, to }, i) => {
        const { shape, fromRadiusM, toRadiusM } = figure.pieces[
          i
        ] as (typeof figure.pieces)[number];
        // A ball drawn out between its ends has no roundness beyond them.
        const round = shape === 'limb' ? [fromRadiusM, toRadiusM] : [0, 0];
        return [from.z + (round[0] as number), to.z + (round[1] as number)];
      });
      const low = placed.flatMap(({ from, to }) => [from.z, to.z]);
      const tall = Math.max(...ends) - Math.min(...low);
      // Swimmers and butterflies lie; the rest stand as high as they are, arms and sticks apart.
      const lies = /swimmer|butterfly|duck|gull|heron|flight|dive/.test(id);
      expect(tall).toBeLessThan(heightM * 1.3);
      if (!lies) expect(tall).toBeGreaterThan(heightM * 0.75);
    },
  );
  test.each(SUBJECTS.map(({ id }) => id))(
    '%s: a piece that has a part’s name goes where it goes',
    (id) => {
      const figure = figureOfSubject(id, 70);
      const at = figureThrough(figure, EYE);
      const [before, after] = [at(-0.001), at(0.001)];
      figure.pieces.forEach(({ to }, i) => {
        const part = figure.parts.find(({ name }) => name === to.part);
        if (!part) return;
        const track = partTrack(figure.subject, part, figure.path);
        const phaseRad = part.swing?.phaseRad ?? 0;
        const moved = subtract(track(0.001, phaseRad), track(-0.001, phaseRad));
        const drawn = subtract(
          (after[i] as (typeof after)[number]).to,
          (before[i] as (typeof before)[number]).to,
        );
        // Its own unsteadiness comes at right angles to that.
        const own = subtract(drawn, moved);
        expect(length(own)).toBeCloseTo(0.002 * figure.subject.speedMs * (part.ownShare ?? 0), 9);
        expect(Math.abs(dot(own, moved))).toBeLessThan(1e-6);
      });
    },
  );
  test('blades go round their hub, as far apart at all times', () => {
    const at = figureThrough(figureOfSubject('desk-fan', 70), EYE);
    [-0.02, 0, 0.005, 0.013].forEach((timeS) => {
      const tips = at(timeS).flatMap(({ from, to }) =>
        to.z === from.z ? [] : [{ hub: from, to }],
      );
      const blades = tips.filter(({ hub }) => Math.abs(hub.z - 0.27) < 1e-9);
      expect(blades).toHaveLength(3);
      blades.forEach(({ hub, to }, i) => {
        expect(length(subtract(to, hub))).toBeCloseTo(0.16, 9);
        const next = blades[(i + 1) % 3] as (typeof blades)[number];
        expect(length(subtract(to, next.to))).toBeCloseTo(0.16 * Math.sqrt(3), 9);
      });
    });
  });
  test('in another phase a part swings otherwise, from where it is', () => {
    const still = figureOfSubject('field-player-swing', 90);
    const [swinging] = still.parts.filter(({ swing }) => swing);
    if (!swinging) throw new Error('something must swing');
    const turned = { ...still, phasesRad: { [swinging.name]: 1.2 } };
    const tip = still.pieces.findIndex(({ to }) => to.part === swinging.name);
    const [a, b] = [still, turned].map((figure) => figureThrough(figure, EYE));
    expect(b?.(0)[tip]).toEqual(a?.(0)[tip]);
    const track = partTrack(still.subject, swinging, still.path);
    const moved = subtract(b?.(0.004)[tip]?.to ?? EYE, b?.(0)[tip]?.to ?? EYE);
    const along = subtract(track(0.004, 1.2), track(0, 1.2));
    expect(dot(unit(moved), unit(along))).toBeGreaterThan(0.8);
    expect(moved).not.toEqual(subtract(a?.(0.004)[tip]?.to ?? EYE, a?.(0)[tip]?.to ?? EYE));
  });
  test('the stick’s tip stands where the part is, ahead and to the right of the way it looks', () => {
    const figure = figureOfSubject('field-player-swing', 0);
    const tips = figureThrough(figure, EYE)(0).map(({ to }) => to);
    // 0.6 m ahead, 0.4 m to the right, 0.3 m up: the subject's own preset.
    expect(tips.some(({ x, y, z }) => Math.hypot(x - 0.4, y - 0.6, z - 0.3) < 1e-9)).toBe(true);
  });
  test('what flies steeply down is tilted about its middle', () => {
    const dive = { ...figureOfSubject('kingfisher-dive'), pitchDeg: -60 };
    const level = figureThrough(figureOfSubject('kingfisher-dive'), EYE)(0);
    const tilted = figureThrough(dive, EYE)(0);
    const ahead = level.map(({ to }) => to.y);
    const bill = ahead.indexOf(Math.max(...ahead));
    const drop = (tilted[bill]?.to.z ?? 0) - (level[bill]?.to.z ?? 0);
    expect(drop).toBeLessThan(-0.08);
    expect(tilted[bill]?.to.y).toBeLessThan((level[bill]?.to.y ?? 0) * 0.75);
  });
});

describe('light and tone', () => {
  test.each([
    ['clear', CLEAR_SKY, 0],
    ['overcast', OVERCAST_SKY, 1],
  ] as const)('a %s sky gives level ground what it is said to', (_name, kind, cloud) => {
    const toSun = alongBearing(200, 35);
    // Independent of the module's own sum: a finer one, over the height's sine.
    let lux = 0;
    const [rings, turns] = [40, 16];
    for (let i = 0; i < rings; i += 1) {
      const z = (i + 0.5) / rings;
      for (let j = 0; j < turns; j += 1) {
        const turn = (2 * Math.PI * j) / turns;
        const level = Math.sqrt(1 - z * z);
        const toward = { x: level * Math.cos(turn), y: level * Math.sin(turn), z };
        lux += skyNits({ skyLux: 12_000, cloud, toSun }, toward) * z;
      }
    }
    lux *= (2 * Math.PI) / (rings * turns);
    expect(lux / 12_000).toBeCloseTo(1, 1);
    expect(skyOnLevel(kind, toSun)).toBeGreaterThan(0);
  });
  /**
   * L/Lz = f(χ)·φ(Z) / (f(Zs)·φ(0)) of CIE S 011 with the parameters of its types 1 and 12, worked by hand (formula and
   * parameters from memory). Type 12, the sun 60° from the zenith: φ(0) = 1 − e^−0.32 = 0.27385, f(60°) = 1.45481.
   */
  test.each([
    // 45° up, opposite the sun: φ = 0.36398, f(105°) = 0.98128.
    ['opposite the sun', CLEAR_SKY, 45, 105, 0.8965],
    // 30° up, 30° beside the sun at its own height: φ = 0.47271, f = 1 + 10·(0.20788 − 0.00898) + 0.45·0.75.
    ['30° from the sun', CLEAR_SKY, 30, 30, 3.9475],
    // φ(0) = 1 + 4·e^−0.7 = 2.98634; at 45° φ = 2.48639.
    ['under cloud', OVERCAST_SKY, 45, 105, 0.83259],
  ] as const)(
    'luminance against the zenith’s is the standard’s: %s',
    (_where, kind, upDeg, fromSunDeg, expected) => {
      const rad = Math.PI / 180;
      const here = skyShape(kind, Math.sin(upDeg * rad), Math.cos(fromSunDeg * rad));
      expect(here / skyShape(kind, 1, Math.cos(60 * rad))).toBeCloseTo(expected, 2);
    },
  );
  test('an overcast sky is near three times as bright at the zenith as low; a clear one brightest by the sun', () => {
    // CIE overcast: Moon & Spencer's (1 + 2 sin h)/3, which type 1 replaces; from memory.
    const high = skyShape(OVERCAST_SKY, 1, 0);
    expect(high / skyShape(OVERCAST_SKY, 0.05, 0)).toBeGreaterThan(2.4);
    expect(high / skyShape(OVERCAST_SKY, 0.05, 0)).toBeLessThan(3.2);
    expect(skyShape(CLEAR_SKY, 0.5, 0.99)).toBeGreaterThan(3 * skyShape(CLEAR_SKY, 0.5, 0));
    expect(skyShape(CLEAR_SKY, 0.1, 0)).toBeGreaterThan(1.5 * skyShape(CLEAR_SKY, 0.9, 0));
  });
  test('grey comes to mid-grey at the settings for its light, and each stop doubles it', () => {
    const exposure = { ev: 10, lossStops: 0, liftStops: 0, isoStops: 0 };
    // 0.157 of 2.5 · 2^10 lx, over π: in cd/m².
    const nits = (0.157 * 2.5 * 2 ** 10) / Math.PI;
    expect(nits * linearPerNit(exposure)).toBeCloseTo(MID_GREY, 3);
    expect(linearPerNit({ ...exposure, ev: 9 }) / linearPerNit(exposure)).toBeCloseTo(2, 9);
    expect(linearPerNit({ ...exposure, lossStops: 1 }) / linearPerNit(exposure)).toBeCloseTo(
      0.5,
      9,
    );
  });
  test('the tone curve rises, is straight to a half, and ends in white where highlights end', () => {
    expect(toned(0.18)).toBe(0.18);
    expect(toned(CLIPPED_AT)).toBe(1);
    expect(toned(CLIPPED_AT * 4)).toBe(1);
    expect(toned(-1)).toBe(0);
    fc.assert(
      fc.property(fc.double({ min: 0, max: 1.4, noNaN: true }), (x) => {
        expect(toned(x + 0.01)).toBeGreaterThan(toned(x));
        // No corner: nowhere steeper than straight.
        expect(toned(x + 0.01) - toned(x)).toBeLessThan(0.0101);
      }),
    );
  });
  test('shot noise doubles with each stop, and halves with twice the pixels', () => {
    const base = grainOf({ isoStops: 3, liftStops: 0 }, 0.006, 10);
    expect(grainOf({ isoStops: 4, liftStops: 0 }, 0.006, 10).shot / base.shot).toBeCloseTo(2, 9);
    expect(grainOf({ isoStops: 4, liftStops: 0 }, 0.006, 10).read / base.read).toBeCloseTo(4, 9);
    expect(grainOf({ isoStops: 3, liftStops: 0 }, 0.006, 20).shot / base.shot).toBeCloseTo(0.5, 9);
    expect(grainOf({ isoStops: 3, liftStops: 1 }, 0.006, 10).shot / base.shot).toBeCloseTo(2, 9);
  });
});

describe('samples', () => {
  const coordinate = fc.double({ min: -30, max: 30, noNaN: true });
  test('through the middle of the lens a point lies where the projection has it', () => {
    fc.assert(
      fc.property(coordinate, coordinate, (x, z) => {
        const taken = sceneOf({ x: 0, y: 40, z: 2 });
        const { position, axes, left, right, foot, top, near } = seenAt(
          taken,
          instantOf(0),
          300,
          200,
        );
        const point = { x, y: 35, z };
        const [rightward, upward, forward] = axes;
        const ray = subtract(point, position);
        const depth = dot(ray, forward);
        const mm = projector(taken.camera)(point);
        const share = ((dot(ray, rightward) / depth) * near - left) / (right - left);
        const up = ((dot(ray, upward) / depth) * near - foot) / (top - foot);
        expect((share - 0.5) * 36).toBeCloseTo(mm?.x ?? NaN, 6);
        expect((up - 0.5) * 24).toBeCloseTo(mm?.y ?? NaN, 6);
      }),
    );
  });
  test('whatever point of the lens it goes through, what is in the plane of focus stays where it is', () => {
    const taken = sceneOf({ x: 1, y: 38, z: 1.4 });
    const at = (index: number) => {
      const { position, axes, left, right, near } = seenAt(
        taken,
        { ...instantOf(index), pixelX: 0, pixelY: 0 },
        300,
        200,
      );
      const ray = subtract({ x: 2, y: 38, z: 1 }, position);
      return ((dot(ray, axes[0]) / dot(ray, axes[2])) * near - left) / (right - left);
    };
    for (let index = 1; index < 40; index += 1) expect(at(index)).toBeCloseTo(at(0), 9);
  });
  test('samples fill lens and exposure evenly', () => {
    const all = Array.from({ length: 256 }, (_, i) => instantOf(i));
    const mean = (of: (one: (typeof all)[number]) => number) =>
      all.reduce((sum, one) => sum + of(one), 0) / all.length;
    expect(mean(({ time }) => time)).toBeCloseTo(0.5, 1);
    expect(mean(({ lensX }) => lensX)).toBeCloseTo(0, 1);
    // Mean square radius of an even disc: a half.
    expect(mean(({ lensX, lensY }) => lensX ** 2 + lensY ** 2)).toBeCloseTo(0.5, 1);
    expect(Math.max(...all.map(({ lensX, lensY }) => Math.hypot(lensX, lensY)))).toBeLessThan(1);
    expect(Math.max(...all.map(({ time }) => time))).toBeLessThan(1);
  });
  test('hands draw one circle of confusion in the time they are steady for', () => {
    const taken = sceneOf({ x: 0, y: 40, z: 2 });
    const shaky = { ...taken, camera: { ...taken.camera, shakeS: 1 / 500 } };
    const shift = (time: number) => {
      const instant = { ...instantOf(0), time };
      const { left, foot, near } = seenAt(shaky, instant, 300, 200);
      return { x: left / near, y: foot / near };
    };
    const [from, to] = [shift(0), shift(1)];
    const imageMm =
      (300 * length(subtract(taken.camera.aim, taken.camera.position)) * 1000) /
      (length(subtract(taken.camera.aim, taken.camera.position)) * 1000 - 300);
    const drawnMm = Math.hypot(to.x - from.x, to.y - from.y) * imageMm;
    expect(drawnMm).toBeCloseTo(Math.hypot(36, 24) / 1500, 6);
  });
});

test('what stands is solid, what only limits is not', () => {
  const square = [
    { x: 0, y: 0 },
    { x: 4, y: 0 },
    { x: 4, y: 4 },
  ];
  const named = (id: string) => ({ id, name: id, points: square });
  const solids = siteSolids(
    [
      { ...named('stand'), kind: 'stand', heightM: 5 },
      { ...named('out'), kind: 'keepOut' },
      { ...named('tree'), kind: 'tree', points: [{ x: 9, y: 9 }], heightM: 10, crownM: 6 },
      {
        ...{ ...named('fence'), kind: 'fence', heightM: 2 },
        ...{ meshPitchMm: 50, wireMm: 3, postSpacingM: 3, postWidthMm: 60 },
      },
    ],
    [{ points: square, widthM: 0.1 }],
    7,
    { material: 'ground', reflectance: 0.2 },
  );
  expect(solids.map(({ shape }) => shape)).toEqual([
    ...['prism', 'rod', 'ellipsoid', 'mesh', 'mesh', 'painted'],
  ]);
  expect(solids[2]).toMatchObject({
    middle: { x: 9, y: 9, z: 6.75 },
    radiiM: { x: 3, y: 3, z: 3.25 },
  });
  expect(solids[3]).toMatchObject({ pitchM: 0.05, wireM: 0.003, heightM: 2 });
});

describe('a silent shutter and a window', () => {
  test('without a readout all is read at once', () => {
    expect(bandsOf({ orientation: 'level' }, 0.3)).toEqual([{ from: 0, to: 1, laterS: 0 }]);
  });
  test('strips cover the frame without gap, the first read half a readout before the middle', () => {
    fc.assert(
      fc.property(fc.double({ min: 0, max: 0.999, noNaN: true }), (aside) => {
        const bands = bandsOf({ orientation: 'level', readoutS: 1 / 30 }, aside);
        expect(bands[0]?.from).toBe(0);
        expect(bands.at(-1)?.to).toBeCloseTo(1, 12);
        bands.slice(1).forEach(({ from }, i) => expect(from).toBeCloseTo(bands[i]?.to ?? -1, 12));
        // A strip is a twelfth: its own middle is less than one off its place.
        bands.forEach(({ from, to, laterS }) =>
          expect(Math.abs(laterS * 30 - ((from + to) / 2 - 0.5))).toBeLessThan(1 / 12),
        );
      }),
    );
  });
  test('a window takes the strips that lie in it: the upper half the first, held upright the left', () => {
    const upper = { right: 0, up: 0.25, widthShare: 1, heightShare: 0.5 };
    const level = bandsOf({ orientation: 'level', readoutS: 1, window: upper }, 0);
    expect(level.map(({ laterS }) => laterS).every((s) => s < 0)).toBe(true);
    expect([level[0]?.from, level.at(-1)?.to]).toEqual([0, 1]);
    const left = { right: -0.25, up: 0, widthShare: 0.5, heightShare: 1 };
    const upright = bandsOf({ orientation: 'upright', readoutS: 1, window: left }, 0);
    expect(upright.map(({ laterS }) => laterS).every((s) => s < 0)).toBe(true);
  });
  test('a window is as many pixels as it is wide, round the part, and never beyond the frame', () => {
    const figure = figureOfSubject('field-player-swing', 90);
    const camera = {
      ...{ position: { x: 0, y: -20, z: 1 }, aim: { x: 0, y: 0, z: 1 }, focalMm: 100 },
      ...{ aperture: 4, shutterS: 0.001, sensor: SENSOR, shakeS: 1, orientation: 'level' as const },
    };
    const window = windowOn({ camera, figure }, 'head', {
      widthPx: 200,
      heightPx: 100,
      mmPerPx: 0.006,
    });
    expect(window.widthShare * 36).toBeCloseTo(1.2, 9);
    expect(window.heightShare * 24).toBeCloseTo(0.6, 9);
    const head = figure.parts.find(({ name }) => name === 'head');
    if (!head) throw new Error('must have a head');
    const at = projector(camera)(partTrack(figure.subject, head, figure.path)(0, 0));
    expect(window.right * 36).toBeCloseTo(at?.x ?? NaN, 6);
    expect(window.up * 24).toBeCloseTo(at?.y ?? NaN, 6);
    const whole = windowOn({ camera, figure }, 'head', {
      widthPx: 9000,
      heightPx: 9000,
      mmPerPx: 0.006,
    });
    expect(whole).toEqual({ right: 0, up: 0, widthShare: 1, heightShare: 1 });
    const off = { ...camera, aim: { x: 4, y: 0, z: 1 } };
    const { right, widthShare } = windowOn({ camera: off, figure }, 'head', {
      widthPx: 600,
      heightPx: 100,
      mmPerPx: 0.006,
    });
    expect(right - widthShare / 2).toBeCloseTo(-0.5, 9);
  });
  test('through a window it is seen as through the same part of the frame', () => {
    const window = { right: 0.1, up: -0.2, widthShare: 0.25, heightShare: 0.5 };
    const scene = sceneOf({ x: 0, y: 40, z: 2 });
    const whole = seenAt(scene, instantOf(0), 400, 300);
    const part = seenAt({ ...scene, camera: { ...scene.camera, window } }, instantOf(0), 100, 150);
    const [wide, high] = [whole.right - whole.left, whole.top - whole.foot];
    expect(part.left).toBeCloseTo(whole.left + wide * (0.5 + 0.1 - 0.125), 12);
    expect(part.right).toBeCloseTo(whole.left + wide * (0.5 + 0.1 + 0.125), 12);
    expect(part.foot).toBeCloseTo(whole.foot + high * (0.5 - 0.2 - 0.25), 12);
    expect(part.top).toBeCloseTo(whole.foot + high * (0.5 - 0.2 + 0.25), 12);
  });
});
