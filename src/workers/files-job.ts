import { readBackup, type Backup } from '@/formats/backup-json';
import { readOrder, readTable, type OrderRead, type TableRead } from '@/formats/order-csv';
import { readCalendar, type CalendarRead } from '@/formats/order-ics';
import { readShootFile } from '@/formats/shoot-json';
import type { SiteRead } from '@/formats/site';
import { readSite, type SiteAsked } from '@/formats/site-file';
import type { Parsed } from '@/records/parse';
import type { Shoot } from '@/records/shoot';
import { shrinkPicture, type PictureRead } from './shrink-picture';

/** A table, and what its columns are read as. */
export interface OrderAsked {
  readonly meanings: Parameters<typeof readOrder>[1];
  readonly options: Parameters<typeof readOrder>[2];
}

/** Files of others, read where they hold up nothing. */
export interface FilesService {
  calendar: (text: string, options: Parameters<typeof readCalendar>[1]) => CalendarRead;
  table: (text: string) => TableRead;
  order: (text: string, asked: OrderAsked) => OrderRead | undefined;
  site: (text: string, asked: SiteAsked) => SiteRead;
  shoot: (text: string) => Parsed<Shoot>;
  backup: (text: string) => Parsed<Backup>;
  picture: (file: Blob) => Promise<PictureRead>;
}

export const filesService: FilesService = {
  calendar: readCalendar,
  table: readTable,
  order: (text, { meanings, options }) => {
    const read = readTable(text);
    return read.ok ? readOrder(read.table, meanings, options) : undefined;
  },
  site: readSite,
  shoot: readShootFile,
  backup: readBackup,
  picture: shrinkPicture,
};
