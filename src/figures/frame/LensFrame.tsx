import { createElement, useEffect, useRef, useState, type ReactNode } from 'react';
import { View } from 'react-native';
import type { Scene } from '@/core';
import { useInks, type Inks } from '@/ui/theme';
import type { FrameRenderer, Paper } from './renderer';

/** A frame is the mean of so many samples; then it rests. */
const ENOUGH = 96;
/** A card that has drawn a sample by the next frame is quick, and draws so many for the one after. */
const QUICK_MS = 20;
const AT_ONCE = 4;
/** A finer picture than this is not worth its time. */
const MOST_PX_PER_PX = 2;

const shares = (hex: string): readonly [number, number, number] => {
  const of = (from: number) => parseInt(hex.slice(from, from + 2), 16) / 255;
  return [of(1), of(3), of(5)];
};
const brightness = (hex: string) => shares(hex).reduce((a, b) => a + b);

/** The picture's white is the lighter of paper and ink, whichever that is at this brightness. */
function paperOf({ paper, ink }: Inks): Paper {
  const [black, white] = brightness(paper) < brightness(ink) ? [paper, ink] : [ink, paper];
  return { white: shares(white), black: shares(black) };
}

interface Props {
  readonly scene: Scene;
  /** What is seen, for those who do not see it. */
  readonly label: string;
  readonly widthPx: number;
  readonly heightPx: number;
  /** What stands there where the browser can't draw so. */
  readonly instead: (why: string) => ReactNode;
}

/** What the camera takes, drawn sample by sample while nothing moves. */
export function LensFrame({ scene, label, widthPx, heightPx, instead }: Props) {
  const inks = useInks();
  const place = useRef<HTMLDivElement>(null);
  const [renderer, setRenderer] = useState<FrameRenderer>();
  const [refused, setRefused] = useState<string>();

  useEffect(() => {
    const canvas = document.createElement('canvas');
    canvas.style.cssText = 'display:block;width:100%;height:100%';
    let made: FrameRenderer | undefined;
    let left = false;
    import('./renderer')
      .then(({ createFrameRenderer }) => {
        if (left || !place.current) return;
        const sharp = Math.min(MOST_PX_PER_PX, window.devicePixelRatio || 1);
        const [w, h] = [Math.round(widthPx * sharp), Math.round(heightPx * sharp)];
        made = createFrameRenderer(canvas, w, h, paperOf(inks));
        place.current.replaceChildren(canvas);
        setRenderer(made);
      })
      .catch((problem: unknown) => {
        if (!left) setRefused(problem instanceof Error ? problem.message : String(problem));
      });
    return () => {
      left = true;
      setRenderer(undefined);
      made?.dispose();
    };
  }, [widthPx, heightPx, inks]);

  useEffect(() => {
    if (!renderer) return undefined;
    let frame = 0;
    let wait: ReturnType<typeof setTimeout>;
    let askedMs = 0;
    const soon = () => {
      frame = requestAnimationFrame(step);
    };
    const ask = (count: number) => {
      askedMs = performance.now();
      for (let i = 0; i < count; i += 1) renderer.sample();
      soon();
    };
    const step = () => {
      if (askedMs === 0) {
        renderer.load(scene);
        ask(1);
      } else if (!renderer.isDrawn()) soon();
      else if (renderer.samples() < ENOUGH) {
        const tookMs = performance.now() - askedMs;
        // A quick card is asked for more at once; a slow one leaves the page half of the time.
        if (tookMs < QUICK_MS) ask(AT_ONCE);
        else wait = setTimeout(() => ask(1), tookMs);
      }
    };
    soon();
    return () => {
      cancelAnimationFrame(frame);
      clearTimeout(wait);
    };
  }, [renderer, scene]);

  if (refused !== undefined) return instead(refused);
  return (
    <View role="img" aria-label={label} style={{ width: widthPx, height: heightPx }}>
      {createElement('div', { ref: place, style: { width: widthPx, height: heightPx } })}
    </View>
  );
}
