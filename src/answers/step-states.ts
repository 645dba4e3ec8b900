import { refusals, sunEvents, type Refusal } from '@/core';
import type { Shoot } from '@/records/shoot';
import { hoursOf, localMinuteOf } from '@/records/times';
import { subjectOf } from '@/records/own-subject';
import { shotsServed } from './bag';
import { countedEntries } from './counted';
import { matchedFrames } from './matched';
import { limitsOn } from './scored';
import { deliveredOf } from './taught';
import { chosenPosition, type Setup } from './view';

/** What each step of a shoot has settled, and what it lacks. */

/** What a step lacks. */
export type Lack =
  | { readonly kind: 'noShots' }
  /** The place chosen is one where nobody may stand. */
  | { readonly kind: 'placeRefused'; readonly position: string; readonly why: Refusal }
  /** The shoot runs on after sunset, and no lamps are set. */
  | { readonly kind: 'noLamps'; readonly sunsetMs: number }
  | { readonly kind: 'short'; readonly fromMs: number }
  | { readonly kind: 'outOfReach'; readonly count: number; readonly of: number }
  | { readonly kind: 'noOrder'; readonly people: number }
  | { readonly kind: 'owed'; readonly had: number; readonly of: number };

export type StepState =
  | { readonly state: 'settled' }
  | { readonly state: 'lacking'; readonly lack: Lack }
  /** Not begun, and nothing to settle before it is. */
  | { readonly state: 'open' }
  /** Nothing hangs on it: whenever one likes. */
  | { readonly state: 'free' };

const SETTLED: StepState = { state: 'settled' };
const OPEN: StepState = { state: 'open' };
const FREE: StepState = { state: 'free' };
const lacking = (lack: Lack): StepState => ({ state: 'lacking', lack });

/** Whether what is photographed is wild: nobody lights it. */
export const isWild = (shoot: Pick<Shoot, 'marks' | 'subjects'>): boolean =>
  shoot.marks.some(({ subjectId }) => subjectOf(shoot, subjectId).cautions?.includes('wildlife'));

/** When the sun sets on a shoot under the open sky that has no lamps; nothing where it does not. */
export function unlitFromMs(
  shoot: Pick<Shoot, 'light' | 'place' | 'startLocal' | 'endLocal' | 'marks' | 'subjects'>,
): number | undefined {
  const { light, place } = shoot;
  if (light.indoors || light.lampLux > 0 || isWild(shoot)) return undefined;
  const { startMs, endMs } = hoursOf(shoot);
  const days = [startMs, endMs].map((ms) => localMinuteOf(ms, place.timeZone).slice(0, 10));
  return [...new Set(days)]
    .map((date) => sunEvents({ date, ...place }).set?.getTime())
    .find((setMs) => setMs !== undefined && setMs >= startMs && setMs < endMs);
}

/** What each step has settled or lacks, but for the light of the dials. */
export function stepStates(
  shoot: Setup & Pick<Shoot, 'people' | 'events' | 'log' | 'day' | 'startLocal' | 'endLocal'>,
) {
  const { shots, events, people } = shoot;
  const place = chosenPosition(shoot);
  const [refused] = refusals(place, limitsOn(shoot));
  const sunsetMs = unlitFromMs(shoot);
  const missing = shotsServed(shoot).filter(({ served }) => !served).length;
  const begun = countedEntries(shoot).length > 0 || shoot.log.frames.length > 0;
  const delivered = begun ? deliveredOf(shoot, matchedFrames(shoot)) : [];
  const had = delivered.filter(({ delivered: came, quota }) => came >= quota).length;
  return {
    brief: shots.length === 0 ? lacking({ kind: 'noShots' }) : SETTLED,
    ground: refused
      ? lacking({ kind: 'placeRefused', position: place.name, why: refused })
      : SETTLED,
    light: sunsetMs === undefined ? SETTLED : lacking({ kind: 'noLamps', sunsetMs }),
    kit: missing > 0 ? lacking({ kind: 'outOfReach', count: missing, of: shots.length }) : SETTLED,
    day:
      events.length === 0 && people.length > 0
        ? lacking({ kind: 'noOrder', people: people.length })
        : events.length === 0
          ? OPEN
          : SETTLED,
    field: begun ? SETTLED : OPEN,
    log: !begun
      ? OPEN
      : had < shots.length
        ? lacking({ kind: 'owed', had, of: shots.length })
        : SETTLED,
    practice: FREE,
  } satisfies Readonly<Record<string, StepState>>;
}
