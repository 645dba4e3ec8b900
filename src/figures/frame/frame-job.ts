import { transfer } from 'comlink';
import type { Scene } from '@/core';
import { drawSteadily, type Asked } from './draw';
import type { Paper } from './paper';
import type { FrameRenderer, Pixels } from './renderer';

/** A frame as it is asked for from the page: of its scene what differs from the one asked for before. */
export interface Order extends Omit<Asked, 'scene'> {
  readonly id: number;
  readonly changed: Partial<Scene>;
  readonly paper: Paper;
}

/** Told of each picture: of which order, and whether it is that order's last. */
export type OnShown = (id: number, pixels: Pixels, done: boolean) => unknown;

export interface FrameService {
  readonly begin: (onShown: OnShown) => void;
  /** @throws Error where the browser can't draw so, with the reason */
  readonly draw: (order: Order) => void;
  readonly stop: (id: number) => void;
}

/**
 * Draws frames beside the page, one at a time and the newest that was asked for; one that has begun is seen once before
 * it makes way, so that a hand that never rests sees something.
 * @param create makes what draws; throws where the browser can't
 */
export function frameService(create: (paper: Paper) => FrameRenderer): FrameService {
  let tell: OnShown | undefined;
  let renderer: FrameRenderer | undefined;
  let scene: Partial<Scene> = {};
  let drawing: { readonly id: number; readonly stop: () => void; seen: boolean } | undefined;
  let next: { readonly id: number; readonly start: () => void } | undefined;

  const takeUp = () => {
    if (!next || drawing?.seen === false) return;
    const { start } = next;
    next = undefined;
    drawing?.stop();
    drawing = undefined;
    start();
  };
  return {
    begin: (onShown) => {
      tell = onShown;
    },
    draw: ({ id, changed, paper, ...asked }) => {
      scene = { ...scene, ...changed };
      const whole = scene as Scene;
      const made = (renderer ??= create(paper));
      const start = () => {
        made.setPaper(paper);
        const stop = drawSteadily(made, { scene: whole, ...asked }, (done) => {
          const pixels = made.pixels();
          void tell?.(id, transfer(pixels, [pixels.data.buffer]), done);
          if (drawing?.id === id) drawing.seen = true;
          takeUp();
        });
        drawing = { id, stop, seen: false };
      };
      next = { id, start };
      takeUp();
    },
    stop: (id) => {
      if (next?.id === id) next = undefined;
      if (drawing?.id !== id) return;
      drawing.stop();
      drawing = undefined;
      takeUp();
    },
  };
}
