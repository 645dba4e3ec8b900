import { SUBJECTS } from '@/presets/subjects';
import { newId } from '@/records/new-id';
import type { Shoot } from '@/records/shoot';
import { readGeoJson } from './geojson';
import { readGpx } from './gpx';
import type { PointsAs, SiteRead } from './site';

/** What a ground file is read for. */
export interface SiteAsked extends Pick<Shoot, 'place' | 'subjects'> {
  readonly pointsAs: PointsAs;
}

/** What stands on a mark whose subject this shoot does not have. */
const STANDING = 'standing';

/** A file's marks with subjects that the shoot has: someone of another shoot's own stands still here. */
function withSubjects(read: SiteRead, { subjects }: SiteAsked): SiteRead {
  if (!read.ok) return read;
  const known = new Set([...SUBJECTS, ...subjects].map(({ id }) => id));
  const strangers = read.items.marks.filter(({ subjectId }) => !known.has(subjectId));
  if (strangers.length === 0) return read;
  const marks = read.items.marks.map((mark) =>
    known.has(mark.subjectId) ? mark : { ...mark, subjectId: STANDING },
  );
  const names = strangers
    .map(({ name }) => name)
    .slice(0, 5)
    .join(', ');
  const note = `The subject of ${names} is not in this shoot; it stands still until you choose one.`;
  return { ...read, items: { ...read.items, marks }, notes: [...read.notes, note] };
}

/** Reads a file by what is in it, not by what it is called. */
export function readSite(text: string, asked: SiteAsked): SiteRead {
  const start = text.replace(/^\uFEFF/, '').trimStart();
  const plain = { origin: asked.place, pointsAs: asked.pointsAs, newId };
  if (start.startsWith('<')) return withSubjects(readGpx(start, plain), asked);
  if (start.startsWith('{')) return withSubjects(readGeoJson(start, plain), asked);
  return {
    ok: false,
    reason:
      start === ''
        ? 'the file is empty'
        : 'the file is neither GeoJSON nor GPX: it begins with neither { nor <',
  };
}
