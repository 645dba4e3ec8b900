import type { Reminder } from '@/answers/reminders';
import type { Ends, LastStop, Rival } from '@/answers/perch';
import { perchEnds, type FeatureOf, type LandsAt } from '@/core';
import { bearingInWords, smallLength } from './words';

/** A perch between cover and food, in words. */

const compassPoint = (deg: number): string => bearingInWords(deg).slice(5);

/** "the N end": what an end of a stick is called; "the middle". */
export function endInWords({ stick }: Pick<FeatureOf<'perch'>, 'stick'>, at: LandsAt): string {
  if (!stick || at === 0) return 'the middle';
  return `the ${compassPoint((stick.towardDeg + (at === 1 ? 0 : 180)) % 360)} end`;
}

/** "Focus on the N end before it comes: sharp 3 cm before it and 3 cm behind." */
export const focusInWords = ({ perch, landsAt, nearM, farM }: Ends): string =>
  `Focus on ${endInWords(perch, landsAt)} before it comes: sharp ${smallLength(nearM)} before it and ${smallLength(farM)} behind.`;

/** "The S end is 28 cm nearer: a bird there comes out soft, 6.1 times over what counts as sharp." */
export function otherEndInWords({ perch, landsAt, offM, blurCircles, sharp }: Ends): string {
  const other = endInWords(perch, landsAt === 1 ? -1 : 1);
  if (sharp) return `${begin(other)} is sharp too.`;
  return `${begin(other)} is ${smallLength(Math.abs(offM))} ${offM < 0 ? 'nearer' : 'further off'}: a bird there comes out soft, ${blurCircles.toFixed(blurCircles < 10 ? 1 : 0)} times over what counts as sharp.`;
}

const begin = (words: string): string => words.slice(0, 1).toUpperCase() + words.slice(1);

/** "Fence post, 80 cm off", "Branch, 60 cm from Feeder". */
export const rivalInWords = ({ name, awayM, food }: Rival): string =>
  `${name}, ${smallLength(awayM)} ${food ? `from ${food}` : 'off'}`;

const ofHundred = (score: number): number => Math.round(score * 100);

/** Whether the picture is a worse one at the last stop: then only that birds come there speaks for it. */
export const costs = ({ total, now, foodLeaves }: LastStop): boolean =>
  !foodLeaves && ofHundred(total) < ofHundred(now);

/** "The last stop on the way from Gap in the hedge: 80 cm before Feeder. 88 of 100 there, 84 where it is." */
export function lastStopInWords(stop: LastStop): string {
  const { cover, food, beforeM, total, now, foodInFrame, foodLeaves } = stop;
  return [
    `The last stop on the way from ${cover}: ${smallLength(beforeM)} before ${food}.`,
    ...(costs(stop) ? ['A bird sits there more likely, but the picture is a worse one:'] : []),
    `${ofHundred(total)} of 100 there, ${ofHundred(now)} where it is.`,
    ...(foodLeaves ? [`${food} is out of the frame there.`] : []),
    ...(foodInFrame ? [`${food} is in the frame there: move it to a side.`] : []),
  ].join(' ');
}

/** Where on a stick a bird may land, to choose from; nothing of a post. */
export const endChoices = (
  perch: FeatureOf<'perch'>,
): readonly { readonly value: string; readonly label: string }[] =>
  perchEnds(perch).length < 2
    ? []
    : ([1, 0, -1] as const).map((at) => ({
        value: String(at),
        label: begin(endInWords(perch, at).replace('the ', '')),
      }));

/** "Cut ends of Placed perch out of sight, Feeder out of the frame". */
export function reminderInWords(reminder: Reminder): string {
  if (reminder.kind === 'water') return `Off ${reminder.position}: the water comes`;
  if (reminder.kind === 'atTheEye') return `Camera at the eye: it may be back at ${reminder.mark}`;
  if (reminder.kind === 'rest') return 'Rest: your last quarters give fewer keepers';
  if (reminder.kind === 'hullInBill') return 'Hull in the bill: wait until it is gone';
  const { perch, food } = reminder;
  return `Cut ends of ${perch} out of sight${food ? `, ${food} out of the frame` : ''}`;
}
