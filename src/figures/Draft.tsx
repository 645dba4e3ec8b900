import { Circle, G, Path } from 'react-native-svg';
import { HaloText } from './HaloText';
import { overlap, type PlacedLabel } from './labels';
import { pathThrough, type PlanScale } from './plan-scale';
import type { Canvas, PlanDraft } from './plan-types';
import { textWidthPx } from './text-width';

const TEXT_PX = 13;
/** Where a figure stands from its point, the first that is free: over it, under it, farther off. */
const FEET_PX = [-9, 9 + TEXT_PX, -9 - TEXT_PX, 9 + 2 * TEXT_PX] as const;

/** The figures of what is in hand, none over another; what finds no room waits for a closer look. */
export function draftWords({ words }: PlanDraft, { toPx }: PlanScale): readonly PlacedLabel[] {
  const placed: PlacedLabel[] = [];
  for (const { at, text } of words) {
    const { x, y: pointY } = toPx(at);
    const half = textWidthPx(text, true) / 2;
    const free = FEET_PX.map((footPx) => {
      const y = pointY + footPx;
      return { text, x, y, box: { left: x - half, right: x + half, top: y - TEXT_PX, bottom: y } };
    }).find(({ box }) => !placed.some((other) => overlap(other.box, box)));
    if (free) placed.push(free);
  }
  return placed;
}

/** What is being drawn, measured or held: in the signal ink, with its figures. */
export function Draft({ draft, canvas }: { readonly draft: PlanDraft; readonly canvas: Canvas }) {
  const { inks, scale, widthPx } = canvas;
  const corners = draft.points.map(scale.toPx);
  return (
    <G>
      <Path
        d={pathThrough(draft.points, scale, draft.closed)}
        fill="none"
        stroke={inks.signal}
        strokeWidth={2.4}
      />
      {corners.map(({ x, y }, i) => (
        <Circle
          key={i}
          cx={x}
          cy={y}
          r={5}
          fill={inks.paper}
          stroke={inks.signal}
          strokeWidth={2.4}
        />
      ))}
      {draftWords(draft, scale).map(({ box: _box, ...word }, i) => (
        <HaloText key={i} {...word} inks={inks} strong withinPx={widthPx} />
      ))}
    </G>
  );
}
