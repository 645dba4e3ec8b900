import { formatShutter } from '@/core';
import { TIRED_LESSON } from '@/answers/reminders';
import { byQuarter, livedPresses, shuttersTaught, tiredBy } from '@/answers/season';
import { CLASSES, timesOf, type ClassId } from '@/presets/classes';
import { subjectOf } from '@/records/own-subject';
import type { Shoot } from '@/records/shoot';
import { lessonOf, type Lesson } from './lesson';

/** What presses of the button taught: times that are too long for oneself, and when one tires. */

/** A sixth of a stop is no other time. */
const SAME_TIME = 2 ** (1 / 6);

const pressesInWords = ({ kept, of }: { readonly kept: number; readonly of: number }): string =>
  `${kept} of ${of} presses`;

/** Faster floors for the classes of this plan's subjects, where slower presses gave fewer keepers by more than chance. */
export function floorLessons(shoot: Shoot, earlier: readonly Shoot[]): readonly Lesson[] {
  const classes = new Set<ClassId>(
    shoot.marks.flatMap(({ subjectId }) => {
      const { times, atEase } = timesOf(subjectOf(shoot, subjectId));
      return [times.id, atEase.id];
    }),
  );
  return shuttersTaught(livedPresses(earlier)).flatMap(
    ({ classId, shutterS, faster, slower }): readonly Lesson[] => {
      const id = `floor-${classId}`;
      const { name, mustS } = CLASSES[classId];
      const isTaken = shoot.log.lessons.some((lesson) => lesson.id === id);
      // Nobody is slower than that as it is.
      const isNew = shutterS * SAME_TIME < mustS;
      if (!classes.has(classId) || (!isNew && !isTaken)) return [];
      return [
        lessonOf<number>(shoot, {
          ...{ id, about: formatShutter(shutterS) },
          head: `Never slower than ${formatShutter(shutterS)} for ${name}`,
          evidence: `${pressesInWords(faster)} at ${formatShutter(shutterS)} and faster gave a keeper, ${pressesInWords(slower)} slower: more than chance. People set ${formatShutter(mustS)}.`,
          stale: shoot.choice.floors?.[classId] !== shutterS,
          read: ({ choice }) => choice.floors?.[classId],
          write: (now, value) => {
            const { [classId]: _old, ...others } = now.choice.floors ?? {};
            const wanted = value ? value.before : shutterS;
            const floors = wanted === undefined ? others : { ...others, [classId]: wanted };
            const { floors: _floors, ...choice } = now.choice;
            return {
              ...now,
              choice: { ...choice, ...(Object.keys(floors).length > 0 && { floors }) },
            };
          },
        }),
      ];
    },
  );
}

/** A rest before the last quarter, where it gave fewer keepers than the first by more than chance. */
export function tiredLesson(shoot: Shoot, earlier: readonly Shoot[]): readonly Lesson[] {
  const tired = tiredBy(byQuarter(livedPresses(earlier)));
  if (!tired) return [];
  const { first, last } = tired;
  return [
    lessonOf<number>(shoot, {
      ...{ id: TIRED_LESSON, about: 'rest' },
      head: 'Rest ten minutes before the last quarter: Field says when',
      evidence: `Of your days’ pictures ${pressesInWords(first)} gave a keeper in the first quarter, ${pressesInWords(last)} in the last: more than chance.`,
      // Field reminds of it; nothing of the plan is written over.
      read: () => undefined,
      write: (now) => now,
    }),
  ];
}
