import { evFromIlluminance, LAMP_LEVELS_LUX, type Settings } from '@/core';
import { EYE_LIGHTS } from '@/presets/eye-lights';
import { LAMPS } from '@/presets/lamps';
import { LENSES } from '@/presets/lenses';
import { SUBJECTS } from '@/presets/subjects';
import { withLens } from '@/records/edit-kit';
import { FURTHEST_M, type Quick } from '@/records/quick';
import { quickAnswer, quickDistanceM, quickEv } from './quick';

/** What a quick answer is turned by: four rows of clicks, and which of them matters most. */

export const ROWS = ['subject', 'distance', 'light', 'lens'] as const;
export type Row = (typeof ROWS)[number];

const DISTANCES_M = [
  1, 1.5, 2, 3, 4, 5, 7, 10, 15, 20, 25, 30, 40, 50, 60, 80, 100, 150, 200, 300, 500,
];

/** Lights one can tell by eye, the darkest first: one click on is more light. */
const LIGHTS: readonly {
  readonly light: Partial<Quick['light']>;
  readonly name: string;
  readonly ev: number;
}[] = [
  ...EYE_LIGHTS.map(({ id, name, ev }) => ({
    light: { by: 'eye', eye: id } as const,
    name,
    ev: ev.expected,
  })),
  ...LAMPS.filter(({ id }) => LAMP_LEVELS_LUX[id] > 0).map(({ id, name }) => ({
    light: { by: 'lamps', lamps: id } as const,
    name,
    ev: evFromIlluminance(LAMP_LEVELS_LUX[id]),
  })),
].sort((a, b) => a.ev - b.ev);

/** Lenses from the shortest to the longest. */
const BY_LENGTH = [...LENSES].sort(
  (a, b) => (a.focals.at(-1)?.focalMm ?? 0) - (b.focals.at(-1)?.focalMm ?? 0),
);

const nearestTo = (values: readonly number[], wanted: number): number =>
  values.reduce(
    (best, value, i) =>
      Math.abs(value - wanted) < Math.abs((values[best] as number) - wanted) ? i : best,
    0,
  );

/** Where each row stands among its marks, and how many there are. */
export function standsAt(quick: Quick, row: Row): { readonly at: number; readonly of: number } {
  switch (row) {
    case 'subject':
      return { at: SUBJECTS.findIndex(({ id }) => id === quick.subjectId), of: SUBJECTS.length };
    case 'distance':
      return { at: nearestTo(DISTANCES_M, quickDistanceM(quick)), of: DISTANCES_M.length };
    case 'light': {
      const known = LIGHTS.findIndex(({ light }) =>
        light.by === 'eye'
          ? quick.light.by === 'eye' && quick.light.eye === light.eye
          : quick.light.by === 'lamps' && quick.light.lamps === light.lamps,
      );
      const nearest = nearestTo(
        LIGHTS.map(({ ev }) => ev),
        quickEv(quick).expected,
      );
      return { at: known < 0 ? nearest : known, of: LIGHTS.length };
    }
    case 'lens':
      return { at: BY_LENGTH.findIndex(({ id }) => id === quick.kit.lensId), of: LENSES.length };
  }
}

/** Whether a row can be turned further. */
export function canTurn(quick: Quick, row: Row, clicks: number): boolean {
  const { at, of } = standsAt(quick, row);
  return at + clicks >= 0 && at + clicks < of;
}

/** The quick answer with one row turned by clicks: further off, brighter and longer are further on. */
export function turned(quick: Quick, row: Row, clicks: number): Quick {
  const { at, of } = standsAt(quick, row);
  const to = Math.min(of - 1, Math.max(0, at + clicks));
  switch (row) {
    case 'subject':
      return { ...quick, subjectId: SUBJECTS[to]?.id ?? quick.subjectId };
    case 'distance':
      return {
        ...quick,
        by: 'distance',
        distanceM: Math.min(FURTHEST_M, DISTANCES_M[to] as number),
      };
    case 'light':
      return { ...quick, light: { ...quick.light, ...LIGHTS[to]?.light } };
    case 'lens':
      return { ...quick, kit: withLens(quick.kit, BY_LENGTH[to]?.id ?? quick.kit.lensId) };
  }
}

/** What the light of a row is called; nothing for one that was measured. */
export function lightName({ light }: Quick): string | undefined {
  if (light.by !== 'eye' && light.by !== 'lamps') return undefined;
  return LIGHTS.find((entry) =>
    light.by === 'eye' ? entry.light.eye === light.eye : entry.light.lamps === light.lamps,
  )?.name;
}

/** How far two settings stand apart, all dials together, in stops. */
export const dialsApartStops = (a: Settings, b: Settings): number =>
  Math.abs(Math.log2(a.shutterS / b.shutterS)) +
  Math.abs(2 * Math.log2(a.aperture / b.aperture)) +
  Math.abs(Math.log2(a.iso / b.iso));

/** A click of one row and what it makes of the answer. */
export interface Change {
  readonly row: Row;
  readonly clicks: 1 | -1;
  readonly quick: Quick;
  readonly settings: Settings;
  readonly apartStops: number;
}

/** The click of distance, light or lens that moves the dials most; nothing where none moves them. */
export function changesMost(quick: Quick): Change | undefined {
  const now = quickAnswer(quick);
  if (!now.ok) return undefined;
  const changes = (['distance', 'light', 'lens'] as const).flatMap((row) =>
    ([1, -1] as const).flatMap((clicks): Change[] => {
      if (!canTurn(quick, row, clicks)) return [];
      const next = turned(quick, row, clicks);
      const then = quickAnswer(next);
      if (!then.ok) return [];
      const { settings } = then.exposure;
      const apartStops = dialsApartStops(now.exposure.settings, settings);
      return [{ row, clicks, quick: next, settings, apartStops }];
    }),
  );
  const most = changes.reduce<Change | undefined>(
    (best, change) => (change.apartStops > (best?.apartStops ?? 0.2) ? change : best),
    undefined,
  );
  return most;
}
