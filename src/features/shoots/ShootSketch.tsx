import { Circle, Path, Svg } from 'react-native-svg';
import { FEATURE_SHAPE } from '@/core';
import { planExtent, planGround } from '@/features/plan/drawing';
import { fitView, pathThrough, scaleOf } from '@/figures/plan-scale';
import type { Shoot } from '@/records/shoot';
import { useInks } from '@/ui/theme';

const PADDING_PX = 4;

/** A shoot's ground at the size of a stamp, to know it by. */
export function ShootSketch({ shoot, sizePx }: { readonly shoot: Shoot; readonly sizePx: number }) {
  const inks = useInks();
  const ground = planGround(shoot);
  const extent = planExtent(ground, shoot);
  const scale = scaleOf(fitView(extent, sizePx, sizePx, { paddingPx: PADDING_PX }), sizePx, sizePx);
  const solid = ground.features.filter(({ kind }) => FEATURE_SHAPE[kind] === 'area');
  const lines = [
    ...ground.lines.map(({ points }) => points),
    ...ground.features
      .filter(({ kind }) => FEATURE_SHAPE[kind] === 'line')
      .map(({ points }) => points),
  ];
  return (
    <Svg width={sizePx} height={sizePx} style={{ flexShrink: 0 }} aria-hidden>
      <Path
        d={lines.map((points) => pathThrough(points, scale)).join('')}
        fill="none"
        stroke={inks.ink}
        strokeWidth={0.8}
      />
      <Path
        d={solid.map(({ points }) => pathThrough(points, scale, true)).join('')}
        fill={inks.line}
        fillOpacity={0.5}
        stroke={inks.ink}
        strokeWidth={0.8}
      />
      {shoot.positions.map((position) => {
        const { x, y } = scale.toPx(position);
        return <Circle key={position.id} cx={x} cy={y} r={2.4} fill={inks.signal} />;
      })}
    </Svg>
  );
}
