import { createElement, useEffect, useRef, useState, type ReactNode } from 'react';
import { View } from 'react-native';
import type { Scene } from '@/core';
import { useInks } from '@/ui/theme';
import { drawSteadily, paperOf } from './draw';
import type { FrameRenderer } from './renderer';

/** A frame is the mean of so many samples; then it rests. */
const ENOUGH = 96;
/** A finer picture than this is not worth its time. */
const MOST_PX_PER_PX = 2;

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
        made = createFrameRenderer(canvas, paperOf(inks));
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
  }, [inks]);

  useEffect(() => {
    if (!renderer) return undefined;
    const sharp = Math.min(MOST_PX_PER_PX, window.devicePixelRatio || 1);
    return drawSteadily(renderer, {
      ...{ scene, samples: ENOUGH },
      widthPx: Math.round(widthPx * sharp),
      heightPx: Math.round(heightPx * sharp),
    });
  }, [renderer, scene, widthPx, heightPx]);

  if (refused !== undefined) return instead(refused);
  return (
    <View role="img" aria-label={label} style={{ width: widthPx, height: heightPx }}>
      {createElement('div', { ref: place, style: { width: widthPx, height: heightPx } })}
    </View>
  );
}
