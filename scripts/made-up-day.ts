import type { DayEventRecord } from '@/records/day';
import type { Frame } from '@/records/frames';
import type { LogEntry } from '@/records/log';
import { newShoot } from '@/records/new-shoot';
import type { Shoot } from '@/records/shoot';
import { seeded } from './seeded';

/**
 * A made-up spring meet and the pictures one might bring home from it: two cameras whose clocks are wrong in different
 * ways, bursts, stars, heats that run late, events that were missed, and taps in the field now and then. What is on each
 * picture is known, so that what the app finds can be held against it. Nobody in it exists.
 */

export interface MadeUpPicture {
  readonly frame: Frame;
  /** What it is of. */
  readonly eventId: string;
  /** The lane of whom it shows. */
  readonly lane: number;
  readonly who: string;
  readonly press: number;
}

export interface MadeUpCamera {
  readonly name: string;
  readonly stem: string;
  /** To be added to its time at noon by the place's clock, and by how much that grows in a day. */
  readonly offsetS: number;
  readonly perDayS: number;
}

export interface MadeUpDay {
  readonly shoot: Shoot;
  readonly cameras: readonly MadeUpCamera[];
  readonly pictures: readonly MadeUpPicture[];
}

const DATE = '2027-05-22';
const NOON_MS = Date.parse(`${DATE}T12:00:00Z`);
const MINUTE_MS = 60_000;
const LANES = 8;
/** 3 min 20 s slow and on another zone's hour; the second nearly right, and running off. */
const CAMERAS: readonly MadeUpCamera[] = [
  { name: 'Full-frame body, 24 MP', stem: 'FFA', offsetS: 3600 + 200, perDayS: 0 },
  { name: 'Crop body, 20 MP', stem: 'CRB', offsetS: -37, perDayS: 10 },
];
const GIVEN = ['Ada', 'Bea', 'Cy', 'Dee', 'Ef', 'Fay', 'Gus', 'Hal'];
const FAMILY = ['Finch', 'Marsh', 'Reed', 'Holt', 'Müller', 'Teal', 'Weir', 'O’Rook', 'Åsgård'];
const SCHOOLS = ['Westmere', 'Holm', 'Tern Hill', 'Fernley'];
const RACES = ['100 m', '110 m hurdles', '400 m', '800 m', '200 m'];

const local = (ms: number): string => new Date(ms).toISOString().slice(0, 19);

/** Heats every six minutes, and two jumps that go on beside them. */
function eventsOf(chance: () => number): DayEventRecord[] {
  const entries = () =>
    Array.from({ length: LANES }, (_, i) => ({
      // Nobody's namesake starts beside them.
      name: `${GIVEN[i]} ${FAMILY[Math.floor(chance() * FAMILY.length)]}`,
      ...{ lane: i + 1, number: String(100 + Math.floor(chance() * 800)) },
      team: SCHOOLS[Math.floor(chance() * SCHOOLS.length)] as string,
    }));
  const heats = Array.from({ length: 54 }, (_, i): DayEventRecord => {
    const race = RACES[Math.floor(i / 11)] ?? '100 m';
    return {
      ...{ id: `heat-${i + 1}`, name: race, heat: String((i % 11) + 1) },
      startLocal: local(Date.parse(`${DATE}T10:00:00Z`) + i * 6 * MINUTE_MS).slice(0, 16),
      ...{ durationMin: 3, entries: entries(), worth: 'should', markId: 'finish' },
    };
  });
  const jumps = ['high-jump', 'long-jump'].map((mark, i): DayEventRecord => ({
    ...{ id: mark, name: i === 0 ? 'High jump' : 'Long jump', markId: mark },
    startLocal: `${DATE}T${i === 0 ? '10:30' : '13:00'}`,
    ...{ durationMin: 100, window: { visitMin: 15, visits: 2 } },
    ...{ entries: entries(), worth: 'should' },
  }));
  return [...heats, ...jumps];
}

/** The day. @param pictures how many, at the least, as far as its heats reach */
export function madeUpDay(seed: number, pictures = 300): MadeUpDay {
  const chance = seeded(seed);
  const between = (least: number, most: number) => least + chance() * (most - least);
  const begun = newShoot(
    {
      ...{ title: 'Spring meet', template: 'athletics-track', placeName: 'Alder Field' },
      ...{ latitudeDeg: 52.1, longitudeDeg: -1.3, timeZone: 'Europe/London', bearingDeg: 10 },
      ...{ startLocal: `${DATE}T09:30`, endLocal: `${DATE}T17:00` },
    },
    'made-up-meet',
    '2027-05-20T08:00:00.000Z',
  );
  const events = eventsOf(chance);
  const positionId = begun.positions[0]?.id ?? '';
  // Lateness grows and is made good; what the photographer noted of it is noted now and then.
  let lateMin = 0;
  let notedMin = 0;
  const made: MadeUpPicture[] = [];
  const entries: LogEntry[] = [];
  const counts = CAMERAS.map(() => 0);
  const noted = new Map<string, number>();
  let press = 0;
  const tap = (atMs: number, more: Record<string, unknown>, markId: string) =>
    entries.push({
      ...{ id: `tap-${entries.length + 1}`, atLocal: local(atMs), markId, positionId },
      ...more,
    } as LogEntry);
  const shootPress = (event: DayEventRecord, atMs: number, camera: number, shownNow: string) => {
    const { name, stem, offsetS, perDayS } = CAMERAS[camera] as MadeUpCamera;
    const frames = 1 + Math.floor(chance() * 8);
    const lane = 1 + Math.floor(chance() * LANES);
    const who = event.entries.find((entry) => entry.lane === lane)?.name ?? '';
    const isJump = event.window !== undefined;
    const kept = 1 + Math.floor(chance() * frames);
    press += 1;
    for (let i = 0; i < frames; i += 1) {
      counts[camera] = (counts[camera] ?? 0) + 1;
      const trueMs = atMs + i * 110;
      const driftedS = (perDayS * (trueMs - NOON_MS)) / 86_400_000;
      made.push({
        ...{ eventId: event.id, lane, who, press },
        frame: {
          name: `${stem}_${String(9900 + (counts[camera] ?? 0))
            .padStart(4, '0')
            .slice(-4)}.jpg`,
          cameraMs: Math.round(trueMs - (offsetS + driftedS) * 1000),
          camera: name,
          ...{ shutterS: 1 / 1600, aperture: 4, iso: 100, focalMm: camera === 0 ? 400 : 150 },
          ...(i + 1 === kept && chance() < 0.8 && { rating: 4 }),
          ...(isJump && { upright: true }),
        },
      });
    }
    const lastMs = atMs + (frames - 1) * 110;
    if (chance() < 0.3) {
      const lagMs = 1000 * (2 + chance() * 5);
      tap(lastMs + lagMs, { kind: 'keeper', eventId: shownNow }, event.markId ?? 'finish');
    }
  };
  const heats = events.filter(({ window }) => !window);
  const jumps = events.filter(({ window }) => window);
  let at = 'finish';
  const standAt = (markId: string, atMs: number) => {
    if (markId !== at) tap(atMs, { kind: 'stand' }, markId);
    at = markId;
  };
  heats.forEach((heat, i) => {
    lateMin = Math.max(0, Math.min(9, lateMin + between(-0.7, 1)));
    if (i % 6 === 0) notedMin = Math.round(lateMin);
    noted.set(heat.id, notedMin);
    const plannedMs = Date.parse(`${heat.startLocal}Z`);
    const startMs = plannedMs + lateMin * MINUTE_MS;
    const jump = jumps.find(({ startLocal, durationMin }) => {
      const fromMs = Date.parse(`${startLocal}Z`);
      return startMs > fromMs + 20 * MINUTE_MS && startMs < fromMs + durationMin * MINUTE_MS;
    });
    // Every third heat is missed; while a jump goes on, one walks over and misses two more.
    if (made.length >= pictures || i % 3 === 2) return;
    if (jump && i % 9 < 3) {
      standAt(jump.markId ?? '', startMs - 90_000);
      for (let k = 0; k < 2; k += 1) {
        shootPress(jump, startMs + k * between(60_000, 90_000), chance() < 0.3 ? 1 : 0, jump.id);
      }
      return;
    }
    standAt('finish', startMs - 60_000);
    // Field's own "now" goes by the programme and what was noted.
    const isNow = (one: DayEventRecord) =>
      Math.abs(Date.parse(`${one.startLocal}Z`) + notedMin * MINUTE_MS - startMs);
    const now = [...heats].sort((a, b) => isNow(a) - isNow(b))[0] ?? heat;
    // A day of more pictures is one of more presses.
    const more = Array.from(
      { length: Math.ceil(pictures / 300) - 1 },
      () => startMs + between(26_000, 49_000),
    ).sort((a, b) => a - b);
    shootPress(heat, startMs + between(12_000, 25_000), 0, now.id);
    more.forEach((atMs) => shootPress(heat, atMs, 0, now.id));
    if (chance() < 0.7) shootPress(heat, startMs + between(50_000, 90_000), 1, now.id);
    if (chance() < 0.4) shootPress(heat, startMs + between(100_000, 140_000), 0, now.id);
  });
  const shoot: Shoot = {
    ...begun,
    events: events.map((event) => {
      const late = noted.get(event.id) ?? 0;
      return late > 0 ? { ...event, lateMin: late } : event;
    }),
    log: { ...begun.log, entries },
  };
  return { shoot, cameras: CAMERAS, pictures: made };
}
