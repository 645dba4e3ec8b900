import { hashKey, keepPreviousData, useQuery } from '@tanstack/react-query';
import { createContext, useContext, useEffect, useMemo, useState, type ReactNode } from 'react';
import { useShown } from '@/features/shoot/open-shoot';
import { useSettled } from '@/features/shoot/use-light-series';
import { requestDay } from '@/workers/day-client';
import { qualityKey, type DayReply } from '@/workers/day-job';
import type { RibbonStay } from '@/figures/TimeRibbon';
import { dayLines, moreInWords, type DayLine } from './day-lines';
import {
  dayRequestOf,
  lightTime,
  ownId,
  overBy,
  pictureKeyOf,
  type DayRequest,
} from '@/answers/day-request';
import type { ScoreWhy } from '@/core';
import type { DayEventRecord } from '@/records/day';
import type { Shoot } from '@/records/shoot';
import { usePicked } from '@/ui/use-picked';
import { scoreWhyInWords } from './score-words';
import { legsOf } from './route-legs';

export interface Day {
  /** The day of the one it is looked at for: what others shoot is theirs. */
  readonly lines: readonly DayLine[];
  /** The day of all who shoot. */
  readonly all: readonly DayLine[];
  readonly whose: Whose;
  readonly quality: DayReply['quality'] | undefined;
  readonly state:
    | /** Nothing is known yet of the day as it is now. */ { readonly kind: 'planning' }
    | /** It can be walked as it stands; a better order is looked for. */ {
        readonly kind: 'looking';
      }
    | {
        readonly kind: 'planned';
        /** How much better a day there might be, where not all ways could be tried. */
        readonly more: string;
      }
    | { readonly kind: 'trouble'; readonly says: string };
}

/** Whose day of several is looked at: the one's whose bag is in hand, until another is chosen. */
interface Whose {
  readonly id: string | undefined;
  readonly choose: (id: string) => void;
}

function useWhose({ shooters, choice }: Pick<Shoot, 'shooters' | 'choice'>): Whose {
  const [chosen, choose] = useState<string>();
  const there = shooters.some(({ id }) => id === chosen);
  const id = there ? chosen : choice.shooterId;
  return useMemo(() => ({ id, choose }), [id]);
}

/** The day, for list, plan, ribbon and answer alike: planned once. */
const DayContext = createContext<Day | undefined>(undefined);

export function useDay(): Day {
  const day = useContext(DayContext);
  if (!day) throw new Error('useDay: must be used within a DayProvider');
  return day;
}

/** The day of the shoot whose page this is, planned in the worker where a step shows it. */
export function DayProvider({ children }: { readonly children: ReactNode }) {
  return <DayContext.Provider value={usePlannedDay()}>{children}</DayContext.Provider>;
}

/** Lines with what is weak about the places they are shot from. */
const withWeak = (
  lines: readonly DayLine[],
  weak: Readonly<Record<string, ScoreWhy>>,
  pictureOf: (event: DayEventRecord) => string,
  choice: Pick<Shoot['choice'], 'shooterId'>,
): readonly DayLine[] =>
  lines.map((line) => {
    const { event, stop, startMs } = line;
    const why =
      stop &&
      weak[
        qualityKey({
          picture: pictureOf(event),
          lightMs: lightTime(event, startMs),
          positionId: stop.positionId,
          shooterId: stop.shooterId ?? ownId(choice),
        })
      ];
    return why ? { ...line, weak: scoreWhyInWords(why) } : line;
  });

const LOOKED_EVERY_MS = 10_000;

/** On the day itself, the last minute by which anything was over: whatever it was to bring is had by then, or lost. */
function useOverMs(): number | undefined {
  const { shoot, hours } = useShown('shoot', 'hours');
  const [overMs, setOverMs] = useState<number>();
  useEffect(() => {
    const look = () => {
      const now = Date.now();
      const live = now >= hours.fromMs && now <= hours.toMs;
      setOverMs(live ? overBy(shoot, now) : undefined);
    };
    const first = setTimeout(look, 0);
    const timer = setInterval(look, LOOKED_EVERY_MS);
    return () => {
      clearTimeout(first);
      clearInterval(timer);
    };
  }, [shoot, hours]);
  return overMs;
}

/** How far the planning is. */
function stateOf({
  isFetching,
  isLooking,
  isSettled,
  error,
}: {
  readonly isFetching: boolean;
  readonly isLooking: boolean;
  readonly isSettled: boolean;
  readonly error: Error | null;
}): Day['state']['kind'] {
  if (isSettled && isLooking) return 'looking';
  if (!isSettled || isFetching) return 'planning';
  return error ? 'trouble' : 'planned';
}

/** The day as it is planned, and whose of several is looked at. */
function usePlannedDay(): Day {
  const { shoot, setup } = useShown('shoot', 'setup');
  const day = usePicked(
    shoot,
    'events',
    'people',
    'log',
    'day',
    'shooters',
    'startLocal',
    'endLocal',
  );
  const site = usePicked(
    setup,
    ...(['shots', 'marks', 'positions', 'kit', 'subjects', 'ground', 'features'] as const),
    ...(['place', 'light', 'readings', 'air'] as const),
  );
  const choice = usePicked(setup.choice, 'panSigma', 'shooterId', 'floors');
  const overMs = useOverMs();
  const whose = useWhose(shoot);
  const request = useMemo(
    () => dayRequestOf({ ...day, ...site, choice }, overMs),
    [day, site, choice, overMs],
  );
  const settled = useSettled(request);
  const key = useMemo(() => hashKey([settled]), [settled]);
  const [first, setFirst] = useState<{ readonly key: string; readonly reply: DayReply }>();
  const {
    data: planned,
    error,
    isFetching,
    isPlaceholderData,
  } = useQuery({
    queryKey: ['day', key],
    queryKeyHashFn: () => key,
    queryFn: ({ signal }) =>
      requestDay(settled as DayRequest, (reply) => setFirst({ key, reply }), signal),
    enabled: settled !== undefined,
    placeholderData: keepPreviousData,
    staleTime: Infinity,
    gcTime: 30_000,
    retry: false,
  });
  // While a better day is looked for, the first that can be walked.
  const isAsked = isFetching && (!planned || isPlaceholderData);
  const isLooking = isAsked && first?.key === key && settled === request;
  const data = isAsked && first?.key === key ? first.reply : planned;
  const { all, lines } = useMemo(() => {
    const of = { ...day, ...site };
    const weakly = (some: readonly DayLine[]) =>
      withWeak(some, data?.weak ?? {}, (event) => pictureKeyOf(of, event), choice);
    const everyones = weakly(dayLines(of, data?.route));
    return {
      all: everyones,
      lines: whose.id ? weakly(dayLines(of, data?.route, whose.id)) : everyones,
    };
  }, [day, site, choice, data, whose.id]);
  const kind = stateOf({ isFetching, isLooking, isSettled: settled === request, error });
  return useMemo(() => {
    const state: Day['state'] =
      kind === 'trouble'
        ? { kind, says: error?.message ?? '' }
        : kind === 'planned'
          ? { kind, more: planned ? moreInWords(planned.route) : '' }
          : { kind };
    return { lines, all, whose, quality: data?.quality, state };
  }, [lines, all, whose, data, planned, kind, error]);
}

/** Where one is through the day, for the ribbon: a stay at each place, the walks left open. */
export function useDayOnRibbon(): readonly RibbonStay[] {
  const { positions } = useShown('shoot').shoot;
  const { lines } = useDay();
  return useMemo(
    () =>
      legsOf(lines, positions).map(({ readyMs, untilMs }, i) => ({
        fromMs: readyMs,
        toMs: untilMs,
        name: String(i + 1),
      })),
    [lines, positions],
  );
}
