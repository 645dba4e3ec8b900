import { answerAt } from '@/answers/answer';
import { filterInWords } from '@/features/shoot/exposure-words';
import { engraved, lightInWords } from '@/features/shoot/words';
import { viewFor } from '@/answers/picture-view';
import type { Setup, View } from '@/answers/view';
import type { DayEventRecord } from '@/records/day';
import { pictureOf, type Pictured } from '@/answers/day-request';

/** Light on the face and what to set, event by event, from where it is shot. */

export interface LightCell {
  readonly ev: string;
  readonly side: string;
  readonly shutter: string;
  readonly aperture: string;
  readonly iso: string;
}

/** "1/1250 · f/6.3 · ISO 400". */
export const cellInWords = ({ shutter, aperture, iso }: LightCell): string =>
  `${shutter} · ${aperture} · ${iso}`;

/** Light and settings of an event from a place at a moment; nothing where nothing is seen. */
export type LightCells = (
  event: DayEventRecord,
  positionId: string,
  atMs: number,
) => LightCell | undefined;

/** Light and settings of events; each view is computed once. */
export function lightColumn(setup: Setup & Pictured): LightCells {
  const views = new Map<string, { readonly looking: Setup; readonly view: View | undefined }>();
  const cells = new Map<string, LightCell>();
  return (event, positionId, atMs) => {
    const { shot, markId } = pictureOf(setup, event);
    const key = `${shot?.id ?? ''} ${markId} ${positionId}`;
    let known = views.get(key);
    if (!known) {
      const { looking, seen } = viewFor(setup, { shot, markId }, positionId);
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
      ...marks,
      aperture:
        filterStops > 0 ? `${marks.aperture}, ${filterInWords(filterStops)}` : marks.aperture,
    };
    cells.set(cellKey, cell);
    return cell;
  };
}
