import { useMemo } from 'react';
import { HOME_AT_LOCAL, homeShoot } from '@/answers/home-ground';
import type { Follows } from '@/answers/signs';
import { pictured, type Pictured } from '@/answers/pictured';
import type { Setup } from '@/answers/view';
import { newId } from '@/records/new-id';
import type { MomentKind, Practice, Try } from '@/records/practice';
import { PRACTICE } from '@/records/singles';
import { msOf } from '@/records/times';
import { useSingle } from '@/records/use-single';
import { withTry } from '@/records/practice';

/** What is practised on: a shoot's own subject, place, lens and light, or those of home. */
export interface Rehearsal {
  readonly setup: Setup;
  readonly picture: Pictured;
  readonly atMs: number;
  /** The shoot it is for; none at home. */
  readonly shootId?: string;
  /** What the shoot's own log says of what follows what. */
  readonly follows?: readonly Follows[];
}

/** What is practised on at home; nothing where the lens can't. */
export function useHome(home: Practice['home'] | undefined): Rehearsal | undefined {
  return useMemo(() => {
    if (!home) return undefined;
    const setup = homeShoot(home);
    const atMs = msOf(HOME_AT_LOCAL, setup.place.timeZone);
    const picture = pictured(setup, atMs);
    return picture && { setup, picture, atMs };
  }, [home]);
}

/** Whom a moment is practised on at home, through a lens that fills half of the frame with them. */
const AT_HOME: Readonly<Record<MomentKind, Practice['home']>> = {
  jump: { subjectId: 'court-jump', distanceM: 14, lensId: '70-200-2.8', focalMm: 85 },
  bat: { subjectId: 'batter', distanceM: 22, lensId: '70-200-2.8', focalMm: 135 },
  stride: { subjectId: 'distance-runner', distanceM: 20, lensId: '70-200-2.8', focalMm: 135 },
  wings: { subjectId: 'gull', distanceM: 16, lensId: '70-200-2.8', focalMm: 200 },
  turn: { subjectId: 'small-bird-perched', distanceM: 9, lensId: '600-4', focalMm: 600 },
  leaving: { subjectId: 'small-bird-perched', distanceM: 9, lensId: '600-4', focalMm: 600 },
};
export const useMomentAtHome = (kind: MomentKind): Rehearsal | undefined => useHome(AT_HOME[kind]);

/** What smears in many ways: a fan, a runner, a wheel, a bat, wings; through lenses that fill half of the frame. */
const ON_BENCH: readonly Practice['home'][] = [
  { subjectId: 'desk-fan', distanceM: 8, lensId: '70-200-2.8', focalMm: 135 },
  { subjectId: 'field-player', distanceM: 20, lensId: '70-200-2.8', focalMm: 135 },
  { subjectId: 'cyclist', distanceM: 14, lensId: '70-200-2.8', focalMm: 85 },
  { subjectId: 'batter', distanceM: 20, lensId: '70-200-2.8', focalMm: 135 },
  { subjectId: 'duck', distanceM: 14, lensId: '600-4', focalMm: 600 },
  { subjectId: 'sprinter', distanceM: 25, lensId: '70-200-2.8', focalMm: 200 },
  { subjectId: 'small-bird-flight', distanceM: 8, lensId: '600-4', focalMm: 600 },
];
export const useBenchAtHome = (round: number): Rehearsal | undefined =>
  useHome(ON_BENCH[round % ON_BENCH.length]);

/** A try as a drill has it, before it is noted. */
export type Made<T extends Try = Try> = T extends Try ? Omit<T, 'id' | 'at' | 'shootId'> : never;

/** What was practised, and how a try is noted. */
export function usePractice() {
  const { record, change } = useSingle(PRACTICE);
  return {
    practice: record,
    change,
    note: (made: Made, { shootId }: Pick<Rehearsal, 'shootId'>) =>
      change((now) =>
        withTry(now, {
          ...made,
          ...{ id: newId(), at: new Date().toISOString() },
          ...(shootId !== undefined && { shootId }),
        } as Try),
      ),
  };
}

/** What falls by chance for a question. */
export const chancesNow = (): readonly [number, number] => [Math.random(), Math.random()];
