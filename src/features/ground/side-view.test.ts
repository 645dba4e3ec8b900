import { DEMO_SHOOTS } from '@/demo';
import { viewOf } from '@/answers/view';
import type { Feature, Shoot } from '@/records/shoot';
import { sideView } from './side-view';

const [larkmoor] = DEMO_SHOOTS as [Shoot];

function side(shoot: Shoot) {
  const seen = viewOf(shoot);
  if (!seen.ok) throw new Error(seen.trouble.kind);
  return sideView(seen.view, shoot.features);
}

/** A camera at 1.6 m looking 10 m north at a player, and what stands there. */
const facing = (...features: Feature[]): Shoot => ({
  ...larkmoor,
  marks: [
    { id: 'm', name: 'Player', x: 0, y: 10, headingDeg: 0, facingDeg: 180, subjectId: 'standing' },
  ],
  positions: [{ id: 'p', name: 'Here', x: 0, y: 0, cameraHeightM: 1.6 }],
  choice: { ...larkmoor.choice, markId: 'm', positionId: 'p' },
  features,
});
const wall = (id: string, y: number, heightM: number): Feature => ({
  id,
  name: `Wall ${id}`,
  kind: 'wall',
  points: [
    { x: -20, y },
    { x: 20, y },
  ],
  heightM,
});

test('with nothing behind, the head stands against nothing', () => {
  expect(side(facing()).words.at(-1)).toBe('Nothing stands behind the head.');
});

test('a wall behind: how far it rises, and the camera that would clear it', () => {
  const { words, pieces } = side(facing(wall('a', 20, 2.2)));
  const head = pieces.subject.headM;
  const lineM = 1.6 + ((head - 1.6) / 10) * 19.9;
  expect(words.at(-1)).toMatch(
    new RegExp(`^Wall a rises ${Math.round((2.2 - lineM) * 100)} cm behind the head`),
  );
  expect(words.at(-1)).toMatch(/With the camera at 1\.\d m or lower the head is clear of it\.$/);
  const lower = { ...facing(wall('a', 20, 2.2)) };
  const at = /at (\d\.\d) m/.exec(words.at(-1) ?? '')?.[1];
  const from = {
    ...lower,
    positions: [{ ...lower.positions[0], cameraHeightM: Number(at) - 0.05 }],
  };
  expect(side(from as Shoot).words.at(-1)).toBe(
    'The head stands clear of Wall a, against the sky.',
  );
});

test('a tall wood: no camera above the ground does', () => {
  expect(side(facing(wall('b', 20, 15))).words.at(-1)).toMatch(/No camera above the ground/);
});

test('a wall before the subject is in the way, and said so', () => {
  const { words } = side(facing(wall('c', 5, 2)));
  expect(words.join(' ')).toMatch(
    /Wall c is in the way, 4\.9 m off: the line passes \d+ cm under its top/,
  );
});

test('every demo view has its side, in figures', () => {
  for (const shoot of DEMO_SHOOTS) {
    for (const position of shoot.positions) {
      const choice = { ...shoot.choice, positionId: position.id };
      const seen = viewOf({ ...shoot, choice });
      if (!seen.ok) continue;
      const { words, pieces } = sideView(seen.view, shoot.features);
      expect(words.join(' ')).not.toMatch(/NaN|undefined|Infinity/);
      expect(pieces.subject.awayM).toBeLessThan(pieces.reachM);
    }
  }
});
