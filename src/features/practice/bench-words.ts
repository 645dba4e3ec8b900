import type { View } from '@/answers/view';
import { formatShutter, type Grade } from '@/core';
import { benchOff, type Question } from '@/answers/blur-bench';
import { gradeInWords } from '@/features/shoot/words';

/** "What time was this taken at?" */
export const askedInWords = ({ task, part, grade }: Question): string =>
  task === 'name'
    ? `At what time was this taken? Look at the ${part}.`
    : `Which is the slowest time that still leaves the ${part} ${grade ? gradeInWords(grade) : ''}?`;

/** "7 m/s"; of what stays where it is "its blade at 15 m/s". */
export function paceInWords({ subject, running }: View, part: string): string {
  const own = running.parts.find(({ name }) => name === part)?.swing?.speedMs;
  return subject.speedMs < 0.5 && own !== undefined
    ? `its ${part} at ${own.toFixed(0)} m/s`
    : `${subject.speedMs.toFixed(0)} m/s`;
}

const stopsInWords = (stops: number): string => (stops === 1 ? '1 stop' : `${stops} stops`);

/** "1 stop too slow: it was 1/500". */
export function benchInWords(question: Question, answerS: number): string {
  const off = benchOff(question, answerS);
  const right = formatShutter(question.shutterS);
  if (off === 0) return `Right: ${right}.`;
  return `${stopsInWords(Math.abs(off))} too ${off > 0 ? 'slow' : 'fast'}: ${right}.`;
}

/** "At 1/125 the foot comes out plainly blurred, at 1/500 sharp." */
export function gradesInWords(
  { shutterS, part }: Pick<Question, 'shutterS' | 'part'>,
  answerS: number,
  gradeOf: (shutterS: number) => Grade,
): string {
  const [right, answered] = [gradeOf(shutterS), gradeOf(answerS)];
  const comes = `the ${part} comes out ${gradeInWords(right)}`;
  if (answerS === shutterS) return `At ${formatShutter(shutterS)} ${comes}.`;
  if (answered === right) return `At either time ${comes}.`;
  return `At ${formatShutter(shutterS)} ${comes}, at ${formatShutter(answerS)} ${gradeInWords(answered)}.`;
}

/** Whether one takes times for slower or faster than they are, on the whole. */
export function leaningInWords(offs: readonly number[]): string {
  const mean = offs.reduce((sum, off) => sum + off, 0) / Math.max(1, offs.length);
  if (offs.length < 5 || Math.abs(mean) < 0.3) return '';
  return `On the whole you name times ${Math.abs(mean).toFixed(1)} stops too ${mean > 0 ? 'slow' : 'fast'}.`;
}
