import { ball, BODY, joint, limb, partJoint, type Modelled } from './pieces';
import type { Joint, Piece, Surface } from './types';

/** People of plain pieces, in poses. Reflectances: usual magnitudes, no source. */

export const SKIN: Surface = { material: 'skin', reflectance: 0.35 };
export const HAIR: Surface = { material: 'hair', reflectance: 0.08 };
export const SHIRT: Surface = { material: 'kit', reflectance: 0.3 };
export const SHORTS: Surface = { material: 'cloth', reflectance: 0.12 };
export const SHOE: Surface = { material: 'pale', reflectance: 0.6 };
export const WOOD: Surface = { material: 'wood', reflectance: 0.2 };
export const DARK: Surface = { material: 'dark', reflectance: 0.06 };

/** The joint between two that are nearer than their bones are long: out of the line, the way it bends. */
function bent(from: Joint, to: Joint, boneM: number, bend: Joint): Joint {
  const mid = (key: 'aheadM' | 'leftM' | 'upM') => (from[key] + to[key]) / 2;
  const apart = Math.hypot(from.aheadM - to.aheadM, from.leftM - to.leftM, from.upM - to.upM);
  const out = Math.sqrt(Math.max(0, boneM ** 2 - (apart / 2) ** 2));
  return joint(
    mid('aheadM') + bend.aheadM * out,
    mid('leftM') + bend.leftM * out,
    mid('upM') + bend.upM * out,
    // Half-way between two motions it goes with the slower.
    from.part,
  );
}

/** How a person holds their limbs: hips and shoulders, hands and feet, and how far they lean ahead. */
export interface Pose {
  readonly hips: Joint;
  readonly shoulders: Joint;
  readonly head: Joint;
  readonly hands: readonly [Joint, Joint];
  readonly feet: readonly [Joint, Joint];
}

/** From the shoulders up to the middle of the head. */
const NECK_M = 0.24;

/** A person of some 1.8 m in a pose; `facing` turns head and chest aside from the way they go. */
export function person(pose: Pose, statureM: number): readonly Piece[] {
  const s = statureM / 1.8;
  const { hips, head, hands, feet } = pose;
  // A neck is as long as it is, wherever the head was said to be.
  const shoulders = { ...pose.shoulders, upM: head.upM - NECK_M * s };
  const side = (of: Joint, left: number): Joint => ({ ...of, leftM: of.leftM + left });
  const arm = (hand: Joint, left: number): readonly Piece[] => {
    const shoulder = side(shoulders, left * 0.18 * s);
    const elbow = bent(shoulder, hand, 0.31 * s, joint(-0.5, left * 0.5, -0.7));
    return [
      limb(shoulder, elbow, 0.055 * s, 0.045 * s, SHIRT),
      limb(elbow, hand, 0.042 * s, 0.034 * s, SKIN),
      limb(hand, { ...hand, aheadM: hand.aheadM + 0.05 * s }, 0.045 * s, 0.04 * s, SKIN),
    ];
  };
  const leg = (foot: Joint, left: number): readonly Piece[] => {
    const hip = side(hips, left * 0.1 * s);
    const ankle = { ...foot, upM: foot.upM + 0.06 * s };
    const knee = bent(hip, ankle, 0.46 * s, joint(0.95, 0, 0.3));
    return [
      limb(hip, knee, 0.09 * s, 0.06 * s, SHORTS),
      limb(knee, ankle, 0.055 * s, 0.038 * s, SKIN),
      ball(
        { ...foot, aheadM: foot.aheadM - 0.07 * s },
        { ...foot, aheadM: foot.aheadM + 0.2 * s },
        0.05 * s,
        SHOE,
      ),
    ];
  };
  const face = { ...head, aheadM: head.aheadM + 0.015 * s };
  const crown = { ...head, aheadM: head.aheadM - 0.03 * s, upM: head.upM + 0.035 * s };
  return [
    ball(
      { ...hips, upM: hips.upM - 0.12 * s },
      { ...hips, upM: hips.upM + 0.16 * s },
      0.16 * s,
      SHORTS,
    ),
    ball(
      { ...hips, upM: hips.upM + 0.02 * s },
      { ...shoulders, upM: shoulders.upM + 0.09 * s },
      0.19 * s,
      SHIRT,
    ),
    limb(shoulders, head, 0.06 * s, 0.055 * s, SKIN),
    ball(
      { ...face, upM: face.upM - 0.12 * s },
      { ...face, upM: face.upM + 0.11 * s },
      0.085 * s,
      SKIN,
    ),
    ball(
      { ...crown, upM: crown.upM - 0.07 * s },
      { ...crown, upM: crown.upM + 0.09 * s },
      0.095 * s,
      HAIR,
    ),
    // The nose says which way one looks.
    limb(
      { ...face, aheadM: face.aheadM + 0.07 * s, upM: face.upM + 0.01 * s },
      { ...face, aheadM: face.aheadM + 0.105 * s, upM: face.upM - 0.025 * s },
      0.012 * s,
      0.018 * s,
      SKIN,
    ),
    ...([-1, 1] as const).map((left) => {
      const eye = {
        ...face,
        aheadM: face.aheadM + 0.07 * s,
        leftM: face.leftM + left * 0.032 * s,
        upM: face.upM + 0.028 * s,
      };
      return limb(eye, { ...eye, upM: eye.upM + 0.004 * s }, 0.011 * s, 0.011 * s, DARK);
    }),
    ...arm(hands[0], 1),
    ...arm(hands[1], -1),
    ...leg(feet[0], 1),
    ...leg(feet[1], -1),
  ];
}

/** A person upright, as tall as the subject, their named parts where the subject has them. */
export function upright({ heightM, parts }: Modelled, own: Partial<Pose> = {}): readonly Piece[] {
  const h = heightM;
  const hand = partJoint(parts, 'hand');
  const foot = partJoint(parts, 'foot');
  return person(
    {
      hips: joint(0, 0, 0.52 * h, BODY),
      shoulders: joint(0.04 * h, 0, 0.8 * h, BODY),
      head: partJoint(parts, 'head') ?? joint(0.06 * h, 0, 0.92 * h, BODY),
      hands: [
        hand ?? joint(0.05, 0.3, 0.5 * h, BODY),
        hand ? joint(-0.22, -0.28, 0.6 * h, BODY) : joint(0.05, -0.3, 0.5 * h, BODY),
      ],
      feet: [
        foot ? { ...foot, aheadM: foot.aheadM - 0.35 } : joint(0, 0.12, 0.02, BODY),
        joint(foot ? 0.28 : 0.02, -0.1, 0.02, BODY),
      ],
      ...own,
    },
    h,
  );
}

/** A thing held in both hands, from the hands to its tip. */
export function withStick(model: Modelled, tipName: string, surface: Surface): readonly Piece[] {
  const tip = partJoint(model.parts, tipName);
  const h = model.heightM;
  if (!tip) return upright(model);
  const grip = joint(tip.aheadM * 0.55 + 0.1, tip.leftM * 0.4, 0.55 * h, BODY);
  return [
    ...upright(model, {
      hips: joint(-0.05, 0, 0.48 * h, BODY),
      shoulders: joint(0.1 * h, 0, 0.74 * h, BODY),
      head: partJoint(model.parts, 'head') ?? joint(0.16 * h, 0, 0.86 * h, BODY),
      hands: [grip, { ...grip, upM: grip.upM - 0.12, leftM: grip.leftM - 0.04 }],
      feet: [joint(-0.3, 0.22, 0.02, BODY), joint(0.34, -0.16, 0.02, BODY)],
    }),
    limb(grip, tip, 0.018, 0.03, surface),
  ];
}

/** One who lets go of what is thrown: chest ahead over the forward foot, the other arm out, the thing in the hand. */
export function throwing(model: Modelled): readonly Piece[] {
  const h = model.heightM;
  const hand = partJoint(model.parts, 'throwing hand') ?? joint(0.45, -0.5, 0.84 * h, BODY);
  const thing = { ...hand, aheadM: hand.aheadM + 0.12 };
  return [
    ...upright(model, {
      hips: joint(-0.02, 0, 0.49 * h, BODY),
      shoulders: joint(0.08 * h, 0, 0.76 * h, BODY),
      head: partJoint(model.parts, 'head') ?? joint(0.12 * h, 0, 0.88 * h, BODY),
      hands: [joint(0.15, 0.55, 0.66 * h, BODY), hand],
      feet: [joint(0.42, 0.14, 0.02, BODY), joint(-0.38, -0.16, 0.08, BODY)],
    }),
    ball({ ...thing, upM: thing.upM - 0.05 }, { ...thing, upM: thing.upM + 0.05 }, 0.05, DARK),
  ];
}

/** One who sits, hands and feet ahead. */
export function seated(
  model: Modelled,
  seatM: number,
  hands: Pose['hands'],
  feet: Pose['feet'],
): readonly Piece[] {
  return person(
    {
      hips: joint(0, 0, seatM, BODY),
      shoulders: joint(0.12, 0, seatM + 0.5, BODY),
      head: partJoint(model.parts, 'head') ?? joint(0.18, 0, seatM + 0.75, BODY),
      hands,
      feet,
    },
    1.75,
  );
}
