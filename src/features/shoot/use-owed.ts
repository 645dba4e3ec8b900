import { useMemo } from 'react';
import { shotsServed } from '@/answers/bag';
import { matchedFrames } from '@/answers/matched';
import { owedLines, owedShots, type OwedShot } from '@/answers/owed';
import { deliveredOf } from '@/answers/taught';
import { useShootPage } from './ShootContext';
import { useLines } from './use-lines';

/** How it stands with each promised shot of the open shoot. The light is asked of the worker. */
export function useOwed(): readonly OwedShot[] {
  const { setup, shoot, hours } = useShootPage().plan;
  const { kit, marks, positions, shots, subjects, ground, features, choice } = setup;
  const served = useMemo(
    () => shotsServed({ kit, marks, positions, shots, subjects, ground, features }),
    [kit, marks, positions, shots, subjects, ground, features],
  );
  const { place, light, readings, air } = setup;
  const { school, liftStops, panSigma } = choice;
  // Which mark, position and shot are looked at changes nothing here.
  const looked = useMemo(
    () => setup,
    // eslint-disable-next-line react-hooks/exhaustive-deps -- the parts that count, one by one
    [
      ...[kit, marks, positions, shots, subjects, ground, features],
      ...[place, light, readings, air, school, liftStops, panSigma],
    ],
  );
  const asked = useMemo(() => owedLines(looked, served), [looked, served]);
  const { lines } = useLines(asked, hours);
  const known = lines.map(({ series }) => series);
  const { log, events } = shoot;
  const had = useMemo(
    () => deliveredOf({ shots, log, place }, matchedFrames(shoot)),
    // eslint-disable-next-line react-hooks/exhaustive-deps -- a new minute looked at delivers nothing
    [shots, log, place, events],
  );
  return useMemo(
    () =>
      owedShots(looked, had, served, (id) => lines.find((line) => line.id === id)?.series, hours),
    // eslint-disable-next-line react-hooks/exhaustive-deps -- lines are made anew at each drawing, their series are not
    [looked, had, served, hours, ...known],
  );
}
