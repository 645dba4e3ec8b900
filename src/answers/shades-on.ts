import {
  FLECKS,
  goneOn,
  leavesOfSun,
  msOf,
  shadesBy,
  sunTrack,
  type Owned,
  type Place,
  type Point3,
  type Span,
} from '@/core';

/** Shade on a mark by whose it is, in a shoot's hours, and until which day of the year it comes. */

export interface ShadeRequest {
  readonly point: Point3;
  readonly place: Place;
  /** What may throw shade, and what it is called. */
  readonly owners: readonly { readonly name: string; readonly stands: Owned }[];
  readonly startLocal: string;
  readonly endLocal: string;
  readonly timeZone: string;
}

/** One owner's shade on the mark. */
export interface Shade {
  readonly name: string;
  readonly spans: readonly Span[];
  /** Of leaves that let some of the sun through: how much of it at the least. */
  readonly leastShare?: number;
  /** The last day running on which it comes in these hours, "2027-05-20"; nothing where that is all the year. */
  readonly untilDate?: string;
}

const DAYS_OF_YEAR = 365;
const DAY_MS = 86_400_000;

/** A wall-clock minute so many days later, by the calendar. */
const daysLater = (local: string, days: number): string =>
  new Date(Date.parse(`${local}Z`) + days * DAY_MS).toISOString().slice(0, 16);

const LOOK_MS = 5 * 60_000;

/** A span's moments, five minutes apart, within its ends. */
function momentsOf({ fromMs, toMs }: Span): readonly number[] {
  const count = Math.max(1, Math.floor((toMs - fromMs) / LOOK_MS));
  return Array.from({ length: count }, (_, i) => fromMs + ((i + 0.5) * (toMs - fromMs)) / count);
}

/** The shade of a request, in the order it begins. */
export function shadesOn({
  point,
  place,
  owners,
  startLocal,
  endLocal,
  timeZone,
}: ShadeRequest): readonly Shade[] {
  const sunAt = sunTrack(place);
  const spanOn = (days: number): Span => ({
    fromMs: msOf(daysLater(startLocal, days), timeZone),
    toMs: msOf(daysLater(endLocal, days), timeZone),
  });
  const known = new Map<number, Span>();
  // Of a shoot over several days, as much of each as makes a day.
  const dayOf = (day: number): Span => {
    const span = known.get(day) ?? spanOn(day);
    known.set(day, span);
    return { ...span, toMs: Math.min(span.toMs, span.fromMs + DAY_MS) };
  };
  const found = shadesBy(
    point,
    owners.map(({ stands }) => stands),
    sunAt,
    spanOn(0),
  );
  return [...new Set(found.map(({ owner }) => owner))].map((owner): Shade => {
    const { name, stands } = owners[owner] as ShadeRequest['owners'][number];
    const gone = goneOn(point, stands, sunAt, { count: DAYS_OF_YEAR, spanOn: dayOf });
    const spans = found
      .filter((span) => span.owner === owner)
      .map(({ fromMs, toMs }) => ({ fromMs, toMs }));
    const least = Math.min(
      ...spans.flatMap((span) =>
        momentsOf(span).map((at) => leavesOfSun(sunAt, at, point, stands)),
      ),
    );
    return {
      name,
      spans,
      ...(least > FLECKS.from && { leastShare: least }),
      // A shade that comes between two looks of that day has been there all the same.
      ...(gone !== undefined && {
        untilDate: daysLater(startLocal, Math.max(0, gone - 1)).slice(0, 10),
      }),
    };
  });
}
