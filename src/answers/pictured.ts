import {
  following,
  nearestMark,
  type ExposurePlan,
  type HeldLevers,
  type PanOn,
  type PartSmear,
  type Point2,
  type Scene,
} from '@/core';
import { bodyOf } from '@/records/kit';
import type { Shoot } from '@/records/shoot';
import { answerAt, answerIn, type Answer } from './answer';
import { withPlace } from './choose-shot';
import { withHeld } from './take-way';
import { sceneThrough } from './through-lens';
import { toldOr } from './told';
import { viewOf, type Setup, type View } from './view';
import { cropOf } from './wanted';

/** Pictures that could be taken instead: other dials, another place, another body, another hour. */

export interface Pictured {
  readonly view: View;
  readonly answer: Answer;
  readonly scene: Scene;
}

/** The picture of a setup at a minute; nothing where there is no answer. */
export function pictured(setup: Setup, atMs: number): Pictured | undefined {
  const seen = viewOf(setup);
  if (!seen.ok) return undefined;
  const { view } = seen;
  return toldOr(() => picturedIn(setup, view, answerAt(view, setup, atMs), atMs), undefined);
}

/** The picture of a view that is answered already. */
export function picturedIn(setup: Setup, view: View, answer: Answer, atMs: number): Pictured {
  const { settings } = answer.exposure;
  return { view, answer, scene: sceneThrough(setup, view, answer, { settings, atMs }) };
}

/** The picture as it is delivered where the lens does not reach: cropped to the framing wanted. */
export function cropped(picture: Pictured) {
  const crop = cropOf(picture.view);
  if (!crop) return undefined;
  const { keptFraction: share } = crop;
  const window = { right: 0, up: 0, widthShare: share, heightShare: share };
  const { scene } = picture;
  return { ...crop, scene: { ...scene, camera: { ...scene.camera, window } } };
}

/** The same moment with dials held besides those in hand. */
export function dialled(setup: Setup, { view, answer }: Pictured, atMs: number, held: HeldLevers) {
  const choice = { ...setup.choice, held: { ...setup.choice.held, ...held } };
  return picturedIn(setup, view, answerIn(view, choice, answer.light), atMs);
}

/** Times of a ladder before a camera that stands still, from the fast end; a pan has its own, the view's. */
const FREEZE_LADDER_S = [4000, 2000, 1000, 500, 250, 125, 60].map(
  (mark) => nearestMark('shutter', 1 / mark).value,
);
export type LadderKind = 'freeze' | 'pan';

/** One time of a ladder: its picture, and what the core says of it. */
export interface LadderRung extends Pictured {
  readonly shutterS: number;
  /** The part that moves most, or the body that a pan holds, and how it comes out. */
  readonly moved?: PartSmear;
  readonly pan?: PanOn;
}

/** The part that is drawn out most; none where nothing is known to move. */
export const mostMoved = ({ smear = [] }: Pick<ExposurePlan, 'smear'>): PartSmear | undefined =>
  [...smear].sort((a, b) => b.deliveredPx - a.deliveredPx)[0];

/** Slower than this there is nothing to pan with. No source. */
const PANS_FROM_MS = 0.5;
export const hardlyMoves = ({ subject }: Pick<View, 'subject'>): boolean =>
  subject.speedMs < PANS_FROM_MS;

/** Whether there is anything to pan with from here. */
export const canPan = (view: View): boolean => !hardlyMoves(view) && !view.ladder.comesAtYou;

/** The same moment down the shutter's scale: before a camera that stands still, or followed. */
export function ladderOf(
  setup: Setup,
  here: Pictured,
  atMs: number,
  kind: LadderKind,
): readonly LadderRung[] {
  const { view } = here;
  const fastestS = view.body.fastestShutterS;
  const followed = kind === 'pan' ? following(view.running, setup.choice.panSigma) : undefined;
  if (kind === 'pan' && (!followed || !canPan(view))) return [];
  const { pan: _own, ...unfollowed } = here.view.motion;
  const motion =
    kind === 'pan' ? { ...view.running, ...(followed && { pan: followed }) } : unfollowed;
  const seen: View = { ...view, motion };
  const rungs: readonly Partial<PanOn>[] =
    kind === 'pan' ? view.ladder.rungs : FREEZE_LADDER_S.map((shutterS) => ({ shutterS }));
  return rungs.flatMap((on): readonly LadderRung[] => {
    const { shutterS = 0 } = on;
    if (shutterS < fastestS) return [];
    const rung = toldOr(
      () => dialled(setup, { ...here, view: seen }, atMs, { shutterS }),
      undefined,
    );
    if (!rung) return [];
    const { smear = [] } = rung.answer.exposure;
    const moved =
      smear.find(({ role }) => kind === 'pan' && role === 'body') ??
      mostMoved(rung.answer.exposure);
    const asPan = kind === 'pan' ? { pan: on as PanOn } : {};
    return [{ ...rung, shutterS, ...(moved && { moved }), ...asPan }];
  });
}

/** Another picture to lay beside the one chosen, and the shoot if it is taken. */
export interface Beside {
  readonly id: string;
  readonly what:
    | { readonly kind: 'shutter'; readonly faster: boolean }
    | { readonly kind: 'place'; readonly name: string }
    | { readonly kind: 'body'; readonly name: string }
    | { readonly kind: 'silent' };
  /** Nothing where there is no answer. */
  readonly picture: () => Pictured | undefined;
  readonly taken?: (shoot: Shoot) => Shoot;
}

const MOST_PLACES = 5;

/** What can be laid beside a picture: a stop of time for a stop of ISO, other places, the other body, a silent shutter. */
export function besidesOf(setup: Setup, here: Pictured, atMs: number): readonly Beside[] {
  const { body, position } = here.view;
  const { settings } = here.answer.exposure;
  const traded = ([1, -1] as const).flatMap((stops): readonly Beside[] => {
    const shutterS = nearestMark('shutter', settings.shutterS / 2 ** stops).value;
    const iso = nearestMark('iso', settings.iso * 2 ** stops).value;
    if (shutterS < body.fastestShutterS || iso < body.iso.base || iso > body.iso.last) return [];
    const held = { ...setup.choice.held, shutterS, iso };
    return [
      {
        id: stops > 0 ? 'faster' : 'slower',
        what: { kind: 'shutter', faster: stops > 0 },
        picture: () => toldOr(() => dialled(setup, here, atMs, held), undefined),
        taken: (shoot) => withHeld(shoot, held),
      },
    ];
  });
  const { second, bag } = setup.kit;
  const otherBody: readonly Beside[] =
    second && second.bodyId !== setup.kit.bodyId
      ? [
          {
            id: 'body',
            what: { kind: 'body', name: bodyOf({ ...second, bag }).name },
            picture: () =>
              pictured({ ...setup, kit: { ...setup.kit, bodyId: second.bodyId } }, atMs),
            taken: (shoot) => ({ ...shoot, kit: { ...shoot.kit, bodyId: second.bodyId } }),
          },
        ]
      : [];
  const places = setup.positions
    .filter(({ id }) => id !== position.id)
    .slice(0, MOST_PLACES)
    .map(({ id, name }): Beside => ({
      id: `place ${id}`,
      what: { kind: 'place', name },
      picture: () => pictured(withPlace(setup, { positionId: id }), atMs),
      taken: (shoot) => withPlace(shoot, { positionId: id }),
    }));
  const silent: Beside = {
    id: 'silent',
    what: { kind: 'silent' },
    picture: () => ({
      ...here,
      scene: { ...here.scene, camera: { ...here.scene.camera, readoutS: body.silentReadoutS } },
    }),
  };
  return [...traded, ...otherBody, ...places, silent];
}

/** A setup with the position that is chosen put elsewhere. */
export const standingAt = <S extends Pick<Setup, 'positions' | 'choice'>>(
  setup: S,
  { x, y }: Point2,
): S => ({
  ...setup,
  positions: setup.positions.map((entry) =>
    entry.id === setup.choice.positionId ? { ...entry, x, y } : entry,
  ),
});

/** The same place through the hours: so many minutes evenly from the first to the last. */
export const throughHours = (
  setup: Setup,
  { startMs, endMs }: { readonly startMs: number; readonly endMs: number },
  count: number,
): readonly (Pictured & { readonly atMs: number })[] =>
  Array.from(
    { length: count },
    (_, i) => startMs + ((endMs - startMs) * i) / Math.max(1, count - 1),
  )
    .map((atMs) => Math.round(atMs / 60_000) * 60_000)
    .flatMap((atMs) => {
      const then = pictured(setup, atMs);
      return then ? [{ ...then, atMs }] : [];
    });
