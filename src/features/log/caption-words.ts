import { CAPTION_FIELDS, unknownField } from '@/answers/caption-pattern';
import type { PressNamed } from '@/answers/captions';
import type { MatchedFrame } from '@/answers/matched';
import type { Reason } from '@/answers/put-to-event';
import { percent } from '@/features/shoot/words';

/** What is said of names and captions. */

/** How it is known who is on a press. */
export function namedInWords({ who, by }: PressNamed): string {
  switch (by) {
    case 'hand':
      return who.length === 0 ? 'Nobody, as you said.' : 'As you said.';
    case 'tap':
      return 'As tapped in the field about then: look, and change it if it is wrong.';
    case 'only':
      return 'Nobody else starts in this event.';
    case 'owed':
      return 'The only one here of whom pictures are owed: look, and say so or change it.';
    case 'nothing':
      return 'Not known yet.';
  }
}

/** What speaks for an event, the strongest first. */
const REASONS: Readonly<Record<Reason, string>> = {
  person: 'who was tapped starts in it',
  stand: 'you stood there',
  near: 'taken from its place',
  looks: 'the camera looked there',
  tap: 'tapped then',
  focal: 'the lens suits it',
  time: 'its time',
  late: 'if it ran late',
};
const STRONGEST = Object.keys(REASONS) as Reason[];
const MOST_REASONS = 3;

/** How it is known which event a press is of: "92 % sure: you stood there, its time". */
export function eventKnownInWords(
  { event, byHand, sure, why }: Pick<MatchedFrame, 'event' | 'byHand' | 'sure' | 'why'>,
  hasEvents: boolean,
): string {
  if (byHand) return 'as you said';
  if (!event) return hasEvents ? `none runs then, ${percent(sure)} sure` : 'the day has none';
  const reasons = STRONGEST.filter((one) => why.includes(one))
    .slice(0, MOST_REASONS)
    .map((one) => REASONS[one]);
  return `${percent(Math.min(sure, 0.99))} sure: ${reasons.join(', ')}`;
}

export const picturesInWords = (count: number): string =>
  `${count} ${count === 1 ? 'picture' : 'pictures'}`;
const pressesInWords = (count: number): string => `${count} ${count === 1 ? 'press' : 'presses'}`;

/** "4 presses together, 17 pictures". */
export const togetherInWords = (presses: number, pictures: number): string =>
  `${pressesInWords(presses)} together, ${picturesInWords(pictures)}`;

/** What leaves without having been looked at. */
export const unsettledInWords = (presses: number): string =>
  `${pressesInWords(presses)} not settled: their pictures leave without a name, or with an event that is not sure.`;

/** "10:02:05, 4 pictures: LMR_0001 to LMR_0004". */
export function pressInWords(names: readonly string[], at: string): string {
  const plain = names.map((name) => name.replace(/\.[^.]+$/, ''));
  const [first, last] = [plain[0] ?? '', plain.at(-1) ?? ''];
  return names.length === 1 ? `${at}  ${first}` : `${at}  ${names.length}: ${first} to ${last}`;
}

/** What is wrong with a pattern, to be changed; nothing where it is right. */
export function patternProblem(pattern: string): string | undefined {
  if (pattern.trim() === '') return 'write at least one field, such as {who}';
  const unknown = unknownField(pattern);
  return unknown === undefined
    ? undefined
    : `{${unknown}} is no field: take ${CAPTION_FIELDS.map((name) => `{${name}}`).join(', ')}, or two words such as {races|race}`;
}
