import { memo, useMemo } from 'react';
import { Circle, G, Path } from 'react-native-svg';
import { HaloText } from './HaloText';
import type { Point2 } from '@/core';
import type { Canvas, PlanScores } from './plan-types';
import { scoreContours, type ScoreContour } from './score-contours';

/** Lines grow heavier towards the best: each contour's weight, the widest ring first. */
const WEIGHTS_PX = [0.75, 1.25, 2, 3] as const;
/** Each step towards the best is a little darker, so that inside and outside differ. */
const TINT = 0.09;

const ringsPath = ({ rings }: ScoreContour, { scale }: Canvas): string =>
  rings
    .map(
      (ring) =>
        `${ring
          .map((point, i) => {
            const { x, y } = scale.toPx(point);
            return `${i === 0 ? 'M' : 'L'}${x.toFixed(1)} ${y.toFixed(1)}`;
          })
          .join('')}Z`,
    )
    .join('');

/** Scores as contours, heavier and darker where it is better: readable without colour. */
export const ScoreField = memo(function ScoreField({
  scores,
  canvas,
}: {
  readonly scores: PlanScores;
  readonly canvas: Canvas;
}) {
  const lines = useMemo(() => scoreContours(scores), [scores]);
  return lines.map((line, i) => (
    <Path
      key={line.share}
      d={ringsPath(line, canvas)}
      fill={canvas.inks.ink}
      fillOpacity={TINT}
      fillRule="evenodd"
      stroke={canvas.inks.ink}
      strokeWidth={WEIGHTS_PX[i]}
      strokeLinejoin="round"
    />
  ));
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
