import { memo } from 'react';
import type { Point2 } from '@/core';
import { HaloText } from './HaloText';
import { placeLabels, type BoxPx, type LabelWish } from './labels';
import type {
  Canvas,
  PlanChoice,
  PlanGround,
  PlanMark,
  PlanPosition,
  PlanSight,
} from './plan-types';
import { written } from '@/ui/units';

const SIGN_CLEAR_PX = 11;
/** Things that are named on the plan where there is room; the rest are known by their look. */
const NAMED_KINDS = new Set(['stand', 'hide', 'trees', 'tree', 'backdrop', 'perch', 'wall']);
const MOST_NAMED = 40;
/** Narrower plans have no room for how far it is to walk to each position. */
const WALKS_FROM_PX = 480;

interface NamesProps {
  readonly ground: PlanGround;
  readonly marks: readonly PlanMark[];
  readonly positions: readonly PlanPosition[];
  readonly choice: PlanChoice;
  readonly sight: PlanSight | undefined;
  readonly canvas: Canvas;
}

function meanPoint(points: readonly Point2[]): Point2 {
  const sum = points.reduce((a, b) => ({ x: a.x + b.x, y: a.y + b.y }));
  return { x: sum.x / points.length, y: sum.y / points.length };
}

/** Corners of the picture that legend, scale bar and north arrow take. */
const cornersTaken = ({ widthPx, heightPx }: Canvas): readonly BoxPx[] => [
  { left: 0, right: 150, top: 0, bottom: 44 },
  { left: 0, right: 150, top: heightPx - 34, bottom: heightPx },
  { left: widthPx - 40, right: widthPx, top: 8, bottom: 66 },
];

/** The tick at twice the distance says what it is. */
const twiceWish = ({ twice }: PlanSight, { scale }: Canvas): LabelWish => ({
  text: '2×',
  at: scale.toPx(twice),
  clearPx: 8,
  must: true,
});

/** Names of marks and positions: of what is chosen, which must be seen, and of the rest. */
function signWishes({ marks, positions, choice, sight, canvas }: NamesProps) {
  const here = positions.find(({ id }) => id === choice.positionId);
  const wish = (entry: PlanMark | PlanPosition, must: boolean, walk = ''): LabelWish => ({
    text: `${entry.name}${walk}`,
    at: canvas.scale.toPx(entry),
    clearPx: SIGN_CLEAR_PX,
    must,
  });
  const all = [
    ...positions.map((entry) =>
      wish(
        entry,
        entry.id === choice.positionId,
        here && entry !== here && canvas.widthPx > WALKS_FROM_PX
          ? `, ${written(Math.hypot(entry.x - here.x, entry.y - here.y), 'm', 0)} walk`
          : '',
      ),
    ),
    ...marks.map((entry) => wish(entry, entry.id === choice.markId)),
    ...(sight ? [twiceWish(sight, canvas)] : []),
  ];
  return { chosen: all.filter(({ must }) => must), others: all.filter(({ must }) => !must) };
}

function thingWishes({ ground, canvas }: NamesProps): readonly LabelWish[] {
  const { scale, widthPx, heightPx } = canvas;
  return ground.features
    .filter(({ kind, points }) => NAMED_KINDS.has(kind) && points.length > 0)
    .slice(0, MOST_NAMED)
    .map(({ name, points }) => ({
      text: name,
      at: scale.toPx(meanPoint(points)),
      clearPx: 0,
      must: false,
    }))
    .filter(({ at }) => at.x > 0 && at.x < widthPx && at.y > 0 && at.y < heightPx);
}

/** What is chosen, named wherever it goes. */
export function ChosenNames(props: NamesProps) {
  const { inks, widthPx, heightPx } = props.canvas;
  const { chosen, others } = signWishes(props);
  const points = others.map(({ at: { x, y } }) => ({
    left: x - SIGN_CLEAR_PX,
    right: x + SIGN_CLEAR_PX,
    top: y - SIGN_CLEAR_PX,
    bottom: y + SIGN_CLEAR_PX,
  }));
  const taken = [...cornersTaken(props.canvas), ...points];
  return placeLabels(chosen, widthPx, heightPx, taken).map((label, i) => (
    <HaloText key={i} {...label} inks={inks} withinPx={widthPx} />
  ));
}

/** All else, each where there is room. While something is dragged they stay as they are. */
export const OtherNames = memo(
  function OtherNames(props: NamesProps & { readonly moving: boolean }) {
    const { inks, widthPx, heightPx } = props.canvas;
    const { chosen, others } = signWishes(props);
    const wishes = [...chosen, ...others, ...thingWishes(props)];
    return placeLabels(wishes, widthPx, heightPx, cornersTaken(props.canvas))
      .slice(chosen.length)
      .map((label, i) => <HaloText key={i} {...label} inks={inks} withinPx={widthPx} />);
  },
  (before, after) =>
    before.canvas === after.canvas &&
    (after.moving ||
      (!before.moving &&
        before.ground === after.ground &&
        before.sight === after.sight &&
        before.marks === after.marks &&
        before.positions === after.positions &&
        before.choice.markId === after.choice.markId &&
        before.choice.positionId === after.choice.positionId)),
);
