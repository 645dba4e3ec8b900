import type { Scene } from '@/core';
import type { FrameRenderer } from './renderer';

/** Frames drawn sample by sample, as fast as the card allows and the page can bear. */

/** As many samples are asked for at once as were last drawn in this time: small frames take little each. */
const SLICE_MS = 24;
const MOST_AT_ONCE = 16;
/** With so many times the samples it is shown again: what few more samples change is not seen. */
const SHOWN_AGAIN = 1.3;
/** How often it is asked whether the card is done. */
const ASKED_AGAIN_MS = 2;

/** What is drawn: a scene, so large in pixels of the screen, as the mean of so many samples. */
export interface Asked {
  readonly scene: Scene;
  readonly widthPx: number;
  readonly heightPx: number;
  readonly samples: number;
  /** Whether somebody waits for it: then a slow card does not leave the page its half. */
  readonly hurried?: boolean;
  /** Of how many samples it is when it is first shown: more than what stands there; else of one. */
  readonly shownFrom?: number;
}

/**
 * Draws a scene until it is done or told to stop; on a thread of its own, which it holds up.
 * @param onShown called when more samples are seen, with whether that was the last
 * @returns what stops it
 */
export function drawSteadily(
  renderer: FrameRenderer,
  { scene, widthPx, heightPx, samples, hurried = false, shownFrom = 1 }: Asked,
  onShown: (done: boolean) => void,
): () => void {
  let wait: ReturnType<typeof setTimeout>;
  let askedMs = 0;
  let stopped = false;
  let showFrom = shownFrom;
  let asked = 1;
  const soon = () => {
    wait = setTimeout(step, ASKED_AGAIN_MS);
  };
  const ask = (count: number) => {
    askedMs = performance.now();
    asked = Math.min(count, samples - renderer.samples());
    for (let i = 0; i < asked; i += 1) renderer.sample();
    soon();
  };
  const step = () => {
    if (!renderer.isDrawn()) soon();
    else {
      const done = renderer.samples() >= samples;
      if (done || renderer.samples() >= showFrom) {
        showFrom = Math.ceil(renderer.samples() * SHOWN_AGAIN);
        renderer.show();
        onShown(done);
      }
      if (done || stopped) return;
      const tookMs = performance.now() - askedMs;
      const next = Math.round((asked * SLICE_MS) / Math.max(1, tookMs));
      // A slow card leaves the page half of the time.
      if (next >= 1 || hurried) ask(Math.min(MOST_AT_ONCE, Math.max(1, next)));
      else wait = setTimeout(() => ask(1), tookMs);
    }
  };
  renderer.load(scene, widthPx, heightPx);
  void renderer.ready().then(() => {
    if (stopped) return;
    renderer.cast();
    ask(1);
  });
  return () => {
    stopped = true;
    clearTimeout(wait);
  };
}
