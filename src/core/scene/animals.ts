import {
  ball,
  BODY,
  coloured,
  joint,
  limb,
  partJoint,
  type Modelled,
  type Plumage,
} from './pieces';
import type { Joint, Piece, Surface } from './types';

/** Birds and beasts of plain pieces, true to the size of their subject. */

const BILL = coloured('dark', 0.06);
const WING = coloured('rust', 0.28);

/** Back and breast. */
const PLUMAGES: Readonly<Record<Plumage, readonly [Surface, Surface]>> = {
  brown: [coloured('wood', 0.14), coloured('stone', 0.35)],
  grey: [coloured('stone', 0.25), coloured('pale', 0.6)],
  blueAndRust: [coloured('blue', 0.14), coloured('rust', 0.28)],
};
const FUR = coloured('wood', 0.18);

/** A bird that sits, its bill towards where it looks; one whose throat moves sings, bill open. */
export function perched({ heightM: h, parts, plumage = 'brown' }: Modelled): readonly Piece[] {
  const [back, breast] = PLUMAGES[plumage];
  const body = partJoint(parts, 'body') ? BODY : undefined;
  const head = partJoint(parts, 'head')?.part ?? partJoint(parts, 'throat')?.part ?? body;
  const at = (aheadM: number, upM: number, part = body) => joint(aheadM * h, 0, upM * h, part);
  const sings = partJoint(parts, 'throat') !== undefined;
  const skull = at(0.14, 0.84, head);
  return [
    ball(at(-0.12, 0.2), at(0.1, 0.78), 0.2 * h, breast),
    ball(at(-0.24, 0.22), at(0.02, 0.8), 0.18 * h, back),
    limb(at(-0.2, 0.25), at(-0.42, -0.05), 0.07 * h, 0.03 * h, back),
    ball(at(0.06, 0.78, head), at(0.24, 0.9, head), 0.15 * h, back),
    ...(sings
      ? [
          limb(at(0.24, 0.86, head), at(0.5, 0.9, head), 0.034 * h, 0.006 * h, BILL),
          limb(at(0.22, 0.81, head), at(0.46, 0.73, head), 0.028 * h, 0.006 * h, BILL),
        ]
      : [limb(at(0.24, 0.84, head), at(0.52, 0.78, head), 0.04 * h, 0.006 * h, BILL)]),
    ball(at(0.1, 0.7, head), at(0.22, 0.76, head), 0.1 * h, coloured('pale', 0.6)),
    ...([-1, 1] as const).map((left) => {
      const eye: Joint = { ...skull, aheadM: 0.22 * h, leftM: left * 0.09 * h, upM: 0.88 * h };
      return limb(eye, { ...eye, upM: eye.upM + 0.01 * h }, 0.028 * h, 0.028 * h, BILL);
    }),
    limb(at(0, 0.2), at(0.02, 0), 0.025 * h, 0.02 * h, breast),
  ];
}

/** A bird on the wing: the named tip one side, its like on the other. */
export function flying({
  heightM: h,
  depthM,
  parts,
  plumage = 'brown',
}: Modelled): readonly Piece[] {
  const [back, breast] = PLUMAGES[plumage];
  const body = partJoint(parts, 'body') ?? joint(0, 0, h / 2, BODY);
  const tip = partJoint(parts, 'wing tip') ?? joint(0, h, h, BODY);
  const long = Math.max(depthM, h) * 0.5;
  const at = (aheadM: number, upM = 0, leftM = 0) =>
    joint(aheadM * long, leftM, body.upM + upM * long, BODY);
  // A wing is as broad as two limbs beside each other, the hinder one shorter.
  const wing = (left: 1 | -1): readonly Piece[] => {
    const end: Joint = { ...tip, leftM: left * tip.leftM };
    const hinder = { ...end, aheadM: end.aheadM - 0.3 * long, leftM: end.leftM * 0.75 };
    return [
      limb(at(0.18, 0.1, left * 0.08 * long), end, 0.09 * long, 0.02 * long, back),
      limb(at(-0.12, 0.1, left * 0.08 * long), hinder, 0.12 * long, 0.04 * long, breast),
    ];
  };
  return [
    ball(at(-0.6), at(0.5), 0.19 * long, breast),
    ball(at(-0.55, 0.06), at(0.45, 0.06), 0.17 * long, back),
    ball(at(0.35, 0.05), at(0.7, 0.1), 0.14 * long, back),
    limb(at(0.65, 0.08), at(0.95, 0.04), 0.04 * long, 0.01 * long, BILL),
    limb(at(-0.55), at(-1, 0.02), 0.1 * long, 0.05 * long, back),
    ...wing(1),
    ...wing(-1),
  ];
}

export function butterfly({ heightM: h, parts }: Modelled): readonly Piece[] {
  const upM = partJoint(parts, 'body')?.upM ?? h / 3;
  const at = (aheadM: number, up: number, leftM = 0) =>
    joint(aheadM * h, leftM, upM + up * h, BODY);
  return [
    limb(at(-0.3, 0), at(0.3, 0), 0.04 * h, 0.05 * h, BILL),
    ...([-1, 1] as const).flatMap((left) => [
      limb(at(0.1, 0), at(0.25, 0.5, left * 0.35 * h), 0.05 * h, 0.22 * h, WING),
      limb(at(-0.1, 0), at(-0.25, 0.35, left * 0.3 * h), 0.05 * h, 0.18 * h, WING),
    ]),
  ];
}

/** A beast of a height at the back, its named foot ahead. */
export function fourLegs({ heightM, parts }: Modelled, riderM = 0): readonly Piece[] {
  const h = heightM - riderM;
  const body = partJoint(parts, 'body')?.upM ?? h * 0.65;
  const foot = partJoint(parts, 'hoof') ?? partJoint(parts, 'foot');
  const head = partJoint(parts, 'head') ?? joint(0.6 * h, 0, 0.95 * h, BODY);
  const leg = (aheadM: number, leftM: number, to: Joint): Piece =>
    limb(joint(aheadM, leftM, body - 0.12 * h, BODY), to, 0.07 * h, 0.03 * h, FUR);
  return [
    ball(joint(-0.5 * h, 0, body, BODY), joint(0.5 * h, 0, body + 0.03 * h, BODY), 0.2 * h, FUR),
    limb(joint(0.35 * h, 0, body + 0.08 * h, BODY), head, 0.11 * h, 0.07 * h, FUR),
    ball(
      { ...head, aheadM: head.aheadM - 0.06 * h, upM: head.upM + 0.04 * h },
      { ...head, aheadM: head.aheadM + 0.22 * h, upM: head.upM - 0.06 * h },
      0.07 * h,
      FUR,
    ),
    ...([-1, 1] as const).map((left) =>
      limb(
        { ...head, upM: head.upM + 0.05 * h, leftM: left * 0.03 * h },
        {
          ...head,
          aheadM: head.aheadM - 0.06 * h,
          upM: head.upM + 0.18 * h,
          leftM: left * 0.06 * h,
        },
        0.025 * h,
        0.012 * h,
        FUR,
      ),
    ),
    leg(
      0.38 * h,
      0.1 * h,
      foot ? { ...foot, aheadM: 0.62 * h } : joint(0.6 * h, 0.1 * h, 0.02, BODY),
    ),
    leg(0.38 * h, -0.1 * h, joint(0.3 * h, -0.1 * h, 0.1 * h, BODY)),
    leg(-0.4 * h, 0.1 * h, joint(-0.62 * h, 0.1 * h, 0.06 * h, BODY)),
    leg(-0.4 * h, -0.1 * h, joint(-0.3 * h, -0.1 * h, 0.02, BODY)),
    limb(
      joint(-0.5 * h, 0, body + 0.08 * h, BODY),
      joint(-0.75 * h, 0, body - 0.1 * h, BODY),
      0.03 * h,
      0.02 * h,
      FUR,
    ),
  ];
}

/** A horse with somebody on it, seen no nearer than that there is one. */
export function horse(model: Modelled): readonly Piece[] {
  const back = partJoint(model.parts, 'body')?.upM ?? 1.5;
  const riderM = 0.6;
  const at = (aheadM: number, upM: number) => joint(aheadM, 0, back + upM, BODY);
  return [
    ...fourLegs(model, riderM),
    ball(at(0, 0.2), at(0.25, 0.8), 0.17, coloured('kit', 0.3)),
    ball(at(0.3, 0.78), at(0.34, 1), 0.1, coloured('dark', 0.08)),
  ];
}

/** A thing of one piece: a ball, a disc. */
export function thing({ heightM, parts }: Modelled): readonly Piece[] {
  const [part] = parts;
  const middle = joint(0, 0, part?.upM ?? heightM / 2, part?.name);
  const r = heightM / 2;
  const pole = (upM: number): Joint => ({ ...middle, upM: middle.upM + upM });
  return [ball(pole(-r), pole(r), r, coloured('pale', 0.7))];
}
