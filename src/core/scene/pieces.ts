import type { MovingPart } from '../motion/subject';
import type { Joint, Material, Piece, Surface } from './types';

/** What figures are put together from. */

/** What a figure is made after: a subject's height, what of it moves, and how deep it is. */
export interface Modelled {
  readonly heightM: number;
  readonly depthM: number;
  readonly parts: readonly MovingPart[];
  /** Of a bird; brown unless said. */
  readonly plumage?: Plumage;
}

export type Plumage = 'brown' | 'grey' | 'blueAndRust';

export const joint = (aheadM: number, leftM: number, upM: number, part?: string): Joint => ({
  ...{ aheadM, leftM, upM },
  ...(part !== undefined && { part }),
});

export const limb = (
  from: Joint,
  to: Joint,
  fromRadiusM: number,
  toRadiusM: number,
  surface: Surface,
): Piece => ({ shape: 'limb', from, to, fromRadiusM, toRadiusM, ...surface });

/** A ball drawn out from one joint to another, as thick as `radiusM`. */
export const ball = (from: Joint, to: Joint, radiusM: number, surface: Surface): Piece => ({
  ...{ shape: 'ball', from, to, fromRadiusM: radiusM, toRadiusM: radiusM },
  ...surface,
});

export const coloured = (material: Material, reflectance: number): Surface => ({
  material,
  reflectance,
});

/** Where a part is, if the subject has it. */
export const partJoint = (parts: readonly MovingPart[], name: string): Joint | undefined => {
  const part = parts.find((entry) => entry.name === name);
  return part && joint(part.aheadM, part.leftM, part.upM, part.name);
};

/** The even course of the body. */
export const BODY = 'body';
