import { raised, type LitScene } from '@/core';
import type { Shoot } from '@/records/shoot';
import type { ShadeRequest } from './shades-on';
import { isHidden, photographerAt } from './sun-on-ground';
import { standing } from './view';

/** What may throw shade on a mark. */

/** What the photographer's own shadow is called. */
export const YOURSELF = 'You yourself';

/** What may shade a mark of a shoot: all that stands, and who photographs it unless a hide swallows their shadow. */
export const shadeRequest = (
  {
    features,
    startLocal,
    endLocal,
    place,
  }: Pick<Shoot, 'features' | 'startLocal' | 'endLocal' | 'place'>,
  { target }: Pick<LitScene, 'target'>,
  position: Shoot['positions'][number],
): ShadeRequest => ({
  ...{ point: target, place, startLocal, endLocal, timeZone: place.timeZone },
  owners: [
    ...raised(features)
      .map((feature) => ({
        name: feature.name,
        stands: standing([feature]),
      }))
      .filter(({ stands: { obstacles, boughs } }) => obstacles.length > 0 || boughs !== undefined),
    ...(isHidden(position, features)
      ? []
      : [{ name: YOURSELF, stands: { obstacles: [photographerAt(position, features)] } }]),
  ],
});
