import { wingTipSpeed, type MovingPart } from '@/core';

/** Parts that subjects are put together from. Every value: common practice, no source. */

export const torso = (upM: number): MovingPart => ({
  name: 'body',
  role: 'body',
  aheadM: 0,
  leftM: 0,
  upM,
  bodyShare: 1,
});
/** A part at rest: what moves is its own trembling, whichever way. */
export const resting = (name: string, upM: number, ownShare: number): MovingPart => ({
  ...torso(upM),
  name,
  bodyShare: 0,
  ownShare,
});
export const head: MovingPart = { ...torso(1.65), name: 'head', aheadM: 0.1 };
export const runningHand: MovingPart = {
  name: 'hand',
  role: 'limb',
  aheadM: 0.3,
  leftM: 0.3,
  upM: 1.1,
  bodyShare: 1.6,
  ownShare: 0.6,
};
export const runningFoot: MovingPart = {
  name: 'foot',
  role: 'limb',
  aheadM: 0,
  leftM: 0.15,
  upM: 0.3,
  bodyShare: 2,
  ownShare: 0.7,
};
export const stickTip: MovingPart = {
  name: 'stick tip',
  role: 'limb',
  aheadM: 0.6,
  leftM: -0.4,
  upM: 0.3,
  bodyShare: 1,
  rulesOnlyIfNamed: true,
  swing: { speedMs: 25, radiusM: 1.5, planeTiltDeg: 50 },
};

/** Who lets go of what is thrown. The hand's plane is tilted from upright: over the head, or round the side. */
export const thrower = (speedMs: number, planeTiltDeg: number) => ({
  classId: 'strike' as const,
  heightM: 1.85,
  depthM: 0.9,
  speedMs: 2,
  parts: [
    torso(1.2),
    { ...head, upM: 1.7 },
    {
      name: 'throwing hand',
      role: 'limb' as const,
      aheadM: 0.45,
      leftM: -0.5,
      upM: 1.55,
      bodyShare: 1,
      rulesOnlyIfNamed: true,
      swing: { speedMs, radiusM: 0.8, planeTiltDeg },
    },
  ],
});

/** A wing that beats: its tip swings at π·beats·sweep·length. */
export const wing = (
  upM: number,
  lengthM: number,
  beatsPerS: number,
  sweepRad: number,
): MovingPart => ({
  name: 'wing tip',
  role: 'limb',
  aheadM: 0,
  leftM: lengthM,
  upM,
  bodyShare: 1,
  swing: {
    speedMs: wingTipSpeed({ beatsPerS, sweepRad, lengthM }),
    radiusM: lengthM,
    planeTiltDeg: 20,
  },
});

/** A runner of that height: body, head, hand, foot. The foot swings from rest to twice the body. */
export const runner = (heightM: number, footShare = 2): readonly MovingPart[] => [
  torso(heightM * 0.68),
  { ...head, upM: heightM * 0.94 },
  { ...runningHand, upM: heightM * 0.63 },
  { ...runningFoot, bodyShare: footShare },
];

/** A rider's wheel: its rim runs from rest at the road to twice the speed at the top. */
export const wheelRim: MovingPart = {
  name: 'wheel rim',
  role: 'limb',
  aheadM: 0.5,
  leftM: 0,
  upM: 0.68,
  bodyShare: 2,
  // Its sides run up and down as fast as it rolls.
  ownShare: 1,
};

/** A thing of one piece: a ball, a disc. */
export const ball = (upM: number): readonly MovingPart[] => [
  { ...torso(upM), name: 'ball', rulesOnlyIfNamed: true },
];

const FAN_TURNS_PER_S = 15;
const BLADE_M = 0.16;
const BLADE_NAMES = ['blade', 'second blade', 'third blade'] as const;

/** Tips of a fan's blades round a hub so high, the first straight up: where one stands is its phase. */
export const blades = (hubUpM: number): readonly MovingPart[] =>
  BLADE_NAMES.map((name, i) => {
    const phaseRad = Math.PI / 2 + (i * 2 * Math.PI) / BLADE_NAMES.length;
    return {
      name,
      role: 'limb',
      aheadM: BLADE_M * Math.cos(phaseRad),
      leftM: 0,
      upM: hubUpM + BLADE_M * Math.sin(phaseRad),
      bodyShare: 1,
      swing: {
        ...{ speedMs: 2 * Math.PI * BLADE_M * FAN_TURNS_PER_S, radiusM: BLADE_M },
        ...{ planeTiltDeg: 0, phaseRad },
      },
    };
  });
