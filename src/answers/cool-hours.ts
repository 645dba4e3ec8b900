import { range } from 'd3-array';
import { figureOf } from '@/presets/subject-figures';
import { airAt } from '@/records/air';
import { subjectOf } from '@/records/own-subject';
import type { Shoot } from '@/records/shoot';
import { hoursOf } from '@/records/times';

/** Butterflies sit while it is cool and still: in which hours of a shoot that is. */

/** Warmer than this they fly off; in more wind flowers do not keep still. Common practice, no source. */
const COOL_C = 16;
const STILL_MS = 3;
const HOUR_MS = 3_600_000;

export interface CoolHour {
  readonly atMs: number;
  /** Whether it is cool and still. */
  readonly sits: boolean;
}

/** The hours of a shoot, each with whether butterflies sit; none where no butterfly is met. */
export function coolHours(
  shoot: Pick<Shoot, 'marks' | 'subjects' | 'air' | 'light' | 'place' | 'startLocal' | 'endLocal'>,
): readonly CoolHour[] {
  const isMet = shoot.marks.some(
    ({ subjectId }) => figureOf(subjectOf(shoot, subjectId)) === 'butterfly',
  );
  if (!isMet) return [];
  const { startMs, endMs } = hoursOf(shoot);
  return range(startMs, endMs + 1, HOUR_MS).map((atMs) => {
    const { temperatureC, windMs } = airAt(shoot, atMs);
    return { atMs, sits: temperatureC <= COOL_C && windMs <= STILL_MS };
  });
}
