import fc from 'fast-check';
import { SUBJECTS } from '@/presets/subjects';
import { freezeShutter, GRADE_LIMIT_CIRCLES, motionSmear, type Motion } from '.';

const SENSOR = { widthMm: 36, heightMm: 24, widthPx: 6000, heightPx: 4000 };

const motionAt = (
  distanceM: number,
  focalMm: number,
  headingDeg: number,
  subjectIndex = 0,
): Motion => {
  const subject = SUBJECTS[subjectIndex] ?? SUBJECTS[0];
  if (!subject) throw new Error('no subjects');
  return {
    subject,
    parts: subject.parts,
    path: { position: { x: 0, y: distanceM, z: 0 }, headingDeg },
    camera: {
      position: { x: 0, y: 0, z: 1.2 },
      aim: { x: 0, y: distanceM, z: subject.heightM / 2 },
      focalMm,
      sensor: SENSOR,
    },
  };
};

const distance = fc.double({ min: 5, max: 200, noNaN: true });
const focal = fc.double({ min: 24, max: 800, noNaN: true });
const heading = fc.double({ min: 0, max: 359, noNaN: true });
const which = fc.integer({ min: 0, max: SUBJECTS.length - 1 });

test('at the time answered, each part stands exactly at its limit', () => {
  fc.assert(
    fc.property(distance, focal, heading, which, (d, f, h, i) => {
      const motion = motionAt(d, f, h, i);
      for (const { part, role, shutterS } of freezeShutter(motion).parts) {
        // A subject that runs into the camera within the time jumps from no streak to all.
        if (shutterS > 29 || motion.subject.speedMs * 2 * shutterS > d / 2) continue;
        const limit = { body: GRADE_LIMIT_CIRCLES.crisp, limb: GRADE_LIMIT_CIRCLES.slight }[role];
        const smear = motionSmear({ ...motion, shutterS }).find((entry) => entry.part === part);
        expect(smear?.circles).toBeCloseTo(limit, 4);
      }
    }),
    { numRuns: 60 },
  );
});

test('a part that moves slowly in the picture and then all at once is found too', () => {
  const sprinter = SUBJECTS.findIndex(({ id }) => id === 'sprinter');
  const motion = motionAt(116.27, 29.13, 0.0000016, sprinter);
  const hand = freezeShutter(motion).parts.find(({ part }) => part === 'hand');
  const shutterS = hand?.shutterS ?? 0;
  const circles = (times: number) =>
    motionSmear({ ...motion, shutterS: shutterS * times }).find(({ part }) => part === 'hand')
      ?.circles;
  expect(circles(1)).toBeCloseTo(GRADE_LIMIT_CIRCLES.slight, 4);
  expect(circles(0.999)).toBeLessThan(GRADE_LIMIT_CIRCLES.slight);
});

test('closer never stands a slower shutter', () => {
  fc.assert(
    fc.property(
      distance,
      fc.double({ min: 1.05, max: 3, noNaN: true }),
      focal,
      which,
      (d, nearer, f, i) => {
        const near = freezeShutter(motionAt(Math.max(2, d / nearer), f, 90, i)).shutterS;
        expect(near).toBeLessThanOrEqual(freezeShutter(motionAt(d, f, 90, i)).shutterS * 1.0001);
      },
    ),
    { numRuns: 60 },
  );
});

test('mirrored to the other side, the answer is the same', () => {
  fc.assert(
    fc.property(distance, focal, heading, (d, f, h) => {
      const one = motionAt(d, f, h);
      const mirrored: Motion = {
        ...motionAt(d, f, (360 - h) % 360),
        parts: one.parts.map((part) => ({ ...part, leftM: -part.leftM })),
      };
      expect(freezeShutter(mirrored).shutterS / freezeShutter(one).shutterS).toBeCloseTo(1, 6);
    }),
    { numRuns: 60 },
  );
});

test('a crop asks for a faster shutter in proportion', () => {
  const motion = motionAt(30, 200, 90);
  const half = freezeShutter({ ...motion, delivery: { keptFraction: 0.5 } }).shutterS;
  expect(half / freezeShutter(motion).shutterS).toBeCloseTo(0.5, 3);
});

test('a subject that does not move is answered with the longest time', () => {
  const motion = motionAt(30, 200, 90);
  const still = freezeShutter({ ...motion, subject: { heightM: 1.75, speedMs: 0 } });
  expect(still.shutterS).toBe(30);
});

test('a subject that runs past the camera during the exposure is not called sharp', () => {
  const [body] = motionSmear({ ...motionAt(5, 50, 180), shutterS: 4 });
  expect(body?.onSensorMm).toBe(Infinity);
  expect(body?.grade).toBe('plain');
});

test('a swing caught in a phase of its own streaks as that phase does; in none, as the worst', () => {
  // Level round the upright, seen from the side: at 0 it comes straight at the lens, a quarter on it crosses.
  const swing = { speedMs: 10, radiusM: 0.5, planeTiltDeg: 90 };
  const streakMm = (phaseRad?: number) => {
    const motion = motionAt(20, 200, 90);
    const part = { name: 'tip', role: 'limb', aheadM: 0, leftM: 0, upM: 1, bodyShare: 0 } as const;
    const parts = [{ ...part, swing: { ...swing, ...(phaseRad !== undefined && { phaseRad }) } }];
    return motionSmear({ ...motion, parts, shutterS: 1 / 2000 })[0]?.onSensorMm ?? NaN;
  };
  // 10 m/s for 1/2000, 200 mm focal at 20 m: 5 mm, a hundredth of it on the sensor (f / (d − f)).
  expect(streakMm(Math.PI / 2)).toBeCloseTo((5 * 200) / (20000 - 200), 2);
  expect(streakMm(0)).toBeLessThan(0.2 * streakMm(Math.PI / 2));
  expect(streakMm()).toBeCloseTo(streakMm(Math.PI / 2), 2);
});
