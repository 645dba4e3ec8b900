import type { LogEntry } from '@/records/log';

/**
 * Pictures that the demo's three days might have given, and what was tapped in the field meanwhile. All of
 * it invented: `npm run demo-pictures` draws the scenes and writes these figures into the files.
 */

export const SCENES = [
  'corner',
  'save',
  'bench',
  'counter',
  'perched',
  'dive',
  'river',
  'strokes',
  'panned',
  'spray',
] as const;
export type Scene = (typeof SCENES)[number];

export interface DemoPicture {
  readonly file: string;
  readonly scene: Scene;
  /** By the place's own clock, to a tenth of a second. */
  readonly takenLocal: string;
  readonly shutterS: number;
  readonly aperture: number;
  readonly iso: number;
  readonly focalMm: number;
  /** Stars, and where the file keeps them. */
  readonly rating?: number;
  readonly ratedIn?: 'exif' | 'xmp';
  readonly upright?: boolean;
}

export interface DemoLog {
  readonly camera: string;
  /** What is to be added to the camera's clock to get the place's. */
  readonly clockOffsetS: number;
  readonly pictures: readonly DemoPicture[];
  readonly entries: readonly LogEntry[];
  readonly watch?: { readonly markId: string; readonly from: string; readonly to: string };
}

type Triad = readonly [perSecond: number, aperture: number, iso: number, focalMm: number];

interface Press {
  readonly at: string;
  readonly scene: Scene;
  readonly frames: number;
  readonly triad: Triad;
  /** Frames of the burst that were kept, from 1. */
  readonly kept?: readonly number[];
}

const press = (
  at: string,
  scene: Scene,
  frames: number,
  triad: Triad,
  ...kept: readonly number[]
): Press => ({ at, scene, frames, triad, kept });

function picturesOf(date: string, stem: string, presses: readonly Press[]): DemoPicture[] {
  let number = 0;
  return presses.flatMap(({ at, scene, frames, triad, kept = [] }) =>
    Array.from({ length: frames }, (_, i): DemoPicture => {
      number += 1;
      const [perSecond, aperture, iso, focalMm] = triad;
      return {
        file: `${stem}_${String(number).padStart(4, '0')}.jpg`,
        scene,
        takenLocal: `${date}T${at}.${i}`,
        shutterS: 1 / perSecond,
        aperture,
        iso,
        focalMm,
        ...(kept.includes(i + 1) && {
          rating: 4,
          ratedIn: number % 2 === 0 ? ('xmp' as const) : ('exif' as const),
        }),
        ...(scene === 'bench' && { upright: true }),
      };
    }),
  );
}

/** Entries from short lines: time, and what; ids are numbered within the day. */
function entriesOf(
  prefix: string,
  date: string,
  lines: readonly (readonly [
    at: string,
    about: Pick<LogEntry, 'markId' | 'positionId' | 'shotId'>,
    told: { readonly kind: LogEntry['kind'] } & Readonly<Record<string, unknown>>,
  ])[],
): LogEntry[] {
  return lines.map(
    ([at, about, told], i) =>
      ({ id: `${prefix}-${i + 1}`, atLocal: `${date}T${at}`, ...about, ...told }) as LogEntry,
  );
}

const STAND = { kind: 'stand' } as const;
const KEEPER = { kind: 'keeper' } as const;
const note = (text: string) => ({ kind: 'note', text }) as const;
const behaviour = (name: string) => ({ kind: 'behaviour', name }) as const;
const came = { kind: 'sighting', name: 'Kingfisher' } as const;

const corner = { markId: 'penalty-corner', positionId: 'back-line', shotId: 'corner-strike' };
const save = { markId: 'keeper', positionId: 'back-line', shotId: 'save' };
const bench = { markId: 'penalty-corner', positionId: 'back-line', shotId: 'bench' };
const counter = { markId: 'penalty-corner', positionId: 'sideline', shotId: 'counter' };

const LARKMOOR: DemoLog = {
  camera: 'Full-frame body, 24 MP',
  // Left on winter time, and some seconds slow.
  clockOffsetS: 3647,
  pictures: picturesOf('2027-04-16', 'LMR', [
    press('19:04:10', 'corner', 4, [2500, 2.8, 320, 184], 3),
    press('19:09:32', 'corner', 4, [2500, 2.8, 320, 184]),
    press('19:12:05', 'corner', 3, [4000, 2.8, 500, 184], 2),
    press('19:20:41', 'save', 4, [2000, 2.8, 250, 135], 2, 3),
    press('19:27:15', 'save', 3, [2000, 2.8, 320, 135]),
    press('19:35:20', 'bench', 2, [500, 2.8, 200, 200], 1),
    press('19:38:02', 'bench', 2, [500, 2.8, 200, 200], 1, 2),
    press('19:46:08', 'counter', 4, [60, 4.5, 100, 138], 2, 3),
    press('19:49:30', 'counter', 4, [60, 4, 100, 138], 1),
    press('19:52:44', 'counter', 4, [30, 5.6, 100, 138], 2),
    press('20:05:51', 'save', 4, [1600, 2.8, 5000, 135], 1),
    press('20:11:27', 'save', 3, [1600, 2.8, 6400, 135]),
  ]),
  entries: entriesOf('lmr', '2027-04-16', [
    ['18:58:00', corner, STAND],
    ['19:04:15', corner, KEEPER],
    ['19:04:22', corner, { kind: 'athlete', name: 'Number 9, home', personId: 'nine' }],
    ['19:12:09', corner, KEEPER],
    ['19:16:30', save, STAND],
    ['19:20:46', save, KEEPER],
    ['19:20:50', save, behaviour('save')],
    ['19:33:40', bench, STAND],
    ['19:35:24', bench, KEEPER],
    ['19:38:06', bench, KEEPER],
    ['19:42:10', counter, STAND],
    ['19:46:13', counter, KEEPER],
    ['19:50:00', counter, note('Too fast for the swing: a longer run-up next time')],
    ['19:52:49', counter, KEEPER],
    ['19:59:00', save, STAND],
    ['20:05:55', save, KEEPER],
  ]),
};

const perched = { markId: 'perch-a', positionId: 'hide-window', shotId: 'perched' };
const dive = { markId: 'dive-pool', positionId: 'hide-window', shotId: 'dive' };
const river = { markId: 'perch-b', positionId: 'hide-window', shotId: 'rings' };

const ALDER: DemoLog = {
  camera: 'Full-frame body, 24 MP',
  clockOffsetS: -128,
  pictures: picturesOf('2027-05-08', 'ALD', [
    press('06:33:12', 'perched', 3, [160, 4, 400, 600], 2),
    press('06:36:40', 'perched', 3, [200, 4, 400, 600]),
    press('06:51:05', 'river', 2, [100, 5.6, 200, 600], 1),
    press('07:01:22', 'dive', 4, [3200, 4, 3200, 600]),
    press('07:18:40', 'perched', 3, [320, 4, 200, 600], 1, 3),
    press('07:39:16', 'dive', 4, [4000, 4, 2500, 600], 3),
    press('08:04:31', 'perched', 3, [500, 4, 160, 600], 2),
  ]),
  entries: entriesOf('ald', '2027-05-08', [
    ['05:20:00', perched, STAND],
    ['06:33:05', perched, came],
    ['06:33:17', perched, KEEPER],
    ['06:49:00', river, STAND],
    ['06:51:09', river, KEEPER],
    ['06:58:00', dive, STAND],
    ['07:01:18', { ...dive, markId: 'perch-a' }, came],
    ['07:01:30', dive, behaviour('dives')],
    ['07:15:00', perched, STAND],
    ['07:18:31', perched, came],
    ['07:18:44', perched, KEEPER],
    ['07:36:00', dive, STAND],
    ['07:39:10', { ...dive, markId: 'perch-a' }, came],
    ['07:39:21', dive, KEEPER],
    ['07:39:30', dive, note('Minnow crosswise, turned it on the perch')],
    ['08:01:00', perched, STAND],
    ['08:04:25', perched, came],
    ['08:04:36', perched, KEEPER],
  ]),
  watch: { markId: 'perch-a', from: '05:20', to: '08:30' },
};

const strokes = { markId: 'lane-4', positionId: 'bank', shotId: 'last-metres' };
const panned = { markId: 'lane-2-half', positionId: 'half-way', shotId: 'panned' };
const spray = { markId: 'start', positionId: 'start-bank', shotId: 'spray' };

const TERN: DemoLog = {
  camera: 'Full-frame body, 24 MP',
  clockOffsetS: 3589,
  pictures: picturesOf('2027-06-19', 'TRN', [
    press('10:01:52', 'strokes', 4, [1250, 6.3, 320, 427], 2),
    press('10:09:47', 'strokes', 4, [1250, 6.3, 320, 427]),
    press('10:25:50', 'strokes', 4, [1000, 6.3, 250, 427], 3),
    press('10:33:20', 'panned', 4, [60, 20, 100, 445], 1, 2, 3),
    press('10:41:05', 'panned', 4, [60, 20, 100, 445], 2, 3, 4),
    press('10:49:12', 'panned', 4, [30, 29, 100, 445], 2, 3),
    press('10:57:08', 'panned', 4, [30, 29, 100, 445], 1, 3, 4),
    press('12:00:04', 'spray', 3, [30, 25, 100, 324], 2),
  ]),
  entries: entriesOf('trn', '2027-06-19', [
    ['09:55:00', strokes, STAND],
    ['10:01:57', strokes, KEEPER],
    ['10:02:05', strokes, { kind: 'athlete', name: 'Junior single, lane 4', personId: 'junior-4' }],
    ['10:25:55', strokes, KEEPER],
    ['10:29:00', panned, STAND],
    ['10:33:24', panned, KEEPER],
    ['10:41:10', panned, KEEPER],
    ['10:57:12', panned, KEEPER],
    ['11:56:00', spray, STAND],
    ['12:00:09', spray, KEEPER],
  ]),
};

/** By the id of the demo's shoot. */
export const DEMO_LOGS: Readonly<Record<string, DemoLog>> = {
  'demo-larkmoor': LARKMOOR,
  'demo-alder-reach': ALDER,
  'demo-tern-water': TERN,
};

/** Where the built app serves a picture. */
export const demoPictureUrl = (file: string): string => `/demo-pictures/${file}`;
