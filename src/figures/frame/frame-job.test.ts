import type { Scene } from '@/core';
import { changedFrom } from './frame-client';
import { frameService, type Order } from './frame-job';
import type { Paper } from './paper';
import type { FrameRenderer } from './renderer';

const PAPER: Paper = { white: [1, 1, 1], black: [0, 0, 0] };
const solids: Scene['solids'] = [];
const scene = (shutterS: number) => ({ camera: { shutterS }, solids }) as unknown as Scene;

/** A renderer that has drawn whatever is asked of it by the next turn. */
function rendererOf() {
  const loaded: Scene[] = [];
  let samples = 0;
  const renderer: FrameRenderer = {
    setPaper: () => undefined,
    load: (next) => {
      loaded.push(next);
      samples = 0;
    },
    ready: async () => undefined,
    cast: () => undefined,
    sample: () => {
      samples += 1;
    },
    show: () => undefined,
    pixels: () => ({ data: new Uint8ClampedArray(4), widthPx: 1, heightPx: 1 }),
    samples: () => samples,
    isDrawn: () => true,
    linear: () => new Float32Array(4),
    dispose: () => undefined,
  };
  return { renderer, loaded, samples: () => samples };
}

const order = (id: number, changed: Partial<Scene>): Order => ({
  ...{ id, changed, paper: PAPER, widthPx: 1, heightPx: 1, samples: 40, hurried: true },
});

function started() {
  const { renderer, loaded, samples } = rendererOf();
  const service = frameService(() => renderer);
  const shown: [number, boolean][] = [];
  service.begin((id, _pixels, done) => shown.push([id, done]));
  return { service, loaded, shown, samples };
}

beforeEach(() => jest.useFakeTimers());
afterEach(() => jest.useRealTimers());

const later = (ms = 1000) => jest.advanceTimersByTimeAsync(ms);

test('a frame is shown as it grows, and its last picture says so', async () => {
  const { service, shown } = started();
  service.draw(order(1, scene(1)));
  await later();
  expect(shown.length).toBeGreaterThan(2);
  expect(shown.slice(0, -1).every(([id, done]) => id === 1 && !done)).toBe(true);
  expect(shown.at(-1)).toEqual([1, true]);
});

test('what stands there already is not shown again with fewer samples', async () => {
  const { service, shown, samples } = started();
  const drawn: number[] = [];
  service.begin((id, _pixels, done) => {
    drawn.push(samples());
    shown.push([id, done]);
  });
  service.draw({ ...order(1, scene(1)), shownFrom: 7 });
  await later();
  expect(Math.min(...drawn)).toBeGreaterThanOrEqual(7);
  expect(Math.min(...drawn)).toBeLessThan(40);
  expect(shown.at(-1)).toEqual([1, true]);
});

test('of many asked for at once the first is seen once, then the newest: none between, none after', async () => {
  const { service, loaded, shown } = started();
  [1, 2, 3, 4].forEach((id) => service.draw(order(id, scene(id))));
  await later();
  expect(shown.filter(([id]) => id === 1)).toEqual([[1, false]]);
  expect(shown.some(([id]) => id === 2 || id === 3)).toBe(false);
  expect(shown.at(-1)).toEqual([4, true]);
  expect(loaded.map(({ camera }) => camera.shutterS)).toEqual([1, 4]);
});

test('what is taken back is not drawn, begun or not; what else was asked for is', async () => {
  const { service, shown } = started();
  service.draw(order(1, scene(1)));
  service.draw(order(2, scene(2)));
  service.stop(2);
  service.stop(1);
  service.draw(order(3, scene(3)));
  await later();
  expect(new Set(shown.map(([id]) => id))).toEqual(new Set([3]));
});

test('one taken back makes way for the one that waits', async () => {
  const { service, shown } = started();
  service.draw(order(1, scene(1)));
  service.draw(order(2, scene(2)));
  service.stop(1);
  await later();
  expect(new Set(shown.map(([id]) => id))).toEqual(new Set([2]));
});

test('a scene is put together from what is new in it and what was sent before', async () => {
  const { service, loaded } = started();
  const [first, second] = [scene(1), scene(2)];
  expect(changedFrom({}, first)).toEqual(first);
  const changed = changedFrom(first, second);
  expect(Object.keys(changed)).toEqual(['camera']);
  service.draw(order(1, first));
  await later();
  service.draw(order(2, changed));
  await later();
  expect(loaded.at(-1)).toEqual(second);
  expect(loaded.at(-1)?.solids).toBe(loaded[0]?.solids);
});

test('why nothing can be drawn is thrown to who asks', () => {
  const service = frameService(() => {
    throw new Error('no WebGL 2');
  });
  expect(() => service.draw(order(1, scene(1)))).toThrow('no WebGL 2');
});
