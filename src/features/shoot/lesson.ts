import type { Shoot } from '@/records/shoot';

/** One thing that earlier shoots or practice taught, as a change of a plan that can be taken up and left out. */

/** A change of the plan that a lesson stands for. */
export interface Lesson {
  readonly id: string;
  /** What to do: "Pan with a sigma of 0.07". */
  readonly head: string;
  /** What it rests on. */
  readonly evidence: string;
  /** In a word or two. */
  readonly about: string;
  /** Taken up, left out, or not yet decided. */
  readonly use: boolean | undefined;
  readonly apply: (shoot: Shoot) => Shoot;
  /** The plan as it was before. */
  readonly leave: (shoot: Shoot) => Shoot;
}

type Before = Shoot['log']['lessons'][number]['before'];

const decided = (shoot: Shoot, id: string, use: boolean, before: Before): Shoot => ({
  ...shoot,
  log: {
    ...shoot.log,
    lessons: [
      ...shoot.log.lessons.filter((lesson) => lesson.id !== id),
      { id, use, ...(before !== undefined && { before }) },
    ],
  },
});

/** A lesson that changes one value of a plan, and can put it back. */
export function lessonOf<B extends NonNullable<Before>>(
  shoot: Shoot,
  {
    id,
    head,
    evidence,
    about,
    stale = false,
    read,
    write,
  }: Pick<Lesson, 'id' | 'head' | 'evidence' | 'about'> & {
    /** Whether the plan holds another value than the lesson has now. */
    readonly stale?: boolean;
    readonly read: (shoot: Shoot) => B | undefined;
    /** @param value the lesson's own when absent, what was before when given; none where there was none */
    readonly write: (shoot: Shoot, value?: { readonly before: B | undefined }) => Shoot;
  },
): Lesson {
  const entryIn = ({ log }: Shoot) => log.lessons.find((lesson) => lesson.id === id);
  return {
    id,
    head,
    evidence,
    about,
    use: stale && entryIn(shoot)?.use ? undefined : entryIn(shoot)?.use,
    // Taken up again with a newer value, what was before stays what it was before the first.
    apply: (now) => {
      const known = entryIn(now);
      return decided(write(now), id, true, known?.use ? known.before : read(now));
    },
    leave: (now) => {
      const known = entryIn(now);
      const put = known?.use ? write(now, { before: known.before as B | undefined }) : now;
      return decided(put, id, false, undefined);
    },
  };
}
