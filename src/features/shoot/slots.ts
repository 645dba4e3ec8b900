import {
  formatShutter,
  nearestMark,
  RIGHT_WITHIN_STOPS,
  solveExposure,
  type PictureWanted,
  type Settings,
  type SubjectLight,
} from '@/core';
import { demandsOf, exposureDemands } from '@/answers/answer';
import type { View } from '@/answers/view';
import { filterInWords } from '@/features/shoot/exposure-words';
import { engraved, stops } from '@/features/shoot/words';
import type { Shoot } from '@/records/shoot';

/** What to store in a body's memory slots, in words that any body has. */
export interface Slot {
  readonly id: NonNullable<Shoot['choice']['slot']>;
  readonly name: string;
  readonly settings: Settings;
  readonly exposure: { readonly shutter: string; readonly aperture: string; readonly iso: string };
  readonly rest: readonly string[];
}

const ACTION: PictureWanted = { technique: 'freeze', background: 'any' };
const STILL: PictureWanted = { technique: 'portrait', background: 'any' };

/** Action, still and pan, for this view in this light. */
export function memorySlots(
  view: View,
  choice: Shoot['choice'],
  light: SubjectLight,
): readonly Slot[] {
  const { held: _held, ...request } = exposureDemands(view, choice);
  const ceiling = nearestMark('iso', view.body.iso.usable).label;
  const set = (wanted: PictureWanted) => {
    const times = view.timesOf(wanted);
    const { settings, stopsBright } = solveExposure({
      ...request,
      ev: light.ev,
      demands: demandsOf(view, times, choice.liftStops),
    });
    return { settings, exposure: engraved(settings), times, stopsBright };
  };
  const pan = set({ technique: 'pan', background: 'any' });
  const burst = `${view.body.framesPerS} frames a second`;
  return [
    {
      id: 'action',
      name: 'Action',
      ...set(ACTION),
      rest: [
        `automatic ISO up to ${ceiling}`,
        'continuous focus',
        burst,
        'stabiliser normal or off',
      ],
    },
    {
      id: 'still',
      name: 'Still',
      ...set(STILL),
      rest: ['single frames', 'focus locked once', `hands steady to ${formatShutter(view.shakeS)}`],
    },
    {
      id: 'pan',
      name: 'Pan',
      ...pan,
      rest: [
        'continuous focus',
        burst,
        'stabiliser up and down only',
        'press in the middle of the swing',
        ...(pan.times.comesAtYou ? ['nothing to pan from here: it comes at you'] : []),
        ...(pan.settings.filterStops
          ? [`${filterInWords(pan.settings.filterStops)} on the lens`]
          : []),
        ...(pan.stopsBright > RIGHT_WITHIN_STOPS
          ? [`a neutral filter: ${stops(pan.stopsBright)} too bright without`]
          : []),
      ],
    },
  ];
}
