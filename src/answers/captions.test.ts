import { TERN_WATER } from '@/demo/tern-water';
import { FIRST_CAPTIONS } from '@/records/captions';
import type { DayEventRecord } from '@/records/day';
import { withEvent, withFrames, withPicked, withWho } from '@/records/edit-log';
import type { Frame } from '@/records/frames';
import { shootSchema, type Shoot } from '@/records/shoot';
import {
  byClient,
  candidatesOf,
  captionedPresses,
  captionsOf,
  doubtsOf,
  eventsAbout,
  zonedSecond,
} from './captions';
import { matchedFrames, pressesOf } from './matched';

const PEOPLE: Shoot['people'] = [
  { id: 'ada', name: 'Ada Finch', number: '4', client: 'Westmere' },
  { id: 'bea', name: 'Bea Marsh', client: 'Holm' },
  { id: 'cy', name: 'Cy Reed', scratched: true },
];
const event = (id: string, at: string, entries: DayEventRecord['entries']): DayEventRecord => ({
  ...{ id, name: '100 m', heat: id, startLocal: `2027-06-19T${at}`, durationMin: 5 },
  ...{ entries, worth: 'should' },
});
const frame = (name: string, at: string): Frame => ({
  ...{ name, camera: 'A', cameraMs: Date.parse(`2027-06-19T${at}Z`), rating: 4 },
});
const SHOOT: Shoot = withFrames(
  {
    ...TERN_WATER,
    place: { ...TERN_WATER.place, name: 'Tern Water' },
    people: PEOPLE,
    log: { entries: [], clocks: [], frames: [], lessons: [] },
    events: [
      event('1', '10:00', [
        { personId: 'bea', name: 'B. Marsh', lane: 5 },
        { personId: 'ada', name: 'A. Finch', lane: 2 },
        { personId: 'cy', name: 'C. Reed', lane: 1 },
        { name: 'Dee Holt', lane: 3, team: 'Alder' },
      ]),
      event('2', '10:20', [{ personId: 'bea', name: 'Bea', lane: 1 }]),
    ],
  },
  [
    ...[frame('a1.jpg', '10:01:00'), frame('a2.jpg', '10:01:01')],
    ...[frame('b1.jpg', '10:02:00'), frame('c1.jpg', '10:21:00'), frame('d1.jpg', '11:30:00')],
  ],
);
const captioned = (shoot: Shoot) => captionedPresses(shoot, pressesOf(matchedFrames(shoot)));
const keysOf = (shoot: Shoot, press: number) =>
  new Set(captioned(shoot)[press]?.press.frames.map(({ key }) => key));

test('who may be on a picture starts in its event, by lanes and by the names of the brief', () => {
  const [first] = SHOOT.events;
  expect(candidatesOf(SHOOT, first).map(({ lane, name, team }) => [lane, name, team])).toEqual([
    [2, 'Ada Finch', 'Westmere'],
    [3, 'Dee Holt', 'Alder'],
    [5, 'Bea Marsh', 'Holm'],
  ]);
  expect(candidatesOf(SHOOT, undefined).map(({ name }) => name)).toEqual([
    'Ada Finch',
    'Bea Marsh',
  ]);
});

test('a tap about then names them, one starter alone is they, and nobody else is guessed', () => {
  const tap = (at: string, personIds: string[]) => ({
    ...{ id: at, kind: 'keeper' as const, atLocal: `2027-06-19T${at}`, personIds },
    ...{ markId: 'm', positionId: 'p' },
  });
  const tapped = {
    ...SHOOT,
    log: { ...SHOOT.log, entries: [tap('10:01:20', ['ada', 'cy']), tap('10:10:00', ['bea'])] },
  };
  expect(captioned(tapped).map(({ named }) => [named.by, named.who])).toEqual([
    ['tap', [{ personId: 'ada' }]],
    ['nothing', []],
    ['only', [{ personId: 'bea' }]],
    ['nothing', []],
  ]);
  // Said by hand it stays, also when the pictures are read a second time.
  const said = withWho(tapped, keysOf(tapped, 0), [{ name: 'Dee Holt' }]);
  const again = withFrames(said, [frame('a1.jpg', '10:01:00'), frame('a2.jpg', '10:01:01')]);
  expect(captioned(again)[0]?.named).toEqual({ by: 'hand', who: [{ name: 'Dee Holt' }] });
  const nobody = withWho(again, keysOf(again, 0), []);
  expect(captioned(nobody)[0]?.named).toEqual({ by: 'hand', who: [] });
});

test('a press is put to another event, or to none, in one go, and kept so through its schema', () => {
  const keys = keysOf(SHOOT, 0);
  const moved = withPicked(withEvent(SHOOT, keys, '2'), keys, true);
  const kept = shootSchema.parse(JSON.parse(JSON.stringify(moved)));
  const [press, other] = captioned(kept);
  expect(press?.event?.id).toBe('2');
  expect(press?.press.frames.map(({ byHand }) => byHand)).toEqual([true, true]);
  expect(other?.event?.id).toBe('1');
  expect(captioned(withEvent(SHOOT, keys, null))[0]?.event).toBeUndefined();
  expect(withFrames(moved, [frame('a1.jpg', '10:01:00')]).log.frames).toEqual(moved.log.frames);
  // Its own event first, then by how near they are.
  const last = captioned(SHOOT)[3];
  expect(last && eventsAbout(SHOOT, last, 1).map(({ id }) => id)).toEqual(['2']);
  expect(press && eventsAbout(kept, press, 8).map(({ id }) => id)).toEqual(['2', '1']);
});

test('a caption says who, in what, where and when; a part without its field goes', () => {
  const how = { ...FIRST_CAPTIONS, photographer: 'C. Holm', rights: '© C. Holm' };
  const named = withWho(SHOOT, keysOf(SHOOT, 0), [{ personId: 'ada' }, { name: 'Dee Holt' }]);
  const captions = captionsOf(named, captioned(named), how);
  expect(captions.map(({ text }) => text)).toEqual([
    ...Array<string>(2).fill(
      'Ada Finch (4, Westmere) and Dee Holt (Alder) paddle in 100 m, heat 1, Tern Water, Saturday 19 June 2027.',
    ),
    '100 m, heat 1, Tern Water, Saturday 19 June 2027.',
    'Bea Marsh (Holm) paddles in 100 m, heat 2, Tern Water, Saturday 19 June 2027.',
    'Tern Water, Saturday 19 June 2027.',
  ]);
  expect(captions[0]).toMatchObject({
    ...{ file: 'a1.jpg', names: ['Ada Finch', 'Dee Holt'], teams: ['Westmere', 'Alder'] },
    ...{ takenAt: '2027-06-19T10:01:00+01:00', stars: 4, rights: '© C. Holm' },
  });
});

test('what they do is said by the subject of the mark, also one of own, and not where the mark is gone', () => {
  const how = { ...FIRST_CAPTIONS, pattern: '{who} {does} in {event}, {heat}.' };
  const textOf = (shoot: Shoot) => captionsOf(shoot, captioned(shoot), how)[3]?.text;
  const own = {
    ...{ id: 'own', name: 'Our cyclists', basedOn: 'cyclist' },
    ...{ heightM: 1.7, depthM: 0.6, speedMs: 12, habits: [] },
  };
  const marked = (subjectId: string): Shoot => ({
    ...SHOOT,
    subjects: [own],
    marks: SHOOT.marks.map((one) => ({ ...one, subjectId })),
  });
  expect(textOf(marked('swimmer'))).toBe('Bea Marsh (Holm) swims in 100 m, heat 2.');
  expect(textOf(marked('own'))).toBe('Bea Marsh (Holm) rides in 100 m, heat 2.');
  // Only the words are asked: a shoot without its mark is not kept.
  const frames = captioned(SHOOT);
  const gone = captionsOf({ ...SHOOT, marks: [] }, frames, how)[3];
  expect(gone?.text).toBe('Bea Marsh (Holm) is pictured in 100 m, heat 2.');
});

test('a moment with its zone, ahead of UTC and behind it', () => {
  const ms = Date.UTC(2027, 5, 19, 9, 1, 0);
  expect(zonedSecond(ms, 'Europe/London')).toBe('2027-06-19T10:01:00+01:00');
  expect(zonedSecond(ms, 'America/St_Johns')).toBe('2027-06-19T06:31:00-02:30');
  expect(zonedSecond(ms, 'UTC')).toBe('2027-06-19T09:01:00+00:00');
});

test('captions go to their clients: a picture of two to both, those without one last', () => {
  const named = withWho(SHOOT, keysOf(SHOOT, 0), [{ personId: 'ada' }, { name: 'Dee Holt' }]);
  const captions = captionsOf(named, captioned(named), FIRST_CAPTIONS);
  expect(byClient(captions).map(({ client, captions: of }) => [client, of.length])).toEqual([
    ['Alder', 2],
    ['Holm', 1],
    ['Westmere', 2],
    [undefined, 2],
  ]);
  expect(byClient([])).toEqual([]);
});

test('the only one of whom pictures are owed is proposed, and is to be looked at', () => {
  const owed = [{ keepers: 2 }];
  const one = {
    ...SHOOT,
    people: PEOPLE.map((person) => (person.id === 'ada' ? { ...person, owed } : person)),
  };
  const [first] = captioned(one);
  expect(first?.named).toEqual({ who: [{ personId: 'ada' }], by: 'owed' });
  expect(first && doubtsOf(first)).toEqual(['who']);
  // Of two nobody knows.
  const two = { ...SHOOT, people: PEOPLE.map((person) => ({ ...person, owed })) };
  expect(captioned(two)[0]?.named.by).toBe('nothing');
  const said = withWho(one, keysOf(one, 0), [{ personId: 'ada' }]);
  const [settled] = captioned(said);
  expect(settled && doubtsOf(settled)).toEqual([]);
});
