import { DEMO_SHOOTS } from '@/demo';
import { viewOf } from '@/answers/view';
import type { Feature, Shoot } from '@/records/shoot';
import { apartFrom } from '@/figures/side-names';
import { sideView } from './side-view';

const [larkmoor] = DEMO_SHOOTS as [Shoot];

function side(shoot: Shoot) {
  const seen = viewOf(shoot);
  if (!seen.ok) throw new Error(seen.trouble.kind);
  return sideView(seen.view, shoot.features, 7);
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
      const { words, pieces } = sideView(seen.view, shoot.features, 7);
      expect(words.join(' ')).not.toMatch(/NaN|undefined|Infinity/);
      expect(pieces.subject.awayM).toBeLessThan(pieces.reachM);
    }
  }
});

const HIDE: Feature = {
  ...{ id: 'h', name: 'Hide', kind: 'hide', heightM: 2.2 },
  points: [
    { x: -1, y: -1 },
    { x: 1, y: -1 },
    { x: 1, y: 1 },
    { x: -1, y: 1 },
  ],
};
const window = { wall: 2, asideM: 0, widthM: 1, sillM: 1.2, heightM: 0.6, pane: 'open' } as const;

test('from within a hide its wall stands round the window, under its roof', () => {
  const rects = (feature: Feature) =>
    side(facing(feature)).pieces.things.map(({ name, fromM, toM, lowM, heightM }) => [
      ...[name, fromM, toM],
      ...[Number(lowM.toFixed(2)), Number(heightM.toFixed(2))],
    ]);
  const roof = ['Hide', 0, 1, 2.15, 2.2];
  expect(rects({ ...HIDE, windows: [window] })).toEqual([
    ...[roof, ['', 1, 1, 0, 1.2], ['', 1, 1, 1.8, 2.2]],
  ]);
  // A sill over the camera: the wall is whole, and named.
  const high = { ...HIDE, windows: [{ ...window, sillM: 1.7, heightM: 0.4 }] };
  expect(rects(high)).toEqual([roof, ['', 1, 1, 0, 2.2]]);
  expect(side(facing(high)).words.join(' ')).toMatch(/wall of Hide, 1\.0 m off, is in the way/);
  expect(rects(HIDE)).toEqual([roof]);
  // From outside it is what it was.
  const there = { ...HIDE, points: HIDE.points.map(({ x, y }) => ({ x, y: y + 5 })) };
  expect(rects(there)).toEqual([['Hide', 4, 6, 0, 2.2]]);
});

test('a branch is drawn where the line crosses it, as high as it is there, and what it hides is said', () => {
  const branch: Feature = {
    ...{ id: 'b', name: 'Branch', kind: 'branch', heightM: 2, tipM: 1 },
    points: [
      { x: -2, y: 4 },
      { x: 2, y: 4 },
    ],
    ...{ thickMm: 30, spreadM: 0.6, leafTakes: 0.6, leafFrom: 5, leafTo: 10 },
  };
  const { pieces, words } = side(facing(branch));
  // In its middle, half way down.
  expect(pieces.branches).toEqual([
    { atM: 4, heightM: 1.5, acrossM: 0.6, upM: 0.6, isBare: false },
  ]);
  expect(pieces.things).toEqual([]);
  expect(words.join(' ')).toMatch(/Branch hides \d\d % of Player\./);
  const leaning = {
    ...branch,
    points: [
      { x: -2, y: 2 },
      { x: 2, y: 6 },
    ],
  };
  // At 45° the line is longer among its leaves: 0.6/sin 45°.
  expect(side(facing(leaning as Feature)).pieces.branches[0]?.acrossM).toBeCloseTo(0.8485, 3);
  const aside = {
    ...branch,
    points: [
      { x: 1, y: 4 },
      { x: 2, y: 4 },
    ],
  };
  const behind = {
    ...branch,
    points: [
      { x: -2, y: -4 },
      { x: 2, y: -4 },
    ],
  };
  for (const other of [aside, behind]) {
    expect(side(facing(other as Feature)).pieces.branches).toEqual([]);
  }
});

test('names under the ground lie beside each other, never on each other', () => {
  const names = [
    { name: 'Hide', at: 12 },
    { name: 'Reeds', at: 290 },
    { name: 'Alders, far bank', at: 330 },
  ];
  const middles = apartFrom(names, 374);
  expect(middles[0]).toBe(12);
  middles.slice(1).forEach((middle, i) => {
    const halves = (names[i]?.name.length ?? 0) + (names[i + 1]?.name.length ?? 0);
    expect(middle - (middles[i] ?? 0)).toBeGreaterThan((halves * 6) / 2);
  });
  expect(Math.max(...middles)).toBeLessThan(374 - 40);
});
