import { momentsWithin, type LightSeries, type WayOut } from '@/core';
import type { Shot } from '@/records/brief';
import type { ShootHours } from '@/records/times';
import { answerAt, type Answer } from './answer';
import type { ShotServed } from './bag';
import { heardOf } from './heard';
import { takenWith } from './picture-view';
import { lightThrough, worstOf, type LightLine, type LightThrough } from './light-plan';
import type { Delivered } from './taught';
import { sceneOf, viewOf, type Setup, type Viewed } from './view';

/**
 * How it stands with each promised shot: what is had of it, whether the bag reaches it from a place where one
 * may stand, and how long the light serves it there. The one answer to this question: Brief, Light and Kit show it.
 */

/** How a promised shot stands before it is taken. */
export type ShotState =
  /** The light of its hours is not computed yet. */
  | { readonly kind: 'asking' }
  /** No lens of the bag frames it from any place where one may stand. */
  | { readonly kind: 'outOfReach' }
  /** It can be framed only from where one may not stand. */
  | { readonly kind: 'notAllowed' }
  | {
      readonly kind: 'light';
      readonly light: LightThrough;
      /** What would mend the worst minute, with the answer then; nothing where it holds. */
      readonly mend?: { readonly ways: readonly WayOut[]; readonly answer: Answer };
    };

/** A promised shot and how it stands. */
export interface OwedShot {
  readonly shot: Shot;
  readonly quota: number;
  readonly delivered: number;
  readonly served: ShotServed;
  readonly state: ShotState;
}

/** A setup as it would be with a shot taken up where the bag serves it best. */
export const takenUp = <S extends Viewed>(setup: S, { shot, position, worn }: ShotServed): S =>
  takenWith(setup, { shot, markId: shot.markId }, position.id, worn);

const lineId = ({ shot, position }: ShotServed): string => `${shot.markId} ${position.id}`;

/** The light that must be known for the shots: one line for each mark from each place. */
export function owedLines(setup: Setup, served: readonly ShotServed[]): readonly LightLine[] {
  const lines = new Map<string, LightLine>();
  for (const entry of served) {
    const id = lineId(entry);
    if (!entry.served || lines.has(id)) continue;
    const seen = viewOf(takenUp(setup, entry));
    if (!seen.ok) continue;
    const { view } = seen;
    const scene = sceneOf(view, setup.features);
    lines.set(id, { id, name: view.mark.name, chosen: false, view, scene, heard: heardOf(setup) });
  }
  return [...lines.values()];
}

function stateOf(
  setup: Setup,
  entry: ShotServed,
  seriesOf: (lineId: string) => LightSeries | undefined,
  hours: Pick<ShootHours, 'startMs' | 'endMs'>,
): ShotState {
  if (!entry.served) return { kind: 'outOfReach' };
  if (entry.refusals.length > 0) return { kind: 'notAllowed' };
  const asked = takenUp(setup, entry);
  const seen = viewOf(asked);
  if (!seen.ok) return { kind: 'light', light: { kind: 'noView', trouble: seen.trouble } };
  if (entry.shot.technique === 'silhouette') return { kind: 'light', light: { kind: 'sky' } };
  const series = seriesOf(lineId(entry));
  const moments = series ? momentsWithin(series, hours) : [];
  if (moments.length === 0) return { kind: 'asking' };
  const { view } = seen;
  const light = lightThrough(view, asked.choice, moments);
  const worstMs = worstOf(light);
  if (worstMs === undefined) return { kind: 'light', light };
  const answer = answerAt(view, asked, worstMs);
  return { kind: 'light', light, mend: { ways: answer.exposure.waysOut, answer } };
}

/**
 * Every promised shot and how it stands.
 * @param had what is delivered of each
 * @param seriesOf the light of a line of {@link owedLines}
 */
export function owedShots(
  setup: Setup,
  had: readonly Delivered[],
  served: readonly ShotServed[],
  seriesOf: (lineId: string) => LightSeries | undefined,
  hours: Pick<ShootHours, 'startMs' | 'endMs'>,
): readonly OwedShot[] {
  return served.map((entry) => ({
    shot: entry.shot,
    quota: entry.shot.quota,
    delivered: had.find(({ shot }) => shot.id === entry.shot.id)?.delivered ?? 0,
    served: entry,
    state: stateOf(setup, entry, seriesOf, hours),
  }));
}
