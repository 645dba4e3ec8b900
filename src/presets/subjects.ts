import type { MovingPart } from '@/core';

/** A kind of subject: its size, pace and parts. Every value: common practice, no source. */
export interface SubjectPreset {
  readonly id: string;
  readonly name: string;
  readonly heightM: number;
  /** Depth along the line of sight that should be sharp. */
  readonly depthM: number;
  readonly speedMs: number;
  readonly climbDeg?: number;
  readonly parts: readonly MovingPart[];
}

const torso = (upM: number): MovingPart => ({
  name: 'body',
  role: 'body',
  aheadM: 0,
  leftM: 0,
  upM,
  bodyShare: 1,
});
const head: MovingPart = { ...torso(1.65), name: 'head', aheadM: 0.1 };
const runningHand: MovingPart = {
  name: 'hand',
  role: 'limb',
  aheadM: 0.3,
  leftM: 0.3,
  upM: 1.1,
  bodyShare: 1.6,
};
const runningFoot: MovingPart = {
  name: 'foot',
  role: 'limb',
  aheadM: 0,
  leftM: 0.15,
  upM: 0.3,
  bodyShare: 2,
};
const stickTip: MovingPart = {
  name: 'stick tip',
  role: 'limb',
  aheadM: 0.6,
  leftM: -0.4,
  upM: 0.3,
  bodyShare: 1,
  swing: { speedMs: 25, radiusM: 1.5, planeTiltDeg: 50 },
};

export const SUBJECTS: readonly SubjectPreset[] = [
  {
    id: 'field-player',
    name: 'Field player, running',
    heightM: 1.75,
    depthM: 0.6,
    speedMs: 7,
    parts: [torso(1.2), head, runningHand, runningFoot],
  },
  {
    id: 'field-player-swing',
    name: 'Field player, stick swing',
    heightM: 1.75,
    depthM: 0.9,
    speedMs: 4,
    parts: [torso(1.2), head, { ...runningFoot, bodyShare: 1.5 }, stickTip],
  },
  {
    id: 'standing',
    name: 'Player standing',
    heightM: 1.75,
    depthM: 0.4,
    speedMs: 0.3,
    parts: [torso(1.2), head, { ...runningHand, bodyShare: 4 }],
  },
  {
    id: 'kingfisher-perched',
    name: 'Kingfisher on the perch',
    heightM: 0.17,
    depthM: 0.08,
    speedMs: 0.1,
    parts: [torso(0.07), { ...torso(0.14), name: 'head', aheadM: 0.02, bodyShare: 4 }],
  },
  {
    id: 'kingfisher-dive',
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
        swing: { speedMs: 7, radiusM: 1, planeTiltDeg: 15 },
      },
    ],
  },
];
