import { DEMO_SHOOTS } from '@/demo';
import { GROUND_TEMPLATES } from '@/presets/grounds';
import { phrasesOf } from '@/presets/shot-phrases';
import { shotSchema } from '@/records/brief';
import { newShoot } from '@/records/new-shoot';
import type { Shoot } from '@/records/shoot';
import { phrasesLeft, shotOf } from './promise';

const [larkmoor] = DEMO_SHOOTS as [Shoot];

const shootOn = (template: string): Shoot =>
  newShoot(
    {
      title: 'Any',
      template,
      latitudeDeg: 52,
      longitudeDeg: -1,
      timeZone: 'Europe/London',
      bearingDeg: 20,
      startLocal: '2027-06-05T17:00',
      endLocal: '2027-06-05T19:00',
    },
    'any',
    '2026-11-27T12:00:00Z',
  );

test('every ground has pictures people want there, and each makes a shot that can be kept', () => {
  for (const { id } of GROUND_TEMPLATES) {
    const shoot = shootOn(id);
    const phrases = phrasesOf(id);
    expect(phrases.length).toBeGreaterThanOrEqual(3);
    expect(new Set(phrases.map(({ name }) => name)).size).toBe(phrases.length);
    for (const phrase of phrases) {
      const shot = shotOf(shoot, phrase, 'new');
      expect(shotSchema.safeParse(shot)).toMatchObject({ success: true });
      expect(shoot.marks.some((mark) => mark.id === shot.markId)).toBe(true);
    }
  }
});

test('a phrase is at its own mark where the shoot has it, else at the one in hand', () => {
  const bat = phrasesOf('baseball-ncaa').find(({ name }) => name === 'Bat meets ball');
  if (!bat) throw new Error('must be there');
  const diamond = shootOn('baseball-ncaa');
  expect(shotOf(diamond, bat, 'a')).toMatchObject({ markId: 'batter', sharp: 'bat tip', quota: 3 });
  const elsewhere = shotOf(larkmoor, bat, 'a');
  expect(elsewhere.markId).toBe(larkmoor.choice.markId);
  // A player with a stick has no bat to keep sharp.
  expect(elsewhere.sharp).toBeUndefined();
});

test('what is promised already is not offered again', () => {
  const before = phrasesLeft(larkmoor).map(({ name }) => name);
  expect(before).not.toContain('Strike at a penalty corner');
  expect(before).toContain('Duel for the ball');
});
