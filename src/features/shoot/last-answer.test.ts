import { createAsyncStorage } from '@react-native-async-storage/async-storage';
import { DEMO_SHOOTS } from '@/demo';
import shipped from '@/demo/answers.json';
import { demoShoots } from '@/demo/seed';
import { reopenDevice } from '@/records/device';
import { keepLastAnswer, readKnown, type LastAnswer } from '@/records/last-answer';
import type { Shoot } from '@/records/shoot';
import { removeShoot, shootKey, writeChange, writeKept, readKept } from '@/records/storage';
import { openingAnswerOf } from './last-answer';

const [larkmoor] = DEMO_SHOOTS as [Shoot, Shoot, Shoot];
const NOTHING = { summaries: [], answers: [] };
const answer: LastAnswer = {
  id: larkmoor.id,
  updatedAt: larkmoor.updatedAt,
  shutter: '1/640',
  aperture: 'f/4',
  iso: 'ISO 200',
  now: 'good to the end',
  then: '',
};
const put = (shoot: Shoot) => writeChange(shootKey(shoot.id), { from: undefined, to: shoot });

beforeEach(async () => {
  await createAsyncStorage('bright-perch').clear();
  reopenDevice();
});

test('what ships for the demo is what its page says', () => {
  // When the demo or the answer changes: npm run demo-summaries.
  expect(shipped).toEqual(DEMO_SHOOTS.map(openingAnswerOf));
});

test('before anything is kept the demo is known by what ships, and nothing else is', async () => {
  const known = await readKnown(larkmoor.id, demoShoots);
  expect(known?.summary.title).toBe(larkmoor.title);
  expect(known?.answer?.shutter).toMatch(/^1\/\d+$/);
  expect(await readKnown('another', demoShoots)).toBeUndefined();
});

test('the last answer holds for the state it was computed from, and for no other', async () => {
  await put(larkmoor);
  await keepLastAnswer(answer);
  expect(await readKnown(larkmoor.id, NOTHING)).toMatchObject({ answer });
  const changed = { ...larkmoor, updatedAt: '2027-04-16T18:00:00Z' };
  await writeChange(shootKey(larkmoor.id), { from: larkmoor, to: changed });
  expect((await readKnown(larkmoor.id, NOTHING))?.answer).toBeUndefined();
});

test('it goes with its shoot, and a restored backup brings none', async () => {
  await put(larkmoor);
  await keepLastAnswer(answer);
  await writeKept(await readKept());
  expect((await readKnown(larkmoor.id, NOTHING))?.answer).toBeUndefined();
  await keepLastAnswer(answer);
  await removeShoot(larkmoor.id);
  expect(await readKnown(larkmoor.id, NOTHING)).toBeUndefined();
  await put(larkmoor);
  expect((await readKnown(larkmoor.id, NOTHING))?.answer).toBeUndefined();
});

test('damaged, it is none', async () => {
  await put(larkmoor);
  const disk = createAsyncStorage('bright-perch');
  for (const text of ['{', 'null', '7', JSON.stringify({ ...answer, iso: 200 })]) {
    await disk.setItem(`bright-perch/last-answer/${larkmoor.id}`, text);
    expect((await readKnown(larkmoor.id, NOTHING))?.answer).toBeUndefined();
  }
});
