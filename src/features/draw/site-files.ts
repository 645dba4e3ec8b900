import { readGeoJson, writeGeoJson } from '@/formats/geojson';
import { readGpx, writeGpx } from '@/formats/gpx';
import {
  LARGEST_SITE_BYTES,
  merged,
  type PointsAs,
  type SiteItems,
  type SiteRead,
} from '@/formats/site';
import { fileStem } from '@/formats/shoot-json';
import { newId } from '@/records/new-id';
import type { Shoot } from '@/records/shoot';

/** Grounds in and out of files. */

export const SITE_FILES = '.geojson,.json,.gpx,application/geo+json,application/gpx+xml';

export const siteFileName = ({ title }: Shoot, ending: string): string =>
  `${fileStem(title)}.${ending}`;

export const SITE_EXPORTS = {
  geojson: { write: writeGeoJson, type: 'application/geo+json' },
  gpx: { write: writeGpx, type: 'application/gpx+xml' },
} as const;

/** Reads a file by what is in it, not by what it is called. */
export function readSite(text: string, shoot: Shoot, pointsAs: PointsAs): SiteRead {
  const start = text.replace(/^\uFEFF/, '').trimStart();
  const plain = { origin: shoot.place, pointsAs, newId };
  if (start.startsWith('<')) return readGpx(start, plain);
  if (start.startsWith('{')) return readGeoJson(start, plain);
  return {
    ok: false,
    reason:
      start === ''
        ? 'the file is empty'
        : 'the file is neither GeoJSON nor GPX: it begins with neither { nor <',
  };
}

/** As {@link readSite}, from a file; a large one is refused before it is read. */
export async function readSiteFile(
  file: File,
  shoot: Shoot,
  pointsAs: PointsAs,
): Promise<SiteRead> {
  if (file.size > LARGEST_SITE_BYTES) {
    return { ok: false, reason: 'the file is over 4 MB; a ground is never so large' };
  }
  return readSite(await file.text(), shoot, pointsAs);
}

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
  return next
    ? { ok: true, shoot: next }
    : { ok: false, reason: 'with what is there it would be over 400 of one kind' };
}
