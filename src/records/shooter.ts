import { z } from 'zod';
import { kitSchema } from './kit';
import { id, localMinute, text } from './shape';

/**
 * Someone who shoots a day together with others. The bag of the one whose phone it is are the shoot's own kit and settings;
 * the others' lie here until they are taken up.
 * @example
 * const shooter = shooterSchema.parse({ id: 'm', name: 'Mara', kit: TERN_WATER.kit });
 */

/** As many plan a day together. */
export const MOST_SHOOTERS = 4;

export const shooterSchema = z.strictObject({
  id,
  name: text(40),
  /** From when they are on the ground, and where they come to; from the first, and anywhere, when absent. */
  fromLocal: localMinute.optional(),
  atPositionId: id.optional(),
  /** Absent for the one whose day is open. */
  kit: kitSchema.optional(),
});
export type Shooter = z.infer<typeof shooterSchema>;

/** Refuses shooters that are no company: one alone, one without a bag, one whose day is open without being there. */
export function refuseShooters(
  {
    shooters,
    choice,
    positions,
  }: {
    readonly shooters: readonly Shooter[];
    readonly choice: { readonly shooterId?: string | undefined };
    readonly positions: readonly { readonly id: string }[];
  },
  refuse: (path: (string | number)[], message: string) => void,
): void {
  const there = (entry: Shooter) => entry.id === choice.shooterId;
  if (shooters.length === 1) refuse(['shooters'], 'must be none, or two or more');
  if (choice.shooterId !== undefined ? !shooters.some(there) : shooters.length > 0) {
    refuse(['choice', 'shooterId'], 'must be the id of a shooter');
  }
  shooters.forEach((entry, i) => {
    if (there(entry) === (entry.kit !== undefined)) {
      const must = there(entry) ? 'must be absent: it is the shoot’s own' : 'must be there';
      refuse(['shooters', i, 'kit'], must);
    }
    const { atPositionId } = entry;
    if (atPositionId !== undefined && !positions.some(({ id: at }) => at === atPositionId)) {
      refuse(['shooters', i, 'atPositionId'], 'must be the id of a position');
    }
  });
}
