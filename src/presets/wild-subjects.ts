import type { CautionTag } from './cautions';
import type { SubjectPreset } from './subject-preset';
import { head, resting, runningFoot, torso, wing } from './subject-parts';

/** Birds, butterflies and beasts. Every value: common practice, no source. */

/** Wild animals: keep off, and off their nests and dens. */
export const WILD: readonly CautionTag[] = ['wildlife', 'nest'];

export const WILD_SUBJECTS: readonly SubjectPreset[] = [
  {
    id: 'small-bird-perched',
    classId: 'rest',
    cautions: WILD,
    name: 'Small bird singing',
    heightM: 0.13,
    depthM: 0.06,
    speedMs: 0.05,
    swayShare: 0.02,
    // Throat and body tremble with the song.
    parts: [resting('body', 0.06, 4), resting('throat', 0.1, 9)],
  },
  {
    id: 'small-bird-flight',
    classId: 'fastFlight',
    cautions: WILD,
    name: 'Small bird in flight',
    heightM: 0.13,
    depthM: 0.2,
    speedMs: 9,
    parts: [torso(0.06), wing(0.06, 0.11, 20, 2)],
  },
  {
    id: 'duck',
    classId: 'fastFlight',
    cautions: WILD,
    name: 'Duck in flight',
    heightM: 0.35,
    depthM: 0.6,
    speedMs: 19,
    parts: [torso(0.2), wing(0.2, 0.42, 9, 1.6)],
  },
  {
    id: 'gull',
    classId: 'slowFlight',
    cautions: WILD,
    name: 'Gull in flight',
    heightM: 0.4,
    depthM: 0.8,
    speedMs: 11,
    parts: [torso(0.2), wing(0.2, 0.6, 3, 1.2)],
  },
  {
    id: 'heron',
    classId: 'slowFlight',
    cautions: WILD,
    name: 'Heron in flight',
    heightM: 0.6,
    depthM: 1,
    speedMs: 9,
    parts: [torso(0.3), wing(0.3, 0.85, 2.2, 1.2)],
  },
  {
    id: 'butterfly-flight',
    flat: true,
    classId: 'slowFlight',
    cautions: WILD,
    name: 'Butterfly in flight',
    heightM: 0.06,
    depthM: 0.05,
    speedMs: 2,
    parts: [torso(0.02), wing(0.02, 0.04, 10, 2.4)],
  },
  {
    id: 'butterfly-flower',
    flat: true,
    classId: 'rest',
    cautions: WILD,
    name: 'Butterfly on a flower in wind',
    heightM: 0.06,
    depthM: 0.01,
    speedMs: 0.12,
    swayShare: 0.03,
    parts: [resting('body', 0.02, 1)],
  },
  {
    id: 'hare',
    classId: 'fast',
    cautions: WILD,
    name: 'Hare running',
    heightM: 0.45,
    depthM: 0.6,
    speedMs: 15,
    parts: [
      { ...torso(0.3), ownShare: 0.25 },
      { ...runningFoot, upM: 0.1, leftM: 0.05 },
    ],
  },
  {
    id: 'deer',
    classId: 'fast',
    cautions: WILD,
    name: 'Deer running',
    heightM: 1.3,
    depthM: 1.4,
    speedMs: 12,
    parts: [torso(0.9), { ...head, upM: 1.2, aheadM: 0.7 }, { ...runningFoot, name: 'hoof' }],
  },
];
