import { createElement, useEffect, useRef, useState, type ReactNode } from 'react';
import { View } from 'react-native';
import type { Scene } from '@/core';
import { useInks, type Inks } from '@/ui/theme';
import type { FrameRenderer, Paper } from './renderer';

/** A frame is the mean of so many samples; then it rests. */
const ENOUGH = 96;
/** Script is let run so long for samples of one drawn picture. */
const SLICE_MS = 12;
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
    let loaded = false;
    const step = () => {
      if (!loaded) renderer.load(scene);
      loaded = true;
      const until = performance.now() + SLICE_MS;
      do renderer.sample();
      while (performance.now() < until && renderer.samples() < ENOUGH);
      if (renderer.samples() < ENOUGH) frame = requestAnimationFrame(step);
    };
    frame = requestAnimationFrame(step);
    return () => cancelAnimationFrame(frame);
  }, [renderer, scene]);

  if (refused !== undefined) return instead(refused);
  return (
    <View role="img" aria-label={label} style={{ width: widthPx, height: heightPx }}>
      {createElement('div', { ref: place, style: { width: widthPx, height: heightPx } })}
    </View>
  );
}
