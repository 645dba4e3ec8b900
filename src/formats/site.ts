import { toLocal, type GeoPoint, type Point2 } from '@/core';
import { REACH_M, type Feature, type Mark, type Position, type Shoot } from '@/records/shoot';

/** Things of a ground as a file holds them, whatever its format. */
export interface SiteItems {
  readonly marks: readonly Mark[];
  readonly positions: readonly Position[];
  readonly features: readonly Feature[];
}

/** A file read whole, or the reason it is refused; what was left out on the way is told. */
export type SiteRead =
  | { readonly ok: true; readonly items: SiteItems; readonly notes: readonly string[] }
  | { readonly ok: false; readonly reason: string };

export const LARGEST_SITE_BYTES = 4_000_000;

/** What points of a file become that does not say what they are. */
export type PointsAs = 'marks' | 'positions';

/** Thrown while a file is read; its message is the reason. */
export class Refused extends Error {}

/** A point of a file on the plan. @throws Refused when it is off the globe or out of reach */
export function onPlan(globe: GeoPoint, origin: GeoPoint, what: string): Point2 {
  const { latitudeDeg, longitudeDeg } = globe;
  if (!(Math.abs(latitudeDeg) <= 90 && Math.abs(longitudeDeg) <= 180)) {
    throw new Refused(
      `${what}: ${String(longitudeDeg)}, ${String(latitudeDeg)} is not on the globe; longitude comes first, within 180, then latitude, within 90`,
    );
  }
  if (Math.abs(latitudeDeg) > 89.9) throw new Refused(`${what}: lies at a pole`);
  const { x, y } = toLocal(globe, origin);
  if (Math.abs(x) > REACH_M || Math.abs(y) > REACH_M) {
    throw new Refused(
      `${what}: lies ${Math.round(Math.hypot(x, y) / 1000)} km from this shoot’s place; set the place first, or open the shoot it belongs to`,
    );
  }
  return { x, y };
}

/** Refuses a text that is too large or plainly something else, before it is read. */
export function refuseBlob(text: string): void {
  if (text.length > LARGEST_SITE_BYTES) {
    throw new Refused('the file is over 4 MB; a ground is never so large');
  }
  if (text.includes('\u0000')) {
    throw new Refused('the file is not text: it is a picture, an archive or something else');
  }
}

/** Runs a reader; what it refuses, and nothing else, becomes a reason. */
export function reading(read: () => Omit<Extract<SiteRead, { ok: true }>, 'ok'>): SiteRead {
  try {
    return { ok: true, ...read() };
  } catch (error) {
    if (error instanceof Refused) return { ok: false, reason: error.message };
    throw error;
  }
}

/** The shoot with a file's things: those whose id is there already take its place, others are added. */
export function merged(shoot: Shoot, items: SiteItems): Shoot {
  const mergeLists = <T extends { readonly id: string }>(
    there: readonly T[],
    come: readonly T[],
  ) => {
    const coming = new Map(come.map((entry) => [entry.id, entry]));
    const kept = there.map((entry) => coming.get(entry.id) ?? entry);
    const known = new Set(there.map(({ id }) => id));
    return [...kept, ...come.filter(({ id }) => !known.has(id))];
  };
  return {
    ...shoot,
    marks: mergeLists(shoot.marks, items.marks),
    positions: mergeLists(shoot.positions, items.positions),
    features: mergeLists(shoot.features, items.features),
  };
}
