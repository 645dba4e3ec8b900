import { bearingDeg, fullCircle, type Point2 } from '@/core';
import { evSaid } from '@/answers/heard';
import { useEdits, useShown } from '@/features/shoot/open-shoot';
import type { Plan } from '@/features/shoot/use-plan';
import type { View } from '@/answers/view';
import { newId } from '@/records/new-id';
import type { Reading } from '@/records/reading';
import { localMinuteOf } from '@/records/times';
import { useToast } from '@/ui/Toast';

/** A reading but for where and when. */
export type Measured =
  | { readonly by: 'meter'; readonly ev: number; readonly simulated: boolean }
  | { readonly by: 'frame'; readonly frame: FrameTaken; readonly simulated: boolean };
export type FrameTaken = Extract<Reading, { by: 'frame' }>['frame'];

/** What was measured at a point of the ground by someone who stands where a view is taken from. */
export const readingAt = (
  view: View,
  name: string,
  where: Point2,
  atLocal: string,
  measured: Measured,
): Reading => ({
  id: newId(),
  name,
  x: where.x,
  y: where.y,
  upM: Math.max(0, view.scene.target.z),
  faceDeg: fullCircle(bearingDeg(where, view.position)),
  atLocal,
  ...measured,
});

/** Readings kept and taken away. */
export function useReadings(seen: Extract<Plan['seen'], { ok: true }>) {
  const { atMs, setup } = useShown('atMs', 'setup');
  const { update, undo } = useEdits();
  const say = useToast();
  return {
    add: (name: string, where: Point2, measured: Measured) => {
      const minute = localMinuteOf(atMs, setup.place.timeZone);
      const reading = readingAt(seen.view, name, where, minute, measured);
      update((current) => ({ ...current, readings: [...current.readings, reading] }));
      say({ text: `Reading kept: EV ${evSaid(reading).toFixed(1)}` });
    },
    remove: ({ id }: Reading) => {
      update((current) => ({
        ...current,
        readings: current.readings.filter((reading) => reading.id !== id),
      }));
      say({ text: 'Reading taken away', action: { label: 'Undo', onPress: undo } });
    },
  };
}
