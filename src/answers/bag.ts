import { bestFramed, withConverter, type Combination, type Framed } from '@/core';
import type { Setup } from './view';
import type { Body } from '@/presets/bodies';
import type { LensPreset } from '@/presets/lenses';
import type { Shot } from '@/records/brief';
import { bodyFrom, bodyOf, itemsOf, lensFrom, lensOf } from '@/records/kit';
import { subjectOf } from '@/records/own-subject';
import type { Position, Shoot } from '@/records/shoot';

/** Whether the bag can serve each promised shot, and what would. */

/** A lens of the bag, converter and all, on one of its bodies. */
export interface Worn extends Combination {
  readonly name: string;
}

const factorsOf = (kit: Shoot['kit'], lens: LensPreset): readonly number[] =>
  lens.takesConverter
    ? [1, ...new Set(itemsOf(kit, 'converter').map(({ factor }) => factor))]
    : [1];

const wornOf = (body: Body, lens: LensPreset, factor: number, several: boolean): Worn => ({
  name: `${lens.name}${factor > 1 ? ` with ${factor}x` : ''}${several ? ` on the ${body.name}` : ''}`,
  lens: withConverter(lens, factor),
  sensor: body.sensor,
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
  readonly served: boolean;
  readonly position: Position;
  readonly worn: Worn;
  readonly framed: Framed;
}

const ORDER = { frames: 0, short: 1, long: 1, tooNear: 2 } as const;
const missBy = ({ framed, shot }: { framed: Framed; shot: Shot }): number =>
  Math.abs(Math.log2(framed.fill / shot.fill));

/** The best place and lens for each promised shot. */
export function shotsServed(
  setup: Pick<Setup, 'kit' | 'marks' | 'positions' | 'shots' | 'subjects'>,
): readonly ShotServed[] {
  const combinations = combinationsOf(setup.kit);
  return setup.shots.flatMap((shot): readonly ShotServed[] => {
    const mark = setup.marks.find(({ id }) => id === shot.markId);
    if (!mark) return [];
    const { heightM } = subjectOf(setup, mark.subjectId);
    const upM = (mark.feetM ?? 0) + heightM / 2;
    const tries = setup.positions.map((position) => {
      const distanceM = Math.max(
        0.3,
        Math.hypot(position.x - mark.x, position.y - mark.y, position.cameraHeightM - upM),
      );
      const { index, framed } = bestFramed(combinations, {
        sizeM: heightM,
        distanceM,
        fill: shot.fill,
        orientation: shot.orientation,
      });
      return { shot, position, framed, worn: combinations[index] as Worn };
    });
    const best = tries.reduce((a, b) => {
      const order = ORDER[a.framed.verdict] - ORDER[b.framed.verdict];
      if (order !== 0) return order < 0 ? a : b;
      if (a.framed.verdict === 'frames') {
        return a.framed.widestAperture <= b.framed.widestAperture ? a : b;
      }
      return missBy(a) <= missBy(b) ? a : b;
    });
    const { framed, position, worn } = best;
    const served = framed.verdict === 'frames';
    return [{ shot, served, position, worn, framed }];
  });
}
