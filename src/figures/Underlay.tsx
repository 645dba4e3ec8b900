import { memo } from 'react';
import { Image } from 'react-native-svg';
import { spotOnGround, type LaidPicture } from '@/core';
import type { Brightness } from '@/ui/theme';
import type { Canvas } from './plan-types';

/** A picture under the plan: where it is fetched, how it lies, how much of it is seen. */
export interface PlanUnderlay {
  readonly href: string;
  readonly laid: LaidPicture;
  readonly opacity: number;
  /** What it lies on. */
  readonly on: Brightness;
}

/** How a picture lies over light and shade: on dark paper it shines, and in the hide in amber alone. */
export const OVER_LIGHT = {
  day: { mixBlendMode: 'multiply' },
  dusk: { mixBlendMode: 'screen' },
  hide: { mixBlendMode: 'screen', filter: 'grayscale(1) sepia(1) hue-rotate(-18deg) saturate(2)' },
} as const satisfies Readonly<Record<Brightness, object>>;

/** The picture as it lies on the ground, under all lines and signs. */
export const Underlay = memo(function Underlay({
  underlay,
  canvas,
}: {
  readonly underlay: PlanUnderlay;
  readonly canvas: Canvas;
}) {
  const { href, laid, opacity } = underlay;
  const { scale } = canvas;
  const corner = scale.toPx(spotOnGround(laid, { across: 0, down: 0 }));
  const widthPx = laid.widthM * scale.pxPerM;
  const turnDeg = laid.topDeg - scale.upDeg;
  return (
    <Image
      href={href}
      width={widthPx}
      height={widthPx * laid.aspect}
      preserveAspectRatio="none"
      opacity={opacity}
      transform={`translate(${corner.x.toFixed(2)} ${corner.y.toFixed(2)}) rotate(${turnDeg.toFixed(3)})`}
    />
  );
});
