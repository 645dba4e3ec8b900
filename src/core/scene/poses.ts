import { butterfly, flying, fourLegs, horse, perched, thing } from './animals';
import { diving, fan, paddling, riding, skiing, swimming } from './carried';
import { BODY, joint, partJoint, type Modelled } from './pieces';
import { person, throwing, upright, withStick, WOOD } from './people';
import type { Piece } from './types';

/**
 * Figures of plain pieces, true to the size of their subject. A joint that has a part's name stands where the
 * part is, so that what is drawn moves as the part does.
 */

export const FIGURE_KINDS = [
  'running',
  'swinging',
  'batting',
  'throwing',
  'standing',
  'jumping',
  'climbing',
  'diving',
  'swimming',
  'paddling',
  'riding',
  'fan',
  'skiing',
  'horse',
  'fourLegs',
  'perched',
  'flying',
  'butterfly',
  'ball',
] as const;
export type FigureKind = (typeof FIGURE_KINDS)[number];

/** The pieces of a kind of figure, as tall as its subject. */
export function figurePieces(kind: FigureKind, model: Modelled): readonly Piece[] {
  const { heightM: h, parts } = model;
  switch (kind) {
    case 'running':
      return upright(model);
    case 'swinging':
      return withStick(model, 'stick tip', WOOD);
    case 'batting':
      return withStick(model, 'bat tip', WOOD);
    case 'throwing':
      return throwing(model);
    case 'standing':
      return upright(model, {
        feet: [joint(0, 0.12, 0.02, BODY), joint(0.03, -0.12, 0.02, BODY)],
      });
    case 'jumping':
      return person(
        {
          hips: joint(-0.05, 0, 0.6 * h, BODY),
          shoulders: joint(0, 0, 0.78 * h, BODY),
          head: partJoint(parts, 'head') ?? joint(0.05, 0, 0.9 * h, BODY),
          hands: [
            partJoint(parts, 'hand') ?? joint(0.2, 0.2, h, BODY),
            joint(0.25, -0.3, 0.72 * h, BODY),
          ],
          feet: [joint(-0.3, 0.12, 0.28 * h, BODY), joint(0.05, -0.12, 0.24 * h, BODY)],
        },
        1.8,
      );
    case 'climbing':
      return person(
        {
          hips: joint(0, 0, 0.5 * h, BODY),
          shoulders: joint(0, 0, 0.74 * h, BODY),
          head: partJoint(parts, 'head') ?? joint(0, 0, 0.84 * h, BODY),
          hands: [
            partJoint(parts, 'hand') ?? joint(0, 0.3, h, BODY),
            joint(-0.3, -0.2, 0.86 * h, BODY),
          ],
          feet: [
            partJoint(parts, 'foot') ?? joint(0.2, 0.15, 0.2, BODY),
            joint(-0.25, -0.1, 0.05, BODY),
          ],
        },
        1.75,
      );
    case 'diving':
      return diving(model);
    case 'swimming':
      return swimming(model);
    case 'paddling':
      return paddling(model);
    case 'fan':
      return fan(model);
    case 'riding':
      return riding(model);
    case 'skiing':
      return skiing(model);
    case 'perched':
      return perched(model);
    case 'flying':
      return flying(model);
    case 'butterfly':
      return butterfly(model);
    case 'horse':
      return horse(model);
    case 'fourLegs':
      return fourLegs(model);
    case 'ball':
      return thing(model);
  }
}
