import { merged, type SiteItems } from '@/formats/site';
import { fileStem } from '@/formats/shoot-json';
import type { Shoot } from '@/records/shoot';
import { refusalOf, shootKey } from '@/records/storage';

/** Grounds in and out of files. */

export const SITE_FILES = '.geojson,.json,.gpx,application/geo+json,application/gpx+xml';

export const siteFileName = ({ title }: Shoot, ending: string): string =>
  `${fileStem(title)}.${ending}`;

/** How a ground is written, fetched when it is. */
export const SITE_EXPORTS = {
  geojson: {
    write: async (shoot: Shoot) => (await import('@/formats/geojson')).writeGeoJson(shoot),
    type: 'application/geo+json',
  },
  gpx: {
    write: async (shoot: Shoot) => (await import('@/formats/gpx')).writeGpx(shoot),
    type: 'application/gpx+xml',
  },
} as const;

const counted = (count: number, one: string, many: string) =>
  count === 0 ? [] : [`${count} ${count === 1 ? one : many}`];

/** "2 marks, 3 positions and 12 things; 4 of them take the place of what has the same id." */
export function itemsInWords(items: SiteItems, shoot: Shoot): string {
  const parts = [
    ...counted(items.marks.length, 'mark', 'marks'),
    ...counted(items.positions.length, 'position', 'positions'),
    ...counted(items.features.length, 'thing on the ground', 'things on the ground'),
  ];
  const listed =
    parts.length > 1 ? `${parts.slice(0, -1).join(', ')} and ${parts.at(-1)}` : (parts[0] ?? '');
  const ids = new Set(
    (['marks', 'positions', 'features'] as const).flatMap((list) =>
      shoot[list].map(({ id }) => `${list} ${id}`),
    ),
  );
  const same = (['marks', 'positions', 'features'] as const)
    .flatMap((list) => items[list].map(({ id }) => `${list} ${id}`))
    .filter((key) => ids.has(key)).length;
  return same > 0
    ? `${listed}; ${same} of them take the place of what has the same id.`
    : `${listed}.`;
}

/** The shoot with a file's things, or why they don't fit. */
export function withItems(
  shoot: Shoot,
  items: SiteItems,
): { readonly ok: true; readonly shoot: Shoot } | { readonly ok: false; readonly reason: string } {
  const next = merged(shoot, items);
  const reason = refusalOf(shootKey(shoot.id), next);
  return reason === undefined ? { ok: true, shoot: next } : { ok: false, reason };
}
