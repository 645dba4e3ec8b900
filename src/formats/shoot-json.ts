import { parseRecord, quoted, type Parsed } from '@/records/parse';
import { SHOOT_VERSION, shootSchema, type Shoot } from '@/records/shoot';
import { SHOOT_MIGRATIONS } from '@/records/shoot-migrations';

/** One shoot as one JSON file. Described in docs/shoot-file.md. */
export const SHOOT_FILE_FORMAT = 'bright-perch/shoot';
export const LARGEST_FILE_BYTES = 4_000_000;
export const TOO_LARGE = 'the file is over 4 MB; no shoot is so large';

export function writeShootFile(shoot: Shoot): string {
  return `${JSON.stringify({ format: SHOOT_FILE_FORMAT, shoot }, null, 2)}\n`;
}

/** A file's name without its ending, from a title: "larkmoor-evening-hockey". */
export function fileStem(title: string): string {
  const stem = title
    .normalize('NFKD')
    .replace(/\p{M}/gu, '')
    .toLowerCase()
    .replace(/[^a-z0-9]+/g, '-')
    .replace(/^-|-$/g, '')
    .slice(0, 60);
  return stem || 'shoot';
}

/** "larkmoor-evening-hockey.shoot.json". */
export const shootFileName = ({ title }: Shoot): string => `${fileStem(title)}.shoot.json`;

const refuse = (reason: string): Parsed<Shoot> => ({ ok: false, reason });

/** Reads a file whole or refuses it with the field that is wrong; changes nothing. */
export function readShootFile(text: string): Parsed<Shoot> {
  if (text.length > LARGEST_FILE_BYTES) return refuse(TOO_LARGE);
  let raw: unknown;
  try {
    raw = JSON.parse(text);
  } catch {
    return refuse('the file is not JSON, or it is cut off');
  }
  if (typeof raw !== 'object' || raw === null || !('format' in raw) || !('shoot' in raw)) {
    return refuse(`format: must be "${SHOOT_FILE_FORMAT}"; this is no Bright Perch shoot`);
  }
  if (raw.format !== SHOOT_FILE_FORMAT) {
    return refuse(`format: must be "${SHOOT_FILE_FORMAT}", not ${quoted(raw.format)}`);
  }
  const parsed = parseRecord(raw.shoot, {
    schema: shootSchema,
    version: SHOOT_VERSION,
    migrations: SHOOT_MIGRATIONS,
  });
  return parsed.ok ? parsed : refuse(`shoot.${parsed.reason}`);
}
