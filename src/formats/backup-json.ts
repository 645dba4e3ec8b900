import { z } from 'zod';
import { firstProblem, parseRecord, quoted, type Parsed } from '@/records/parse';
import { setAsideSchema, SHOOT_KIND, type Kept } from '@/records/storage';
import { CAPTIONS, COLUMNS, PRACTICE, QUICK, SHELF } from '@/records/singles';

/** All that is kept, as one JSON file. Described in docs/shoot-file.md. */
export const BACKUP_FORMAT = 'bright-perch/backup';
/**
 * From version 2 on a backup holds what was set aside, too; from version 3 on what was practised; from 4 on
 * how captions are written.
 */
export const BACKUP_VERSION = 4;
export const LARGEST_BACKUP_BYTES = 30_000_000;
export const BACKUP_TOO_LARGE = 'the file is over 30 MB; no backup is so large';
const MOST_SHOOTS = 5000;

export interface Backup {
  readonly writtenAt: string;
  readonly kept: Kept;
}

export function writeBackup({ writtenAt, kept }: Backup): string {
  return `${JSON.stringify({ format: BACKUP_FORMAT, version: BACKUP_VERSION, writtenAt, ...kept })}\n`;
}

/** "bright-perch-2027-04-16.backup.json". */
export const backupFileName = (writtenAt: string): string =>
  `bright-perch-${writtenAt.slice(0, 10)}.backup.json`;

const refuse = (reason: string): Parsed<Backup> => ({ ok: false, reason });

/** Reads a backup whole, every record lifted to its newest version, or refuses it with what is wrong. */
export function readBackup(text: string): Parsed<Backup> {
  if (text.length > LARGEST_BACKUP_BYTES) return refuse(BACKUP_TOO_LARGE);
  let raw: unknown;
  try {
    raw = JSON.parse(text);
  } catch {
    return refuse('the file is not JSON, or it is cut off');
  }
  const file = (typeof raw === 'object' && raw !== null ? raw : {}) as Record<string, unknown>;
  if (file.format === 'bright-perch/shoot') {
    return refuse('format: this is one shoot, not a backup; bring it in with Import');
  }
  if (file.format !== BACKUP_FORMAT) return refuse(`format: must be "${BACKUP_FORMAT}"`);
  const { version } = file;
  if (!(Number.isInteger(version) && Number(version) >= 1 && Number(version) <= BACKUP_VERSION)) {
    return refuse(`version: must be 1 to ${BACKUP_VERSION}, not ${quoted(version)}`);
  }
  const writtenAt = typeof file.writtenAt === 'string' ? file.writtenAt : '';
  if (Number.isNaN(Date.parse(writtenAt))) return refuse('writtenAt: must be a moment');
  if (!Array.isArray(file.shoots)) return refuse('shoots: must be a list');
  if (file.shoots.length > MOST_SHOOTS) return refuse(`shoots: must be at most ${MOST_SHOOTS}`);
  const shoots = [];
  const ids = new Set<string>();
  for (const [i, entry] of file.shoots.entries()) {
    const shoot = parseRecord(entry, SHOOT_KIND);
    if (!shoot.ok) return refuse(`shoots[${i}].${shoot.reason}`);
    if (ids.size === ids.add(shoot.record.id).size) {
      return refuse(`shoots[${i}].id: must not stand twice`);
    }
    shoots.push(shoot.record);
  }
  const quick = parseRecord(file.quick, QUICK.kind);
  if (!quick.ok) return refuse(`quick.${quick.reason}`);
  const shelf = parseRecord(file.shelf, SHELF.kind);
  if (!shelf.ok) return refuse(`shelf.${shelf.reason}`);
  const columns = parseRecord(file.columns, COLUMNS.kind);
  if (!columns.ok) return refuse(`columns.${columns.reason}`);
  const practice = parseRecord(file.practice ?? PRACTICE.first, PRACTICE.kind);
  if (!practice.ok) return refuse(`practice.${practice.reason}`);
  const captions = parseRecord(file.captions ?? CAPTIONS.first, CAPTIONS.kind);
  if (!captions.ok) return refuse(`captions.${captions.reason}`);
  const setAside = z
    .array(setAsideSchema)
    .max(MOST_SHOOTS)
    .safeParse(file.setAside ?? []);
  if (!setAside.success) return refuse(`setAside${firstProblem(setAside.error)}`);
  return {
    ok: true,
    record: {
      writtenAt,
      kept: {
        shoots,
        quick: quick.record,
        shelf: shelf.record,
        columns: columns.record,
        practice: practice.record,
        captions: captions.record,
        setAside: setAside.data,
      },
    },
  };
}
