import { bisectRight } from 'd3-array';
import { burstEnds, fitClockPieces, lagOf, type ClockEvidence, type ClockPiece } from '@/core';
import { startOf, strandOf } from '@/records/edit-events';
import { framesOf } from '@/records/edit-log';
import type { Frame } from '@/records/frames';
import type { CameraClock } from '@/records/log';
import type { Shoot } from '@/records/shoot';
import { countedEntries } from './counted';

/** How cameras' clocks stand: by the record, and by what their pictures line up with. */

const DAY_MS = 86_400_000;

/** The number at the end of a picture's name, and what stands before it. */
function numberOf(name: string) {
  const parts = /^(.*?)(\d{3,})\D*$/.exec(name);
  return parts?.[2] === undefined
    ? undefined
    : { stem: parts[1] ?? '', number: Number(parts[2]), turn: 10 ** parts[2].length };
}

/** Whether a picture comes with or after another by their numbers: after the last number the first follows. */
export function isFromFile(name: string, from: string): boolean {
  const [one, other] = [numberOf(name), numberOf(from)];
  if (!one || !other || one.stem !== other.stem || one.turn !== other.turn) return false;
  return (one.number - other.number + one.turn) % one.turn < one.turn / 2;
}

/** A camera's pictures in the order in which it numbered them; by their times where names say nothing of it. */
export function inFileOrder(frames: readonly Frame[]): readonly Frame[] {
  const numbered = frames.map((frame) => ({ frame, known: numberOf(frame.name) }));
  const first = numbered[0]?.known;
  const isSeries =
    first && numbered.every(({ known }) => known?.stem === first.stem && known.turn === first.turn);
  if (!isSeries) return [...frames].sort((a, b) => a.cameraMs - b.cameraMs);
  const numbers = numbered.map(({ known }) => known?.number ?? 0);
  const wraps =
    numbers.some((number) => number > 0.9 * first.turn) &&
    numbers.some((number) => number < 0.1 * first.turn);
  const placeOf = (number: number) =>
    wraps && number < first.turn / 2 ? number + first.turn : number;
  return numbered
    .sort((a, b) => placeOf(a.known?.number ?? 0) - placeOf(b.known?.number ?? 0))
    .map(({ frame }) => frame);
}

/** What is known of the clock that took a picture. */
export function clockFor(
  { log }: Pick<Shoot, 'log'>,
  { camera, name }: Pick<Frame, 'camera' | 'name'>,
): CameraClock | undefined {
  const own = log.clocks.filter((clock) => clock.name === camera);
  return (
    own.findLast(({ fromFile }) => fromFile !== undefined && isFromFile(name, fromFile)) ??
    own.find(({ fromFile }) => fromFile === undefined)
  );
}

/** What to add to a frame's time to get the place's, in milliseconds. */
export function offsetMs(shoot: Pick<Shoot, 'log'>, frame: Frame): number {
  const clock = clockFor(shoot, frame);
  if (!clock) return 0;
  const { offsetS, drift } = clock;
  const drifted = drift ? (drift.perDayS * (frame.cameraMs - drift.atMs)) / DAY_MS : 0;
  return Math.round((offsetS + drifted) * 1000);
}

/** The place's wall clock as if of UTC, as cameras' times are kept. */
const wallMs = (local: string): number => Date.parse(`${local}Z`);

/** A camera's offset as good as known: by the record, or found before another's. */
type KnownClocks = ReadonlyMap<string, (frame: Frame) => number>;

/** A tap so soon after a picture of one camera is no other's. */
const OWN_TAP_MS = 12_000;

/** What a camera's pictures are lined up with: taps that no known camera's picture explains, events, other cameras' pictures. */
function evidenceFor(
  shoot: Pick<Shoot, 'log' | 'place' | 'events'>,
  own: readonly Frame[],
  frames: readonly Frame[],
  known: KnownClocks,
): ClockEvidence {
  const camera = own[0]?.camera;
  const timed = (of: (frame: Frame) => boolean) =>
    frames
      .flatMap((frame) => {
        const offset = known.get(frame.camera);
        return frame.camera !== camera && offset && of(frame)
          ? [frame.cameraMs + offset(frame)]
          : [];
      })
      .sort((a, b) => a - b);
  const othersMs = timed(() => true);
  const lastBefore = (list: readonly number[], ms: number) => list[bisectRight(list, ms) - 1];
  const taps = countedEntries(shoot).flatMap(({ entry }) =>
    entry.kind === 'keeper' ? [wallMs(entry.atLocal)] : [],
  );
  // A clock photographed is known to the second: by it this person's glance is.
  const exactMs = timed((frame) => clockFor(shoot, frame)?.by === 'picture');
  const lagS = lagOf(
    taps.flatMap((tap) => {
      const last = lastBefore(exactMs, tap);
      return last === undefined ? [] : [{ lagS: (tap - last) / 1000 }];
    }),
  );
  return {
    framesMs: own.map(({ cameraMs }) => cameraMs),
    tapsMs: taps.filter((tap) => tap - (lastBefore(othersMs, tap) ?? -Infinity) > OWN_TAP_MS),
    eventsMs: shoot.events
      .filter((event) => !event.cancelled && !event.leftOut && strandOf(event) === 'timed')
      .map((event) => {
        const fromMs = wallMs(startOf(event));
        return [fromMs, fromMs + event.durationMin * 60_000] as const;
      }),
    othersMs,
    ...(lagS && { lagS }),
  };
}

/** How a camera's clock stands by what its pictures line up with. */
export interface ClockFound {
  readonly camera: string;
  /** For the record. */
  readonly pieces: readonly Omit<CameraClock, 'name'>[];
  readonly fits: readonly ClockPiece[];
}

function foundFrom(camera: string, own: readonly Frame[], fits: readonly ClockPiece[]): ClockFound {
  const byTime = [...own].sort((a, b) => a.cameraMs - b.cameraMs);
  return {
    ...{ camera, fits },
    pieces: fits.map(({ from, isByFile, fit }) => ({
      ...{ offsetS: fit.offsetS, by: 'taps' as const, withinS: fit.withinS },
      ...(from > 0 && { fromFile: (isByFile ? own : byTime)[from]?.name ?? '' }),
      ...(fit.perDayS !== 0 && { drift: { perDayS: fit.perDayS, atMs: fit.atMs } }),
    })),
  };
}

/**
 * Every camera's clock that can be told. The one that most taps speak for is lined up first, and the others with its
 * pictures too; what a person set, or a picture of a clock, is taken as known for the others.
 */
export function clocksFound(shoot: Pick<Shoot, 'log' | 'place' | 'events'>): readonly ClockFound[] {
  const frames = framesOf(shoot);
  const cameras = [...new Set(frames.map(({ camera }) => camera))];
  const ownOf = new Map(
    cameras.map((camera) => [
      camera,
      inFileOrder(frames.filter((frame) => frame.camera === camera)),
    ]),
  );
  const known = new Map<string, (frame: Frame) => number>();
  for (const { name } of shoot.log.clocks) known.set(name, (frame) => offsetMs(shoot, frame));
  const fitted = (camera: string, others: KnownClocks): ClockFound | undefined => {
    const own = ownOf.get(camera) ?? [];
    const fits = fitClockPieces(evidenceFor(shoot, own, frames, others));
    return fits.length > 0 ? foundFrom(camera, own, fits) : undefined;
  };
  const tiesOf = (found: ClockFound) =>
    found.fits.reduce((sum, { fit }) => sum + fit.ties.length, 0);
  const found: ClockFound[] = [];
  // Those that nobody set, one after the other.
  let left = cameras.filter((camera) => !known.has(camera));
  while (left.length > 0) {
    const best = left
      .flatMap((camera) => fitted(camera, known) ?? [])
      .sort((a, b) => tiesOf(b) - tiesOf(a))[0];
    if (!best) break;
    found.push(best);
    left = left.filter((camera) => camera !== best.camera);
    const clocks = best.pieces.map((piece) => ({ name: best.camera, ...piece }));
    known.set(best.camera, (frame) => offsetMs({ log: { ...shoot.log, clocks } }, frame));
  }
  // Those that somebody set are held against the rest.
  for (const camera of cameras) {
    if (found.some((one) => one.camera === camera)) continue;
    const others = new Map([...known].filter(([name]) => name !== camera));
    const one = fitted(camera, others);
    if (one) found.push(one);
  }
  return found;
}

/** Minutes of a day in which most taps fall in step with a camera's pictures, to be drawn. */
export interface ClockEvidenceDrawn {
  readonly fromMs: number;
  readonly toMs: number;
  readonly tapsMs: readonly number[];
  /** Ends of bursts as they stand, and put right: the place's wall clock as if of UTC. */
  readonly standMs: readonly number[];
  readonly rightMs: readonly number[];
}

const DRAWN_MS = 20 * 60_000;
const MARGIN_MS = 60_000;

/** What speaks for how a camera's clock was found; nothing where no tap does. */
export function evidenceDrawn(
  shoot: Pick<Shoot, 'log' | 'place'>,
  { camera, pieces, fits }: ClockFound,
): ClockEvidenceDrawn | undefined {
  const ties = fits.flatMap(({ fit }) => fit.ties.map(({ tapMs }) => tapMs)).sort((a, b) => a - b);
  if (ties.length === 0) return undefined;
  const countFrom = (from: number) =>
    ties.filter((ms) => ms >= from && ms <= from + DRAWN_MS - 2 * MARGIN_MS).length;
  const counts = ties.map(countFrom);
  const fromMs = (ties[counts.indexOf(Math.max(...counts))] ?? 0) - MARGIN_MS;
  const clocks = pieces.map((piece) => ({ name: camera, ...piece }));
  const right = { log: { ...shoot.log, clocks } };
  const own = framesOf(shoot).filter((frame) => frame.camera === camera);
  const endsMs = new Set(burstEnds(own.map(({ cameraMs }) => cameraMs)));
  const ends = own.filter(({ cameraMs }) => endsMs.has(cameraMs));
  return {
    ...{ fromMs, toMs: fromMs + DRAWN_MS },
    tapsMs: countedEntries(shoot).flatMap(({ entry }) =>
      entry.kind === 'keeper' ? [wallMs(entry.atLocal)] : [],
    ),
    standMs: ends.map((frame) => frame.cameraMs + offsetMs(shoot, frame)),
    rightMs: ends.map((frame) => frame.cameraMs + offsetMs(right, frame)),
  };
}
