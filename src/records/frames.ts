import { deflateSync, inflateSync, strFromU8, strToU8 } from 'fflate';
import { z } from 'zod';
import { isPictureTime } from '@/core';
import { firstProblem } from './parse';
import { LONGEST_NAME } from './picture-name';

/**
 * What pictures say of themselves, packed: up to a thousand frames a chunk, a column for each figure,
 * times and names as steps from the one before, deflated, in base64. A season's pictures then fit where
 * a browser keeps five million characters (docs/performance.md).
 * @example
 * const chunk = packFrames([frame]); // "q1YqS…"
 */

export const FRAMES_PER_CHUNK = 1000;
/** Most pictures of one shoot. */
export const MOST_FRAMES = 50_000;
/** Chunks may be short: one ends where its cameras are too many. */
export const MOST_CHUNKS = 500;
const CAMERAS_PER_CHUNK = 20;
/** Characters of one chunk, and what it may unfold to. */
const LONGEST_CHUNK = 400_000;
const LARGEST_BYTES = 1_200_000;

export interface Frame {
  /** The file's own name. */
  readonly name: string;
  /** The camera's clock as it stood, read as the place's own wall clock: milliseconds as if of UTC. */
  readonly cameraMs: number;
  /** Which camera, as its pictures name it. */
  readonly camera: string;
  readonly shutterS?: number;
  readonly aperture?: number;
  readonly iso?: number;
  readonly focalMm?: number;
  /** 0 to 5 as rated in the picture, −1 for rejected. */
  readonly rating?: number;
  /** Picked or not by hand in the log, whatever the rating. */
  readonly kept?: boolean;
  /** Whether the camera was held upright. */
  readonly upright?: boolean;
  /** Where it was taken, and towards where (clockwise from true north), by the camera or the phone that goes with it. */
  readonly latitudeDeg?: number;
  readonly longitudeDeg?: number;
  readonly bearingDeg?: number;
  /** How bright its small picture is, in stops over or under mid-grey. */
  readonly levelStops?: number;
  /** How far the camera was off level, clockwise as seen from behind it. */
  readonly rollDeg?: number;
  /** The event that a person put it to, `null` for none; by its time without. */
  readonly eventId?: string | null;
  /** Who is on it, as a person named them. */
  readonly who?: readonly Who[];
}

/** Someone of the shoot, or only a name as a running order has it. */
export type Who = { readonly personId: string } | { readonly name: string };

/** Most people on one picture. */
export const MOST_WHO = 40;

const optional = (least: number, most: number) =>
  z.array(z.number().min(least).max(most).nullable()).max(FRAMES_PER_CHUNK);

/** Further from mid-grey no picture of eight bits can be. */
export const MOST_LEVEL_STOPS = 12;

const LONGEST_WHO = 120;
const places = z
  .number()
  .int()
  .min(0)
  .max(FRAMES_PER_CHUNK * MOST_WHO);

/** What a person put to pictures: lists of what there is, and for each picture places in them. */
const handSchema = z.strictObject({
  /** Ids; the empty one is no event at all. */
  events: z.array(z.string().max(LONGEST_WHO)).max(FRAMES_PER_CHUNK),
  event: z.array(places.nullable()).max(FRAMES_PER_CHUNK),
  /** Ids behind a p, names behind an n. */
  people: z.array(z.string().max(LONGEST_WHO)).max(FRAMES_PER_CHUNK * MOST_WHO),
  who: z.array(z.array(places).max(MOST_WHO).nullable()).max(FRAMES_PER_CHUNK),
});

/** Where pictures were taken, and how the camera was held: most say nothing of it. */
const whereSchema = z.strictObject({
  latitudeDeg: optional(-90, 90),
  longitudeDeg: optional(-180, 180),
  bearingDeg: optional(0, 360),
  rollDeg: optional(-180, 180),
});
const WHERE = ['latitudeDeg', 'longitudeDeg', 'bearingDeg', 'rollDeg'] as const;

const columnsSchema = z
  .strictObject({
    v: z.literal(1),
    names: z.array(z.string().max(LONGEST_NAME + 1)).max(FRAMES_PER_CHUNK),
    /** The first time, then steps. */
    ms: z.array(z.number().int().min(-1e14).max(1e14)).max(FRAMES_PER_CHUNK),
    cameras: z.array(z.string().max(80)).max(CAMERAS_PER_CHUNK),
    camera: z
      .array(
        z
          .number()
          .int()
          .min(0)
          .max(CAMERAS_PER_CHUNK - 1),
      )
      .max(FRAMES_PER_CHUNK),
    shutterS: optional(1e-6, 3600),
    aperture: optional(0.5, 128),
    iso: optional(1, 10_000_000),
    focalMm: optional(0.5, 5000),
    rating: optional(-1, 5),
    kept: optional(0, 1),
    upright: optional(0, 1),
    where: whereSchema.optional(),
    levelStops: optional(-MOST_LEVEL_STOPS, MOST_LEVEL_STOPS).optional(),
    hand: handSchema.optional(),
  })
  .refine(
    ({ v: _v, cameras: _cameras, hand, where = {}, levelStops, ...columns }) =>
      new Set(
        [
          ...Object.values(columns),
          ...Object.values(where),
          ...(levelStops ? [levelStops] : []),
          ...(hand ? [hand.event, hand.who] : []),
        ].map(({ length }) => length),
      ).size === 1,
    { message: 'must have columns of one length' },
  )
  .refine(({ camera, cameras }) => camera.every((at) => at < cameras.length), {
    path: ['camera'],
    message: 'must be one of cameras',
  });

type Figure = 'shutterS' | 'aperture' | 'iso' | 'focalMm' | 'rating' | 'levelStops';

/** How much of a name is the same as that of the name before, and what follows. */
const stepsOf = (names: readonly string[]) =>
  names.map((name, i) => {
    const before = names[i - 1] ?? '';
    let same = 0;
    while (same < Math.min(35, name.length, before.length) && name[same] === before[same])
      same += 1;
    return same.toString(36) + name.slice(same);
  });

function namesOf(steps: readonly string[]): string[] {
  let before = '';
  return steps.map((step) => {
    before = before.slice(0, Number.parseInt(step[0] ?? '0', 36) || 0) + step.slice(1);
    return before;
  });
}

/** What tells one from another, as a text: an id is never taken for a name. */
export const whoKey = (one: Who): string =>
  'personId' in one ? `p${one.personId}` : `n${one.name}`;
const readWho = (text: string): Who =>
  text.startsWith('p') ? { personId: text.slice(1) } : { name: text.slice(1) };

/** What people put to frames, as columns; nothing where they put nothing. */
function packHand(frames: readonly Frame[]): z.infer<typeof handSchema> | undefined {
  if (frames.every(({ eventId, who }) => eventId === undefined && !who)) return undefined;
  const events = [
    ...new Set(frames.flatMap(({ eventId }) => (eventId === undefined ? [] : [eventId ?? '']))),
  ];
  const people = [...new Set(frames.flatMap(({ who = [] }) => who.map(whoKey)))];
  const placeOf = new Map(people.map((text, i) => [text, i]));
  return {
    events,
    people,
    event: frames.map(({ eventId }) =>
      eventId === undefined ? null : events.indexOf(eventId ?? ''),
    ),
    who: frames.map(({ who }) => (who ? who.map((one) => placeOf.get(whoKey(one)) ?? 0) : null)),
  };
}

/** What people put to one frame of a chunk. */
function unpackHand(
  hand: z.infer<typeof handSchema> | undefined,
  i: number,
): Pick<Frame, 'eventId' | 'who'> {
  if (!hand) return {};
  const [place, who] = [hand.event[i] ?? undefined, hand.who[i] ?? undefined];
  const event = place === undefined ? undefined : hand.events[place];
  return {
    ...(event !== undefined && { eventId: event === '' ? null : event }),
    ...(who && {
      who: who.flatMap((at) => {
        const text = hand.people[at];
        return text === undefined ? [] : [readWho(text)];
      }),
    }),
  };
}

function packChunk(frames: readonly Frame[]): string {
  const cameras = [...new Set(frames.map(({ camera }) => camera))];
  const figures = (key: Figure) => frames.map((frame) => frame[key] ?? null);
  const switches = (key: 'kept' | 'upright') =>
    frames.map((frame) => (frame[key] === undefined ? null : Number(frame[key])));
  const hand = packHand(frames);
  const isMeasured = frames.some(({ levelStops }) => levelStops !== undefined);
  const isPlaced = frames.some((frame) => WHERE.some((key) => frame[key] !== undefined));
  const columns: z.infer<typeof columnsSchema> = {
    v: 1,
    names: stepsOf(frames.map(({ name }) => name.slice(0, LONGEST_NAME))),
    ms: frames.map(({ cameraMs }, i) => Math.round(cameraMs - (frames[i - 1]?.cameraMs ?? 0))),
    cameras,
    camera: frames.map(({ camera }) => cameras.indexOf(camera)),
    shutterS: figures('shutterS'),
    aperture: figures('aperture'),
    iso: figures('iso'),
    focalMm: figures('focalMm'),
    rating: figures('rating'),
    kept: switches('kept'),
    upright: switches('upright'),
    ...(isPlaced && {
      where: Object.fromEntries(
        WHERE.map((key) => [key, frames.map((frame) => frame[key] ?? null)]),
      ) as z.infer<typeof whereSchema>,
    }),
    ...(isMeasured && { levelStops: figures('levelStops') }),
    ...(hand && { hand }),
  };
  return btoa(strFromU8(deflateSync(strToU8(JSON.stringify(columns)), { level: 9 }), true));
}

/**
 * Frames as chunks, in order of time. A chunk ends when it is full, or when a camera more would be too
 * many for it.
 * @throws RangeError for more frames than a shoot may hold
 */
export function packFrames(frames: readonly Frame[]): string[] {
  if (frames.length > MOST_FRAMES) {
    throw new RangeError(`frames ${frames.length}: must be at most ${MOST_FRAMES}`);
  }
  const sorted = [...frames].sort((a, b) => a.cameraMs - b.cameraMs);
  const chunks: Frame[][] = [];
  let cameras = new Set<string>();
  for (const frame of sorted) {
    const last = chunks.at(-1);
    const full = !last || last.length >= FRAMES_PER_CHUNK;
    const crowded = !cameras.has(frame.camera) && cameras.size >= CAMERAS_PER_CHUNK;
    if (full || crowded) {
      chunks.push([frame]);
      cameras = new Set();
    } else last.push(frame);
    cameras.add(frame.camera);
  }
  return chunks.map(packChunk);
}

/** Unfolded chunks are kept: a shoot is read anew at every change, its chunks seldom differ. */
const MOST_KNOWN = 200;
const known = new Map<string, readonly Frame[]>();

/** @throws RangeError for a chunk that can't be read, with what is wrong in it */
function unpackChunk(chunk: string): readonly Frame[] {
  const made = known.get(chunk);
  if (made) return made;
  let raw: unknown;
  try {
    // Written into room of a fixed size: a chunk that unfolds without end is cut off and refused.
    const bytes = inflateSync(strToU8(atob(chunk), true), { out: new Uint8Array(LARGEST_BYTES) });
    raw = JSON.parse(strFromU8(bytes));
  } catch {
    throw new RangeError('must be frames as packed by Bright Perch; it is cut off or damaged');
  }
  const checked = columnsSchema.safeParse(raw);
  if (!checked.success) throw new RangeError(firstProblem(checked.error));
  const { data } = checked;
  const names = namesOf(data.names);
  let cameraMs = 0;
  const frames = names.map((name, i): Frame => {
    cameraMs += data.ms[i] ?? 0;
    if (!isPictureTime(cameraMs)) {
      throw new RangeError(`ms[${i}]: must be a time from 1970 to 2200`);
    }
    const figure = (key: Figure) => {
      const value = data[key]?.[i] ?? undefined;
      return value === undefined ? {} : { [key]: value };
    };
    const on = (key: 'kept' | 'upright') => {
      const value = data[key][i] ?? undefined;
      return value === undefined ? {} : { [key]: value === 1 };
    };
    return {
      name,
      cameraMs,
      camera: data.cameras[data.camera[i] ?? 0] ?? '',
      ...figure('shutterS'),
      ...figure('aperture'),
      ...figure('iso'),
      ...figure('focalMm'),
      ...figure('rating'),
      ...figure('levelStops'),
      ...on('kept'),
      ...on('upright'),
      ...Object.fromEntries(
        WHERE.flatMap((key) => {
          const value = data.where?.[key][i] ?? undefined;
          return value === undefined ? [] : [[key, value]];
        }),
      ),
      ...unpackHand(data.hand, i),
    };
  });
  if (known.size >= MOST_KNOWN) known.clear();
  known.set(chunk, frames);
  return frames;
}

/** Chunks as frames, in order of time. @throws RangeError for one that can't be read */
export const unpackFrames = (chunks: readonly string[]): readonly Frame[] =>
  chunks.flatMap(unpackChunk);

/** A chunk that can be read, or the reason why not. */
export const frameChunkSchema = z
  .string()
  .max(LONGEST_CHUNK)
  .superRefine((chunk, context) => {
    try {
      unpackChunk(chunk);
    } catch (error) {
      context.addIssue({ code: 'custom', message: (error as Error).message });
    }
  });
