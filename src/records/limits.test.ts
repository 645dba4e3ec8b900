import type { z } from 'zod';
import {
  briefSchema,
  FIRST_BRIEF,
  FIRST_SHOT,
  ownSubjectSchema,
  personSchema,
  shotSchema,
} from './brief';
import { airSchema, daySchema, eventSchema, FIRST_AIR, FIRST_DAY, FIRST_EVENT } from './day';
import { firstItem } from './edit-kit';
import { forecastHourSchema } from './forecast';
import { heldSchema, kitItemSchema } from './kit';
import { logEntrySchema } from './log';
import { FIRST_QUICK, quickSchema } from './quick';
import { readingSchema } from './reading';
import { featureSchema, hideWindow, markSchema, placeSchema, positionSchema } from './shoot';

/**
 * The limits of what is kept. At a limit a figure is taken, past it refused, whatever the form or file it came
 * by. The limits are the house's own, common practice, no source.
 */

type Place = readonly (string | number)[];

/** A copy with one figure or text another. */
function withAt(record: object, [key, ...rest]: Place, value: unknown): object {
  const copy = (Array.isArray(record) ? [...record] : { ...record }) as Record<string, unknown>;
  const at = String(key);
  copy[at] = rest.length === 0 ? value : withAt((copy[at] ?? {}) as object, rest, value);
  return copy;
}

const HOUR = {
  time: '2027-04-16T18:00:00Z',
  ...{ cloudLow: 0, cloud: 0.5, cloudHigh: 1, windMs: 3, temperatureC: 12 },
  ...{ humidityPct: 60, rainMmH: 0, visibilityKm: 20 },
};
const READING = {
  ...{ id: 'r', name: 'Circle', x: 0, y: 30, upM: 1.5, faceDeg: 180 },
  ...{ atLocal: '2027-04-16T18:50', by: 'meter', ev: 13.2, simulated: false },
};
const FRAME = { shutterS: 1 / 500, aperture: 4, iso: 800, looksDarkStops: 0 };
const POINT = [{ x: 0, y: 0 }];
const LINE = [...POINT, { x: 5, y: 0 }];
const FENCE = {
  ...{ id: 'f', name: 'Fence', kind: 'fence', points: LINE, heightM: 2 },
  ...{ meshPitchMm: 50, wireMm: 1, postSpacingM: 3, postWidthMm: 60 },
};
const TREE = { id: 't', name: 'Tree', kind: 'tree', points: POINT, heightM: 9, crownM: 6 };
const HILL = {
  ...{ id: 'h', name: 'Hill', kind: 'hill', points: [], fromDeg: 10, toDeg: 40, elevationDeg: 8 },
};

const WINDOW = { wall: 2, asideM: 0, widthM: 1, sillM: 0.9, heightM: 0.4, pane: 'open' };

/** Least and most of each figure; just past them is refused. `>` and `<`: the limit itself is refused, too. */
const FIGURES: readonly [string, z.ZodType, object, Place, number | string, number | string][] = [
  ['quick', quickSchema, FIRST_QUICK, ['distanceM'], 0.5, 500],
  ['quick', quickSchema, FIRST_QUICK, ['behindM'], 0, 500],
  ['quick', quickSchema, FIRST_QUICK, ['fill'], 0.05, 1],
  ['quick', quickSchema, FIRST_QUICK, ['filterStops'], '>0', 20],
  ['quick', quickSchema, FIRST_QUICK, ['light', 'ev'], -6, 18],
  ['quick', quickSchema, FIRST_QUICK, ['light', 'frame', 'shutterS'], '>0', 60],
  ['quick', quickSchema, FIRST_QUICK, ['light', 'frame', 'aperture'], 0.7, 64],
  ['quick', quickSchema, FIRST_QUICK, ['light', 'frame', 'iso'], 25, 1_000_000],
  ['quick', quickSchema, FIRST_QUICK, ['light', 'frame', 'looksDarkStops'], -5, 5],
  ['held', heldSchema, {}, ['shutterS'], '>0', 30],
  ['held', heldSchema, {}, ['aperture'], 0.7, 64],
  ['held', heldSchema, {}, ['iso'], 25, 409_600],
  ['held', heldSchema, {}, ['liftStops'], 0, 3],
  ['body', kitItemSchema, firstItem('body', 'own-1'), ['framesPerS'], '>0', 240],
  ['body', kitItemSchema, firstItem('body', 'own-1'), ['bufferMb'], '>0', 64_000],
  ['body', kitItemSchema, firstItem('body', 'own-1'), ['rawMb'], '>0', 400],
  ['body', kitItemSchema, firstItem('body', 'own-1'), ['jpegMb'], '>0', 200],
  ['body', kitItemSchema, firstItem('body', 'own-1'), ['writeMbS'], '>0', 6000],
  ['body', kitItemSchema, firstItem('body', 'own-1'), ['framesPerBattery'], '>0', 20_000],
  ['card', kitItemSchema, firstItem('card', 'own-1'), ['gb'], 1, 16_000],
  ['card', kitItemSchema, firstItem('card', 'own-1'), ['count'], 1, 50],
  ['filter', kitItemSchema, firstItem('filter', 'own-1'), ['stops'], '>0', 20],
  ['shot', shotSchema, shot(), ['fill'], 0.02, 1.5],
  ['shot', shotSchema, shot(), ['quota'], 1, 500],
  ['shot', shotSchema, shot(), ['shutterS'], '>0', 30],
  ['person', personSchema, { id: 'p', name: 'A' }, ['lane'], 0, 20],
  ['subject', ownSubjectSchema, subject(), ['heightM'], 0.01, 30],
  ['subject', ownSubjectSchema, subject(), ['depthM'], 0.01, 30],
  ['subject', ownSubjectSchema, subject(), ['speedMs'], 0, 150],
  ['event', eventSchema, event(), ['durationMin'], '>0', 1440],
  ['event', eventSchema, event(), ['lateMin'], -720, 720],
  ['event', eventSchema, event(), ['entries', 0, 'lane'], 0, 40],
  ['day', daySchema, FIRST_DAY, ['walkSpeedMs'], 0.2, 4],
  ['day', daySchema, FIRST_DAY, ['settleMin'], 0, 240],
  ['day', daySchema, FIRST_DAY, ['calls', 'first'], 0, 240],
  ['air', airSchema, FIRST_AIR, ['temperatureC'], -45, 60],
  ['air', airSchema, FIRST_AIR, ['humidityPct'], 1, 100],
  ['air', airSchema, FIRST_AIR, ['windMs'], 0, 60],
  ['air', airSchema, FIRST_AIR, ['rainMmH'], 0, 200],
  ['air', airSchema, FIRST_AIR, ['kitC'], -45, 60],
  ['hour', forecastHourSchema, HOUR, ['windMs'], 0, 120],
  ['hour', forecastHourSchema, HOUR, ['temperatureC'], -90, 60],
  ['hour', forecastHourSchema, HOUR, ['humidityPct'], 0, 100],
  ['hour', forecastHourSchema, HOUR, ['rainMmH'], 0, 400],
  ['hour', forecastHourSchema, HOUR, ['visibilityKm'], 0, 300],
  ['reading', readingSchema, READING, ['upM'], 0, 100],
  ['reading', readingSchema, READING, ['faceDeg'], 0, '<360'],
  ['reading', readingSchema, READING, ['ev'], -10, 20],
  ['reading', readingSchema, READING, ['x'], -5000, 5000],
  ['test frame', readingSchema, testFrame(), ['frame', 'shutterS'], '>0', 60],
  ['test frame', readingSchema, testFrame(), ['frame', 'aperture'], 0.7, 64],
  ['test frame', readingSchema, testFrame(), ['frame', 'iso'], 25, 1_000_000],
  ['test frame', readingSchema, testFrame(), ['frame', 'looksDarkStops'], -5, 5],
  ['test frame', readingSchema, testFrame(), ['frame', 'lostStops'], 0, 20],
  ['place', placeSchema, place(), ['latitudeDeg'], -90, 90],
  ['place', placeSchema, place(), ['longitudeDeg'], -180, 180],
  ['mark', markSchema, mark(), ['headingDeg'], 0, '<360'],
  ['mark', markSchema, mark(), ['feetM'], 0, 100],
  ['position', positionSchema, position(), ['cameraHeightM'], 0.05, 60],
  ['fence', featureSchema, FENCE, ['heightM'], '>0', 200],
  ['fence', featureSchema, FENCE, ['meshPitchMm'], 2, 500],
  ['fence', featureSchema, FENCE, ['wireMm'], 0.1, 20],
  ['fence', featureSchema, FENCE, ['postSpacingM'], 0.2, 100],
  ['fence', featureSchema, FENCE, ['postWidthMm'], 5, 1000],
  ['tree', featureSchema, TREE, ['crownM'], '>0', 60],
  ['hill', featureSchema, HILL, ['elevationDeg'], '>0', 60],
  ['window', hideWindow, WINDOW, ['wall'], 0, 199],
  ['window', hideWindow, WINDOW, ['asideM'], -100, 100],
  ['window', hideWindow, WINDOW, ['widthM'], 0.05, 100],
  ['window', hideWindow, WINDOW, ['sillM'], 0, 100],
  ['window', hideWindow, WINDOW, ['heightM'], 0.05, 50],
];

/** Longest texts. */
const TEXTS: readonly [string, z.ZodType, object, Place, number][] = [
  ['shot', shotSchema, shot(), ['name'], 80],
  ['shot', shotSchema, shot(), ['sharp'], 40],
  ['person', personSchema, { id: 'p', name: 'A' }, ['name'], 80],
  ['person', personSchema, { id: 'p', name: 'A' }, ['number'], 12],
  ['person', personSchema, { id: 'p', name: 'A' }, ['cap'], 40],
  ['person', personSchema, { id: 'p', name: 'A' }, ['habits'], 300],
  ['brief', briefSchema, FIRST_BRIEF, ['client'], 120],
  ['brief', briefSchema, FIRST_BRIEF, ['access'], 1000],
  ['subject', ownSubjectSchema, subject(), ['name'], 60],
  ['subject', ownSubjectSchema, subject(), ['habits', 0, 'what'], 200],
  ['event', eventSchema, event(), ['name'], 120],
  ['event', eventSchema, event(), ['heat'], 40],
  ['event', eventSchema, event(), ['entries', 0, 'name'], 80],
  ['body', kitItemSchema, firstItem('body', 'own-1'), ['name'], 60],
  ['note', logEntrySchema, note(), ['text'], 500],
  ['reading', readingSchema, READING, ['name'], 80],
  ['mark', markSchema, mark(), ['name'], 60],
  ['position', positionSchema, position(), ['name'], 60],
  ['position', positionSchema, position(), ['why'], 300],
  ['fence', featureSchema, FENCE, ['name'], 60],
];

function shot() {
  return { ...FIRST_SHOT, id: 's', name: 'Drag flick', markId: 'circle' };
}
function subject() {
  return {
    ...{ id: 'own-a', name: 'Old hare', basedOn: 'hare', heightM: 0.4, depthM: 0.5, speedMs: 9 },
    habits: [{ season: 'spring', part: 'dawn', what: 'runs' }],
  };
}
function event() {
  return {
    ...{ ...FIRST_EVENT, id: 'e', name: 'Heat 1', startLocal: '2027-06-19T10:00' },
    entries: [{ name: 'A' }],
  };
}
function note() {
  return {
    ...{ id: 'n', kind: 'note', atLocal: '2027-04-16T19:02:11', markId: 'm', positionId: 'p' },
    text: 'Wind',
  };
}
function testFrame() {
  const { ev: _ev, ...rest } = READING;
  return { ...rest, by: 'frame', frame: FRAME };
}
function place() {
  return { latitudeDeg: 53, longitudeDeg: -2, timeZone: 'Europe/London' };
}
function mark() {
  return {
    ...{ id: 'm', name: 'Circle', x: 0, y: 0, headingDeg: 0, facingDeg: 0 },
    subjectId: 'field-player',
  };
}
function position() {
  return { id: 'p', name: 'Bank', x: 0, y: 0, cameraHeightM: 1.6 };
}

const taken = (schema: z.ZodType, record: object): boolean => schema.safeParse(record).success;
const figureOf = (limit: number | string): number => Number(String(limit).replace(/[<>]/, ''));
/** The next figure past a limit: a whole one where only whole ones are meant. */
const past = (limit: number, away: 1 | -1): number =>
  limit + away * (Math.abs(limit) >= 1000 ? 1 : Math.abs(limit) >= 1 ? 0.01 : 0.001);

test.each(FIGURES)(
  '%s: a figure at its limit is taken, past it refused',
  (_what, schema, record, at, least, most) => {
    const takes = (value: number) => taken(schema, withAt(record, at, value));
    const [low, high] = [figureOf(least), figureOf(most)];
    expect([at, low, takes(low)]).toEqual([at, low, typeof least === 'number']);
    expect([at, high, takes(high)]).toEqual([at, high, typeof most === 'number']);
    expect([at, takes(past(low, -1)), takes(past(high, 1))]).toEqual([at, false, false]);
  },
);

test.each(TEXTS)(
  '%s: a text of the longest length is taken, a longer one and an empty one refused',
  (_what, schema, record, at, most) => {
    const takes = (length: number) => taken(schema, withAt(record, at, 'x'.repeat(length)));
    expect([at, takes(most), takes(most + 1), takes(0)]).toEqual([at, true, false, false]);
  },
);
