import type { Summary } from '@/records/list';
import { datedAt } from './dated';

const shoot = (id: string, timeZone: string, startLocal: string, endLocal: string): Summary => ({
  version: 2,
  ...{ id, title: id, timeZone, startLocal, endLocal, updatedAt: '2026-11-01T12:00:00Z' },
  sketch: { lines: '', solids: '', places: [] },
});

/** Noon in London, seven in New York, nine in the evening in Tokyo. */
const NOON_MS = Date.UTC(2027, 0, 15, 12);

test('each shoot is past by the clock of its own place, and of those that are past the last comes first', () => {
  const { coming, past } = datedAt(
    [
      shoot('early', 'Europe/London', '2027-01-14T10:00', '2027-01-14T12:00'),
      shoot('tokyo', 'Asia/Tokyo', '2027-01-15T18:00', '2027-01-15T20:00'),
      shoot('london', 'Europe/London', '2027-01-15T11:00', '2027-01-15T12:00'),
      shoot('new-york', 'America/New_York', '2027-01-15T18:00', '2027-01-15T20:00'),
    ],
    NOON_MS,
  );
  expect(coming.map(({ id, nowLocal }) => [id, nowLocal])).toEqual([
    ['london', '2027-01-15T12:00'],
    ['new-york', '2027-01-15T07:00'],
  ]);
  expect(past.map(({ id, nowLocal }) => [id, nowLocal])).toEqual([
    ['tokyo', '2027-01-15T21:00'],
    ['early', '2027-01-15T12:00'],
  ]);
});
