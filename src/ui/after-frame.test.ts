/** @jest-environment jsdom */
import { MessageChannel as Channel } from 'node:worker_threads';
import { afterFrame } from './after-frame';

/** Frames that come when they are told to. */
let frames = new Map<number, () => void>();
const turn = () => new Promise((done) => setTimeout(done, 20));
const drawFrame = async () => {
  const due = [...frames.values()];
  frames = new Map();
  due.forEach((frame) => frame());
  await turn();
};

beforeEach(() => {
  frames = new Map();
  let asked = 0;
  globalThis.MessageChannel = Channel as unknown as typeof MessageChannel;
  globalThis.requestAnimationFrame = (frame) => {
    frames.set((asked += 1), () => frame(0));
    return asked;
  };
  globalThis.cancelAnimationFrame = (frame) => void frames.delete(frame ?? -1);
});

test('a deed waits for the frame, and for its end; it is done once', async () => {
  const said: string[] = [];
  afterFrame(() => said.push('deed'));
  await turn();
  expect(said).toEqual([]);
  requestAnimationFrame(() => said.push('last of the frame'));
  await drawFrame();
  await drawFrame();
  expect(said).toEqual(['last of the frame', 'deed']);
});

test('it can be left undone: before its frame, and while that is drawn', async () => {
  const deed = jest.fn();
  afterFrame(deed)();
  await drawFrame();
  const leave = afterFrame(deed);
  requestAnimationFrame(leave);
  await drawFrame();
  expect(deed).not.toHaveBeenCalled();
});
