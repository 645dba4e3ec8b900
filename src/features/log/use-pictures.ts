import { useEffect, useRef, useState } from 'react';
import { DEMO_LOGS, demoPictureUrl, type DemoLog } from '@/demo/pictures';
import { useEdits, useShown } from '@/features/shoot/open-shoot';
import { frameKey, framesOf, withFrames } from '@/records/edit-log';
import { MOST_FRAMES, type Frame } from '@/records/frames';
import type { Shoot } from '@/records/shoot';
import { useToast } from '@/ui/Toast';
import { requestPictures } from '@/workers/pictures-client';
import type { Refused } from '@/workers/pictures-job';
import { byPlace } from '@/answers/matched';
import { keepThumbnails } from './thumbnails';

/** The worker tells by and by; the record is written this often. */
const FRAMES_A_WRITE = 500;
const FIRST_WRITE = 80;
/** How far it is is said so often. */
const TOLD_EVERY_MS = 250;

export interface Reading {
  readonly done: number;
  readonly of: number;
}

/** The demo's own entries with its pictures: what was tapped while they were taken. */
const withDemoEntries = (shoot: Shoot, { entries, watch }: DemoLog): Shoot => {
  const known = new Set(shoot.log.entries.map(({ id }) => id));
  const date = shoot.startLocal.slice(0, 10);
  const watched = watch && {
    id: 'demo-watch',
    markId: watch.markId,
    fromLocal: `${date}T${watch.from}`,
    toLocal: `${date}T${watch.to}`,
    visitsLocal: [],
  };
  return {
    ...shoot,
    log: {
      ...shoot.log,
      entries: [...shoot.log.entries, ...entries.filter(({ id }) => !known.has(id))],
    },
    ...(watched &&
      !shoot.watches.some(({ id }) => id === watched.id) && {
        watches: [...shoot.watches, watched],
      }),
  };
};

/** Pictures read in: their figures go into the log, the pictures themselves nowhere. */
export function usePictures() {
  const { shoot } = useShown('shoot');
  const { update, undo } = useEdits();
  const { timeZone } = shoot.place;
  const say = useToast();
  const [reading, setReading] = useState<Reading>();
  const [refused, setRefused] = useState<readonly Refused[]>([]);
  const running = useRef<AbortController | undefined>(undefined);
  // What has been read by then is kept.
  useEffect(() => () => running.current?.abort(), []);

  const read = async (files: readonly File[], also: (current: Shoot) => Shoot = (now) => now) => {
    if (files.length === 0) return;
    const room = MOST_FRAMES - framesOf(shoot).length;
    if (files.length > room) {
      say({
        text: `A shoot holds at most ${MOST_FRAMES} pictures, and ${room} more fit here. Choose fewer, or begin another shoot for the rest.`,
      });
      return;
    }
    const abort = new AbortController();
    running.current = abort;
    setReading({ done: 0, of: files.length });
    setRefused([]);
    const left: Refused[] = [];
    let waiting: Frame[] = [];
    let small: Parameters<typeof keepThumbnails>[1][number][] = [];
    let toldMs = 0;
    let count = 0;
    const write = () => {
      const frames = waiting;
      waiting = [];
      keepThumbnails(shoot.id, small);
      small = [];
      count += frames.length;
      if (frames.length > 0) {
        update((current) => withFrames(also(current), frames), `pictures ${files[0]?.name}`);
      }
    };
    try {
      await requestPictures(
        files,
        ({ done, pictures, refused: more }) => {
          left.push(...more);
          const placed = pictures.map((picture) => ({
            frame: byPlace(picture, timeZone),
            thumbnail: picture.thumbnail,
          }));
          waiting.push(...placed.map(({ frame }) => frame));
          small.push(
            ...placed.flatMap(({ frame, thumbnail }) =>
              thumbnail ? [{ key: frameKey(frame), bytes: thumbnail }] : [],
            ),
          );
          if (performance.now() - toldMs > TOLD_EVERY_MS) {
            toldMs = performance.now();
            setReading({ done, of: files.length });
          }
          // The first are soon to be seen.
          if (waiting.length >= (count === 0 ? FIRST_WRITE : FRAMES_A_WRITE)) write();
        },
        abort.signal,
      );
      write();
      // What they come to is drawn before more is said.
      await new Promise((drawn) => setTimeout(drawn, 0));
      say({
        text: `${count} ${count === 1 ? 'picture' : 'pictures'} read`,
        ...(count > 0 && { action: { label: 'Undo', onPress: undo } }),
      });
    } catch (error) {
      write();
      const stopped = error instanceof DOMException && error.name === 'AbortError';
      say({
        text: stopped
          ? `Stopped: ${count} pictures read`
          : `Reading stopped after ${count}: ${(error as Error).message}`,
      });
    } finally {
      setRefused(left);
      setReading(undefined);
    }
  };

  const demo = DEMO_LOGS[shoot.id];
  const readDemo = async () => {
    if (!demo) return;
    try {
      const files = await Promise.all(
        demo.pictures.map(async ({ file }) => {
          const answer = await fetch(demoPictureUrl(file));
          if (!answer.ok) throw new Error(`${file} is not there`);
          return new File([await answer.blob()], file, { type: 'image/jpeg' });
        }),
      );
      await read(files, (current) => withDemoEntries(current, demo));
    } catch (error) {
      say({ text: `The demo’s pictures could not be fetched: ${(error as Error).message}` });
    }
  };

  return {
    reading,
    refused,
    read,
    stop: () => running.current?.abort(),
    /** For the demo's shoots. */
    readDemo: demo ? readDemo : undefined,
  };
}
