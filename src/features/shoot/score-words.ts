import { formatShutter, SHORT_STOPS, type PositionRefusal, type ScoreWhy } from '@/core';
import { written } from '@/ui/units';
import { stops } from './words';

/** Why a place scores as it does, and why one may not stand there. Every number is the core's. */

const percent = (share: number): string => `${Math.round(share * 100)} %`;

/** "fills 62 % at 200 mm, wanted 60 %". */
export function scoreWhyInWords(why: ScoreWhy): string {
  switch (why.kind) {
    case 'withinNearestFocus':
      return `${written(why.distanceM, 'm', 1)} is nearer than the lens focuses, ${written(why.nearestM, 'm', 1)}`;
    case 'fills':
      return `fills ${percent(why.fill)} at ${Math.round(why.focalMm)} mm, wanted ${percent(why.wanted)}`;
    case 'faceOff':
      return `the face is ${Math.round(why.offDeg)}° off the camera`;
    case 'behind':
      return why.timesAsFar === undefined
        ? `nothing behind; blur disc ${percent(why.blurShare)} of the frame`
        : `background ${why.timesAsFar.toFixed(1)} times as far; blur disc ${(why.blurShare * 100).toFixed(1)} % of the frame`;
    case 'comesAtYou':
      return 'nothing to pan: it comes at you';
    case 'inTheWay':
      return 'something stands in the way';
    case 'branches':
      return `branches hide ${percent(why.hidesShare)}`;
    case 'clear':
      return 'clear';
    case 'walk':
      return `${written(why.walkM, 'm', 0)} to walk`;
    case 'sun':
      return `the sun ${Math.round(why.phaseDeg)}° round from behind the camera`;
    case 'noSun':
      return 'no sun on the mark';
    case 'noPicture':
      return 'no picture from here';
    case 'light': {
      // What the dials round away is short for nobody: as the answer has it.
      const spare =
        Math.abs(why.spareStops) <= SHORT_STOPS
          ? 'just enough for'
          : `${stops(Math.abs(why.spareStops))} ${why.spareStops < 0 ? 'short of' : 'over'}`;
      return `EV ${why.ev.toFixed(1)}, ${spare} ${formatShutter(why.shutterS)} at f/${why.aperture.toFixed(1)}`;
    }
  }
}

/** "inside the field of play"; after "stands" or "Off limits:". */
export const refusalInWords = (refusal: PositionRefusal): string =>
  refusal.kind === 'disturbs'
    ? `${written(refusal.distanceM, 'm', 1)} from the mark, nearer than ${written(refusal.keepAwayM, 'm', 0)}`
    : `${refusal.kind} ${refusal.name}`;

/** All of them, one after another. */
export const refusalsInWords = (refusals: readonly PositionRefusal[]): string =>
  refusals.map(refusalInWords).join('; ');
