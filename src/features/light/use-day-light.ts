import { useMemo } from 'react';
import { evNeededFor } from '@/core';
import { exposureDemands } from '@/answers/answer';
import { linesOfMarks, linesOfPositions, shadedBy, turningsOf } from '@/answers/light-plan';
import { useShown } from '@/features/shoot/open-shoot';
import { TURNING_WORDS } from '@/features/shoot/light-words';
import { useLines, type DrawnLine } from '@/features/shoot/use-lines';
import type { Plan } from '@/features/shoot/use-plan';

export type Seen = Extract<Plan['seen'], { ok: true }>;

/** What the lines of the chart are: every mark from here, or this mark from everywhere. */
export type LinesBy = 'marks' | 'positions';

type Known = DrawnLine & { readonly series: NonNullable<DrawnLine['series']> };

/** Something that turns in the light, at its minute. */
export interface Turned {
  readonly timeMs: number;
  readonly text: string;
}

/** The light of the shoot's hours as the chart and the lists show it. */
export interface DayLight {
  readonly drawn: readonly Known[];
  readonly main: Known | undefined;
  readonly trouble: string | undefined;
  /** What turns on the face, with its cause. */
  readonly turned: readonly Turned[];
  readonly lampsRuleMs: number | undefined;
  /** EV under which the shot can't be had; none for a silhouette. */
  readonly neededEv: number | undefined;
}

/** A minute past a turning the cause is on the mark. */
const PAST_MS = 60_000;
const BY_SUNSET_MS = 300_000;

export function useDayLight(seen: Seen, by: LinesBy): DayLight {
  const { setup, hours, ribbon } = useShown('setup', 'hours', 'ribbon');
  const asked = useMemo(
    () => (by === 'marks' ? linesOfMarks(setup) : linesOfPositions(setup)),
    [by, setup],
  );
  const { lines, trouble } = useLines(asked, hours);
  const drawn = lines.flatMap((line) => (line.series ? [{ ...line, series: line.series }] : []));
  const main = drawn.find(({ chosen }) => chosen);
  // Lines are drawn in long steps; when it turns is told to the minute, as Day and Field tell it.
  const turnings = turningsOf(ribbon.series);
  const sunset = ribbon.events.find(({ name }) => name === 'sunset')?.timeMs;
  const turned = turnings.flatMap(({ timeMs, what }): readonly Turned[] => {
    const cause =
      what === 'shade' ? shadedBy(seen.view.scene, setup.features, timeMs + PAST_MS) : undefined;
    // The sun itself goes down then: its own line says so.
    if (what === 'shade' && !cause && sunset && Math.abs(timeMs - sunset) < BY_SUNSET_MS) return [];
    return [{ timeMs, text: cause ? `shade of ${cause}` : TURNING_WORDS[what] }];
  });
  return {
    drawn,
    main,
    trouble,
    turned,
    lampsRuleMs: turnings.find(({ what }) => what === 'lampsRule')?.timeMs,
    neededEv:
      seen.view.wanted.technique === 'silhouette'
        ? undefined
        : evNeededFor(exposureDemands(seen.view, setup.choice)),
  };
}
