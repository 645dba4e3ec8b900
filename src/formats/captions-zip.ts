import { strToU8, zipSync } from 'fflate';
import type { Caption } from '@/records/captions';
import { writeCells } from './csv';
import { writeSidecar } from './xmp';

/** Captions as files: a sidecar for each picture and a table of them all, in one archive. */

const UNSAFE = /[\\/:*?"<>|\p{C}]/gu;
const safe = (text: string): string => text.replace(UNSAFE, '_').replace(/^\.+/, '_') || '_';

/** "LMR_0001.xmp" for "LMR_0001.JPG". */
export const sidecarName = (file: string): string => `${safe(file).replace(/\.[^.]+$/, '')}.xmp`;

const COLUMNS = [
  'File',
  'Camera',
  'Taken',
  'Event',
  'Who',
  'Number',
  'School or client',
  'Caption',
  'Stars',
  'Horizon off, degrees',
] as const;

/** A row a picture, those of one client together. */
export const writeCaptionTable = (captions: readonly Caption[]): string =>
  writeCells([
    COLUMNS,
    ...[...captions]
      .sort((a, b) => {
        const [one, other] = [a.teams.join(' '), b.teams.join(' ')];
        return one < other ? -1 : one > other ? 1 : 0;
      })
      .map(
        ({
          file,
          camera,
          takenAt,
          event = '',
          names,
          numbers,
          teams,
          text,
          stars = '',
          rollDeg,
        }) => [
          ...[file, camera, takenAt, event],
          ...[names.join(', '), numbers.join(', '), teams.join(', '), text, stars],
          ...[rollDeg === undefined ? '' : Math.round(rollDeg * 10) / 10],
        ],
      ),
  ]);

/**
 * Where each sidecar lies: beside the others, and in a folder a camera where two cameras name pictures alike; what
 * would still lie in another's place goes into a numbered one.
 */
export function sidecarPaths(captions: readonly Pick<Caption, 'file' | 'camera'>[]): string[] {
  const cameras = new Map<string, Set<string>>();
  for (const { file, camera } of captions) {
    const name = sidecarName(file);
    cameras.set(name, (cameras.get(name) ?? new Set()).add(camera));
  }
  const isShared = [...cameras.values()].some(({ size }) => size > 1);
  const taken = new Set<string>();
  return captions.map(({ file, camera }) => {
    const folder = isShared ? `${safe(camera || 'camera')}/` : '';
    const name = sidecarName(file);
    let path = folder + name;
    for (let again = 2; taken.has(path); again += 1) path = `${folder}${again}/${name}`;
    taken.add(path);
    return path;
  });
}

/** The archive. */
export function zipCaptions(captions: readonly Caption[]): Uint8Array {
  const paths = sidecarPaths(captions);
  const files = captions.map((caption, i) => {
    const { text, names, teams, event, rollDeg: _roll, ...rest } = caption;
    const keywords = [...new Set([...names, ...teams, ...(event ? [event] : [])])];
    const sidecar = writeSidecar({
      ...{ ...rest, caption: text, names, keywords },
      ...(event && { event, headline: event }),
    });
    return [paths[i] as string, strToU8(sidecar)] as const;
  });
  return zipSync({
    ...Object.fromEntries(files),
    'captions.csv': strToU8(`\uFEFF${writeCaptionTable(captions)}`),
  });
}
