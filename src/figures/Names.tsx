import { memo } from 'react';
import type { Point2 } from '@/core';
import { draftWords } from './Draft';
import { HaloText } from './HaloText';
import { boxAround, boxesAlong, placeLabels, type BoxPx, type LabelWish } from './labels';
import { stationBoxes } from './Route';
import type {
  Canvas,
  PlanChoice,
  PlanDraft,
  PlanGround,
  PlanMark,
  PlanPosition,
  PlanSight,
  PlanStation,
} from './plan-types';
import { textWidthPx } from './text-width';
import { written } from '@/ui/units';

const SIGN_CLEAR_PX = 11;
const CORNER_CLEAR_PX = 8;
/** Things that are named on the plan where there is room; the rest are known by their look. */
const NAMED_KINDS = new Set([
  'stand',
  'hide',
  'trees',
  'tree',
  'backdrop',
  'perch',
  'cover',
  'food',
  'wall',
  'branch',
  'slope',
]);
const MOST_NAMED = 40;
/** Narrower plans have no room for how far it is to walk to each position. */
const WALKS_FROM_PX = 480;

interface NamesProps {
  readonly ground: PlanGround;
  readonly marks: readonly PlanMark[];
  readonly positions: readonly PlanPosition[];
  readonly choice: PlanChoice;
  readonly sight: PlanSight | undefined;
  readonly canvas: Omit<Canvas, 'inks'>;
  /** What is in hand: its corners and figures are left free. */
  readonly draft?: PlanDraft | undefined;
  /** Turns of a route, whose plates are left free too. */
  readonly stations?: readonly PlanStation[] | undefined;
  /** Whether the line of sight has words laid over it: then it has none of its own. */
  readonly wordless?: boolean;
}

function meanPoint(points: readonly Point2[]): Point2 {
  const sum = points.reduce((a, b) => ({ x: a.x + b.x, y: a.y + b.y }));
  return { x: sum.x / points.length, y: sum.y / points.length };
}

/** As long as the legend's line of the sun gets: names stay where they are while it sets. */
const SUN_AT_LONGEST = 'Sun 000° NW, 00° below the horizon';
export const LEGEND_LEFT_PX = 12;
/** A narrower plan has no room for the line of sight in figures: they stand under it. */
export const LEGEND_FROM_PX = 480;

/** Corners of the picture that legend, scale bar, north arrow and the buttons of the plan take. */
const cornersTaken = ({ widthPx, heightPx }: NamesProps['canvas']): readonly BoxPx[] => [
  {
    ...{ left: 0, top: 0, bottom: widthPx >= LEGEND_FROM_PX ? 44 : 26 },
    right: LEGEND_LEFT_PX + textWidthPx(SUN_AT_LONGEST, true),
  },
  { left: 0, right: 110, top: heightPx - 34, bottom: heightPx },
  { left: widthPx - 46, right: widthPx, top: 0, bottom: 66 },
  { left: widthPx - 152, right: widthPx, top: heightPx - 52, bottom: heightPx },
];

/** The line from position to mark, and what else no name may be written over. */
const linesTaken = ({ sight, canvas: { scale } }: NamesProps): readonly BoxPx[] =>
  sight ? boxesAlong(scale.toPx(sight.from), scale.toPx(sight.to)) : [];

/** Corners and figures of what is in hand, and the handle in its middle. */
const draftTaken = ({ draft, canvas: { scale } }: NamesProps): readonly BoxPx[] =>
  draft && draft.points.length > 0
    ? [
        boxAround(scale.toPx(meanPoint(draft.points)), SIGN_CLEAR_PX),
        ...draft.points.map((point) => boxAround(scale.toPx(point), CORNER_CLEAR_PX)),
        ...draftWords(draft, scale).map(({ box }) => box),
      ]
    : [];

/** The tick at twice the distance says what it is. */
const twiceWish = ({ twice }: PlanSight, { scale }: NamesProps['canvas']): LabelWish => ({
  text: '2×',
  at: scale.toPx(twice),
  clearPx: 8,
  must: true,
});

/** Names of marks and positions: of what is chosen, which must be seen, and of the rest. */
function signWishes({ marks, positions, choice, sight, canvas, wordless }: NamesProps) {
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
    ...(sight && !wordless ? [twiceWish(sight, canvas)] : []),
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

/** Names of what is chosen, clear of all signs and of the line between them. */
function placedChosen(props: NamesProps) {
  const { widthPx, heightPx } = props.canvas;
  const { chosen, others } = signWishes(props);
  const signs = others.map(({ at, clearPx }) => boxAround(at, clearPx));
  const taken = [
    ...cornersTaken(props.canvas),
    ...linesTaken(props),
    ...draftTaken(props),
    ...stationBoxes(props.stations ?? [], props.canvas),
    ...signs,
  ];
  return placeLabels(chosen, widthPx, heightPx, taken);
}

/** Where the names of what is chosen stand: words that a step lays over the plan keep clear of them. */
export const namedBoxes = (props: NamesProps): readonly BoxPx[] =>
  placedChosen(props).map(({ box }) => box);

/** Every name of a plan at rest: those of what is chosen first. */
export function placedNames(props: NamesProps) {
  const { widthPx, heightPx } = props.canvas;
  const { chosen, others } = signWishes(props);
  const names = placedChosen(props);
  const taken = [
    ...cornersTaken(props.canvas),
    ...linesTaken(props),
    ...draftTaken(props),
    ...stationBoxes(props.stations ?? [], props.canvas),
    ...chosen.map(({ at, clearPx }) => boxAround(at, clearPx)),
    ...names.map(({ box }) => box),
  ];
  const wishes = [...others, ...thingWishes(props)];
  return { chosen: names, others: placeLabels(wishes, widthPx, heightPx, taken) };
}

/** What is chosen, named wherever it goes. */
export function ChosenNames(props: NamesProps & { readonly canvas: Canvas }) {
  const { inks, widthPx } = props.canvas;
  return placedChosen(props).map(({ box: _box, ...label }) => (
    <HaloText key={label.text} {...label} inks={inks} withinPx={widthPx} />
  ));
}

/** All else, each where there is room. While something is dragged they stay as they are. */
export const OtherNames = memo(
  function OtherNames(props: NamesProps & { readonly canvas: Canvas; readonly moving: boolean }) {
    const { inks, widthPx } = props.canvas;
    return placedNames(props).others.map(({ box: _box, ...label }, i) => (
      <HaloText key={i} {...label} inks={inks} withinPx={widthPx} />
    ));
  },
  (before, after) =>
    before.canvas === after.canvas &&
    (after.moving ||
      (!before.moving &&
        before.ground === after.ground &&
        before.sight === after.sight &&
        before.draft === after.draft &&
        before.stations === after.stations &&
        before.marks === after.marks &&
        before.positions === after.positions &&
        before.choice.markId === after.choice.markId &&
        before.choice.positionId === after.choice.positionId)),
);
