import { burstsOf, ev as evOf } from '@/core';
import { pictureOf } from './day-request';
import type { DayEventRecord } from '@/records/day';
import { startOf } from '@/records/edit-events';
import { frameKey, framesOf, inOrder } from '@/records/edit-log';
import type { Frame } from '@/records/frames';
import type { LogEntry } from '@/records/log';
import type { Shoot } from '@/records/shoot';
import { localSecondOf, msOf } from '@/records/times';

/** Pictures put to what was done: their true time, the event, where one stood and for which shot. */

const MINUTE_MS = 60_000;
/** Further from an event than this a picture is not of it. Common practice, no source. */
const NEAR_EVENT_MS = 5 * MINUTE_MS;
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
  /** Whether a person put it to its event; by its time without. */
  readonly eventBy?: 'hand' | 'time';
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

export const offsetOf = ({ log }: Pick<Shoot, 'log'>, camera: string): number =>
  log.clocks.find(({ name }) => name === camera)?.offsetS ?? 0;

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
  const wallMs = frame.cameraMs + offsetOf(shoot, frame.camera) * 1000;
  return msOf(new Date(wallMs).toISOString().slice(0, -1), shoot.place.timeZone);
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
  'log' | 'place' | 'events' | 'people' | 'shots' | 'marks' | 'choice' | 'positions' | 'ground'
>;

/** Entries that count, with their moment, in order. */
export const countedEntries = ({ log, place }: Pick<Shoot, 'log' | 'place'>) =>
  inOrder(log.entries)
    .filter(({ rehearsed }) => !rehearsed)
    .map((entry) => ({ entry, atMs: msOf(entry.atLocal, place.timeZone) }));

/** The event that runs at a moment, or the nearest within some minutes. */
function eventFinder({ events, place }: Pick<Shoot, 'events' | 'place'>) {
  const spans = events
    .map((event) => {
      const fromMs = msOf(startOf(event), place.timeZone);
      return { event, fromMs, toMs: fromMs + event.durationMin * MINUTE_MS };
    })
    .sort((a, b) => a.fromMs - b.fromMs);
  return (ms: number): DayEventRecord | undefined => {
    const off = ({ fromMs, toMs }: (typeof spans)[number]) => Math.max(fromMs - ms, ms - toMs, 0);
    let best: (typeof spans)[number] | undefined;
    for (const span of spans) {
      if (span.fromMs > ms + NEAR_EVENT_MS) break;
      if (off(span) <= NEAR_EVENT_MS && (!best || off(span) <= off(best))) best = span;
    }
    return best?.event;
  };
}

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
  const eventAt = eventFinder(shoot);
  const events = new Map(shoot.events.map((event) => [event.id, event]));
  /** What was tapped hours before says nothing of an event, nor what was tapped at another where this has a shot of its own. */
  const speaksOf = (
    tap: (typeof entries)[number],
    atMs: number,
    { id, shotId }: DayEventRecord,
  ): boolean => {
    const isOfAnother = (eventAt(tap.atMs)?.id ?? id) !== id;
    const isOtherShot = shotId !== undefined && shotId !== tap.entry.shotId;
    return atMs - tap.atMs <= TAP_HOLDS_MS && !(isOfAnother && isOtherShot);
  };
  return framesOf(shoot)
    .map((frame): MatchedFrame => {
      const atMs = frameMs(shoot, frame);
      const byHand = frame.eventId === undefined ? undefined : events.get(frame.eventId ?? '');
      const event = frame.eventId === undefined ? eventAt(atMs) : byHand;
      const last = lastUntil(entries, (each) => each.atMs, atMs) ?? entries[0];
      const entry = last && (!event || speaksOf(last, atMs, event)) ? last.entry : undefined;
      const common = {
        key: frameKey(frame),
        frame,
        atMs,
        ...(event && { event, eventBy: byHand ? ('hand' as const) : ('time' as const) }),
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
export interface Press {
  readonly frames: readonly MatchedFrame[];
}

/** Frames by presses, in order. */
export function pressesOf(frames: readonly MatchedFrame[]): readonly Press[] {
  const bursts = burstsOf(frames.map(({ atMs }) => atMs));
  const presses: Press[] = [];
  let at = 0;
  for (const { from, to } of bursts) {
    for (; at < from; at += 1) presses.push({ frames: frames.slice(at, at + 1) });
    presses.push({ frames: frames.slice(from, to + 1) });
    at = to + 1;
  }
  for (; at < frames.length; at += 1) presses.push({ frames: frames.slice(at, at + 1) });
  return presses;
}

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
