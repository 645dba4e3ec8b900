import { createContext, useContext, useEffect, useMemo, useState } from 'react';
import type { Update } from '@/features/shoot/edits';
import { localMinuteOf, type ShootHours } from '@/records/times';

/** How the field goes by the clock: on the day with it, else in a rehearsal by the minute looked at. */
export interface FieldTime {
  /** Whether the day is today: the clock stands within the shoot's hours. */
  readonly live: boolean;
  /** Whether the page goes with the clock. */
  readonly following: boolean;
  readonly follow: (following: boolean) => void;
}

const SECOND_MS = 1000;

export const FieldTimeContext = createContext<FieldTime | undefined>(undefined);

export function useFieldTime(): FieldTime {
  const time = useContext(FieldTimeContext);
  if (!time) throw new Error('useFieldTime: must be used within a shoot');
  return time;
}

/** The clock, once a second while it is wanted. */
export function useNowMs(wanted: boolean): number | undefined {
  const [now, setNow] = useState<number>();
  useEffect(() => {
    if (!wanted) return undefined;
    const tick = () => setNow(Date.now());
    const first = setTimeout(tick, 0);
    const timer = setInterval(tick, SECOND_MS);
    return () => {
      clearTimeout(first);
      clearInterval(timer);
    };
  }, [wanted]);
  return wanted ? now : undefined;
}

/** Keeps the minute looked at with the clock while the field is open on its day. */
export function useFollowedTime(
  { fromMs, toMs }: Pick<ShootHours, 'fromMs' | 'toMs'>,
  timeZone: string,
  update: Update,
): FieldTime {
  const [live, setLive] = useState(false);
  const [wanted, setWanted] = useState(true);
  const following = live && wanted;
  useEffect(() => {
    const tick = () => {
      const now = Date.now();
      setLive(now >= fromMs && now <= toMs);
    };
    const first = setTimeout(tick, 0);
    const timer = setInterval(tick, SECOND_MS);
    return () => {
      clearTimeout(first);
      clearInterval(timer);
    };
  }, [fromMs, toMs]);
  useEffect(() => {
    if (!following) return undefined;
    const tick = () => {
      const atLocal = localMinuteOf(Date.now(), timeZone);
      update((current) => (current.atLocal === atLocal ? current : { ...current, atLocal }));
    };
    tick();
    const timer = setInterval(tick, SECOND_MS);
    return () => clearInterval(timer);
  }, [following, timeZone, update]);
  return useMemo(() => ({ live, following, follow: setWanted }), [live, following]);
}
