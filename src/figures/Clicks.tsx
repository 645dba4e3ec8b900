import { memo } from 'react';
import { G, Rect } from 'react-native-svg';
import { HaloText } from './HaloText';
import type { Canvas, PlanClicks } from './plan-types';

const WIDTH_PX = 30;
const HEIGHT_PX = 20;
/** Beside its point, so that the mark stays in sight. */
const BESIDE_PX = 13;

/** Light of places in clicks from a setting, as a surveyor writes heights: a figure at its point. */
export const Clicks = memo(function Clicks({
  clicks,
  canvas,
}: {
  readonly clicks: readonly PlanClicks[];
  readonly canvas: Canvas;
}) {
  const { inks, scale, widthPx } = canvas;
  return clicks.map(({ at, text }, i) => {
    const { x, y } = scale.toPx(at);
    return (
      <G key={i}>
        <Rect
          x={x + BESIDE_PX}
          y={y - HEIGHT_PX / 2}
          width={WIDTH_PX}
          height={HEIGHT_PX}
          fill={inks.paper}
          stroke={inks.ink}
          strokeWidth={1.2}
        />
        <HaloText
          x={x + BESIDE_PX + WIDTH_PX / 2}
          y={y + 5}
          text={text}
          inks={inks}
          strong
          withinPx={widthPx}
        />
      </G>
    );
  });
});
