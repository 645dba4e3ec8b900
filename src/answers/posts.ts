import type { Mark, Shoot } from '@/records/shoot';
import { visitsByHour, watchedHere, type HourlyVisits } from './nature';

/** Posts and perches that were watched at a place before: when, in which months, how often something came. */

export interface Post {
  readonly name: string;
  /** As it was last drawn, with the shoot that drew it. */
  readonly mark: Mark;
  /** Whether this shoot has it. */
  readonly here: boolean;
  readonly watches: number;
  /** Watches in which something came. */
  readonly visited: number;
  readonly visits: number;
  /** The hour with most, where there was a visit. */
  readonly best?: HourlyVisits;
  /** 1 to 12, in order: the months in which something came. */
  readonly months: readonly number[];
  readonly lastLocal: string;
}

type Watched = Pick<Shoot, 'id' | 'place' | 'marks' | 'watches' | 'log'>;

/** Every mark that was watched at this place, in this shoot or another, by its name; the one most visited first. */
export function postsHere(shoot: Watched, all: readonly Watched[]): readonly Post[] {
  const seen = watchedHere(shoot, all);
  const names = [...new Set(seen.map(({ mark }) => mark.name))];
  return names
    .map((name): Post => {
      const of = seen.filter(({ mark }) => mark.name === name);
      const watches = of.map(({ watch }) => watch);
      const visits = watches.flatMap(({ visitsLocal }) => visitsLocal);
      const [best] = visitsByHour(watches)
        .filter((hour) => hour.visits > 0)
        .sort((a, b) => b.rate - a.rate);
      return {
        name,
        mark: (of[0] as (typeof of)[number]).mark,
        here: shoot.marks.some((mark) => mark.name === name),
        watches: watches.length,
        visited: watches.filter(({ visitsLocal }) => visitsLocal.length > 0).length,
        visits: visits.length,
        ...(best && { best }),
        months: [...new Set(visits.map((local) => Number(local.slice(5, 7))))].sort(
          (a, b) => a - b,
        ),
        lastLocal:
          watches
            .map(({ toLocal }) => toLocal)
            .sort()
            .at(-1) ?? '',
      };
    })
    .sort((a, b) => b.visits / b.watches - a.visits / a.watches);
}
