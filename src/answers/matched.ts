import { burstsOf, ev as evOf } from '@/core';
import { offsetMs } from './camera-clock';
import { countedEntries } from './counted';
import { pictureOf } from './day-request';
import { putToEvents, type Reason } from './put-to-event';
import type { DayEventRecord } from '@/records/day';
import { frameKey, framesOf } from '@/records/edit-log';
import type { Frame } from '@/records/frames';
import type { LogEntry } from '@/records/log';
import type { Shoot } from '@/records/shoot';
import { localSecondOf, msOf } from '@/records/times';

/** Pictures put to what was done: their true time, the event, where one stood and for which shot. */

const MINUTE_MS = 60_000;
/** A tap speaks of what is shot for so long. Common practice, no source. */
const TAP_HOLDS_MS = 120 * MINUTE_MS;
/** From so many stars on a picture counts as kept. Common practice, no source. */
const KEPT_STARS = 3;

export interface Stand {
  readonly markId: string;
  readonly positionId: string;
  readonly shotId?: string;
}

export interface MatchedFrame {
  readonly key: string;
  readonly frame: Frame;
  /** By the place's clock, the camera's own set right. */
  readonly atMs: number;
  readonly event?: DayEventRecord;
  /** Whether a person put it to its event, or to none. */
  readonly byHand: boolean;
  /** How likely that event is, or none where none is named, from 0 to 1; and what speaks for it. */
  readonly sure: number;
  readonly why: readonly Reason[];
  readonly stand: Stand;
  /** Whether the stand was logged in the field, follows from the event, or is only the plan's. */
  readonly standBy: 'log' | 'event' | 'plan';
  readonly kept: boolean;
}

export const isKept = ({ kept, rating = 0 }: Frame): boolean => kept ?? rating >= KEPT_STARS;

/** EV at ISO 100 that a frame was exposed for, if it says all three. */
export const evOfFrame = ({ shutterS, aperture, iso }: Frame): number | undefined =>
  shutterS === undefined || aperture === undefined || iso === undefined
    ? undefined
    : evOf({ shutterS, aperture, iso });

/** A frame's camera time by the place's wall clock: where the camera says its zone, by that. */
export function byPlace(
  { frame, zoneMin }: { readonly frame: Frame; readonly zoneMin?: number },
  timeZone: string,
): Frame {
  if (zoneMin === undefined) return frame;
  const utcMs = frame.cameraMs - zoneMin * MINUTE_MS;
  const wallMs = Date.parse(`${localSecondOf(utcMs, timeZone)}Z`);
  return { ...frame, cameraMs: wallMs + (((utcMs % 1000) + 1000) % 1000) };
}

/** When a frame was taken, by the place's clock. */
export function frameMs(shoot: Pick<Shoot, 'log' | 'place'>, frame: Frame): number {
  const wallMs = frame.cameraMs + offsetMs(shoot, frame);
  return wallMs - aheadMs(wallMs, shoot.place.timeZone);
}

const QUARTER_MS = 15 * MINUTE_MS;
const MOST_AHEAD = 2000;
const ahead = new Map<string, number>();

/** How far a place's wall clock is ahead of UTC: zones change at quarters of an hour, so each is asked once. */
function aheadMs(wallMs: number, timeZone: string): number {
  const quarterMs = Math.floor(wallMs / QUARTER_MS) * QUARTER_MS;
  const key = `${timeZone} ${quarterMs}`;
  const known = ahead.get(key);
  if (known !== undefined) return known;
  const found = quarterMs - msOf(new Date(quarterMs).toISOString().slice(0, -1), timeZone);
  if (ahead.size >= MOST_AHEAD) ahead.clear();
  ahead.set(key, found);
  return found;
}

const standOf = ({ markId, positionId, shotId }: LogEntry): Stand => ({
  markId,
  positionId,
  ...(shotId !== undefined && { shotId }),
});

/** The last of a sorted list that is not after a moment. */
function lastUntil<T>(list: readonly T[], atOf: (entry: T) => number, ms: number): T | undefined {
  let [low, high] = [0, list.length];
  while (low < high) {
    const middle = (low + high) >> 1;
    if (atOf(list[middle] as T) <= ms) low = middle + 1;
    else high = middle;
  }
  return list[low - 1];
}

type Logged = Pick<
  Shoot,
  | 'log'
  | 'place'
  | 'events'
  | 'people'
  | 'shots'
  | 'marks'
  | 'choice'
  | 'positions'
  | 'ground'
  | 'kit'
  | 'day'
  | 'subjects'
>;

/** Answer, tabs and lessons of other shoots ask for the same shoot: it is matched once. */
const known = new WeakMap<Logged, readonly MatchedFrame[]>();

/** Every picture of a shoot, matched, in order of time. */
export function matchedFrames(shoot: Logged): readonly MatchedFrame[] {
  const made = known.get(shoot) ?? matchAll(shoot);
  known.set(shoot, made);
  return made;
}

function matchAll(shoot: Logged): readonly MatchedFrame[] {
  const entries = countedEntries(shoot);
  const events = new Map(shoot.events.map((event) => [event.id, event]));
  const timed = framesOf(shoot)
    .map((frame) => ({ frame, atMs: frameMs(shoot, frame) }))
    .sort((a, b) => a.atMs - b.atMs);
  const presses = pressesOf(timed);
  const puts = putToEvents(
    shoot,
    presses.map(({ frames: [first] }) => {
      const { atMs, frame } = first as (typeof timed)[number];
      const { eventId } = frame;
      const byHand = eventId === undefined ? undefined : (events.get(eventId ?? '') ?? null);
      return { fromMs: atMs, frame, ...(byHand !== undefined && { byHand }) };
    }),
  );
  /** What was tapped hours before says nothing of an event, nor what was tapped at another where this has a shot of its own. */
  const tapped = putToEvents(
    shoot,
    entries.map(({ atMs }) => ({ fromMs: atMs })),
  );
  const eventOfTap = new Map(entries.map(({ entry }, i) => [entry, tapped[i]?.event?.id]));
  const speaksOf = (
    tap: (typeof entries)[number],
    atMs: number,
    { id, shotId }: DayEventRecord,
  ): boolean => {
    const isOfAnother = (eventOfTap.get(tap.entry) ?? id) !== id;
    const isOtherShot = shotId !== undefined && shotId !== tap.entry.shotId;
    return atMs - tap.atMs <= TAP_HOLDS_MS && !(isOfAnother && isOtherShot);
  };
  return presses
    .flatMap(({ frames }, i) => frames.map((one) => ({ ...one, put: puts[i] })))
    .map(({ frame, atMs, put }): MatchedFrame => {
      const event = put?.event;
      const last = lastUntil(entries, (each) => each.atMs, atMs) ?? entries[0];
      const entry = last && (!event || speaksOf(last, atMs, event)) ? last.entry : undefined;
      const common = {
        ...{ key: frameKey(frame), frame, atMs },
        ...(event && { event }),
        byHand: frame.eventId !== undefined,
        ...{ sure: put?.sure ?? 1, why: put?.why ?? [] },
        kept: isKept(frame),
      };
      if (entry) return { ...common, stand: standOf(entry), standBy: 'log' };
      const { positionId, markId, shotId } = shoot.choice;
      if (event) {
        const { shot, markId: where } = pictureOf(shoot, event);
        const stand = {
          positionId: event.pinnedTo ?? positionId,
          markId: where,
          ...(shot && { shotId: shot.id }),
        };
        return { ...common, stand, standBy: 'event' };
      }
      const stand = { positionId, markId, ...(shotId !== undefined && { shotId }) };
      return { ...common, stand, standBy: 'plan' };
    })
    .sort((a, b) => a.atMs - b.atMs);
}

/** One press of the button, or a lone frame. */
export interface Press<F = MatchedFrame> {
  readonly frames: readonly F[];
}

/** Frames by presses of one camera each, in order of their first frames. */
export function pressesOf<F extends { readonly frame: Frame; readonly atMs: number }>(
  frames: readonly F[],
): readonly Press<F>[] {
  const byCamera = new Map<string, F[]>();
  for (const one of frames) {
    const own = byCamera.get(one.frame.camera);
    if (own) own.push(one);
    else byCamera.set(one.frame.camera, [one]);
  }
  const presses = [...byCamera.values()].flatMap((own) => {
    const found: Press<F>[] = [];
    let at = 0;
    const lone = (until: number) => {
      for (; at < until; at += 1) found.push({ frames: own.slice(at, at + 1) });
    };
    for (const { from, to } of burstsOf(own.map(({ atMs }) => atMs))) {
      lone(from);
      found.push({ frames: own.slice(from, to + 1) });
      at = to + 1;
    }
    lone(own.length);
    return found;
  });
  return presses.sort((a, b) => (a.frames[0]?.atMs ?? 0) - (b.frames[0]?.atMs ?? 0));
}

/** Whether a shoot still has the mark and the position of a stand. */
export const standIsThere = (
  { marks, positions }: Pick<Shoot, 'marks' | 'positions'>,
  { markId, positionId }: Stand,
): boolean =>
  marks.some(({ id }) => id === markId) && positions.some(({ id }) => id === positionId);

/** Names of what a frame was about, with a word for what has been deleted since. */
export function standInWords(
  { shots, positions, marks }: Pick<Shoot, 'shots' | 'positions' | 'marks'>,
  { shotId, positionId, markId }: Stand,
): { readonly shot: string; readonly position: string; readonly mark: string } {
  const nameOf = (list: readonly { readonly id: string; readonly name: string }[], id: string) =>
    list.find((entry) => entry.id === id)?.name ?? 'since deleted';
  return {
    shot: shotId === undefined ? 'No shot in hand' : nameOf(shots, shotId),
    position: nameOf(positions, positionId),
    mark: nameOf(marks, markId),
  };
}
