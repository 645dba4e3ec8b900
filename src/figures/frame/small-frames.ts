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
  /** Whether it is what one looks at: then it goes before others; hurried, before what is begun. */
  readonly first: boolean;
  readonly onRefused: (why: string) => void;
  readonly onDone: () => void;
}

/** With so many samples it is seen roughly: so are all in the line before one of them is fine. */
const ROUGH = 6;

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
  const { scene, samples, widthPx, heightPx, hurried, shownFrom } = job;
  let over = false;
  const next = () => {
    over = true;
    line = line.filter((other) => other !== job);
    working = undefined;
    if (line.length > 0) work();
    else rest();
  };
  frames ??= openFrames();
  const asked: Asked = {
    ...{ scene, samples, widthPx, heightPx },
    ...(hurried && { hurried }),
    ...(shownFrom !== undefined && { shownFrom }),
  };
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

/** What goes before what: the hurried, then what one looks at, each roughly and then finely, then the others so. */
const rankOf = ({ hurried, first, shownFrom }: Job): number =>
  hurried ? 0 : (first ? 1 : 3) + (shownFrom === undefined ? 0 : 1);

function enter(job: Job): () => void {
  // The newest of the hurried goes before the others.
  const behind = line.findIndex((other) => rankOf(other) > rankOf(job) || job.hurried);
  const at = behind < 0 ? line.length : behind;
  line = [...line.slice(0, at), job, ...line.slice(at)];
  if (job.hurried && !working?.job.hurried) working?.putOff();
  work();
  return () => {
    line = line.filter((other) => other !== job);
    if (working?.job === job) working.stop();
  };
}

/** Asks for a frame on a canvas; what it gives back takes the asking away. */
export function askFrame(job: Job): () => void {
  if (job.hurried || job.samples < 2 * ROUGH) return enter(job);
  let leave = enter({
    ...job,
    samples: ROUGH,
    onDone: () => {
      leave = enter({ ...job, shownFrom: ROUGH + 1 });
    },
  });
  return () => leave();
}
