import { memo, useMemo } from 'react';
import { Circle, G, Path } from 'react-native-svg';
import { HaloText } from './HaloText';
import type { Point2 } from '@/core';
import type { Canvas, PlanScores } from './plan-types';

/** A dot nearly as wide as its cell is the best on this ground; cells under this share have none. */
const FULL_SHARE = 0.46;
const LEAST = 0.25;
/** Dots are drawn no closer than this, whatever the grid. */
const LEAST_APART_PX = 6;

/** Circles as one path: two half arcs each. */
function dotsPath({ columns, area, score }: PlanScores, { scale }: Canvas): string {
  const best = Math.max(...Array.from(score));
  if (!(best > 0)) return '';
  const every = Math.max(1, Math.ceil(LEAST_APART_PX / (area.stepM * scale.pxPerM)));
  const cellPx = area.stepM * scale.pxPerM * every;
  const rows = Math.floor(score.length / columns);
  let d = '';
  for (let row = Math.floor(every / 2); row < rows; row += every) {
    for (let column = Math.floor(every / 2); column < columns; column += every) {
      const share = (score[row * columns + column] ?? 0) / best;
      if (share < LEAST) continue;
      const { x, y } = scale.toPx({
        x: area.minX + (column + 0.5) * area.stepM,
        y: area.minY + (row + 0.5) * area.stepM,
      });
      // Area, not width, grows with the score, from the least that is drawn.
      const r = cellPx * FULL_SHARE * Math.sqrt((share - LEAST) / (1 - LEAST));
      d += `M${(x - r).toFixed(1)} ${y.toFixed(1)}a${r.toFixed(1)} ${r.toFixed(1)} 0 1 0 ${(2 * r).toFixed(1)} 0a${r.toFixed(1)} ${r.toFixed(1)} 0 1 0 ${(-2 * r).toFixed(1)} 0`;
    }
  }
  return d;
}

/** Scores as dots that grow where it is better: readable without colour. */
export const ScoreField = memo(function ScoreField({
  scores,
  canvas,
}: {
  readonly scores: PlanScores;
  readonly canvas: Canvas;
}) {
  const d = useMemo(() => dotsPath(scores, canvas), [scores, canvas]);
  return <Path d={d} fill={canvas.inks.ink} fillOpacity={0.42} />;
});

const PIN_PX = 10;

/** The best places by their rank. */
export const Pins = memo(function Pins({
  places,
  canvas,
}: {
  readonly places: readonly Point2[];
  readonly canvas: Canvas;
}) {
  const { inks, scale, widthPx } = canvas;
  return places.map((place, i) => {
    const { x, y } = scale.toPx(place);
    return (
      <G key={i}>
        <Circle cx={x} cy={y} r={PIN_PX} fill={inks.paper} stroke={inks.ink} strokeWidth={2} />
        <HaloText x={x} y={y + 4.5} text={String(i + 1)} inks={inks} strong withinPx={widthPx} />
      </G>
    );
  });
});

const PROBE_PX = 9;

/** The point asked about: a cross in a ring. */
export function Probe({ at, canvas }: { readonly at: Point2; readonly canvas: Canvas }) {
  const { inks, scale } = canvas;
  const { x, y } = scale.toPx(at);
  const half = PROBE_PX * 0.6;
  return (
    <G>
      <Circle cx={x} cy={y} r={PROBE_PX} fill={inks.paper} stroke={inks.signal} strokeWidth={2} />
      <Path
        d={`M${x - half} ${y}L${x + half} ${y}M${x} ${y - half}L${x} ${y + half}`}
        stroke={inks.signal}
        strokeWidth={2}
      />
    </G>
  );
}
