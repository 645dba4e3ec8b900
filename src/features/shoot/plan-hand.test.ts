import { byTwoFingers, planHand, STILL } from './plan-hand';

const at = (x: number, y: number) => ({ x, y });

test('two fingers drawn apart zoom about their middle and turn nothing', () => {
  const done = byTwoFingers([at(100, 100), at(140, 100)], [at(80, 100), at(160, 100)]);
  expect(done).toEqual({ about: at(120, 100), by: at(0, 0), zoom: 2, turnDeg: 0 });
});

test('two fingers moved alike draw the plan along', () => {
  const done = byTwoFingers([at(0, 0), at(0, 50)], [at(7, -4), at(7, 46)]);
  expect(done).toMatchObject({ by: at(7, -4), zoom: 1, turnDeg: 0 });
});

test('a small turn is taken for an unsteady pinch, a larger one turns by what is over', () => {
  const turned = (deg: number) => {
    const [x, y] = [50 * Math.cos((deg * Math.PI) / 180), 50 * Math.sin((deg * Math.PI) / 180)];
    return byTwoFingers([at(-50, 0), at(50, 0)], [at(-x, -y), at(x, y)]).turnDeg;
  };
  expect(turned(5)).toBe(0);
  expect(turned(39)).toBeCloseTo(30, 9);
  expect(turned(-39)).toBeCloseTo(-30, 9);
});

test('fingers that meet do not zoom to nothing', () => {
  expect(byTwoFingers([at(0, 0), at(80, 0)], [at(40, 0), at(40, 0)]).zoom).toBe(0.1);
});

test('the hand has done something only when the last finger is up', () => {
  const hand = planHand();
  hand.down();
  hand.down();
  hand.change({ by: at(3, 4) });
  expect(hand.up().last).toBe(false);
  expect(hand.up()).toEqual({ last: true, done: { ...STILL, by: at(3, 4) } });
  hand.forget();
  expect(hand.moved()).toBe(false);
});
