import { FIRST_BRIEF } from './brief';
import { withCarried } from './carried';
import { FIRST_AIR, FIRST_DAY } from './day';
import { EMPTY_BAG, withinLimits } from './kit';
import { EMPTY_LOG } from './log';
import { FIRST_PAN_SIGMA, type Shoot } from './shoot';
import { endsAfterStart, localMinuteOf, MOST_DAYS, msOf } from './times';

const HOUR_MS = 3_600_000;

/** What lifts a shoot of an older version to the next. */

type Migration = (older: Record<string, unknown>) => unknown;

/** Version 1 named two grounds that drew nothing; from 2 on those names draw a template's lines. */
const NOTHING_DRAWN_IN_1 = ['river-hide', 'sprint-course'];

const from1To2: Migration = (older) => {
  const ground = older.ground as Record<string, unknown> | undefined;
  const bare = NOTHING_DRAWN_IN_1.includes(String(ground?.template));
  return {
    ...older,
    version: 2,
    ...(ground && { ground: { ...ground, ...(bare && { template: 'blank' }) } }),
    // Every shoot of version 1 lay under the open sky.
    ...(typeof older.light === 'object' && { light: { ...older.light, indoors: false } }),
  };
};

/** Figures that a thing of version 2 had none of: usual ones. Common practice, no source. */
const USUAL_IN_2: Readonly<Record<string, object>> = {
  fence: { heightM: 3, meshPitchMm: 50, wireMm: 3, postSpacingM: 3, postWidthMm: 60 },
  lamp: { heightM: 15 },
  perch: { heightM: 1.2 },
};

const listOf = (value: unknown) => (Array.isArray(value) ? value : []);

/** Version 2 kept what stands up apart from what lies flat; from 3 on they are one list. */
const from2To3: Migration = ({ obstacles, features, ...older }) => {
  const ground = older.ground as Record<string, unknown>;
  const standing = listOf(obstacles).map(({ footprint, ...rest }) => ({
    ...rest,
    points: footprint,
  }));
  const taken = new Set(standing.map((entry) => entry.id));
  const lying = listOf(features).map(({ line, ...rest }) => ({
    ...rest,
    // The two lists could each hold the same id.
    id: taken.has(rest.id) ? `${rest.id}-2`.slice(-40) : rest.id,
    points: rest.kind === 'lamp' || rest.kind === 'perch' ? listOf(line).slice(0, 1) : line,
    ...USUAL_IN_2[String(rest.kind)],
  }));
  return {
    ...older,
    version: 3,
    ground: { ...ground, thrown: [] },
    features: [...standing, ...lying],
  };
};

/** From version 4 on a shoot says what was promised, what was measured and what the hand holds. */
const from3To4: Migration = (older) => ({
  ...older,
  version: 4,
  light: { ...(older.light as object), mainsHz: 50, skyFrom: 'hand' },
  brief: FIRST_BRIEF,
  shots: [],
  people: [],
  subjects: [],
  readings: [],
  choice: { ...(older.choice as object), held: {}, panSigma: FIRST_PAN_SIGMA },
});

/** From version 5 on a shoot has a bag, an order of the day and weather set by hand. */
const from4To5: Migration = (older) => ({
  ...older,
  version: 5,
  kit: { ...(older.kit as object), ...EMPTY_BAG },
  day: FIRST_DAY,
  events: [],
  nature: [],
  watches: [],
  air: FIRST_AIR,
});

/** From version 6 on a shoot keeps a log of what was done. */
const from5To6: Migration = (older) => ({ ...older, version: 6, log: EMPTY_LOG });

/** From version 7 on a bag may hold filters and floors of one's own, a hand a lift, a subject a brim. */
const from6To7: Migration = (older) => ({ ...older, version: 7 });

/** Before version 8 a night in which clocks change could end before it began: it then lasts an hour. */
function endWithin(older: Record<string, unknown>): { readonly endLocal?: string } {
  const { startLocal, endLocal, place } = older as Pick<Shoot, 'startLocal' | 'endLocal' | 'place'>;
  if (endsAfterStart({ startLocal, endLocal, place })) return {};
  const { timeZone } = place;
  const startMs = msOf(startLocal, timeZone);
  const lasts = Math.min(
    MOST_DAYS * 24,
    Math.max(1, (msOf(endLocal, timeZone) - startMs) / HOUR_MS),
  );
  return { endLocal: localMinuteOf(startMs + lasts * HOUR_MS, timeZone) };
}

/** From version 8 on what lies in a bag keeps the core's own limits, and a shoot ends after it starts. */
const from7To8: Migration = ({ kit, ...older }) => ({
  ...older,
  ...endWithin(older),
  version: 8,
  kit: { ...(kit as object), bag: listOf((kit as { bag?: unknown }).bag).map(withinLimits) },
});

/** From version 9 on a place may have a name, and what was only guessed is told apart. */
const from8To9: Migration = (older) => ({ ...older, version: 9, guessed: [] });

/** From version 10 on a picture may lie under the plan, and who sits on a perch or in a hide goes with it. */
const from9To10: Migration = (older) => ({
  ...older,
  ...withCarried({
    features: listOf(older.features),
    marks: listOf(older.marks),
    positions: listOf(older.positions),
  }),
  version: 10,
});

/** From version 11 on an event may be a window; those of before keep their times. */
const from10To11: Migration = (older) => ({ ...older, version: 11 });

/** From version 12 on people belong to somebody and are owed pictures, and keepers say whom they show. */
const from11To12: Migration = (older) => ({ ...older, version: 12 });

/** From version 13 on several may shoot together; before, one alone did. */
const from12To13: Migration = (older) => ({ ...older, version: 13, shooters: [] });

/** From version 14 on a hide may have windows; those of before are open all round. */
const from13To14: Migration = (older) => ({ ...older, version: 14 });

/** From version 15 on branches hang over a ground; before, none did. */
const from14To15: Migration = (older) => ({ ...older, version: 15 });

/** The feeder that the feeder garden brought was a perch: food has a kind of its own from version 16 on. */
const from15To16: Migration = ({ features, ...older }) => ({
  ...older,
  features: (listOf(features) as { id?: unknown; kind?: unknown }[]).map((feature) =>
    feature?.id === 'feeder' && feature.kind === 'perch' ? { ...feature, kind: 'food' } : feature,
  ),
  version: 16,
});

/** From version 17 on a ground may slope; before, all were level. */
const from16To17: Migration = (older) => ({ ...older, version: 17 });

/** From version 18 on a camera's clock says how it is known, may drift and may be set while shooting. */
const from17To18: Migration = (older) => ({ ...older, version: 18 });

/** From version 19 on a picture says how bright it came out; before, none did. */
const from18To19: Migration = (older) => ({ ...older, version: 19 });

/** What lifts a record of version n to n + 1, at index n − 1. */
export const SHOOT_MIGRATIONS: readonly Migration[] = [
  from1To2,
  from2To3,
  from3To4,
  from4To5,
  from5To6,
  from6To7,
  from7To8,
  from8To9,
  from9To10,
  from10To11,
  from11To12,
  from12To13,
  from13To14,
  from14To15,
  from15To16,
  from16To17,
  from17To18,
  from18To19,
];
