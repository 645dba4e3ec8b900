import {
  framedFrom,
  LEAST_QUALITY,
  planDay,
  planTogether,
  scorePosition,
  WEAK_COUNTS,
  weakness,
  type DayEvent,
  type PositionScore,
  type Route,
  type ScoredKit,
  type ScoredPosition,
  type ScoreWhy,
  type SharedEvent,
} from '@/core';
import type { DayPicture, DayRequest } from '@/answers/day-request';
import { runningJobs, type Reply } from './running-jobs';

export interface DayReply {
  readonly route: Route;
  /** How well a position serves a picture in a quarter of an hour, 0 to 1, by {@link qualityKey}. */
  readonly quality: Readonly<Record<string, number>>;
  /** What is worst about a place that serves weakly. */
  readonly weak: Readonly<Record<string, ScoreWhy>>;
}

export interface DayService {
  /** @param onFirst told of a day that can be walked, while a better one is looked for */
  day: (
    job: DayRequest & { readonly id: number },
    onFirst?: (reply: DayReply) => void | Promise<void>,
  ) => Promise<Reply<DayReply>>;
  cancel: (id: number) => void;
}

/** Light is the same for this long, as far as a place to stand is chosen by it. */
const QUARTER_MS = 15 * 60_000;
const quarterOf = (timeMs: number): number => Math.floor(timeMs / QUARTER_MS) * QUARTER_MS;

/** What a quality is of: a picture in a light, from a place, with a shooter's bag. */
export interface QualityOf {
  readonly picture: string;
  readonly lightMs: number;
  readonly positionId: string;
  readonly shooterId: string;
}
export const qualityKey = ({ picture, lightMs, positionId, shooterId }: QualityOf): string =>
  `${picture} ${quarterOf(lightMs)} ${positionId} ${shooterId}`;

const SCORES_A_PIECE = 25;

interface Wanted {
  readonly key: string;
  readonly picture: DayPicture;
  readonly position: ScoredPosition;
  readonly timeMs: number;
  readonly kits: DayRequest['shooters'][number]['kits'];
}

/** Every different combination of picture, quarter, position and shooter, once. */
function wantedOf({ events, pictures, positions, shooters }: DayRequest): readonly Wanted[] {
  const wanted = new Map<string, Wanted>();
  for (const { picture: name, lightMs } of events) {
    const picture = pictures[name];
    if (!picture) throw new RangeError(`picture ${name}: must be one of the pictures`);
    for (const position of positions) {
      for (const { id: shooterId, kits } of shooters) {
        const key = qualityKey({ picture: name, lightMs, positionId: position.id, shooterId });
        const timeMs = quarterOf(lightMs) + QUARTER_MS / 2;
        if (!wanted.has(key)) wanted.set(key, { key, picture, position, timeMs, kits });
      }
    }
  }
  return [...wanted.values()];
}

/** With what frames it best from there, as Kit says. */
function scoreOf(
  { picture: { mark, shot, orientation }, position, timeMs, kits }: Wanted,
  { site }: DayRequest,
): PositionScore {
  const wanted = { heightM: mark.subject.heightM, fill: shot.fill, orientation, slope: site.slope };
  const { index } = framedFrom(kits, position, mark, wanted);
  const kit = { ...(kits[index] as ScoredKit), orientation };
  return scorePosition(position, mark, shot, timeMs, site, kit);
}

/** The route, for one or for several. */
function planned(
  { events, shooters, positions, walkSpeedMs, leadTimes, quotas, debts }: DayRequest,
  { quality, weak }: Pick<DayReply, 'quality' | 'weak'>,
  before: Route | undefined,
  quickly: boolean,
): Route {
  const [one, ...others] = shooters as readonly [DayRequest['shooters'][number]];
  const shared = events.map(({ picture, lightMs, shooterId: only, ...event }): SharedEvent => {
    const from = (shooterId: string): DayEvent['from'] =>
      only !== undefined && only !== shooterId
        ? []
        : positions.flatMap(({ id }) => {
            const key = qualityKey({ picture, lightMs, positionId: id, shooterId });
            const score = quality[key] ?? 0;
            const counts = weak[key] ? score * WEAK_COUNTS : score;
            return score >= LEAST_QUALITY ? [{ positionId: id, quality: counts }] : [];
          });
    return { ...event, from: Object.fromEntries(shooters.map(({ id }) => [id, from(id)])) };
  });
  const by = [positions, walkSpeedMs, leadTimes, quotas, debts, before, quickly] as const;
  return others.length === 0
    ? planDay(
        shared.map(({ from, ...event }) => ({ ...event, from: from[one.id] ?? [] })),
        ...by,
      )
    : planTogether(shared, shooters, ...by);
}

/**
 * Plans days. What was scored is remembered as long as ground, light and kit are the same, so that a
 * pin, a late start or an event more is planned at once.
 * @param nextTurn as `runningJobs`
 */
export function dayService(nextTurn: () => Promise<void>): DayService {
  const { run, cancel } = runningJobs(nextTurn);
  let ground = '';
  let known = new Map<string, { readonly total: number; readonly weak: ScoreWhy | undefined }>();
  let before: Route | undefined;
  return {
    cancel,
    day: (job, onFirst) =>
      run(job.id, () => {
        const same = JSON.stringify([job.site, job.shooters]);
        if (same !== ground) [ground, known, before] = [same, new Map(), undefined];
        const cached = known;
        // The same bag in other hands makes the same pictures.
        const written = job.shooters.map(({ kits }) => JSON.stringify(kits));
        const bags = new Map(
          job.shooters.map(({ kits }, i) => [kits, written.indexOf(written[i] as string)]),
        );
        const cacheKey = ({ picture, position, timeMs, kits }: Wanted) =>
          JSON.stringify([picture, position, timeMs, bags.get(kits)]);
        const wanted = wantedOf(job);
        const quality: Record<string, number> = {};
        const weak: Record<string, ScoreWhy> = {};
        let at = 0;
        let route: Route | undefined;
        let isFirst = onFirst !== undefined;
        return {
          piece: async () => {
            for (let fresh = 0; at < wanted.length && fresh < SCORES_A_PIECE; at += 1) {
              const next = wanted[at] as Wanted;
              const key = cacheKey(next);
              const scored = () => {
                const score = scoreOf(next, job);
                return { total: score.total, weak: weakness(score) };
              };
              const score = cached.get(key) ?? scored();
              if (!cached.has(key)) fresh += 1;
              cached.set(key, score);
              quality[next.key] = score.total;
              if (score.weak) weak[next.key] = score.weak;
            }
            if (at < wanted.length) return true;
            route = planned(job, { quality, weak }, before, isFirst);
            before = route;
            const more = isFirst;
            if (isFirst) await onFirst?.({ route, quality, weak });
            isFirst = false;
            return more;
          },
          value: () => ({ route: route as Route, quality, weak }),
        };
      }),
  };
}
