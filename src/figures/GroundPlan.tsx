import { memo, useMemo } from 'react';
import { G, Path, Svg } from 'react-native-svg';
import type { Point2 } from '@/core';
import { useInks } from '@/ui/theme';
import { HaloText } from './HaloText';
import { placeLabels } from './labels';
import { Features, LightField, MarkSign, PositionSign, Sight } from './PlanLayers';
import { scaleBarM, type PlanScale } from './plan-scale';
import { Pins, ScoreField } from './ScoreField';
import type {
  Canvas,
  PlanGround,
  PlanLight,
  PlanMark,
  PlanPosition,
  PlanScores,
  PlanSight,
} from './plan-types';

function meanPoint(points: readonly Point2[]): Point2 {
  const sum = points.reduce((a, b) => ({ x: a.x + b.x, y: a.y + b.y }));
  return { x: sum.x / points.length, y: sum.y / points.length };
}

const SIGN_CLEAR_PX = 11;

interface Signs {
  readonly marks: readonly PlanMark[];
  readonly positions: readonly PlanPosition[];
}

/** Names of what is chosen first, then of the rest, each where there is room. */
const Names = memo(function Names({
  marks,
  positions,
  ground,
  canvas,
}: Signs & { readonly ground: PlanGround; readonly canvas: Canvas }) {
  const { scale, widthPx, heightPx, inks } = canvas;
  const named = [...positions, ...marks].map((entry) => ({
    text: entry.name,
    at: scale.toPx(entry),
    clearPx: SIGN_CLEAR_PX,
    must: entry.chosen,
  }));
  const obstacles = ground.obstacles.map(({ name, footprint }) => ({
    text: name,
    at: scale.toPx(meanPoint(footprint)),
    clearPx: 0,
    must: false,
  }));
  const wishes = [
    ...named.filter(({ must }) => must),
    ...named.filter(({ must }) => !must),
    ...obstacles,
  ];
  const legend = { left: 0, right: LEGEND_WIDTH_PX, top: 0, bottom: LEGEND_HEIGHT_PX };
  const scaleBar = { left: 0, right: LEGEND_WIDTH_PX, top: heightPx - 34, bottom: heightPx };
  const north = { left: widthPx - 40, right: widthPx, top: 8, bottom: 66 };
  return placeLabels(wishes, widthPx, heightPx, [legend, scaleBar, north]).map((label, i) => (
    <HaloText key={i} {...label} inks={inks} withinPx={widthPx} />
  ));
});

const LEGEND_WIDTH_PX = 150;
const LEGEND_HEIGHT_PX = 44;

/** Line of sight and sun in figures, in the corner where they cover nothing. */
function Legend({ lines, canvas }: { readonly lines: readonly string[]; readonly canvas: Canvas }) {
  const { inks } = canvas;
  return lines.map((line, i) => (
    <HaloText
      key={i}
      x={12}
      y={20 + 18 * i}
      text={line}
      inks={inks}
      strong={i === 0}
      anchor="start"
      withinPx={canvas.widthPx}
    />
  ));
}

const NorthAndScale = memo(function NorthAndScale({ canvas }: { readonly canvas: Canvas }) {
  const { inks, scale, heightPx, widthPx } = canvas;
  const barM = scaleBarM(scale.pxPerM, 90);
  const barPx = barM * scale.pxPerM;
  const north = { x: widthPx - 22, y: 44 };
  return (
    <G>
      <Path
        d={`M${north.x} ${north.y}L${north.x} ${north.y - 26}M${north.x - 5} ${north.y - 18}L${north.x} ${north.y - 28}L${north.x + 5} ${north.y - 18}`}
        fill="none"
        stroke={inks.ink}
        strokeWidth={1.6}
      />
      <HaloText x={north.x} y={north.y + 14} text="N" inks={inks} strong withinPx={widthPx} />
      <Path
        d={`M12 ${heightPx - 18}L12 ${heightPx - 12}L${12 + barPx} ${heightPx - 12}L${12 + barPx} ${heightPx - 18}`}
        fill="none"
        stroke={inks.ink}
        strokeWidth={1.4}
      />
      <HaloText
        x={12 + barPx / 2}
        y={heightPx - 18}
        text={`${barM} m`}
        inks={inks}
        withinPx={widthPx}
      />
    </G>
  );
});

/** The site to scale, north up: light first, then lines, marks, the line of sight, positions. */
export function GroundPlan({
  ground,
  marks,
  positions,
  light,
  sight,
  scores,
  pins,
  scale,
  widthPx,
  heightPx,
  label,
}: Signs & {
  readonly ground: PlanGround;
  readonly light: PlanLight;
  readonly sight: PlanSight | undefined;
  /** How good it is to stand where, once searched. */
  readonly scores?: PlanScores | undefined;
  /** The best of these places, by rank. */
  readonly pins?: readonly Point2[] | undefined;
  readonly scale: PlanScale;
  readonly widthPx: number;
  readonly heightPx: number;
  readonly label: string;
}) {
  const inks = useInks();
  const canvas = useMemo(
    () => ({ scale, widthPx, heightPx, inks }),
    [scale, widthPx, heightPx, inks],
  );
  return (
    <Svg width={widthPx} height={heightPx} role="img" aria-label={label}>
      <LightField light={light} canvas={canvas} />
      <Features ground={ground} lampsOn={light.lampsOn} canvas={canvas} />
      {scores ? <ScoreField scores={scores} canvas={canvas} /> : null}
      {sight ? <Sight sight={sight} canvas={canvas} /> : null}
      {marks.map((mark) => (
        <MarkSign key={mark.id} mark={mark} canvas={canvas} />
      ))}
      {pins ? <Pins places={pins} canvas={canvas} /> : null}
      {positions.map((position) => (
        <PositionSign key={position.id} position={position} canvas={canvas} />
      ))}
      <Names marks={marks} positions={positions} ground={ground} canvas={canvas} />
      <Legend lines={[...(sight ? [sight.label] : []), light.label]} canvas={canvas} />
      <NorthAndScale canvas={canvas} />
    </Svg>
  );
}
