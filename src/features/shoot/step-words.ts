import type { Lack, StepState } from '@/answers/step-states';
import { refusalInWords } from './score-words';

/** What a step has settled or lacks, in a few words. */

const shots = (count: number): string => (count === 1 ? '1 shot' : `${count} shots`);

/** "2 of 5 shots out of reach". */
export function lackInWords(lack: Lack, clock: (ms: number) => string): string {
  switch (lack.kind) {
    case 'noShots':
      return 'no shot promised yet';
    case 'placeRefused':
      return `${lack.position} stands ${refusalInWords(lack.why)}`;
    case 'noLamps':
      return `sunset at ${clock(lack.sunsetMs)}, no lamps set`;
    case 'short':
      return `short of light from ${clock(lack.fromMs)}`;
    case 'outOfReach':
      return `${lack.count} of ${shots(lack.of)} out of reach`;
    case 'noOrder':
      return `${lack.people} to find, no running order`;
    case 'owed':
      return `${lack.had} of ${shots(lack.of)} delivered`;
  }
}

/** "Settled", "Lacking: no shot promised yet". */
export function stateInWords(state: StepState, clock: (ms: number) => string): string {
  if (state.state === 'lacking') return `Lacking: ${lackInWords(state.lack, clock)}`;
  if (state.state === 'free') return 'Whenever you have three minutes';
  return state.state === 'settled' ? 'Settled' : 'Not begun';
}
