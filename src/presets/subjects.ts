import type { MovingPart } from '@/core';
import type { CautionTag } from './cautions';
import type { ClassId } from './classes';
import {
  ball,
  head,
  resting,
  runner,
  runningFoot,
  runningHand,
  stickTip,
  torso,
  wheelRim,
  wing,
} from './subject-parts';

/** A kind of subject: its size, pace and parts. Every value: common practice, no source. */
export interface SubjectPreset {
  readonly id: string;
  readonly name: string;
  /** What its pictures are taken at: `CLASSES`. */
  readonly classId: ClassId;
  /** Flat, so that it is held parallel to the sensor: spread wings. */
  readonly flat?: boolean;
  /** Wears a brim: under a high sun the face lies in its shade. */
  readonly brim?: boolean;
  /** Speed that it sways at for each metre a second of wind: on a flower, on a twig. */
  readonly swayShare?: number;
  /** The preset that one's own subject was made of. */
  readonly basedOn?: string;
  readonly heightM: number;
  /** Depth along the line of sight that should be sharp. */
  readonly depthM: number;
  readonly speedMs: number;
  readonly climbDeg?: number;
  readonly parts: readonly MovingPart[];
  /** What to take care of wherever this subject is. */
  readonly cautions?: readonly CautionTag[];
}

/** Wild animals: keep off, and off their nests and dens. */
const WILD: readonly CautionTag[] = ['wildlife', 'nest'];

export const SUBJECTS: readonly SubjectPreset[] = [
  {
    id: 'field-player',
    classId: 'play',
    name: 'Field player, running',
    heightM: 1.75,
    depthM: 0.6,
    speedMs: 7,
    parts: [torso(1.2), head, runningHand, runningFoot],
  },
  {
    id: 'field-player-swing',
    classId: 'strike',
    name: 'Field player, stick swing',
    heightM: 1.75,
    depthM: 0.9,
    speedMs: 4,
    parts: [torso(1.2), head, { ...runningFoot, bodyShare: 1.5 }, stickTip],
  },
  {
    id: 'standing',
    classId: 'standing',
    name: 'Player standing',
    heightM: 1.75,
    depthM: 0.4,
    speedMs: 0.3,
    parts: [torso(1.2), head, { ...runningHand, bodyShare: 1, ownShare: 4 }],
  },
  {
    id: 'kingfisher-perched',
    classId: 'rest',
    cautions: WILD,
    name: 'Kingfisher on the perch',
    heightM: 0.17,
    depthM: 0.08,
    speedMs: 0.1,
    swayShare: 0.01,
    parts: [resting('body', 0.07, 1), { ...resting('head', 0.14, 4), aheadM: 0.02 }],
  },
  {
    id: 'kingfisher-dive',
    classId: 'fastFlight',
    cautions: WILD,
    name: 'Kingfisher diving',
    heightM: 0.17,
    depthM: 0.25,
    speedMs: 9,
    climbDeg: -60,
    parts: [
      torso(0.1),
      {
        name: 'wing tip',
        role: 'limb',
        aheadM: 0,
        leftM: 0.12,
        upM: 0.1,
        bodyShare: 1,
        swing: { speedMs: 6, radiusM: 0.12, planeTiltDeg: 20 },
      },
    ],
  },
  {
    id: 'sprint-canoe',
    classId: 'play',
    cautions: ['water'],
    name: 'Sprint canoe at race pace',
    heightM: 1.4,
    depthM: 1.2,
    speedMs: 5.5,
    parts: [
      torso(0.7),
      { ...torso(1.2), name: 'head' },
      {
        name: 'paddle blade',
        role: 'limb',
        aheadM: 0.8,
        leftM: 0.4,
        upM: 0.5,
        bodyShare: 1,
        rulesOnlyIfNamed: true,
        swing: { speedMs: 7, radiusM: 1, planeTiltDeg: 15 },
      },
    ],
  },
  {
    id: 'walker',
    classId: 'walking',
    name: 'Person walking',
    heightM: 1.75,
    depthM: 0.5,
    speedMs: 1.4,
    parts: runner(1.75),
  },
  {
    id: 'distance-runner',
    classId: 'play',
    name: 'Distance runner',
    heightM: 1.75,
    depthM: 0.7,
    speedMs: 5,
    parts: runner(1.75),
  },
  {
    id: 'sprinter',
    classId: 'fast',
    name: 'Sprinter',
    heightM: 1.8,
    depthM: 0.8,
    speedMs: 10,
    parts: runner(1.8),
  },
  {
    id: 'cyclist',
    classId: 'fast',
    cautions: ['road', 'panning'],
    name: 'Road cyclist',
    heightM: 1.7,
    depthM: 1.6,
    speedMs: 12,
    parts: [torso(1.2), { ...head, upM: 1.5, aheadM: 0.32 }, wheelRim],
  },
  {
    id: 'galloping-horse',
    classId: 'fast',
    name: 'Horse at the gallop',
    heightM: 2.4,
    depthM: 2.4,
    speedMs: 16,
    parts: [torso(1.5), { ...head, upM: 2.1, aheadM: 0.8 }, { ...runningFoot, name: 'hoof' }],
  },
  {
    id: 'skier',
    classId: 'fast',
    cautions: ['snow', 'cold'],
    name: 'Skier in a turn',
    heightM: 1.6,
    depthM: 1.2,
    speedMs: 16,
    parts: [torso(1), { ...head, upM: 1.4 }],
  },
  {
    id: 'swimmer',
    classId: 'play',
    cautions: ['pool'],
    name: 'Swimmer, freestyle',
    heightM: 0.6,
    // Faces only: the rest is splash.
    depthM: 0.35,
    speedMs: 1.7,
    parts: [
      { ...torso(0.15), name: 'head' },
      {
        name: 'hand',
        role: 'limb',
        aheadM: 0.4,
        leftM: 0.3,
        upM: 0.4,
        bodyShare: 1,
        swing: { speedMs: 3.5, radiusM: 0.7, planeTiltDeg: 15 },
      },
    ],
  },
  {
    id: 'diver',
    classId: 'fast',
    cautions: ['pool'],
    name: 'Diver in the air',
    heightM: 1.7,
    depthM: 1,
    speedMs: 9,
    climbDeg: -85,
    parts: [{ ...torso(1), ownShare: 0.3 }],
  },
  {
    id: 'court-jump',
    classId: 'play',
    name: 'Court player at the top of a jump',
    heightM: 2.4,
    depthM: 0.8,
    speedMs: 1.2,
    // Rising or falling by a metre a second, the arm thrown up or through.
    parts: [
      { ...torso(1.8), ownShare: 0.8 },
      { ...head, upM: 2.2, ownShare: 0.8 },
      { ...runningHand, upM: 2.4, bodyShare: 1, ownShare: 5 },
    ],
  },
  {
    id: 'climber',
    classId: 'walking',
    name: 'Climber, reaching for a hold',
    heightM: 1.9,
    depthM: 0.6,
    // Hand over hand; what is fast is the arm that reaches and the foot that follows.
    speedMs: 0.4,
    climbDeg: 80,
    parts: [
      { ...torso(1.1), ownShare: 0.5 },
      { ...head, upM: 1.55, aheadM: 0, ownShare: 1 },
      { ...runningHand, aheadM: 0, upM: 1.9, bodyShare: 1, ownShare: 6 },
      { ...runningFoot, upM: 0.2, bodyShare: 1, ownShare: 3 },
    ],
  },
  {
    id: 'batter',
    classId: 'strike',
    brim: true,
    cautions: ['diamond'],
    name: 'Batter swinging',
    heightM: 1.8,
    depthM: 0.9,
    speedMs: 1,
    parts: [
      { ...torso(1.2), ownShare: 1 },
      { ...head, upM: 1.6, ownShare: 0.5 },
      {
        name: 'bat tip',
        role: 'limb',
        aheadM: 0.6,
        leftM: 0.6,
        upM: 1,
        bodyShare: 1,
        rulesOnlyIfNamed: true,
        swing: { speedMs: 30, radiusM: 1.1, planeTiltDeg: 75 },
      },
    ],
  },
  {
    id: 'hockey-ball',
    classId: 'strike',
    name: 'Hard-hit hockey ball',
    heightM: 0.075,
    depthM: 0.1,
    speedMs: 30,
    parts: ball(0.1),
  },
  {
    id: 'spiked-ball',
    classId: 'strike',
    name: 'Spiked volleyball',
    heightM: 0.21,
    depthM: 0.25,
    speedMs: 24,
    climbDeg: -20,
    parts: ball(2.6),
  },
  {
    id: 'served-ball',
    classId: 'strike',
    name: 'Tennis serve',
    heightM: 0.067,
    depthM: 0.1,
    speedMs: 35,
    parts: ball(2.4),
  },
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
