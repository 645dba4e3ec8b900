import { GROUND_TEMPLATES, groundById } from './grounds';
import { markOfSide } from './own-side';

const pool = { template: 'pool-50', thrown: [] };
const track = { template: 'athletics-track', thrown: [] };

test('a swimmer is met on the side they breathe to, a jumper by the leg they take off from', () => {
  expect(markOfSide('freestyle', [{ breathes: 'left' }], pool)).toBe('freestyle-left');
  expect(markOfSide('freestyle-left', [{ breathes: 'right' }], pool)).toBe('freestyle');
  expect(markOfSide('freestyle', [{ breathes: 'right' }], pool)).toBe('freestyle');
  expect(markOfSide('high-jump', [{ foot: 'right', hand: 'left' }], track)).toBe('high-jump-right');
});

test('a ground that was turned over has its sides changed', () => {
  const thrown = { ...pool, thrown: ['breathing-side'] };
  expect(markOfSide('freestyle', [{ breathes: 'left' }], thrown)).toBe('freestyle');
  expect(markOfSide('freestyle', [{ breathes: 'right' }], thrown)).toBe('freestyle-left');
});

test('who breathes to both sides, says nothing, or swims beside another, leaves the mark as it is', () => {
  for (const people of [
    [],
    [{}],
    [{ breathes: 'both' as const }],
    [{ breathes: 'left' as const }, { breathes: 'right' as const }],
  ]) {
    expect(markOfSide('freestyle', people, pool)).toBe('freestyle');
  }
  expect(markOfSide('breaststroke', [{ breathes: 'left' }], pool)).toBe('breaststroke');
  expect(markOfSide('freestyle', [{ breathes: 'left' }, { breathes: 'both' }, {}], pool)).toBe(
    'freestyle-left',
  );
});

test('the two marks of a side are each other in a mirror', () => {
  const levers = GROUND_TEMPLATES.flatMap(({ id }) =>
    (groundById(id).switches ?? []).flatMap(({ own, effects }) =>
      own ? [{ id, own, effects }] : [],
    ),
  );
  expect(new Set(levers.map(({ own }) => own.trait))).toEqual(
    new Set(['foot', 'hand', 'breathes']),
  );
  for (const { id, own, effects } of levers) {
    const [one, other] = own.marks.map((mark) =>
      groundById(id).marks.find((entry) => entry.id === mark),
    );
    if (!one || !other) throw new Error(`${id} must have both`);
    const turn = (deg: number) => ((deg % 360) + 360) % 360;
    expect(turn(one.facingDeg - one.headingDeg)).toBeCloseTo(
      turn(other.headingDeg - other.facingDeg),
    );
    expect(own.marks.every((mark) => effects.some((effect) => effect.id === mark))).toBe(true);
    expect(other.y).toBe(one.y);
  }
});
