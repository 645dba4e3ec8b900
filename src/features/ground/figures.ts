import {
  BACKDROP_DETAIL_M,
  backdropVerdict,
  backgroundBlur,
  frameFill,
  meshThrough,
  eachPostStrip,
  type SubjectLight,
} from '@/core';
import type { AlongSight } from '@/answers/along-sight';
import type { Answer } from '@/answers/answer';
import type { View } from '@/answers/view';
import {
  bearingInWords,
  faceSeen,
  LOOK_WORDS,
  metres,
  percent,
  smallLength,
  stops,
  megapixelsLeft,
} from '@/features/shoot/words';
import { blockInWords, swingInWords } from '@/features/shoot/hide-words';
import type { Mark, Position, Shoot } from '@/records/shoot';
import { cropOf, wantedFill } from '@/answers/wanted';
import { written } from '@/ui/units';

/** Everything a position sees of a mark, in figures with their names. Nothing here decides. */
export interface Figure {
  readonly name: string;
  readonly value: string;
}

/** How far beyond the camera something on the line of sight is, measured along the line itself. */
const alongTheLine = ({ camera, aim, sight }: View, levelM: number): number =>
  (levelM * sight.distanceM) / Math.hypot(aim.x - camera.x, aim.y - camera.y);

/** "West stand, 2.8 times as far: soft, blur disc 3.1 % of the frame". */
export function backgroundInWords(view: View, aperture: number, back: AlongSight['back']): string {
  const lens = { focalMm: view.focalMm, aperture, subjectM: view.sight.distanceM };
  const frameWidthMm = view.body.sensor.widthMm;
  const disc = (backgroundM: number) =>
    `blur disc ${(backgroundBlur({ ...lens, backgroundM, frameWidthMm }).shareOfFrame * 100).toFixed(1)} % of the frame`;
  if (!back) return `Open: sky or far ground, ${disc(Infinity)}`;
  const backgroundM = alongTheLine(view, back.distanceM);
  const { look } = backdropVerdict({
    ...lens,
    backgroundM,
    detailM: BACKDROP_DETAIL_M[back.obstacle.detail],
  });
  const times = backgroundM / lens.subjectM;
  return `${back.obstacle.name}, ${times.toFixed(1)} times as far${times < 2 ? ', short of twice' : ''}: ${look}, ${disc(backgroundM)}`;
}

/** "readable behind, 2.6 times as far": what is behind, in a few words. */
export function backdropInShort(view: View, aperture: number, back: AlongSight['back']): string {
  if (!back) return 'open behind';
  const backgroundM = alongTheLine(view, back.distanceM);
  const subjectM = view.sight.distanceM;
  const { look } = backdropVerdict({
    focalMm: view.focalMm,
    aperture,
    subjectM,
    backgroundM,
    detailM: BACKDROP_DETAIL_M[back.obstacle.detail],
  });
  const behindM = backgroundM - subjectM;
  return behindM < CLOSE_BEHIND * subjectM
    ? `${LOOK_WORDS[look]}, ${metres(behindM)} behind it`
    : `${LOOK_WORDS[look]} behind, ${(backgroundM / subjectM).toFixed(1)} times as far`;
}

/** Nearer to the subject than this share of its own distance, how far behind says more than how many times as far. */
const CLOSE_BEHIND = 0.1;

const MESH_WORDS = { gone: 'not seen', veil: 'a veil', seen: 'its pattern shows' } as const;

/** "Wire fence, 0.4 m off: not seen, costs 0.2 stop". */
export function meshInWords(
  view: View,
  aperture: number,
  fence: AlongSight['fence'],
): string | undefined {
  if (!fence) return undefined;
  const { name, meshPitchMm, wireMm } = fence.fence;
  const { look, lossStops } = meshThrough({
    focalMm: view.focalMm,
    aperture,
    fenceM: Math.min(view.sight.distanceM, alongTheLine(view, fence.distanceM)),
    subjectM: view.sight.distanceM,
    pitchMm: meshPitchMm,
    wireMm,
  });
  return `${name}, ${smallLength(fence.distanceM)} off: ${MESH_WORDS[look]}, costs ${stops(lossStops)}`;
}

/** Both ways to hold the camera. */
function bothWays({ subject, sight, focalMm, body }: View): string {
  const framing = {
    sizeM: subject.heightM,
    distanceM: sight.distanceM,
    focalMm,
    sensor: body.sensor,
  };
  const fill = (orientation: 'level' | 'upright') =>
    percent(frameFill({ ...framing, orientation }));
  return `level ${fill('level')}, upright ${fill('upright')}`;
}

function cropInWords(view: View): string {
  const crop = cropOf(view);
  return crop ? megapixelsLeft(crop) : 'no crop needed';
}

/** What one position sees of one mark at one minute. */
export function figuresOf(view: View, answer: Answer, along: AlongSight): readonly Figure[] {
  const { sight, faceOffDeg } = view;
  const { depth, settings } = answer.exposure;
  const mesh = meshInWords(view, settings.aperture, along.fence);
  const figure = (name: string, value: string | undefined): Figure[] =>
    value === undefined ? [] : [{ name, value }];
  return [
    ...figure('Distance', metres(sight.distanceM)),
    ...figure('True bearing', bearingInWords(sight.bearingDeg)),
    ...figure('Subject', faceSeen(faceOffDeg)),
    ...figure('Fills the frame', bothWays(view)),
    ...figure('Pixels on it', `${Math.round(view.pixels)} px`),
    ...figure(`Cropped to fill ${percent(wantedFill(view))}`, cropInWords(view)),
    ...figure(
      'Sharp in depth',
      depth &&
        `${metres(depth.nearM)} to ${depth.farM === Infinity ? 'endless' : metres(depth.farM)}`,
    ),
    ...figure(
      'In the way',
      along.blocks.length > 0 ? along.blocks.map(blockInWords).join('; ') : undefined,
    ),
    ...figure('Through', mesh),
    ...figure(
      'Swings in the window',
      along.swings.length > 0 ? along.swings.map(swingInWords).join('; ') : undefined,
    ),
    ...figure('Behind', backgroundInWords(view, settings.aperture, along.back)),
  ];
}

/** Of all marks, which have the sun on them and which have not. */
export function sunInFigures(marks: readonly Mark[], inSun: readonly string[]): readonly Figure[] {
  const names = (wanted: boolean) =>
    marks
      .filter(({ id }) => inSun.includes(id) === wanted)
      .map(({ name }) => name)
      .join('; ');
  const figures = [
    { name: 'In the sun', value: names(true) },
    { name: 'In the shade', value: names(false) },
  ];
  return figures.filter(({ value }) => value !== '');
}

/** "22 cm wide at each post of Wire fence": shade that keeps glare off a lens put to the wire. */
export function postShadeInWords(
  fence: AlongSight['fence'],
  sun: SubjectLight['sun'],
): string | undefined {
  const [strip] = fence ? eachPostStrip(fence.fence, sun) : [];
  return strip && `${smallLength(strip.widthM)} wide at each post of ${fence?.fence.name}`;
}

/** "62 m, 1 min": straight there, at the day's own pace. */
export function walkInWords(from: Position, to: Position, { walkSpeedMs }: Shoot['day']): string {
  const m = Math.hypot(to.x - from.x, to.y - from.y);
  return `${written(m, 'm', 0)}, ${Math.max(1, Math.ceil(m / walkSpeedMs / 60))} min`;
}
