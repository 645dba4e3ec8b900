import type { OwedShot } from '@/answers/owed';
import { wayInShort } from './exposure-words';
import { lightThroughInWords } from './light-words';
import { stops } from './words';
import { refusalInWords } from './score-words';

/** How it stands with a promised shot, in a line, and its sign. */

/** As many ways out are named in the line; the rest stand with the answer. */
const WAYS_NAMED = 2;

/** Told apart by its shape: full works, half for a part of the hours, empty not at all. */
export type OwedSign = 'works' | 'partly' | 'not' | 'had' | 'asking';

export function owedSign({ state, delivered, quota }: OwedShot): OwedSign {
  if (delivered >= quota) return 'had';
  if (state.kind === 'asking') return 'asking';
  if (state.kind !== 'light') return 'not';
  const { kind } = state.light;
  if (kind === 'holds' || kind === 'sky') return 'works';
  return kind === 'short' ? 'partly' : 'not';
}

/** "works until 19:57, then 1.1 stops short: lift 1.0 stop or 1/800". */
export function owedInWords(owed: OwedShot, clock: (ms: number) => string): string {
  const { state, served, delivered, quota } = owed;
  if (delivered >= quota) return `delivered, ${delivered} of ${quota}`;
  const had = delivered > 0 ? `${delivered} of ${quota} delivered; ` : '';
  return had + stateInWords(owed, state, served, clock);
}

function stateInWords(
  owed: OwedShot,
  state: OwedShot['state'],
  served: OwedShot['served'],
  clock: (ms: number) => string,
): string {
  switch (state.kind) {
    case 'asking':
      return 'computing its light';
    case 'outOfReach':
      return 'out of reach with this bag';
    case 'notAllowed':
      return `not allowed: ${served.position.name} stands ${served.refusals[0] ? refusalInWords(served.refusals[0]) : 'where nobody may'}`;
    case 'light': {
      const { light } = state;
      if (light.kind === 'holds') return `works to the end from ${served.position.name}`;
      if (light.kind === 'sky') return 'works while the sky behind is bright';
      const ways = waysInShort(owed);
      const mended = ways ? `; ${ways}` : '';
      if (light.kind === 'never') {
        return `too dark by ${stops(light.best.stops)} at the best, ${clock(light.best.timeMs)}${mended}`;
      }
      if (light.kind === 'short') {
        const [first] = light.spans;
        const when = !first
          ? ''
          : first.fromMs === light.startMs
            ? `works from ${clock(first.toMs)}`
            : first.toTheEnd
              ? `works until ${clock(first.fromMs)}`
              : `short from ${clock(first.fromMs)} to ${clock(first.toMs)}`;
        return `${when}${mended || `; ${stops(light.worst.stops)} short at ${clock(light.worst.timeMs)}`}`;
      }
      return lightThroughInWords(light, clock);
    }
  }
}

/** "then ISO 8000 or 1/800": the first ways out at the worst minute. */
function waysInShort({ state }: OwedShot): string {
  if (state.kind !== 'light' || !state.mend) return '';
  const { ways, answer } = state.mend;
  const named = ways.slice(0, WAYS_NAMED).map((way) => wayInShort(way, answer.exposure));
  return named.length > 0 ? `then ${named.join(' or ')}` : '';
}
