import type { Watch } from './day';
import { MOST_WHO, packFrames, unpackFrames, type Frame, type Who } from './frames';
import { MOST_LOGGED, type CameraClock, type LogEntry } from './log';
import type { Shoot } from './shoot';

/** Changes of a shoot's log. */

export const isLogFull = ({ log }: Pick<Shoot, 'log'>): boolean =>
  log.entries.length >= MOST_LOGGED;

/** The shoot with an entry more. @throws RangeError when its log is full */
export function withLogged(shoot: Shoot, entry: LogEntry): Shoot {
  if (isLogFull(shoot)) {
    throw new RangeError(`log: ${MOST_LOGGED} entries are kept at most; export it and begin anew`);
  }
  return { ...shoot, log: { ...shoot.log, entries: [...shoot.log.entries, entry] } };
}

export const withoutLogged = (shoot: Shoot, id: string): Shoot => ({
  ...shoot,
  log: { ...shoot.log, entries: shoot.log.entries.filter((entry) => entry.id !== id) },
});

/** The shoot without what was only rehearsed. */
export const withoutRehearsal = (shoot: Shoot): Shoot => ({
  ...shoot,
  log: { ...shoot.log, entries: shoot.log.entries.filter(({ rehearsed }) => !rehearsed) },
  readings: shoot.readings.filter(({ by, simulated }) => by === 'meter' || !simulated),
});

/** Entries in order of time. */
export const inOrder = (entries: readonly LogEntry[]): readonly LogEntry[] =>
  [...entries].sort((a, b) => (a.atLocal < b.atLocal ? -1 : a.atLocal > b.atLocal ? 1 : 0));

/** What tells one picture from another: its name, its minute and its camera. */
export const frameKey = ({ name, cameraMs, camera }: Frame): string =>
  `${name} ${cameraMs} ${camera}`;

export const framesOf = ({ log }: Pick<Shoot, 'log'>): readonly Frame[] => unpackFrames(log.frames);

const withFrameList = (shoot: Shoot, frames: readonly Frame[]): Shoot => ({
  ...shoot,
  log: { ...shoot.log, frames: packFrames(frames) },
});

/** The shoot with pictures' figures; one read a second time takes the place of its first reading. */
export function withFrames(shoot: Shoot, frames: readonly Frame[]): Shoot {
  const all = new Map(framesOf(shoot).map((frame) => [frameKey(frame), frame]));
  for (const frame of frames) {
    // What a person said of it is not undone by reading it again.
    const { kept, eventId, who } = all.get(frameKey(frame)) ?? {};
    all.set(frameKey(frame), {
      ...frame,
      ...(kept !== undefined && { kept }),
      ...(eventId !== undefined && { eventId }),
      ...(who && { who }),
    });
  }
  return withFrameList(shoot, [...all.values()]);
}

/** The shoot with what a person says of some pictures. */
const withSaid = (
  shoot: Shoot,
  keys: ReadonlySet<string>,
  said: Pick<Frame, 'kept' | 'eventId' | 'who'>,
): Shoot =>
  // Chunks that hold none of them stay as they are: of thousands of pictures a press changes a few.
  ({
    ...shoot,
    log: {
      ...shoot.log,
      frames: shoot.log.frames.flatMap((chunk) => {
        const own = unpackFrames([chunk]);
        return own.some((frame) => keys.has(frameKey(frame)))
          ? packFrames(
              own.map((frame) => (keys.has(frameKey(frame)) ? { ...frame, ...said } : frame)),
            )
          : [chunk];
      }),
    },
  });

/** The shoot with pictures picked, or not, by hand. */
export const withPicked = (shoot: Shoot, keys: ReadonlySet<string>, kept: boolean): Shoot =>
  withSaid(shoot, keys, { kept });

/** The shoot with pictures put to an event, or to none, whatever their time says. */
export const withEvent = (shoot: Shoot, keys: ReadonlySet<string>, eventId: string | null): Shoot =>
  withSaid(shoot, keys, { eventId });

/** The shoot with who is on some pictures; no more than a picture holds. */
export const withWho = (shoot: Shoot, keys: ReadonlySet<string>, who: readonly Who[]): Shoot =>
  withSaid(shoot, keys, { who: who.slice(0, MOST_WHO) });

/** Who a person said is on a picture; nothing where nobody said so. */
export const whoSaid = (shoot: Shoot, key: string): readonly Who[] | undefined =>
  framesOf(shoot).find((frame) => frameKey(frame) === key)?.who;

export const withoutFrames = (shoot: Shoot): Shoot => ({
  ...shoot,
  log: { ...shoot.log, frames: [] },
});

/** How a camera's clock stands, piece by piece, put in place of what was known. */
export const withClock = (
  shoot: Shoot,
  name: string,
  pieces: readonly Omit<CameraClock, 'name'>[],
): Shoot => ({
  ...shoot,
  log: {
    ...shoot.log,
    clocks: [
      ...shoot.log.clocks.filter((clock) => clock.name !== name),
      ...pieces.map((piece) => ({ name, ...piece, offsetS: Math.round(piece.offsetS) })),
    ],
  },
});

export const openWatch = ({ watches }: Pick<Shoot, 'watches'>): Watch | undefined =>
  watches.find(({ open }) => open);

const nextMinute = (minute: string): string =>
  new Date(Date.parse(`${minute}Z`) + 60_000).toISOString().slice(0, 16);

/** Watching of a mark begun; it counts as far as what is logged in it until it is ended. */
export const watchBegun = (shoot: Shoot, id: string, markId: string, minute: string): Shoot => ({
  ...shoot,
  watches: [
    ...shoot.watches,
    { id, markId, fromLocal: minute, toLocal: nextMinute(minute), visitsLocal: [], open: true },
  ],
});

/** All watching ended at a minute. */
export const watchEnded = (shoot: Shoot, minute: string): Shoot => ({
  ...shoot,
  watches: shoot.watches.map(({ open, ...watch }) =>
    open ? { ...watch, toLocal: minute > watch.toLocal ? minute : watch.toLocal } : watch,
  ),
});

/** A sighting during a watch carries the watch's end along. */
export const watchedUntil = (shoot: Shoot, minute: string): Shoot =>
  openWatch(shoot)
    ? {
        ...shoot,
        watches: shoot.watches.map((watch) =>
          watch.open && minute > watch.toLocal ? { ...watch, toLocal: minute } : watch,
        ),
      }
    : shoot;
