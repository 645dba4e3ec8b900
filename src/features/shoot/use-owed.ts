import { useMemo } from 'react';
import { shotsServed } from '@/answers/bag';
import { matchedFrames } from '@/answers/matched';
import { owedLines, owedShots, type OwedShot } from '@/answers/owed';
import { deliveredOf } from '@/answers/taught';
import type { Setup } from '@/answers/view';
import { usePicked } from '@/ui/use-picked';
import { useShown } from './open-shoot';
import { useLines } from './use-lines';

/** The open shoot whichever mark, position and shot are looked at: they change nothing of what is owed. */
function useUnchosen(): Setup {
  const { setup } = useShown('setup');
  const parts = usePicked(
    setup,
    ...(['kit', 'marks', 'positions', 'shots', 'subjects', 'ground', 'features'] as const),
    ...(['place', 'light', 'readings', 'air', 'startLocal', 'endLocal'] as const),
  );
  const choice = usePicked(setup.choice, 'school', 'liftStops', 'panSigma', 'floors');
  return useMemo(
    () => ({
      ...parts,
      choice: {
        ...choice,
        markId: parts.marks[0]?.id ?? '',
        positionId: parts.positions[0]?.id ?? '',
        orientation: 'level',
        held: {},
      },
    }),
    [parts, choice],
  );
}

/** How it stands with each promised shot of the open shoot. The light is asked of the worker. */
export function useOwed(): readonly OwedShot[] {
  const { shoot, hours } = useShown('shoot', 'hours');
  const setup = useUnchosen();
  const served = useMemo(() => shotsServed(setup), [setup]);
  const asked = useMemo(() => owedLines(setup, served), [setup, served]);
  const { lines } = useLines(asked, hours);
  const { log, events, people, day } = shoot;
  const had = useMemo(
    () => deliveredOf({ ...setup, log }, matchedFrames({ ...setup, log, events, people, day })),
    [setup, log, events, people, day],
  );
  return useMemo(
    () =>
      owedShots(setup, had, served, (id) => lines.find((line) => line.id === id)?.series, hours),
    [setup, had, served, hours, lines],
  );
}
