import { memo, useMemo, type ReactNode } from 'react';
import { View } from 'react-native';
import { G, Path, Svg } from 'react-native-svg';
import type { Point2 } from '@/core';
import { useInks, type Inks } from '@/ui/theme';
import { HaloText } from './HaloText';
import { Draft } from './Draft';
import { ChosenNames, LEGEND_FROM_PX, LEGEND_LEFT_PX, OtherNames } from './Names';
import {
  Features,
  MarkSign,
  OwnShadow,
  PositionSign,
  Shade,
  Sight,
  SunStrokes,
} from './PlanLayers';
import { scaleBarM, type PlanScale } from './plan-scale';
import { Pins, Probe, ScoreField } from './ScoreField';
import { OVER_LIGHT, Underlay, type PlanUnderlay } from './Underlay';
import type {
  Canvas,
  MarkSun,
  PlanChoice,
  PlanDraft,
  PlanStation,
  PlanGround,
  PlanLight,
  PlanMark,
  PlanPosition,
  PlanScores,
  PlanSight,
} from './plan-types';
import { shownIn } from '@/ui/units';

interface Signs {
  readonly ground: PlanGround;
  readonly marks: readonly PlanMark[];
  readonly positions: readonly PlanPosition[];
  readonly choice: PlanChoice;
}

/** Line of sight and sun in figures, in the corner where they cover nothing. */
function Legend({ lines, canvas }: { readonly lines: readonly string[]; readonly canvas: Canvas }) {
  const { inks } = canvas;
  return lines.map((line, i) => (
    <HaloText
      key={i}
      x={LEGEND_LEFT_PX}
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
  const shown = shownIn('m');
  // A round number of whatever is shown.
  const bar = scaleBarM(scale.pxPerM / shown.each, 90);
  const barPx = (bar / shown.each) * scale.pxPerM;
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
        text={`${bar} ${shown.unit}`}
        inks={inks}
        withinPx={widthPx}
      />
    </G>
  );
});

/** How the sun stands to a mark. */
function sunOn(
  { id }: PlanMark,
  light: PlanLight | undefined,
  inSun: readonly string[] | undefined,
): MarkSun {
  if (!light || !inSun || light.sunStrength <= 0) return 'none';
  return inSun.includes(id) ? light.sunAzimuthDeg : 'shade';
}

/**
 * A sheet of its own: what changes on one is drawn again without the others. Each keeps its
 * picture in the browser, so that a drag paints only what moves.
 */
function Layer({
  widthPx,
  heightPx,
  over,
  children,
}: {
  readonly widthPx: number;
  readonly heightPx: number;
  /** How it lies over what is under it; it covers that when not said. */
  readonly over?: (typeof OVER_LIGHT)[keyof typeof OVER_LIGHT];
  readonly children: ReactNode;
}) {
  return (
    <View
      aria-hidden
      style={{
        position: 'absolute',
        inset: 0,
        willChange: 'transform',
        ...over,
      }}
    >
      <Svg width={widthPx} height={heightPx} style={{ overflow: 'visible' }}>
        {children}
      </Svg>
    </View>
  );
}

/** The site to scale: light first, then lines, marks, the line of sight, positions. */
export function GroundPlan({
  underlay,
  ground,
  marks,
  positions,
  choice,
  moving = false,
  onlyInHand = false,
  light,
  inSun,
  ownShadow,
  sight,
  scores,
  pins,
  probed,
  draft,
  stations,
  scale,
  widthPx,
  heightPx,
  label,
  sheetInks,
}: Signs & {
  /** A picture to trace over. */
  readonly underlay?: PlanUnderlay | undefined;
  /** Whether something is being dragged: the names of what is still then stay where they are. */
  readonly moving?: boolean;
  /** Whether only what is in hand is named: something else is written over the plan. */
  readonly onlyInHand?: boolean;
  /** Nothing where no light can be computed. */
  readonly light: PlanLight | undefined;
  /** Ids of the marks that have the sun on them. */
  readonly inSun?: readonly string[] | undefined;
  /** Of the photographer at the chosen position. */
  readonly ownShadow?: readonly (readonly Point2[])[] | undefined;
  readonly sight: PlanSight | undefined;
  /** How good it is to stand where, once searched. */
  readonly scores?: PlanScores | undefined;
  /** The best of these places, by rank. */
  readonly pins?: readonly Point2[] | undefined;
  /** A point that is asked about. */
  readonly probed?: Point2 | undefined;
  /** What is being drawn, measured or held. */
  readonly draft?: PlanDraft | undefined;
  /** Turns of a route, which something else writes over the plan. */
  readonly stations?: readonly PlanStation[] | undefined;
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
  const size = { widthPx, heightPx };
  return (
    <View role="img" aria-label={label} style={{ width: widthPx, height: heightPx }}>
      <Layer {...size}>{light ? <SunStrokes light={light} canvas={canvas} /> : null}</Layer>
      <Layer {...size}>{light ? <Shade light={light} canvas={canvas} /> : null}</Layer>
      {underlay ? (
        // Light and shade are seen through it.
        <Layer {...size} over={OVER_LIGHT[underlay.on]}>
          <Underlay underlay={underlay} canvas={canvas} />
        </Layer>
      ) : null}
      <Layer {...size}>
        <Features ground={ground} lampsOn={light?.lampsOn ?? false} canvas={canvas} />
        {scores ? <ScoreField scores={scores} canvas={canvas} /> : null}
      </Layer>
      <Layer {...size}>
        {ownShadow ? <OwnShadow shadow={ownShadow} canvas={canvas} /> : null}
        {sight ? <Sight sight={sight} canvas={canvas} /> : null}
        {marks.map((mark) => (
          <MarkSign
            key={mark.id}
            mark={mark}
            chosen={mark.id === choice.markId}
            sun={sunOn(mark, light, inSun)}
            canvas={canvas}
          />
        ))}
        {pins ? <Pins places={pins} canvas={canvas} /> : null}
        {probed ? <Probe at={probed} canvas={canvas} /> : null}
        {positions.map((position) => (
          <PositionSign
            key={position.id}
            position={position}
            chosen={position.id === choice.positionId}
            canvas={canvas}
          />
        ))}
        {onlyInHand ? null : (
          <OtherNames
            {...{ marks, positions, choice, ground, sight, canvas, moving, draft, stations }}
          />
        )}
        <ChosenNames
          {...{ marks, positions, choice, ground, sight, canvas, draft, stations }}
          wordless={onlyInHand}
        />
        {draft ? <Draft draft={draft} canvas={canvas} /> : null}
        <Legend
          lines={[
            ...(sight && widthPx >= LEGEND_FROM_PX ? [sight.label] : []),
            ...(light ? [light.label] : []),
          ]}
          canvas={canvas}
        />
        <NorthAndScale canvas={canvas} />
      </Layer>
    </View>
  );
}
