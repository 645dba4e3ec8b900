import { partInWords, setOffInWords } from '@/features/ground/part-words';
import { newShoot } from '@/records/new-shoot';
import { shootSchema, type Shoot } from '@/records/shoot';
import { alongSight } from './along-sight';
import { partFramings } from './part-framing';
import { viewOf } from './view';

/** A deer of 1.3 m at (8, 18), seen from (0, −38) through 600 mm f/4; a wood begins at y = 40 behind it. */
const CLEARING = newShoot(
  {
    ...{ title: 'Clearing', template: 'animal-clearing', bearingDeg: 0 },
    ...{ latitudeDeg: 52.2, longitudeDeg: 0.5, timeZone: 'Europe/London' },
    ...{ startLocal: '2027-10-06T08:00', endLocal: '2027-10-06T11:00' },
  },
  'clearing',
  '2027-03-01T12:00:00.000Z',
);
function framingsIn(shoot: Shoot, aperture: number) {
  const seen = viewOf(shoot);
  if (!seen.ok) throw new Error(seen.trouble.kind);
  const { back } = alongSight(seen.view, shoot.features, 10);
  return partFramings(seen.view, shoot.kit, back, aperture);
}

test('a deer before a wood: whole, three quarters and head, by the lens that frames each from here', () => {
  const framings = framingsIn(CLEARING, 4) ?? [];
  // 56.57 m off, 14.4 mm of image: f = 14.4 · 56 570 / (size + 14.4) for 1300, 975 and 390 mm.
  expect(framings.map(({ part, focalMm }) => [part, Math.round(focalMm)])).toEqual([
    ['whole', 620],
    ['threeQuarter', 823],
    ['head', 2014],
  ]);
  // 600 mm gives the first, with the 1.4x the second, nothing the third: 600 · 404.4 / 14.4 mm off it would.
  expect(framings.map(({ by }) => by)).toEqual([
    { converter: 1, focalMm: 600 },
    { converter: 1.4, focalMm: 600 },
    undefined,
  ]);
  expect(framings[2]?.fromM).toBeCloseTo(16.85, 2);
  expect(framings[2] && partInWords(framings[2])).toBe(
    'Wants 2014 mm from here. Your lens frames it from 16.9 m, washed out behind: only if the animal goes on as before',
  );
  // 60 % by 840 of 823 mm is 61 %.
  expect(framings[1] && partInWords(framings[1])).toBe(
    '600 mm with the 1.4x: fills 61 %, soft behind',
  );
  for (const { by } of framings) {
    const taken = { ...CLEARING, kit: { ...CLEARING.kit, ...by } };
    expect(shootSchema.safeParse(taken).success).toBe(true);
  }
});

test('whole it is not set off where the wood is near, and is where it is far', () => {
  // Disc over the image of a leaf, by hand for 620 mm f/4: 0.48 / 0.40 mm.
  expect(setOffInWords(framingsIn(CLEARING, 4) ?? [])).toBe(
    'Set off from what is behind: head and neck, not the whole.',
  );
  expect(setOffInWords(framingsIn(CLEARING, 22) ?? [])).toMatch(
    /^Neither whole nor in part set off/,
  );
  // The 1.4x closes f/4 to f/5.6: at f/2 three quarters would be washed out, which no lens here opens to.
  expect(framingsIn(CLEARING, 2)?.[1]).toMatchObject({ part: 'threeQuarter', look: 'soft' });
  const far: Shoot = {
    ...CLEARING,
    // Level with its middle: the line comes down on no ground before the wood.
    positions: CLEARING.positions.map((at) => ({ ...at, cameraHeightM: 0.65 })),
    features: [
      {
        ...{ id: 'far', name: 'Far wood', kind: 'trees', heightM: 30 },
        points: [
          { x: -200, y: 500 },
          { x: 300, y: 500 },
          { x: 300, y: 520 },
          { x: -200, y: 520 },
        ],
      },
    ],
  };
  expect(framingsIn(far, 4)?.[0]).toMatchObject({ part: 'whole', look: 'washed' });
  expect(setOffInWords(framingsIn(far, 4) ?? [])).toBeUndefined();
});

test('of what is small, of people, and before the sky nothing is asked', () => {
  const as = (subjectId: string): Shoot => ({
    ...CLEARING,
    marks: CLEARING.marks.map((mark) => ({ ...mark, subjectId })),
  });
  expect(framingsIn(as('hare'), 4)).toBeUndefined();
  expect(framingsIn(as('standing'), 4)).toBeUndefined();
  // From the ground up it stands before the sky; from a seat over it the ground is behind.
  const open: Shoot = { ...CLEARING, features: [] };
  const low = open.positions.map((position) => ({ ...position, cameraHeightM: 0.2 }));
  expect(framingsIn({ ...open, positions: low }, 4)).toBeUndefined();
  expect(framingsIn(open, 4)).toHaveLength(3);
});
