import type { HappeningId, StopsJudged } from '@/answers/stops-drill';
import type { View } from '@/answers/view';
import { formatShutter, type School } from '@/core';
import { gradeInWords, stops } from '@/features/shoot/words';

export const HAPPENED: Readonly<Record<HappeningId, string>> = {
  falls: 'Dusk has come on since the dials were set.',
  darkEnd: 'Play has moved to the darker end.',
  sunIn: 'A cloud has gone before the sun.',
  sunOut: 'The sun has come out: whites blow.',
  compensation: 'The light is as it was: a compensation was left on from before.',
};

const SCHOOLS: Readonly<Record<School, string>> = {
  motion: 'Motion first: ISO pays before the time does.',
  balanced: 'Balanced: ISO up to what the body takes, then the time.',
  quality: 'Quality first: the time pays before ISO does.',
};

/** What the picture asks for. */
export const wishInWords = (school: School, { times, body }: View): string =>
  `Hold ${formatShutter(times.mustS)} or faster; up to ISO ${body.iso.usable} is fine. ${SCHOOLS[school]}`;

/** From this much on a dial stands elsewhere than the plan's. */
const ELSEWHERE = 0.5;

/** What dials made of it: right or not, and what each costs against the plan's. */
export function judgedInWords({
  offStops,
  right,
  moved,
  planMoved,
  slower,
  closed,
  higher,
  beyondUsable,
}: StopsJudged): readonly string[] {
  const head = right
    ? 'Right, within a third of a stop.'
    : `${stops(Math.abs(offStops))} too ${offStops > 0 ? 'bright' : 'dark'}.`;
  return [
    head,
    ...(slower >= ELSEWHERE && moved && planMoved && moved.grade !== planMoved.grade
      ? [
          `${stops(slower)} slower than the plan: the ${moved.part} comes out ${gradeInWords(moved.grade)}, not ${gradeInWords(planMoved.grade)}.`,
        ]
      : slower >= ELSEWHERE
        ? [`${stops(slower)} slower than the plan; the grade of what moves stays.`]
        : slower <= -ELSEWHERE
          ? [`${stops(-slower)} faster than the plan: paid in ISO or depth.`]
          : []),
    ...(closed >= ELSEWHERE
      ? [`${stops(closed)} more closed than the plan: more depth, less light.`]
      : closed <= -ELSEWHERE
        ? [`${stops(-closed)} wider than the plan: less depth.`]
        : []),
    ...(higher >= ELSEWHERE ? [`${stops(higher)} of ISO more than the plan: more grain.`] : []),
    ...(beyondUsable ? ['Above what this body is taken to: the grain shows.'] : []),
  ];
}
