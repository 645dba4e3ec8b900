import fc from 'fast-check';
import { emptyRates, imageRates, sightCourse, type MovingPart } from '.';

const part = (change: Partial<MovingPart>): MovingPart => ({
  name: 'body',
  role: 'body',
  aheadM: 0,
  leftM: 0,
  upM: 1,
  bodyShare: 1,
  ...change,
});
const line = sightCourse({ x: 0, y: -20, z: 1 }, { x: 0, y: 0, z: 1 });
const rates = (parts: readonly MovingPart[], headingDeg = 90, named?: string) =>
  imageRates(
    { headingDeg, subject: { heightM: 2, speedMs: 8, parts } },
    line,
    1,
    named,
    emptyRates(),
  );

test('square to the sight a rate is speed over distance, and a camera that follows leaves three tenths', () => {
  const { bodyRadS, followedRadS, courseRadS, crossingShare } = rates([part({})]);
  expect(bodyRadS).toBeCloseTo(8 / 20, 9);
  expect(courseRadS).toBeCloseTo(8 / 20, 9);
  expect(followedRadS).toBeCloseTo((0.3 * 8) / 20, 9);
  expect(crossingShare).toBeCloseTo(1, 9);
});

test('straight at the camera a heading known to 22° leaves sin 22° of the pace', () => {
  const { bodyRadS, crossingShare } = rates([part({})], 180);
  expect(bodyRadS).toBeCloseTo((8 / 20) * Math.sin((22 * Math.PI) / 180), 9);
  expect(crossingShare).toBeCloseTo(0, 9);
});

test('what a part does of itself counts from every heading, and no camera follows it', () => {
  const trembling = part({ bodyShare: 0, ownShare: 0.5 });
  for (const headingDeg of [0, 90, 180, 230]) {
    const { bodyRadS, followedRadS } = rates([trembling], headingDeg);
    expect(bodyRadS).toBeCloseTo(4 / 20, 9);
    expect(followedRadS).toBeCloseTo(4 / 20, 9);
  }
});

test('tips and struck balls rule only where they are named', () => {
  const tip = part({ name: 'tip', role: 'limb', bodyShare: 4, rulesOnlyIfNamed: true });
  const foot = part({ name: 'foot', role: 'limb', bodyShare: 2 });
  expect(rates([part({}), foot, tip])).toMatchObject({ limbPart: 'foot', namedRadS: 0 });
  expect(rates([part({}), foot, tip]).limbRadS).toBeCloseTo(16 / 20, 9);
  expect(rates([part({}), foot, tip], 90, 'tip').namedRadS).toBeCloseTo(32 / 20, 9);
  const ball = part({ name: 'ball', rulesOnlyIfNamed: true });
  expect(rates([ball])).toMatchObject({ bodyRadS: 0, followedRadS: 0 });
  // A pan can follow it all the same.
  expect(rates([ball]).courseRadS).toBeCloseTo(8 / 20, 9);
});

test('no rate jumps by a third of a stop as a heading turns by 10°', () => {
  fc.assert(
    fc.property(fc.double({ min: 0, max: 360, noNaN: true }), (headingDeg) => {
      const [a, b] = [rates([part({})], headingDeg), rates([part({})], headingDeg + 10)];
      expect(Math.abs(Math.log2(a.bodyRadS / b.bodyRadS))).toBeLessThan(1 / 3);
    }),
  );
});

test('steeply from above, off the aim, the rate is what a projection of its own gives', () => {
  const camera = { x: -8, y: -10, z: 12 };
  const [aheadM, leftM, upM, headingDeg, climbDeg] = [0.8, 0.5, 2.4, 70, 25];
  const out = imageRates(
    {
      ...{ headingDeg, climbDeg },
      subject: { heightM: 2, speedMs: 8, parts: [part({ aheadM, leftM, upM })] },
    },
    sightCourse(camera, { x: 0, y: 0, z: 1 }),
    1,
    undefined,
    emptyRates(),
  );
  // A pinhole at the camera, looking at the aim: tangents right and up of the line.
  const rad = (deg: number) => (deg * Math.PI) / 180;
  const forward = { x: 8, y: 10, z: -11 };
  const levelM = Math.hypot(8, 10);
  const farM = Math.hypot(8, 10, 11);
  const seen = (timeS: number) => {
    const along = 8 * timeS * Math.cos(rad(climbDeg));
    const [east, north] = [Math.sin(rad(headingDeg)), Math.cos(rad(headingDeg))];
    const x = east * (aheadM + along) - north * leftM - camera.x;
    const y = north * (aheadM + along) + east * leftM - camera.y;
    const z = upM + 8 * timeS * Math.sin(rad(climbDeg)) - camera.z;
    const depthM = (x * forward.x + y * forward.y + z * forward.z) / farM;
    const right = (x * 10 - y * 8) / levelM;
    const up = ((x * 8 + y * 10) * 11) / (levelM * farM) + (z * levelM) / farM;
    return { depthM, right: right / depthM, up: up / depthM };
  };
  const stepS = 1e-5;
  const [before, after] = [seen(-stepS), seen(stepS)];
  const rate = Math.hypot(after.right - before.right, after.up - before.up) / (2 * stepS);
  expect(out.crossingShare * (8 / seen(0).depthM)).toBeCloseTo(rate, 6);
});
