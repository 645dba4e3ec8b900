import type { CoolHour } from '@/answers/cool-hours';
import type { MistHour } from '@/answers/mist';
import { runsOf, type Run } from '@/answers/runs';
import { inALine } from '@/records/day-said';
import { percent } from './words';

/** Mist in words. */

const spread = ({ spreadC }: MistHour): string => `${spreadC.toFixed(1)} °C over the dew point`;
const wind = ({ windMs }: MistHour): string => `wind ${windMs.toFixed(1)} m/s`;

const said = (hour: MistHour): string =>
  hour.mist === 'none'
    ? hour.why === 'dry'
      ? `None: the air is ${spread(hour)}`
      : `None: ${wind(hour)} stirs it`
    : `${hour.mist === 'likely' ? 'Likely' : 'Possible'}: ${spread(hour)}, ${wind(hour)}`;

/** "05:15 to 06:15 Likely: 0.4 °C over the dew point, wind 0.8 m/s.": hours of a kind are one line. */
export function mistInWords(
  hours: readonly MistHour[],
  clock: (ms: number) => string,
): readonly string[] {
  const runs = runsOf(hours, (a, b) => a.mist === b.mist && a.why === b.why);
  return runs.map((run) =>
    runs.length === 1 ? `${said(run.first)}.` : `${lasting(run, clock)} ${said(run.first)}.`,
  );
}

/** "05:15 to 06:15", "05:15". */
const lasting = (
  { first, last }: Run<{ readonly atMs: number }>,
  clock: (ms: number) => string,
): string => (first === last ? clock(first.atMs) : `${clock(first.atMs)} to ${clock(last.atMs)}`);

/** "the mist leaves 82 % of the contrast on it, 40 % of what is behind". */
export const contrastInWords = ({
  subject,
  behind,
}: {
  readonly subject: number;
  readonly behind: number | undefined;
}): string =>
  `${percent(subject)} of the contrast left on it${behind === undefined ? '' : `, ${percent(behind)} on what is behind`}`;

/** "Cool and still, so that they sit: 08:00 to 10:00."; all or none of the hours are said in a word. */
export function coolInWords(hours: readonly CoolHour[], clock: (ms: number) => string): string {
  const cool = hours.filter(({ sits }) => sits);
  if (cool.length === 0)
    return 'Too warm or too windy for them to sit: look for them at rest in shade.';
  if (cool.length === hours.length)
    return 'Cool and still, so that they sit, through all the hours.';
  const said = runsOf(hours, (a, b) => a.sits === b.sits)
    .filter(({ first }) => first.sits)
    .map((run) => lasting(run, clock));
  return `Cool and still, so that they sit: ${inALine(said)}.`;
}
