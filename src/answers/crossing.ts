import {
  alongBearing,
  bearingDeg,
  elevationDeg,
  following,
  halfCircle,
  PAN_LADDER_S,
  PAN_SHARP_CIRCLES,
  pan,
  partTrack,
  point3,
  type Aim,
  type Point3,
  type Scene,
  type CameraSwing,
} from '@/core';
import { canPan, dialled, type Pictured } from './pictured';
import type { Setup, View } from './view';
import { toldOr } from './told';

/** A subject as it crosses the sight of a lens, to be followed, and the frame that following it made. */

/** Seen for so long before the middle, and after it, or until it is so far aside. No source. */
const BEFORE_S = 1.8;
const AFTER_S = 0.9;
const FURTHEST_DEG = 70;
const STEP_S = 0.05;

export interface Crossing {
  readonly view: View;
  /** The part that is followed. */
  readonly part: string;
  /** From where to where it runs: 0 is where it is pressed. */
  readonly fromS: number;
  readonly toS: number;
  /** Where it is seen: turned along with its way, and up, from where it is pressed. */
  readonly subjectAt: (timeS: number) => Aim;
  /** Where the point under it is. */
  readonly placeAt: (timeS: number) => Point3;
  /** What a camera looks at that is turned so. */
  readonly aimAt: (aim: Aim) => Point3;
  /** Whether it goes from left to right. */
  readonly rightward: boolean;
}

/** A subject's way past the lens; nothing where it stands, or comes at one. */
export function crossingOf(view: View): Crossing | undefined {
  const followed = following(view.running, 0);
  const part = view.running.parts.find(({ name }) => name === followed?.part);
  if (!part || !canPan(view)) return undefined;
  const { camera, aim, running } = view;
  const { swing: _swing, ...even } = part;
  const track = partTrack(running.subject, even, running.path);
  const start = track(0, 0);
  const placed = (timeS: number, from: Point3): Point3 => {
    const at = track(timeS, 0);
    return point3(from.x + at.x - start.x, from.y + at.y - start.y, from.z + at.z - start.z);
  };
  const [baseDeg, baseUpDeg] = [bearingDeg(camera, aim), elevationDeg(camera, aim)];
  const turnOf = (timeS: number) => halfCircle(bearingDeg(camera, placed(timeS, aim)) - baseDeg);
  const side = Math.sign(turnOf(STEP_S));
  const until = (stepS: number, mostS: number): number => {
    let atS = 0;
    while (Math.abs(atS) < mostS && Math.abs(turnOf(atS + stepS)) <= FURTHEST_DEG) atS += stepS;
    return atS;
  };
  const farM = Math.hypot(aim.x - camera.x, aim.y - camera.y, aim.z - camera.z);
  return {
    view,
    part: part.name,
    fromS: until(-STEP_S, BEFORE_S),
    toS: until(STEP_S, AFTER_S),
    subjectAt: (timeS) => ({
      turnDeg: side * turnOf(timeS),
      upDeg: elevationDeg(camera, placed(timeS, aim)) - baseUpDeg,
    }),
    placeAt: (timeS) => placed(timeS, running.path.position),
    aimAt: ({ turnDeg, upDeg }) => {
      const along = alongBearing(baseDeg + side * turnDeg, baseUpDeg + upDeg);
      return point3(
        camera.x + farM * along.x,
        camera.y + farM * along.y,
        camera.z + farM * along.z,
      );
    },
    rightward: side > 0,
  };
}

/** A swing whose subject was further from the middle than half of the frame, or that went its own way. No source. */
const LOST_OFF_SHARE = 0.5;
const LOST_ERROR = 0.6;

export interface PanJudged {
  readonly shutterS: number;
  /** Length the background is drawn out to. */
  readonly streakMm: number;
  /** What the subject is drawn out to, in circles of confusion. */
  readonly smearCircles: number;
  readonly sharp: boolean;
  readonly lost: boolean;
}

/** What a swing made of its frame. */
export function judgedPan(
  { view }: Crossing,
  { rateError, off }: Pick<CameraSwing, 'rateError' | 'off'>,
  shutterS: number,
): PanJudged {
  const { body, focalMm, orientation, cocMm, passing, subject } = view;
  const { sensor } = body;
  const { streakMm } = pan({
    ...passing,
    ...{ speedMs: subject.speedMs, focalMm, shutterS, skillSigma: 0, cocMm },
  });
  const level = orientation === 'level';
  const [widthMm, heightMm] = level
    ? [sensor.widthMm, sensor.heightMm]
    : [sensor.heightMm, sensor.widthMm];
  const offMm = (deg: number) => Math.abs(Math.tan((deg * Math.PI) / 180) * focalMm);
  const lost =
    Math.abs(rateError) > LOST_ERROR ||
    Math.abs(off.turnDeg) >= 90 ||
    offMm(off.turnDeg) > LOST_OFF_SHARE * widthMm ||
    offMm(off.upDeg) > LOST_OFF_SHARE * heightMm;
  const smearCircles = (streakMm * Math.abs(rateError)) / cocMm;
  return {
    shutterS,
    streakMm,
    smearCircles,
    lost,
    sharp: !lost && smearCircles <= PAN_SHARP_CIRCLES,
  };
}

/** A view as it is panned, whatever the shot in hand asks for. */
export function panned(view: View, sigma: number): View {
  const { pan: _own, ...motion } = view.running;
  const pan = following(motion, sigma);
  return { ...view, motion: { ...motion, ...(pan && { pan }) } };
}

/** The picture of a pan at a time, its other dials as the plan sets them. */
export const panPicture = (
  setup: Setup,
  here: Pictured,
  atMs: number,
  shutterS: number,
): Pictured => {
  const seen = { ...here, view: panned(here.view, setup.choice.panSigma) };
  return toldOr(() => dialled(setup, seen, atMs, { shutterS }), here);
};

/** The frame that a swing made. */
export function swungScene(
  { part, aimAt }: Crossing,
  scene: Scene,
  { rateError, off }: Pick<CameraSwing, 'rateError' | 'off'>,
): Scene {
  return { ...scene, camera: { ...scene.camera, aim: aimAt(off), pan: { part, rateError } } };
}

/** Times of the ladder that a body has, the easiest first. */
export const rungsOf = ({ body }: View): readonly number[] =>
  PAN_LADDER_S.filter((shutterS) => shutterS >= body.fastestShutterS);
