import type { ClassTimes } from '@/core';

/**
 * What pictures of each class of subject are taken at: a must that is never knowingly given up, a wish
 * that light in hand goes to, and what the subject may do at the next instant. Every value: common
 * practice, no source.
 */
export const CLASS_IDS = [
  'rest',
  'standing',
  'walking',
  'play',
  'fast',
  'strike',
  'slowFlight',
  'fastFlight',
] as const;
export type ClassId = (typeof CLASS_IDS)[number];

export interface SubjectClass extends ClassTimes {
  readonly id: ClassId;
  readonly name: string;
}

/** A time as engraved, on its exact mark: 1/1000 is 2^-10 s. */
const marked = (perSecond: number): number => 2 ** -(Math.round(Math.log2(perSecond) * 3) / 3);

const timed = (
  id: ClassId,
  name: string,
  mustPerS: number,
  wishPerS: number,
  unplannedMs: number,
): SubjectClass => ({
  id,
  name,
  mustS: marked(mustPerS),
  wishS: marked(wishPerS),
  unplannedMs,
});

export const CLASSES: Readonly<Record<ClassId, SubjectClass>> = {
  rest: { ...timed('rest', 'at rest, small', 100, 500, 0), atRest: true },
  standing: timed('standing', 'standing, reaction, portrait', 160, 320, 0.3),
  walking: timed('walking', 'walking', 250, 500, 0.5),
  play: timed('play', 'play', 800, 1000, 1.5),
  fast: timed('fast', 'fast, 9 m/s and more', 1000, 1600, 2),
  strike: timed('strike', 'strike and ball', 1000, 2000, 1.5),
  slowFlight: timed('slowFlight', 'slow flight', 1000, 1600, 1.5),
  fastFlight: timed('fastFlight', 'fast flight', 1600, 3200, 2),
};

/** Small things hold still as on a perch; people between plays stand. */
const EASE: Readonly<Record<ClassId, ClassId>> = {
  rest: 'rest',
  standing: 'standing',
  walking: 'standing',
  play: 'standing',
  fast: 'standing',
  strike: 'standing',
  slowFlight: 'rest',
  fastFlight: 'rest',
};

/** Floors of one's own: longest times by class or by subject, in seconds. */
export type OwnFloors = Readonly<Record<string, number>>;

/** A subject's times: its class's, or a floor of one's own for the subject or its class. */
export function timesOf(
  {
    id,
    basedOn,
    classId,
  }: { readonly id: string; readonly basedOn?: string; readonly classId: ClassId },
  floors: OwnFloors = {},
): { readonly times: SubjectClass; readonly atEase: SubjectClass } {
  const floored = (of: SubjectClass, bySubject: boolean): SubjectClass => {
    const own = (bySubject ? (floors[id] ?? floors[basedOn ?? '']) : undefined) ?? floors[of.id];
    return own === undefined
      ? of
      : { ...of, mustS: own, wishS: Math.min(own, of.wishS), own: true };
  };
  return { times: floored(CLASSES[classId], true), atEase: floored(CLASSES[EASE[classId]], false) };
}
