import type { Asked } from './draw';
import type { Heard } from './frame-client';

/** What stands in the worker's place: the frame it was last asked for, and what became of those before. */
const begun: {
  readonly samples: number;
  readonly shownFrom: number | undefined;
  readonly heard: Heard;
  halted: boolean;
}[] = [];
jest.doMock('./frame-client', () => ({
  openFrames: () => ({
    draw: ({ samples, shownFrom }: Asked, _paper: unknown, heard: Heard) => {
      const one = { samples, shownFrom, heard, halted: false };
      begun.push(one);
      return () => {
        one.halted = true;
      };
    },
    close: () => undefined,
  }),
  put: () => undefined,
}));

const pixels = {} as Parameters<Heard['onShown']>[0];
const last = () => begun.at(-1);
const finish = () => last()?.heard.onShown(pixels, true);

/** Frames told apart by how many samples they are asked with. */
async function asking() {
  const { askFrame } = await import('./small-frames');
  const done: number[] = [];
  const ask = (samples: number, kind: { first?: boolean; hurried?: boolean } = {}) =>
    askFrame({
      ...({ scene: {}, paper: {}, to: {} } as Pick<
        Parameters<typeof askFrame>[0],
        'scene' | 'paper' | 'to'
      >),
      ...{ samples, widthPx: 1, heightPx: 1, first: false, ...kind },
      onRefused: () => undefined,
      onDone: () => done.push(samples),
    });
  return { ask, done };
}

beforeEach(() => {
  jest.useFakeTimers();
  begun.length = 0;
});
afterEach(() => jest.useRealTimers());

test('one after the other; what one looks at goes before what waits, not before what is begun', async () => {
  const { ask, done } = await asking();
  ask(1);
  ask(2);
  ask(3, { first: true });
  expect(last()).toMatchObject({ samples: 1, halted: false });
  [1, 2, 3].forEach(finish);
  expect(done).toEqual([1, 3, 2]);
});

test('what is hurried is drawn at once, and what was begun begins anew after it', async () => {
  const { ask, done } = await asking();
  ask(1, { first: true });
  ask(2);
  ask(3, { first: true, hurried: true });
  expect(begun.map(({ samples, halted }) => [samples, halted])).toEqual([
    [1, true],
    [3, false],
  ]);
  // A second one in a hurry waits for the first.
  ask(4, { first: true, hurried: true });
  expect(last()).toMatchObject({ samples: 3, halted: false });
  [1, 2, 3, 4].forEach(finish);
  expect(done).toEqual([3, 4, 1, 2]);
});

test('what is no longer wanted leaves the line, begun or put off', async () => {
  const { ask, done } = await asking();
  const leaveFirst = ask(1);
  ask(3, { first: true, hurried: true });
  leaveFirst();
  ask(2);
  const leaveLast = ask(5);
  finish();
  finish();
  expect(last()).toMatchObject({ samples: 5 });
  leaveLast();
  expect(last()).toMatchObject({ samples: 5, halted: true });
  expect(done).toEqual([3, 2]);
});

test('all in the line are seen roughly before one is fine; what is looked at goes before them in both', async () => {
  const { ask, done } = await asking();
  ask(21);
  ask(22);
  const leave = ask(23);
  ask(31, { first: true });
  finish();
  finish();
  // Rough already, and taken back before its fine turn.
  expect(last()).toMatchObject({ samples: 31, shownFrom: 7 });
  [1, 2, 3].forEach(finish);
  expect(done).toEqual([31]);
  leave();
  // One that comes late is seen before the others are fine.
  ask(24);
  [1, 2, 3, 4].forEach(finish);
  expect(begun.map(({ samples, shownFrom }) => [samples, shownFrom])).toEqual([
    ...[
      [6, undefined],
      [6, undefined],
      [31, 7],
    ],
    ...[
      [6, undefined],
      [6, undefined],
    ],
    ...[
      [21, 7],
      [6, undefined],
    ],
    ...[
      [22, 7],
      [24, 7],
    ],
  ]);
  expect(done).toEqual([31, 21, 22, 24]);
});

test('what shows it in a few samples, or is hurried, is drawn once', async () => {
  const { ask, done } = await asking();
  ask(11);
  ask(64, { first: true, hurried: true });
  finish();
  finish();
  expect(begun.map(({ samples }) => samples)).toEqual([11, 64, 11]);
  expect(done).toEqual([64, 11]);
});
