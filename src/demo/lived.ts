import { DEMO_SHOOTS } from '@/demo';
import { DEMO_LOGS } from '@/demo/pictures';
import { withClock, withFrames } from '@/records/edit-log';
import type { Frame } from '@/records/frames';
import type { Shoot } from '@/records/shoot';

/** The demo's days as they were lived, for tests: what was tapped, and the pictures read. */

export const shootOf = (id: string): Shoot => DEMO_SHOOTS.find((shoot) => shoot.id === id) as Shoot;

/** A demo's day with its pictures read, as the worker reads them; the camera's clock still wrong. */
export function lived(id: string): Shoot {
  const { pictures, entries, clockOffsetS, camera } = DEMO_LOGS[id] as (typeof DEMO_LOGS)[string];
  const frames = pictures.map(
    ({ file, takenLocal, shutterS, aperture, iso, focalMm, rating }): Frame => ({
      name: file,
      cameraMs: Date.parse(`${takenLocal}Z`) - clockOffsetS * 1000,
      camera,
      shutterS,
      aperture,
      iso,
      focalMm,
      ...(rating !== undefined && { rating }),
    }),
  );
  const shoot = shootOf(id);
  return withFrames({ ...shoot, log: { ...shoot.log, entries: [...entries] } }, frames);
}
/** As {@link lived}, with the clock right. */
export const setRight = (id: string): Shoot => {
  const { camera, clockOffsetS } = DEMO_LOGS[id] as (typeof DEMO_LOGS)[string];
  return withClock(lived(id), camera, [{ offsetS: clockOffsetS }]);
};

/** One press of a lone picture: its time as one over seconds, and whether it was kept. */
export interface LonePress {
  readonly perS: number;
  readonly kept: boolean;
  readonly iso?: number;
}

/** So many presses at a time, the first of them kept. */
export const presses = (count: number, kept: number, perS = 1000): LonePress[] =>
  Array.from({ length: count }, (_, i) => ({ perS, kept: i < kept }));

/** Who stood behind the back line, and for which shot, from five on. */
export const stoodFor = (
  date: string,
  { shotId = 'save', markId = 'keeper', positionId = 'back-line' } = {},
): Shoot['log']['entries'][number] => ({
  ...{ id: `stand-${date}`, kind: 'stand', atLocal: `${date}T17:00:00`, shotId },
  ...{ markId, positionId },
});

/** An evening at Larkmoor as one’s own, without an order: lone pictures ten seconds apart from 18:30 on. */
export function evening(
  date: string,
  taken: readonly LonePress[],
  entries: Shoot['log']['entries'] = [stoodFor(date)],
): Shoot {
  const frames = taken.map(({ perS, kept, iso = 400 }, i): Frame => ({
    ...{ name: `P_${1000 + i}.jpg`, camera: 'A', kept, iso, aperture: 2.8, focalMm: 200 },
    cameraMs: Date.parse(`${date}T18:30:00Z`) + i * 10_000,
    shutterS: 1 / perS,
  }));
  const log = { entries, clocks: [], frames: [], lessons: [] };
  const hours = {
    startLocal: `${date}T18:00`,
    endLocal: `${date}T20:30`,
    atLocal: `${date}T18:00`,
  };
  const own = { id: `evening-${date}`, title: `Evening of ${date}`, events: [] };
  return withFrames({ ...shootOf('demo-larkmoor'), ...hours, ...own, log }, frames);
}
