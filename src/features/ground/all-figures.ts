import { refusalInWords } from '@/features/shoot/score-words';
import { limitsOf, monthOf, refusals } from '@/core';
import { alongSight } from '@/answers/along-sight';
import { ballOf } from '@/answers/answer';
import { reportOf, type ReportLine } from '@/answers/report';
import { engraved, lightInWords, metres, percent, troubleInWords } from '@/features/shoot/words';
import type { Shoot } from '@/records/shoot';
import { msOf } from '@/records/times';
import { onFieldOfPlay } from '@/presets/grounds';
import { figuresOf, type Figure } from './figures';

/** One position and mark: what it comes to, for a table that sorts by its numbers. */
export interface FiguresRow {
  readonly id: string;
  readonly positionId: string;
  readonly markId: string;
  readonly position: string;
  readonly mark: string;
  /** Why there is no answer, if there is none. */
  readonly problem: string | undefined;
  readonly distanceM: number | undefined;
  readonly fill: number | undefined;
  readonly pixels: number | undefined;
  readonly ev: number | undefined;
  readonly light: string;
  /** The face as a ball; nothing without an answer. */
  readonly ball: ReturnType<typeof ballOf> | undefined;
  readonly settings: string;
  readonly cautions: string;
  readonly figures: readonly Figure[];
}

const NO_NUMBERS = {
  distanceM: undefined,
  fill: undefined,
  pixels: undefined,
  ev: undefined,
  light: '',
  ball: undefined,
  settings: '',
  cautions: '',
  figures: [],
};

function rowOf(line: ReportLine, shoot: Shoot): FiguresRow {
  const { position, mark } = line;
  const names = {
    id: `${position.id} ${mark.id}`,
    positionId: position.id,
    markId: mark.id,
    position: position.name,
    mark: mark.name,
  };
  if (!line.ok) return { ...names, ...NO_NUMBERS, problem: troubleInWords(line.trouble) };
  const { view, answer } = line;
  const along = alongSight(
    view,
    shoot.features,
    monthOf(msOf(shoot.atLocal, shoot.place.timeZone)),
  );
  const { shutter, aperture, iso } = engraved(answer.exposure.settings);
  return {
    ...names,
    problem: undefined,
    distanceM: view.sight.distanceM,
    fill: view.fill,
    pixels: view.pixels,
    ev: answer.light.ev.expected,
    light: lightInWords(answer),
    ball: ballOf(view, answer),
    settings: `${shutter} ${aperture} ${iso}`,
    cautions: [
      ...refusals(position, limitsOf(shoot.features)).map(
        (refusal) => `stands ${refusalInWords(refusal)}`,
      ),
      ...(onFieldOfPlay(shoot.ground.template, shoot.ground.bearingDeg, position)
        ? ['stands on the field of play']
        : []),
      ...(answer.sunNearFrame ? ['sun within 10° of the frame'] : []),
      ...(along.blocks.length > 0 ? ['something in the way'] : []),
    ].join('; '),
    figures: figuresOf(view, answer, along),
  };
}

/** Every position for every mark at one minute. */
export const allFigures = (shoot: Shoot, atMs: number): readonly FiguresRow[] =>
  reportOf(shoot, atMs).answers.map((line) => rowOf(line, shoot));

const known = (value: number | undefined, say: (value: number) => string): string =>
  value === undefined ? '–' : say(value);

export const distanceOf = ({ distanceM }: FiguresRow): string => known(distanceM, metres);
export const fillOf = ({ fill }: FiguresRow): string => known(fill, percent);
export const evOf = ({ ev }: FiguresRow): string => known(ev, (value) => value.toFixed(1));
