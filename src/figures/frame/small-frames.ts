import type { Asked } from './draw';
import { openFrames, put, type Frames } from './frame-client';
import type { Paper } from './paper';

/**
 * Many small frames by one worker, one after the other: a browser gives a page few drawing contexts. What is asked
 * for stands in a line; what is no longer wanted leaves it.
 */

interface Job extends Asked {
  readonly paper: Paper;
  readonly to: HTMLCanvasElement;
  /** Whether it is what one looks at: then it goes before all others; hurried, before what is begun. */
  readonly first: boolean;
  readonly onRefused: (why: string) => void;
  readonly onDone: () => void;
}

/** The worker goes when nothing was asked for so long. */
const IDLE_MS = 20_000;

let line: readonly Job[] = [];
let working:
  | {
      readonly job: Job;
      /** Takes it out of the line, */
      readonly stop: () => void;
      /** or has it begin anew when its turn comes again. */
      readonly putOff: () => void;
    }
  | undefined;
let frames: Frames | undefined;
let idle: ReturnType<typeof setTimeout>;

function rest(): void {
  idle = setTimeout(() => {
    frames?.close();
    frames = undefined;
  }, IDLE_MS);
}

function work(): void {
  const [job] = line;
  if (!job || working) return;
  clearTimeout(idle);
  const { to, paper, onRefused, onDone } = job;
  const { scene, samples, widthPx, heightPx, hurried } = job;
  let over = false;
  const next = () => {
    over = true;
    line = line.filter((other) => other !== job);
    working = undefined;
    if (line.length > 0) work();
    else rest();
  };
  frames ??= openFrames();
  const asked: Asked = { scene, samples, widthPx, heightPx, ...(hurried && { hurried }) };
  const halt = frames.draw(asked, paper, {
    onShown: (pixels, done) => {
      put(pixels, to);
      if (!done) return;
      onDone();
      next();
    },
    onRefused: (why) => {
      frames?.close();
      frames = undefined;
      onRefused(why);
      next();
    },
  });
  if (over) return;
  working = {
    job,
    stop: () => {
      halt();
      next();
    },
    putOff: () => {
      halt();
      working = undefined;
    },
  };
}

/** Asks for a frame on a canvas; what it gives back takes the asking away. */
export function askFrame(job: Job): () => void {
  const behind = job.hurried ? 0 : line.findIndex(({ first }) => !first);
  const at = job.first && behind >= 0 ? behind : line.length;
  line = [...line.slice(0, at), job, ...line.slice(at)];
  if (job.hurried && !working?.job.hurried) working?.putOff();
  work();
  return () => {
    line = line.filter((other) => other !== job);
    if (working?.job === job) working.stop();
  };
}
