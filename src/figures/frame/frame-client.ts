import { proxy, wrap } from 'comlink';
import type { Scene } from '@/core';
import type { Asked } from './draw';
import type { FrameService } from './frame-job';
import type { Paper } from './paper';
import type { Pixels } from './renderer';

/** What comes of a frame that was asked for. */
export interface Heard {
  /** A picture of it, by more samples than the one before; whether it is the last. */
  readonly onShown: (pixels: Pixels, done: boolean) => void;
  /** Why this browser can't draw it. */
  readonly onRefused: (why: string) => void;
}

/** Frames drawn in a worker, one at a time. */
export interface Frames {
  /** Asks for a frame in place of the one before; what it gives back takes the asking away. */
  readonly draw: (asked: Asked, paper: Paper, heard: Heard) => () => void;
  readonly close: () => void;
}

/** What of a scene is another than it was: stands and trees need not be sent with each move of the hand. */
export function changedFrom(before: Partial<Scene>, scene: Scene): Partial<Scene> {
  const names = Object.keys(scene) as (keyof Scene)[];
  return Object.fromEntries(
    names.filter((name) => scene[name] !== before[name]).map((name) => [name, scene[name]]),
  );
}

/** Starts a worker that draws; what is asked of it is refused where the browser has none that can. */
export function openFrames(): Frames {
  if (typeof OffscreenCanvas === 'undefined') return NO_FRAMES;
  const worker = new Worker(new URL('./frame.worker.ts', import.meta.url));
  const service = wrap<FrameService>(worker);
  const asked = new Map<number, Heard>();
  let sent: Partial<Scene> = {};
  let lastId = 0;
  const refused = (id: number, why: string) => {
    asked.get(id)?.onRefused(why);
    asked.delete(id);
  };
  worker.addEventListener('error', ({ message }) =>
    [...asked.keys()].forEach((id) => refused(id, message || 'what draws it can’t be loaded')),
  );
  void service.begin(
    proxy((id, pixels, done) => {
      const heard = asked.get(id);
      // What was asked for before it does not come any more.
      [...asked.keys()].filter((one) => one < id).forEach((one) => asked.delete(one));
      heard?.onShown(pixels, done);
    }),
  );
  return {
    draw: ({ scene, ...frame }, paper, heard) => {
      const id = ++lastId;
      asked.set(id, heard);
      const changed = changedFrom(sent, scene);
      sent = scene;
      service.draw({ ...frame, id, changed, paper }).catch((problem: unknown) => {
        refused(id, problem instanceof Error ? problem.message : String(problem));
      });
      return () => {
        if (asked.delete(id)) void service.stop(id);
      };
    },
    close: () => worker.terminate(),
  };
}

const NO_FRAMES: Frames = {
  draw: (_frame, _paper, { onRefused }) => {
    onRefused('it can’t draw beside the page');
    return () => undefined;
  },
  close: () => undefined,
};

/** Puts a picture on a canvas, which becomes as large as it. */
export function put({ data, widthPx, heightPx }: Pixels, to: HTMLCanvasElement): void {
  if (to.width !== widthPx) to.width = widthPx;
  if (to.height !== heightPx) to.height = heightPx;
  to.getContext('2d')?.putImageData(new ImageData(data, widthPx, heightPx), 0, 0);
}
