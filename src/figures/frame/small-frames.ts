import { drawSteadily, type Asked } from './draw';
import type { FrameRenderer, Paper } from './renderer';

/**
 * Many small frames by one renderer, one after the other: a browser gives a page few drawing contexts. What is asked
 * for stands in a line; what is no longer wanted leaves it.
 */

interface Job extends Asked {
  readonly paper: Paper;
  readonly to: HTMLCanvasElement;
  /** Whether it is what one looks at: then it goes before all others. */
  readonly first: boolean;
  readonly onRefused: (why: string) => void;
  readonly onDone: () => void;
}

/** The renderer goes when nothing was asked for so long. */
const IDLE_MS = 20_000;

let line: readonly Job[] = [];
let working: { readonly job: Job; readonly stop: () => void } | undefined;
let renderer: Promise<FrameRenderer> | undefined;
let source: HTMLCanvasElement | undefined;
let idle: ReturnType<typeof setTimeout>;

function rendererOf(paper: Paper): Promise<FrameRenderer> {
  renderer ??= import('./renderer').then(({ createFrameRenderer }) => {
    source = document.createElement('canvas');
    return createFrameRenderer(source, paper);
  });
  return renderer;
}

function rest(): void {
  idle = setTimeout(() => {
    void renderer?.then(
      (made) => made.dispose(),
      () => undefined,
    );
    renderer = undefined;
    source = undefined;
  }, IDLE_MS);
}

async function work(): Promise<void> {
  const [job] = line;
  if (!job || working) return;
  clearTimeout(idle);
  let stopped = false;
  working = {
    job,
    stop: () => {
      stopped = true;
    },
  };
  const next = () => {
    line = line.filter((other) => other !== job);
    working = undefined;
    if (line.length > 0) void work();
    else rest();
  };
  try {
    const made = await rendererOf(job.paper);
    if (stopped) return next();
    made.setPaper(job.paper);
    const { widthPx, heightPx, to } = job;
    const pen = to.getContext('2d');
    const halt = drawSteadily(made, job, (done) => {
      if (to.width !== widthPx) to.width = widthPx;
      if (to.height !== heightPx) to.height = heightPx;
      if (source) pen?.drawImage(source, 0, 0);
      if (done) {
        job.onDone();
        next();
      }
    });
    working = {
      job,
      stop: () => {
        halt();
        next();
      },
    };
  } catch (problem) {
    renderer = undefined;
    job.onRefused(problem instanceof Error ? problem.message : String(problem));
    next();
  }
}

/** Asks for a frame on a canvas; what it gives back takes the asking away. */
export function askFrame(job: Job): () => void {
  const behind = line.findIndex(({ first }) => !first);
  const at = job.first && behind >= 0 ? behind : line.length;
  line = [...line.slice(0, at), job, ...line.slice(at)];
  void work();
  return () => {
    line = line.filter((other) => other !== job);
    if (working?.job === job) working.stop();
  };
}
