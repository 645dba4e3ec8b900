import { readBackup, type Backup } from '@/formats/backup-json';
import type { Caption } from '@/records/captions';
import { zipCaptions } from '@/formats/captions-zip';
import { decoded } from '@/formats/decoded';
import { readOrder, type OrderRead } from '@/formats/order-csv';
import { readOrderTable } from '@/formats/heat-sheet';
import { readTable, type TableRead } from '@/formats/table';
import { readCalendar, type CalendarRead } from '@/formats/order-ics';
import { readShootFile } from '@/formats/shoot-json';
import { readForecast, type ForecastAsked, type ForecastRead } from '@/formats/forecast-file';
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
  /** The text of a file, in whatever encoding it was saved. */
  text: (bytes: Uint8Array) => string;
  calendar: (text: string, options: Parameters<typeof readCalendar>[1]) => CalendarRead;
  table: (text: string) => TableRead;
  orderTable: (text: string) => TableRead;
  order: (text: string, asked: OrderAsked) => OrderRead | undefined;
  forecast: (text: string, asked: ForecastAsked) => ForecastRead;
  site: (text: string, asked: SiteAsked) => SiteRead;
  shoot: (text: string) => Parsed<Shoot>;
  backup: (text: string) => Parsed<Backup>;
  picture: (file: Blob) => Promise<PictureRead>;
  captions: (captions: readonly Caption[]) => Uint8Array;
}

export const filesService: FilesService = {
  text: decoded,
  calendar: readCalendar,
  table: readTable,
  orderTable: readOrderTable,
  order: (text, { meanings, options }) => {
    const read = readOrderTable(text);
    return read.ok ? readOrder(read.table, meanings, options) : undefined;
  },
  forecast: readForecast,
  site: readSite,
  shoot: readShootFile,
  backup: readBackup,
  picture: shrinkPicture,
  captions: zipCaptions,
};
