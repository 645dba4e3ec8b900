import { answerAt } from '@/answers/answer';
import { filterInWords } from '@/features/shoot/exposure-words';
import { engraved, lightInWords } from '@/features/shoot/words';
import { isOneOfMany, lensTaken } from '@/features/shoot/lens-words';
import { viewFor, withBagOf } from '@/answers/picture-view';
import type { Setup, View } from '@/answers/view';
import type { Stop } from '@/core';
import type { DayEventRecord } from '@/records/day';
import type { Shoot } from '@/records/shoot';
import { pictureOf, type Pictured } from '@/answers/day-request';

/** Light on the face, with which lens and what to set, event by event, from where it is shot. */

export interface LightCell {
  /** What of the bag is taken, and where a zoom stands; nothing where there is no other. */
  readonly lens?: string;
  readonly ev: string;
  readonly side: string;
  readonly shutter: string;
  readonly aperture: string;
  readonly iso: string;
}

/** "1/1250 · f/6.3 · ISO 400". */
export const cellInWords = ({ shutter, aperture, iso }: LightCell): string =>
  `${shutter} · ${aperture} · ${iso}`;

/** "With the 300 mm f/4."; nothing where there is no other. */
export const lensInWords = (cell: LightCell | undefined): string =>
  cell?.lens ? `With the ${cell.lens}.` : '';

/** Light and settings of an event as a stop of a route shoots it; nothing where nothing is seen. */
export type LightCells = (
  event: DayEventRecord,
  stop: Pick<Stop, 'positionId' | 'fromMs' | 'shooterId'>,
) => LightCell | undefined;

type Lit = Setup & Pictured & Pick<Shoot, 'shooters'>;

/** Light and settings of events; each view is computed once. */
export function lightColumn(setup: Lit): LightCells {
  const views = new Map<string, { readonly looking: Setup; readonly view: View | undefined }>();
  const cells = new Map<string, LightCell>();
  return (event, { positionId, fromMs: atMs, shooterId }) => {
    const { shot, markId } = pictureOf(setup, event);
    const key = `${shot?.id ?? ''} ${markId} ${positionId} ${shooterId ?? ''}`;
    let known = views.get(key);
    if (!known) {
      const { looking, seen } = viewFor(withBagOf(setup, shooterId), { shot, markId }, positionId);
      known = { looking, view: seen.ok ? seen.view : undefined };
      views.set(key, known);
    }
    if (!known.view) return undefined;
    const cellKey = `${key} ${atMs}`;
    const made = cells.get(cellKey);
    if (made) return made;
    const answer = answerAt(known.view, known.looking, atMs);
    const { filterStops = 0 } = answer.exposure.settings;
    const marks = engraved(answer.exposure.settings);
    const cell = {
      ev: answer.light.ev.expected.toFixed(1),
      side: lightInWords(answer),
      ...(isOneOfMany(known.looking.kit) && { lens: lensTaken(known.looking.kit) }),
      ...marks,
      aperture:
        filterStops > 0 ? `${marks.aperture}, ${filterInWords(filterStops)}` : marks.aperture,
    };
    cells.set(cellKey, cell);
    return cell;
  };
}
