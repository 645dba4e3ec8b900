import { createElement, useEffect, useRef, useState } from 'react';
import { View } from 'react-native';
import type { Scene } from '@/core';
import { Text } from '@/ui/Text';
import { useInks } from '@/ui/theme';
import { paperOf } from './paper';
import { askFrame } from './small-frames';

/** Enough for a small picture to be smooth. */
const ENOUGH = 24;
const MOST_PX_PER_PX = 2;

/** A frame among others: drawn in its turn, and left as it is. */
export function SmallFrame({
  scene,
  label,
  widthPx,
  heightPx,
  samples = ENOUGH,
  sharp = MOST_PX_PER_PX,
  first = false,
}: {
  readonly scene: Scene;
  /** What is seen, for those who do not see it; none where words beside it say so. */
  readonly label?: string;
  readonly widthPx: number;
  readonly heightPx: number;
  readonly samples?: number;
  /** Drawn pixels for one of the page, at most. */
  readonly sharp?: number;
  /** Whether it goes before the others: it is what one looks at. */
  readonly first?: boolean;
}) {
  const inks = useInks();
  const place = useRef<HTMLCanvasElement>(null);
  const [refused, setRefused] = useState<string>();
  const [done, setDone] = useState<Scene>();
  useEffect(() => {
    const to = place.current;
    if (!to) return undefined;
    const scale = Math.min(sharp, window.devicePixelRatio || 1);
    return askFrame({
      ...{ scene, samples, to, first, onRefused: setRefused, onDone: () => setDone(scene) },
      paper: paperOf(inks),
      widthPx: Math.max(1, Math.round(widthPx * scale)),
      heightPx: Math.max(1, Math.round(heightPx * scale)),
    });
  }, [scene, widthPx, heightPx, samples, sharp, first, inks]);
  const size = { width: widthPx, height: heightPx };
  if (refused !== undefined) {
    return (
      <View style={size} className="items-center justify-center border border-line">
        <Text kind="tiny" ink="quiet" className="text-center">{`Not drawn: ${refused}`}</Text>
      </View>
    );
  }
  return (
    <View
      {...(label === undefined ? { 'aria-hidden': true } : { role: 'img', 'aria-label': label })}
      aria-busy={done !== scene}
      style={size}
      className="bg-line"
    >
      {createElement('canvas', { ref: place, style: { ...size, display: 'block' } })}
    </View>
  );
}
