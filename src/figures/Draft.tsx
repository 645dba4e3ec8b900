import { Circle, G, Path } from 'react-native-svg';
import { HaloText } from './HaloText';
import { pathThrough } from './plan-scale';
import type { Canvas, PlanDraft } from './plan-types';

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
      {draft.words.map(({ at, text }, i) => {
        const { x, y } = scale.toPx(at);
        return (
          <HaloText key={i} x={x} y={y - 9} text={text} inks={inks} strong withinPx={widthPx} />
        );
      })}
    </G>
  );
}
