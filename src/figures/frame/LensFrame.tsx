import { createElement, useEffect, useRef, useState, type ReactNode } from 'react';
import { View } from 'react-native';
import type { Scene } from '@/core';
import { useInks } from '@/ui/theme';
import { openFrames, put, type Frames } from './frame-client';
import { paperOf } from './paper';

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
  const place = useRef<HTMLCanvasElement>(null);
  const frames = useRef<Frames>(undefined);
  const [refused, setRefused] = useState<string>();

  useEffect(() => {
    const opened = openFrames();
    frames.current = opened;
    return () => opened.close();
  }, []);

  useEffect(() => {
    const sharp = Math.min(MOST_PX_PER_PX, window.devicePixelRatio || 1);
    const size = {
      widthPx: Math.round(widthPx * sharp),
      heightPx: Math.round(heightPx * sharp),
    };
    // Not taken back when another is asked for: what has begun is seen first.
    frames.current?.draw({ scene, samples: ENOUGH, ...size }, paperOf(inks), {
      onShown: (pixels) => place.current && put(pixels, place.current),
      onRefused: setRefused,
    });
  }, [scene, widthPx, heightPx, inks]);

  if (refused !== undefined) return instead(refused);
  return (
    <View role="img" aria-label={label} style={{ width: widthPx, height: heightPx }}>
      {createElement('canvas', { ref: place, style: { width: widthPx, height: heightPx } })}
    </View>
  );
}
