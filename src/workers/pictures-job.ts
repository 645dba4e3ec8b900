import { clocksFound, type ClockFound } from '@/answers/camera-clock';
import { readPicture, type PictureFigures } from '@/formats/exif';
import type { Shoot } from '@/records/shoot';
import { runningJobs, type Reply } from './running-jobs';

/** Pictures to be read; the id is what the reading can be cancelled by. */
export interface PicturesJob {
  readonly id: number;
  readonly files: readonly File[];
}

/** What clocks are lined up with. */
export interface ClocksJob {
  readonly id: number;
  readonly shoot: Pick<Shoot, 'log' | 'place' | 'events'>;
}

export interface Refused {
  readonly name: string;
  readonly reason: string;
}

/** What was read since the last time, and how many files have been looked at. */
export interface PicturesSoFar {
  readonly done: number;
  readonly pictures: readonly PictureFigures[];
  readonly refused: readonly Refused[];
}
export type OnPictures = (soFar: PicturesSoFar) => void | Promise<void>;

export interface PicturesService {
  read: (job: PicturesJob, onPictures: OnPictures) => Promise<Reply<number>>;
  /** How the cameras' clocks stand by what their pictures line up with. */
  clocks: (job: ClocksJob) => Promise<Reply<readonly ClockFound[]>>;
  cancel: (id: number) => void;
}

/** Figures and thumbnail stand within this of a file's beginning, or seldom: then it is read whole. */
const HEAD_BYTES = 512 * 1024;
const LARGEST_WHOLE_BYTES = 200 * 1024 * 1024;
const FILES_A_PIECE = 8;

async function readFile(file: File) {
  const head = readPicture(file.name, await file.slice(0, HEAD_BYTES).arrayBuffer());
  if (head.ok || file.size <= HEAD_BYTES || file.size > LARGEST_WHOLE_BYTES) return head;
  return readPicture(file.name, await file.arrayBuffer());
}

/** How bright a small picture is, in stops over or under mid-grey; nothing where it can't be opened. */
type Measure = (jpeg: Uint8Array) => Promise<number | undefined>;

async function measured(picture: PictureFigures, levelOf: Measure): Promise<PictureFigures> {
  const levelStops = picture.thumbnail && (await levelOf(picture.thumbnail));
  return levelStops === undefined
    ? picture
    : { ...picture, frame: { ...picture.frame, levelStops } };
}

/** Reads pictures some at a time. @param nextTurn as `runningJobs` */
export function picturesService(nextTurn: () => Promise<void>, levelOf: Measure): PicturesService {
  const { run, cancel } = runningJobs(nextTurn);
  return {
    cancel,
    clocks: ({ id, shoot }) =>
      run(id, () => {
        let found: readonly ClockFound[] = [];
        return {
          piece: () => {
            found = clocksFound(shoot);
            return false;
          },
          value: () => found,
        };
      }),
    read: ({ id, files }, onPictures) =>
      run(id, () => {
        let done = 0;
        return {
          piece: async () => {
            const piece = files.slice(done, done + FILES_A_PIECE);
            const pictures: PictureFigures[] = [];
            const refused: Refused[] = [];
            for (const file of piece) {
              const read = await readFile(file);
              if (read.ok) pictures.push(await measured(read.picture, levelOf));
              else refused.push({ name: file.name, reason: read.reason });
            }
            done += piece.length;
            await onPictures({ done, pictures, refused });
            return done < files.length;
          },
          value: () => done,
        };
      }),
  };
}
