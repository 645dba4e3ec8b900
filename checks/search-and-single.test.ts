/**
 * The search against brute force by single answers; its fast geometry against the plain one; its
 * shutter against the exact projection.
 */
import fc from 'fast-check';
import {
  alongBearing,
  cellAt,
  createSearch,
  firstBackdrop,
  emptyRates,
  imageRates,
  lightOnSubject,
  motionSmear,
  scorePosition,
  searchPositions,
  sightBlocks,
  sightCourse,
  type ScoredKit,
  type ScoredMark,
  type ScoredShot,
  type ScoredSite,
  obstaclesOf,
  rectangleCorners,
  type FeatureOf,
  type HideWindow,
  type SearchRequest,
} from '@/core';
import { imageDistanceMm } from '@/core/optics/image';
import { flatten, followSight } from '@/core/plan/sight-kernel';
import { timesOf } from '@/presets/classes';
import { bodyById, lensById, subjectById } from '@/presets/find';

const box = (x: number, y: number, width: number, depth: number, heightM: number) => ({
  heightM,
  footprint: [
    { x, y },
    { x: x + width, y },
    { x: x + width, y: y + depth },
    { x, y: y + depth },
  ],
});

const SITE: ScoredSite = {
  place: { latitudeDeg: 53.1, longitudeDeg: -1.9 },
  sky: 'clear',
  groundReflectance: 0.2,
  obstacles: [box(-40, 20, 30, 8, 7), box(15, -25, 4, 4, 3)],
  limits: [{ name: 'the pitch', keep: 'out', area: box(-12, -18, 24, 36, 1).footprint }],
  keepAwayM: 3,
  lampLux: 200,
  lampsFromMs: Date.parse('2027-04-16T19:00:00Z'),
  start: { x: 30, y: 30 },
};
const KIT: ScoredKit = {
  ...bodyById('full-frame-24'),
  lens: lensById('70-200-2.8'),
  orientation: 'level',
  support: 'monopod',
};
const KITS = [KIT, { ...KIT, lens: lensById('400-2.8') }];
const mark = (x: number, y: number, headingDeg: number, id = 'field-player'): ScoredMark => ({
  x,
  y,
  headingDeg,
  facingDeg: headingDeg,
  subject: subjectById(id),
});
const SHOT: ScoredShot = { fill: 0.6, face: 'front', light: 'front', backdrop: 'washed' };
const TIMES = [16, 17.5, 19.5].map((hour) => Date.parse('2027-04-16T00:00:00Z') + hour * 3.6e6);
const REQUEST: SearchRequest = {
  area: { minX: -40, minY: -40, maxX: 40, maxY: 40, stepM: 5 },
  cameraHeightM: 1.2,
  site: SITE,
  timesMs: TIMES,
  kits: KITS,
  shots: [
    { mark: mark(0, 10, 20), shot: SHOT },
    { mark: mark(5, -8, 200, 'field-player-swing'), shot: { ...SHOT, light: 'back' }, priority: 2 },
  ],
};

test('every cell holds the best of its single answers, to the last bit', () => {
  const result = searchPositions(REQUEST);
  expect(result.done).toBe(256);
  let allowed = 0;
  for (let cell = 0; cell < result.done; cell += 1) {
    const at = { ...cellAt(result, cell), cameraHeightM: REQUEST.cameraHeightM };
    let sum = 0;
    REQUEST.shots.forEach(({ mark: m, shot, priority = 1 }, s) => {
      const totals = TIMES.flatMap((time) =>
        KITS.map((kit) => scorePosition(at, m, shot, time, SITE, kit).total),
      );
      const slot = cell * REQUEST.shots.length + s;
      expect(result.shotScore[slot]).toBe(Math.max(...totals));
      const [time, lens] = [result.bestTime[slot] ?? -1, result.bestLens[slot] ?? -1];
      if (time >= 0) expect(totals[time * KITS.length + lens]).toBe(Math.max(...totals));
      sum += Math.max(...totals) * priority;
    });
    expect(result.score[cell]).toBeCloseTo(sum / 3, 12);
    if ((result.score[cell] ?? 0) > 0) allowed += 1;
  }
  expect(allowed).toBeGreaterThan(40);
  expect(allowed).toBeLessThan(256);
});

test('in pieces it is the same as at once, and what is done can be read between', () => {
  const search = createSearch(REQUEST);
  while (search.advance(37) < search.cells) {
    const { done, score } = search.result();
    expect(score.slice(done).every((value) => value === 0)).toBe(true);
  }
  expect(search.result()).toEqual(searchPositions(REQUEST));
});

const coordinate = fc.double({ min: -60, max: 60, noNaN: true });

test('its sight and backdrop are those of the plain geometry', () => {
  // A hide with a window to the north and one to the east, and a tent open all round.
  const hide = (x: number, y: number, windows: readonly HideWindow[]): FeatureOf<'hide'> => ({
    ...{ kind: 'hide', id: 'h', name: 'Hide', heightM: 2.4, windows },
    points: rectangleCorners({ middle: { x, y }, widthM: 30, depthM: 20, bearingDeg: 20 }),
  });
  const window = { asideM: 1, widthM: 12, sillM: 0.7, heightM: 0.8, pane: 'open' } as const;
  const obstacles = [
    ...SITE.obstacles,
    ...obstaclesOf(
      hide(
        -20,
        -20,
        [0, 1].map((wall) => ({ wall, ...window })),
      ),
    ),
    ...obstaclesOf(hide(25, -25, [])),
  ];
  const flat = flatten(obstacles);
  fc.assert(
    fc.property(
      coordinate,
      coordinate,
      fc.double({ min: 0.2, max: 9, noNaN: true }),
      coordinate,
      coordinate,
      (x, y, z, toX, toY) => {
        const camera = { x, y, z };
        const subject = { x: toX, y: toY, z: 0.9 };
        const levelM = Math.hypot(toX - x, toY - y);
        fc.pre(levelM > 0.5);
        const found = { blocked: false, backdropM: Infinity };
        followSight(
          flat,
          x,
          y,
          z,
          (toX - x) / levelM,
          (toY - y) / levelM,
          levelM,
          (0.9 - z) / levelM,
          found,
        );
        expect(found.blocked).toBe(sightBlocks(camera, subject, obstacles).length > 0);
        const groundM = z > 0.9 ? (z * levelM) / (z - 0.9) : Infinity;
        const wall = firstBackdrop(camera, subject, obstacles)?.distanceM ?? Infinity;
        // The kernel looks at the near face only: a line that comes down behind a parapet is rare.
        if (found.backdropM < Infinity || wall < Infinity) {
          expect(Math.min(found.backdropM, groundM)).toBeCloseTo(Math.min(wall, groundM), 6);
        }
      },
    ),
    { numRuns: 2000 },
  );
});

test('its rates are those of the exact streak, its light within a twentieth of a stop', () => {
  fc.assert(
    fc.property(
      fc.double({ min: 12, max: 60, noNaN: true }),
      fc.double({ min: 0, max: 360, noNaN: true }),
      fc.double({ min: 0, max: 360, noNaN: true }),
      fc.constantFrom('field-player', 'field-player-swing', 'sprinter', 'cyclist'),
      fc.constantFrom({}, { indoors: true }, { indoors: true, windowShare: 0.03 }),
      (distanceM, bearing, headingDeg, id, roof) => {
        const m = mark(0, 0, headingDeg, id);
        const along = alongBearing(bearing);
        const at = { x: along.x * distanceM, y: along.y * distanceM, cameraHeightM: 1.4 };
        const open = { ...SITE, ...roof, obstacles: [], limits: [] };
        const score = scorePosition(at, m, SHOT, TIMES[0] ?? 0, open, KIT);
        // The rate that the search takes for a part, against the streak through a thousandth.
        const camera = { x: at.x, y: at.y, z: at.cameraHeightM };
        const aim = { x: 0, y: 0, z: m.subject.heightM / 2 };
        const own = m.subject.parts.map(({ ownShare: _own, ...part }) => part);
        const smear = motionSmear({
          subject: m.subject,
          parts: own,
          path: { position: { x: 0, y: 0, z: 0 }, headingDeg },
          camera: { position: camera, aim, focalMm: score.focalMm, sensor: KIT.sensor },
          shutterS: 1 / 1000,
        });
        for (const part of own) {
          const rates = imageRates(
            { headingDeg, subject: { ...m.subject, parts: [part] } },
            sightCourse(camera, aim),
            aim.z,
            part.name,
            emptyRates(),
          );
          const streakMm = smear.find((entry) => entry.part === part.name)?.onSensorMm ?? NaN;
          const rateMm = (imageDistanceMm(score.focalMm, rates.distanceM) * rates.namedRadS) / 1000;
          // A heading known to 22° adds where the course is not square: never less than the streak.
          expect(rateMm).toBeGreaterThan(streakMm * 0.98);
          if (rates.crossingShare > 0.99) expect(rateMm).toBeLessThan(streakMm * 1.03);
        }
        const light = lightOnSubject(
          {
            ...roof,
            place: open.place,
            sky: open.sky,
            groundReflectance: open.groundReflectance,
            obstacles: [],
            target: { x: 0, y: 0, z: m.subject.heightM * 0.85 },
            faceAzimuthDeg: bearing,
            lampLux: open.lampLux,
            ...(open.lampsFromMs !== undefined && { lampsFromMs: open.lampsFromMs }),
          },
          TIMES[0] ?? 0,
        );
        expect(Math.abs(score.ev - light.ev.expected)).toBeLessThan(0.05);
      },
    ),
    { numRuns: 300 },
  );
});

test('mirror the site east to west at solar noon, mirror the answer', () => {
  // The equinox sun culminates due south: a mirror along the meridian leaves it where it is.
  const place = { latitudeDeg: 45, longitudeDeg: 0 };
  const noon = Date.parse('2027-03-20T12:07:30Z');
  const flip = (points: readonly { x: number; y: number }[]) =>
    points.map(({ x, y }) => ({ x: -x, y }));
  const site = { ...SITE, place };
  const mirrored = {
    ...site,
    obstacles: site.obstacles.map((o) => ({ ...o, footprint: flip(o.footprint) })),
    limits: site.limits.map((l) => ({ ...l, area: flip(l.area) })),
    start: { x: -30, y: 30 },
  };
  const m = { ...mark(3, 12, 140), subject: { ...subjectById('standing'), parts: [] } };
  const opposite = { ...m, x: -3, headingDeg: 220, facingDeg: 220 };
  fc.assert(
    fc.property(coordinate, coordinate, (x, y) => {
      const here = scorePosition({ x, y, cameraHeightM: 1.2 }, m, SHOT, noon, site, KIT);
      const there = scorePosition(
        { x: -x, y, cameraHeightM: 1.2 },
        opposite,
        SHOT,
        noon,
        mirrored,
        KIT,
      );
      // The sun is not due south to the last second of arc.
      expect(Math.abs(here.total - there.total)).toBeLessThan(0.005);
    }),
  );
});

test('refusals carry their reasons and score nothing; a hopeless part can not be bought back', () => {
  const at = { x: 2, y: 4, cameraHeightM: 1.2 };
  const onPitch = scorePosition(at, mark(0, 10, 20), SHOT, TIMES[0] ?? 0, SITE, KIT);
  expect(onPitch.total).toBe(0);
  expect(onPitch.refusals).toEqual([{ kind: 'inside', name: 'the pitch' }]);
  const onMark = scorePosition({ ...at, x: 0, y: 10 }, mark(0, 10, 20), SHOT, 0, SITE, KIT);
  expect(onMark.refusals).toContainEqual({ kind: 'disturbs', distanceM: 0, keepAwayM: 3 });
  const behindStand = scorePosition(
    { x: -25, y: 34, cameraHeightM: 1.2 },
    mark(-25, 10, 0),
    SHOT,
    TIMES[0] ?? 0,
    SITE,
    KIT,
  );
  expect(behindStand.total).toBe(0);
  expect(behindStand.parts.find(({ name }) => name === 'view')).toMatchObject({
    desirability: 0,
    why: { kind: 'inTheWay' },
  });
});

test('weights of nothing leave nothing of a part', () => {
  const only = {
    ...SHOT,
    weights: { reach: 0, backdrop: 0, view: 0, walk: 0, light: 0, exposure: 0, face: 1 },
  };
  const score = scorePosition(
    { x: 20, y: 30, cameraHeightM: 1.2 },
    mark(0, 10, 20),
    only,
    TIMES[0] ?? 0,
    { ...SITE, obstacles: [] },
    KIT,
  );
  const face = score.parts.find(({ name }) => name === 'face')?.desirability ?? NaN;
  expect(score.total).toBeCloseTo(face, 12);
});

test('nearer than the lens focuses there is no picture, and it says so', () => {
  const near = scorePosition(
    { x: 0, y: 9.3, cameraHeightM: 0.9 },
    mark(0, 10, 20),
    SHOT,
    TIMES[0] ?? 0,
    { ...SITE, obstacles: [], limits: [], keepAwayM: 0 },
    KIT,
  );
  expect(near.total).toBe(0);
  expect(near.refusals).toEqual([]);
  expect(near.parts[0]).toMatchObject({ name: 'reach', desirability: 0 });
  expect(near.parts[0]?.why).toMatchObject({ kind: 'withinNearestFocus', nearestM: 1.2 });
});

test('a subject on a perch seen from as much higher up is the subject on the ground', () => {
  const low = mark(0, 10, 20);
  const level = low.subject.heightM / 2;
  const open = { ...SITE, obstacles: [] };
  const score = (upM: number) =>
    scorePosition(
      { x: 14, y: -20, cameraHeightM: level + upM },
      { ...low, feetM: upM },
      SHOT,
      TIMES[0] as number,
      open,
      KIT,
    );
  for (const { name, desirability } of score(7).parts) {
    const ground = score(0).parts.find((part) => part.name === name);
    expect(desirability).toBeCloseTo(ground?.desirability ?? NaN, 9);
  }
  // From the ground it is further off than it looks on the plan: 7 m up at 33.1 m along.
  const up = { ...low, feetM: 7 };
  const away = scorePosition(
    { x: 14, y: -20, cameraHeightM: level },
    up,
    SHOT,
    TIMES[0] as number,
    open,
    KIT,
  );
  const near = scorePosition(
    { x: 14, y: -20, cameraHeightM: level },
    low,
    SHOT,
    TIMES[0] as number,
    open,
    KIT,
  );
  expect(away.total).not.toBe(near.total);
});

test('the search asks the time and the light that the answer asks, readings and shot counted', () => {
  const subject = { ...subjectById('field-player'), ...timesOf(subjectById('field-player')) };
  const at = { x: 20, y: 30, cameraHeightM: 1.2 };
  const open = { ...SITE, obstacles: [], limits: [] };
  const asked = (shot: Partial<ScoredShot>, site: ScoredSite = open) =>
    scorePosition(
      at,
      { ...mark(0, 10, 135), subject },
      { ...SHOT, ...shot },
      TIMES[0] ?? 0,
      site,
      KIT,
    );
  const frozen = asked({});
  // Play: 1/800 at the least, raised where it is large in the frame by 1⅓ stop at most.
  expect(1 / frozen.shutterS).toBeGreaterThan(790);
  expect(1 / frozen.shutterS).toBeLessThan(2050);
  const panned = asked({ wanted: { technique: 'pan' }, panSigma: 0.1 });
  expect(1 / panned.shutterS).toBeLessThan(130);
  const ease = asked({ wanted: { technique: 'reaction' } });
  expect(1 / ease.shutterS).toBeLessThan(410);
  // A reading two stops under the forecast, at the mark, at that minute.
  const scene = {
    place: open.place,
    sky: open.sky,
    groundReflectance: open.groundReflectance,
    obstacles: [],
    target: { x: 0, y: 10, z: subject.heightM * 0.85 },
    faceAzimuthDeg: 45,
    lampLux: 0,
  };
  const timeMs = TIMES[0] ?? 0;
  const ev = lightOnSubject(scene, timeMs).ev.expected - 2;
  const read = asked(
    {},
    { ...open, heard: [{ timeMs, ev, sigmaStops: 0.1, target: scene.target, faceAzimuthDeg: 45 }] },
  );
  expect(read.ev - frozen.ev).toBeCloseTo(-2, 1);
});
