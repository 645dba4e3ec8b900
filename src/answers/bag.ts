import {
  fillIsWeak,
  focalRange,
  framedFrom,
  slopeIn,
  refusals,
  type Refusal,
  withConverter,
  type Combination,
  type Framed,
} from '@/core';
import { limitsOn } from './scored';
import { viewOf, type Setup } from './view';
import type { Body } from '@/presets/bodies';
import { LENSES, type Converter, type LensPreset } from '@/presets/lenses';
import type { Shot } from '@/records/brief';
import { bodyFrom, bodyOf, itemsOf, lensFrom, lensOf, type Kit } from '@/records/kit';
import { subjectOf } from '@/records/own-subject';
import type { Position, Shoot } from '@/records/shoot';

/** Whether the bag can serve each promised shot, and what would. */

/** A lens of the bag, converter and all, on one of its bodies. */
export interface Worn extends Combination {
  readonly name: string;
  readonly body: Body;
  /** As it is taken in the hands. */
  readonly hands: Pick<Kit, 'bodyId' | 'lensId' | 'converter'>;
}

const factorsOf = (kit: Shoot['kit'], lens: LensPreset): readonly Converter[] =>
  lens.takesConverter
    ? [1, ...new Set(itemsOf(kit, 'converter').map(({ factor }) => factor))]
    : [1];

const wornOf = (body: Body, lens: LensPreset, factor: Converter, several: boolean): Worn => ({
  name: `${lens.name}${factor > 1 ? ` with ${factor}x` : ''}${several ? ` on the ${body.name}` : ''}`,
  body,
  lens: withConverter(lens, factor),
  sensor: body.sensor,
  hands: { bodyId: body.id, lensId: lens.id, converter: factor },
});

/** What is in the hands, and every lens of the bag with every converter on every body of it. */
export function combinationsOf(kit: Shoot['kit']): readonly Worn[] {
  const bodies = itemsOf(kit, 'body').map(bodyFrom);
  const lenses = itemsOf(kit, 'lens').map(lensFrom);
  const several = bodies.length > 1;
  const hands = wornOf(bodyOf(kit), lensOf(kit), kit.converter, several);
  const all = (bodies.length > 0 ? bodies : [bodyOf(kit)]).flatMap((body) =>
    lenses.flatMap((lens) =>
      factorsOf(kit, lens).map((factor) => wornOf(body, lens, factor, several)),
    ),
  );
  return all.some(({ name }) => name === hands.name) ? all : [hands, ...all];
}

/** A shot and the best that the bag makes of it from any position. */
export interface ShotServed {
  readonly shot: Shot;
  /** As wanted, somewhat larger, or with a crop that leaves enough of it. */
  readonly served: boolean;
  /** It takes a crop. */
  readonly cropped: boolean;
  readonly position: Position;
  readonly worn: Worn;
  readonly framed: Framed;
  /** Why one may not stand there; only where no other place would do. */
  readonly refusals: readonly Refusal[];
}

interface Framing {
  readonly framed: Framed;
  readonly shot: Shot;
}

/** Whether a framing will do: as wanted, somewhat larger, or with a crop that leaves enough of it. */
const serves = ({ framed: { verdict, fill }, shot }: Framing): boolean =>
  verdict === 'frames' || (verdict !== 'tooNear' && !fillIsWeak(fill, shot.fill));

/** As wanted, then what serves all the same, then what does not. */
function orderOf(framing: Framing): number {
  const { verdict } = framing.framed;
  if (verdict === 'frames') return 0;
  if (serves(framing)) return 1;
  return verdict === 'tooNear' ? 3 : 2;
}
const missBy = ({ framed, shot }: Framing): number => Math.abs(Math.log2(framed.fill / shot.fill));

/** Whether a pan has nothing to follow from a position: the subject comes at one there. */
function comesAtOne(setup: Setup, shot: Shot, position: Position): boolean {
  if (shot.technique !== 'pan') return false;
  const seen = viewOf({
    ...setup,
    choice: { ...setup.choice, markId: shot.markId, positionId: position.id, shotId: shot.id },
  });
  return seen.ok && (seen.view.times.comesAtYou ?? false);
}

/** The best place and lens for each promised shot: among the places where one may stand, if there is one. */
export function shotsServed(setup: Setup): readonly ShotServed[] {
  const combinations = combinationsOf(setup.kit);
  const limits = limitsOn(setup);
  const places = setup.positions.map((position) => ({
    position,
    refused: refusals(position, limits),
  }));
  const allowed = places.filter(({ refused }) => refused.length === 0);
  const usable = allowed.length > 0 ? allowed : places;
  return setup.shots.flatMap((shot): readonly ShotServed[] => {
    const mark = setup.marks.find(({ id }) => id === shot.markId);
    if (!mark) return [];
    const { heightM } = subjectOf(setup, mark.subjectId);
    const from = usable.filter(({ position }) => !comesAtOne(setup, shot, position));
    const tries = (from.length > 0 ? from : usable).map(({ position, refused }) => {
      const { fill, orientation } = shot;
      const wanted = { heightM, fill, orientation, slope: slopeIn(setup.features) };
      const { index, framed } = framedFrom(combinations, position, mark, wanted);
      return { shot, position, refused, framed, worn: combinations[index] as Worn };
    });
    const best = tries.reduce((a, b) => {
      const order = orderOf(a) - orderOf(b);
      if (order !== 0) return order < 0 ? a : b;
      if (a.framed.verdict === 'frames') {
        return a.framed.widestAperture <= b.framed.widestAperture ? a : b;
      }
      return missBy(a) <= missBy(b) ? a : b;
    });
    const { framed, position, worn, refused } = best;
    const served = serves(best);
    const cropped = served && framed.verdict === 'short';
    return [{ shot, served, cropped, position, worn, framed, refusals: refused }];
  });
}

/** What would serve a shot that the bag does not. */
export type Mend =
  /** Its position that much closer, or back, where one may stand there. */
  | { readonly kind: 'move'; readonly closerM: number }
  /** A lens that reaches from where it is. */
  | { readonly kind: 'pack'; readonly lens: LensPreset };

/** Past the very distance: a framing on the edge of what a lens gives is none. */
const MOVE_BEYOND = 1.02;

/** The nearest mend of a shot that is not served; nothing where no move and no lens would do. */
export function mendOf(setup: Setup, { shot, framed, position }: ShotServed): Mend | undefined {
  const closerM = framed.closerM * MOVE_BEYOND;
  const moved = closerBy(setup, position.id, shot.markId, closerM).positions.find(
    ({ id }) => id === position.id,
  );
  if (moved && refusals(moved, limitsOn(setup)).length === 0) return { kind: 'move', closerM };
  const reaching = LENSES.filter((lens) => {
    const { shortestMm, longestMm } = focalRange(lens);
    return shortestMm <= framed.wantedMm && longestMm >= framed.wantedMm;
  });
  const [lens] = [...reaching].sort((a, b) => focalRange(a).longestMm - focalRange(b).longestMm);
  return lens && { kind: 'pack', lens };
}

/** A shoot with a position moved along its line to a mark. @param closerM towards it; back from it below 0 */
export function closerBy<S extends Pick<Shoot, 'positions' | 'marks'>>(
  shoot: S,
  positionId: string,
  markId: string,
  closerM: number,
): S {
  const mark = shoot.marks.find(({ id }) => id === markId);
  if (!mark) return shoot;
  return {
    ...shoot,
    positions: shoot.positions.map((position) => {
      if (position.id !== positionId) return position;
      const [east, north] = [mark.x - position.x, mark.y - position.y];
      const awayM = Math.hypot(east, north);
      // It is on the mark: no way leads closer.
      if (awayM < 1e-6) return position;
      const share = closerM / awayM;
      return { ...position, x: position.x + east * share, y: position.y + north * share };
    }),
  };
}
