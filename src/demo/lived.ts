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
