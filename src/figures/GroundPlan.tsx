import { memo, useMemo } from 'react';
import { G, Path, Svg } from 'react-native-svg';
import type { Point2 } from '@/core';
import { useInks, type Inks } from '@/ui/theme';
import { HaloText } from './HaloText';
import { Draft } from './Draft';
import { placeLabels } from './labels';
import { Features, LightField, MarkSign, PositionSign, Sight } from './PlanLayers';
import { scaleBarM, type PlanScale } from './plan-scale';
import { Pins, ScoreField } from './ScoreField';
import type {
  Canvas,
  PlanDraft,
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
/** Things that are named on the plan where there is room; the rest are known by their look. */
const NAMED_KINDS = new Set(['stand', 'hide', 'trees', 'tree', 'backdrop', 'perch', 'wall']);
const MOST_NAMED = 40;

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
  const features = ground.features
    .filter(({ kind, points }) => NAMED_KINDS.has(kind) && points.length > 0)
    .slice(0, MOST_NAMED)
    .map(({ name, points }) => ({
      text: name,
      at: scale.toPx(meanPoint(points)),
      clearPx: 0,
      must: false,
    }))
    .filter(({ at }) => at.x > 0 && at.x < widthPx && at.y > 0 && at.y < heightPx);
  const wishes = [
    ...named.filter(({ must }) => must),
    ...named.filter(({ must }) => !must),
    ...features,
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
  const north = { x: widthPx - 24, y: 30 };
  return (
    <G>
      <Path
        d="M0 14L0 -12M-5 -4L0 -14L5 -4"
        transform={`translate(${north.x} ${north.y}) rotate(${(-scale.upDeg).toFixed(1)})`}
        fill="none"
        stroke={inks.ink}
        strokeWidth={1.6}
      />
      <HaloText x={north.x} y={north.y + 28} text="N" inks={inks} strong withinPx={widthPx} />
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

/** The site to scale: light first, then lines, marks, the line of sight, positions. */
export function GroundPlan({
  ground,
  marks,
  positions,
  light,
  sight,
  scores,
  pins,
  draft,
  scale,
  widthPx,
  heightPx,
  label,
  sheetInks,
}: Signs & {
  readonly ground: PlanGround;
  /** Nothing where no light can be computed. */
  readonly light: PlanLight | undefined;
  readonly sight: PlanSight | undefined;
  /** How good it is to stand where, once searched. */
  readonly scores?: PlanScores | undefined;
  /** The best of these places, by rank. */
  readonly pins?: readonly Point2[] | undefined;
  /** What is being drawn, measured or held. */
  readonly draft?: PlanDraft | undefined;
  readonly scale: PlanScale;
  readonly widthPx: number;
  readonly heightPx: number;
  readonly label: string;
  /** Inks of a sheet for export; those of the scheme in force otherwise. */
  readonly sheetInks?: Inks;
}) {
  const schemeInks = useInks();
  const inks = sheetInks ?? schemeInks;
  const canvas = useMemo(
    () => ({ scale, widthPx, heightPx, inks }),
    [scale, widthPx, heightPx, inks],
  );
  return (
    <Svg
      width={widthPx}
      height={heightPx}
      role="img"
      aria-label={label}
      style={{ overflow: 'visible' }}
    >
      {light ? <LightField light={light} canvas={canvas} /> : null}
      <Features ground={ground} lampsOn={light?.lampsOn ?? false} canvas={canvas} />
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
      {draft ? <Draft draft={draft} canvas={canvas} /> : null}
      <Legend
        lines={[...(sight ? [sight.label] : []), ...(light ? [light.label] : [])]}
        canvas={canvas}
      />
      <NorthAndScale canvas={canvas} />
    </Svg>
  );
}
