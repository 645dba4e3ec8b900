import { least } from 'd3-array';
import {
  planDay,
  scorePosition,
  type PositionScore,
  type Route,
  type ScoredPosition,
  type ScoreWhy,
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
  day: (job: DayRequest & { readonly id: number }) => Promise<Reply<DayReply>>;
  cancel: (id: number) => void;
}

/** Light is the same for this long, as far as a place to stand is chosen by it. */
const QUARTER_MS = 15 * 60_000;
const quarterOf = (timeMs: number): number => Math.floor(timeMs / QUARTER_MS) * QUARTER_MS;

export const qualityKey = (picture: string, lightMs: number, positionId: string): string =>
  `${picture} ${quarterOf(lightMs)} ${positionId}`;

/** A place that serves less well than this is no place for it. No source. */
const LEAST_QUALITY = 0.05;
/** One that serves less well than this is weak, and said to be. No source. */
const WEAK_QUALITY = 0.3;
/** So is one from which the subject fills less of what is wanted than this, or that sees the back of its head. No source. */
const LEAST_OF_FILL = 0.6;
const MOST_OFF_FACE_DEG = 110;
const SCORES_A_PIECE = 25;

interface Wanted {
  readonly key: string;
  readonly picture: DayPicture;
  readonly position: ScoredPosition;
  readonly timeMs: number;
}

/** Every different combination of picture, quarter and position, once. */
function wantedOf({ events, pictures, positions }: DayRequest): readonly Wanted[] {
  const wanted = new Map<string, Wanted>();
  for (const { picture: name, lightMs } of events) {
    const picture = pictures[name];
    if (!picture) throw new RangeError(`picture ${name}: must be one of the pictures`);
    for (const position of positions) {
      const key = qualityKey(name, lightMs, position.id);
      if (!wanted.has(key)) {
        wanted.set(key, { key, picture, position, timeMs: quarterOf(lightMs) + QUARTER_MS / 2 });
      }
    }
  }
  return [...wanted.values()];
}

const qualityOf = (
  { picture: { mark, shot, orientation }, position, timeMs }: Wanted,
  { site, kits }: DayRequest,
): Pick<PositionScore, 'total' | 'parts'> =>
  kits
    .map((kit) => scorePosition(position, mark, shot, timeMs, site, { ...kit, orientation }))
    .reduce((best, score) => (score.total > best.total ? score : best));

/** What is worst about it, where it is weak. */
function whyWeak({ total, parts }: Pick<PositionScore, 'total' | 'parts'>): ScoreWhy | undefined {
  if (total < LEAST_QUALITY) return undefined;
  const lacking = parts.find(
    ({ why }) =>
      (why.kind === 'fills' && why.fill < LEAST_OF_FILL * why.wanted) ||
      (why.kind === 'faceOff' && why.offDeg > MOST_OFF_FACE_DEG),
  );
  if (lacking) return lacking.why;
  return total < WEAK_QUALITY ? least(parts, ({ desirability }) => desirability)?.why : undefined;
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
    day: (job) =>
      run(job.id, () => {
        const same = JSON.stringify([job.site, job.kits]);
        if (same !== ground) [ground, known, before] = [same, new Map(), undefined];
        const cached = known;
        const cacheKey = ({ picture, position, timeMs }: Wanted) =>
          JSON.stringify([picture, position, timeMs]);
        const wanted = wantedOf(job);
        const quality: Record<string, number> = {};
        const weak: Record<string, ScoreWhy> = {};
        let at = 0;
        let route: Route | undefined;
        return {
          piece: () => {
            for (let fresh = 0; at < wanted.length && fresh < SCORES_A_PIECE; at += 1) {
              const next = wanted[at] as Wanted;
              const key = cacheKey(next);
              const scored = () => {
                const score = qualityOf(next, job);
                return { total: score.total, weak: whyWeak(score) };
              };
              const score = cached.get(key) ?? scored();
              if (!cached.has(key)) fresh += 1;
              cached.set(key, score);
              quality[next.key] = score.total;
              if (score.weak) weak[next.key] = score.weak;
            }
            if (at < wanted.length) return true;
            route = planDay(
              job.events.map(({ picture, lightMs, ...event }) => ({
                ...event,
                from: job.positions.flatMap(({ id }) => {
                  const score = quality[qualityKey(picture, lightMs, id)] ?? 0;
                  return score >= LEAST_QUALITY ? [{ positionId: id, quality: score }] : [];
                }),
              })),
              job.positions,
              job.walkSpeedMs,
              job.leadTimes,
              job.quotas,
              job.debts,
              before,
            );
            before = route;
            return false;
          },
          value: () => ({ route: route as Route, quality, weak }),
        };
      }),
  };
}
