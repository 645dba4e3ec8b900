import { ball, BODY, coloured, joint, limb, partJoint, type Modelled } from './pieces';
import { DARK, person, seated, SKIN, upright } from './people';
import type { Piece } from './types';

/** People with what carries them: boats, wheels, boards, water. */

export function paddling(model: Modelled): readonly Piece[] {
  const blade = partJoint(model.parts, 'paddle blade') ?? joint(0.8, 0.4, 0.5, BODY);
  const low = joint(0.45, 0.3, 0.75, BODY);
  const high = joint(0.35, -0.25, 1.05, BODY);
  const hull = (aheadM: number) => joint(aheadM, 0, 0.12, BODY);
  return [
    ball(hull(-2.6), hull(2.6), 0.22, coloured('pale', 0.55)),
    ...seated(
      model,
      0.32,
      [low, high],
      [joint(0.9, 0.1, 0.25, BODY), joint(0.9, -0.1, 0.25, BODY)],
    ),
    limb(high, blade, 0.016, 0.016, DARK),
    ball(blade, { ...blade, aheadM: blade.aheadM + 0.12, upM: blade.upM - 0.35 }, 0.09, DARK),
  ];
}

/** A wheel as a ring of rods. */
function wheel(aheadM: number, radiusM: number): readonly Piece[] {
  const at = (turn: number) =>
    joint(
      aheadM + radiusM * Math.cos(turn * 2 * Math.PI),
      0,
      radiusM * (1 + Math.sin(turn * 2 * Math.PI)),
      BODY,
    );
  const steps = 16;
  return Array.from({ length: steps }, (_, i) =>
    limb(at(i / steps), at((i + 1) / steps), 0.014, 0.014, DARK),
  );
}

/** A fan on its foot, seen along its axle: blades in the plane of its heading. */
export function fan({ heightM: h, parts }: Modelled): readonly Piece[] {
  const hub = joint(0, 0, 0.6 * h, BODY);
  return [
    limb(joint(0, -0.06, 0.02, BODY), joint(0, -0.06, 0.6 * h, BODY), 0.02, 0.015, DARK),
    ball(joint(-0.1, -0.06, 0.02, BODY), joint(0.1, -0.06, 0.02, BODY), 0.02, DARK),
    // One blade has a pale strip on it, to be told from the others.
    ...parts
      .filter(({ swing }) => swing)
      .map(({ aheadM, leftM, upM, name }, i) =>
        limb(
          hub,
          joint(aheadM, leftM, upM, name),
          0.015,
          0.045,
          i === 0 ? coloured('pale', 0.6) : coloured('blue', 0.15),
        ),
      ),
    ball(hub, { ...hub, leftM: 0.03 }, 0.04, DARK),
  ];
}

export function riding(model: Modelled): readonly Piece[] {
  const bars = joint(0.6, 0.2, 0.96, BODY);
  const frame = coloured('rust', 0.25);
  const [back, front, crank, saddle, head] = [
    joint(-0.5, 0, 0.34, BODY),
    joint(0.55, 0, 0.34, BODY),
    joint(-0.05, 0, 0.3, BODY),
    joint(-0.2, 0, 0.92, BODY),
    joint(0.42, 0, 0.92, BODY),
  ];
  return [
    ...wheel(-0.5, 0.34),
    ...wheel(0.55, 0.34),
    ...(
      [
        [back, saddle],
        [saddle, crank],
        [crank, head],
        [saddle, head],
        [head, front],
        [back, crank],
        [head, { ...bars, leftM: 0 }],
        [bars, { ...bars, leftM: -bars.leftM }],
      ] as const
    ).map(([from, to]) => limb(from, to, 0.018, 0.018, frame)),
    ...person(
      {
        hips: { ...saddle, upM: 1 },
        shoulders: joint(0.22, 0, 1.28, BODY),
        head: partJoint(model.parts, 'head') ?? joint(0.36, 0, 1.48, BODY),
        hands: [bars, { ...bars, leftM: -bars.leftM }],
        feet: [joint(0.08, 0.1, 0.14, BODY), joint(-0.12, -0.1, 0.42, BODY)],
      },
      1.75,
    ),
  ];
}

export function skiing(model: Modelled): readonly Piece[] {
  const ski = (leftM: number) =>
    limb(joint(-0.75, leftM, 0.02, BODY), joint(0.95, leftM, 0.03, BODY), 0.02, 0.03, DARK);
  const hands = [joint(0.4, 0.35, 0.75, BODY), joint(0.4, -0.35, 0.75, BODY)] as const;
  return [
    ski(0.14),
    ski(-0.14),
    ...upright(model, {
      hips: joint(-0.2, 0, 0.6, BODY),
      shoulders: joint(0.2, 0, 1.02, BODY),
      hands,
      feet: [joint(0, 0.14, 0.04, BODY), joint(0.05, -0.14, 0.04, BODY)],
    }),
    ...hands.map((hand) =>
      limb(hand, { ...hand, aheadM: hand.aheadM - 0.75, upM: 0.45 }, 0.008, 0.008, DARK),
    ),
  ];
}

export function diving(model: Modelled): readonly Piece[] {
  const h = model.heightM;
  return person(
    {
      hips: joint(0, 0, 0.55 * h, BODY),
      shoulders: joint(0.08, 0, 0.25 * h, BODY),
      head: joint(0.1, 0, 0.12 * h, BODY),
      hands: [joint(0.18, 0.05, -0.12 * h, BODY), joint(0.18, -0.05, -0.12 * h, BODY)],
      feet: [joint(0, 0.06, h, BODY), joint(0, -0.06, h, BODY)],
    },
    1.7,
  );
}

export function swimming(model: Modelled): readonly Piece[] {
  const head = partJoint(model.parts, 'head') ?? joint(0, 0, 0.15, BODY);
  const hand = partJoint(model.parts, 'hand') ?? joint(0.4, 0.3, 0.4, BODY);
  const shoulder = { ...head, aheadM: head.aheadM - 0.2, leftM: 0.18, upM: 0.08 };
  return [
    ball({ ...head, upM: head.upM - 0.1 }, { ...head, upM: head.upM + 0.12 }, 0.09, SKIN),
    ball(head, { ...head, upM: head.upM + 0.14 }, 0.092, coloured('blue', 0.2)),
    ball(joint(-1.2, 0, 0, BODY), joint(-0.15, 0, 0.02, BODY), 0.16, SKIN),
    limb(shoulder, hand, 0.05, 0.035, SKIN),
    ball(hand, { ...hand, aheadM: hand.aheadM + 0.1 }, 0.045, SKIN),
  ];
}
