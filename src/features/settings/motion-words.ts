import {
  apertureForDepth,
  burst,
  burstOverCycles,
  depthOfField,
  depthWithin,
  formatShutter,
  halfCircle,
  imageSize,
  motionSmear,
  panArc,
  passingStreak,
  rollingShutterSkew,
  rollingShutterStretch,
  tiltTolerance,
  timeInFocus,
  turnDuring,
  type Hand,
  type PanArc,
  type Settings,
} from '@/core';
import { HANGS_MS, windowOf } from '@/answers/moments';
import { burstOdds, oddsSetRight } from '@/answers/practised';
import type { FieldPresses } from '@/answers/taught';
import type { View } from '@/answers/view';
import { depthInWords } from '@/features/shoot/frame-notes';
import { percent, smallLength } from '@/features/shoot/words';
import { FALLING, HANGS, RHYTHMS } from '@/presets/rhythms';
import { written } from '@/ui/units';

/** What motion does at the settings chosen, and how to meet it; every number from the core. */

export interface Said {
  readonly name: string;
  readonly value: string;
  readonly why: string;
}

/** From seeing to pressing, and from pressing to opening. Common practice, no source. */
const REACTION_S = 0.25;
const RELEASE_S = 0.05;
/** A pan picks up this long before the moment and follows this long through. No source. */
const PICK_UP_S = 1;
const FOLLOW_S = 0.6;

const seconds = (s: number) => (s < 1 ? `${s.toFixed(2)} s` : `${s.toFixed(1)} s`);

/** The arc a pan sweeps from here, and where along its way the subject then is. */
export function swingOf(view: View): PanArc & { readonly fromM: number; readonly toM: number } {
  const { closestM, offsetM } = view.passing;
  const { speedMs } = view.subject;
  const fromM = offsetM - Math.max(0.5, speedMs * PICK_UP_S);
  const toM = offsetM + Math.max(0.5, speedMs * FOLLOW_S);
  return { ...panArc({ closestM, fromM, toM }), fromM, toM };
}

/** Image speed of the subject's body in mm a second, as the shutter reads down. */
function imageSpeedMmS(view: View): number {
  const atMs = 1 / 1000;
  const [body] = motionSmear({ ...view.running, shutterS: atMs });
  return (body?.onSensorMm ?? 0) / atMs;
}

function cyclesSaid(view: View, { shutterS }: Settings): readonly Said[] {
  const rhythm = RHYTHMS[view.subject.basedOn ?? view.subject.id];
  if (!rhythm) return [];
  const fps = view.body.framesPerS;
  const { what, perS } = rhythm;
  const { frames, missedByCycles } = burstOverCycles({ perS, fps });
  const { gapM } = burst({ fps, windowS: 0, speedMs: view.subject.speedMs });
  const turn = turnDuring({ perS, shutterS });
  return [
    {
      name: `Phase of the ${what}`,
      ...(perS < fps
        ? {
            value: `${frames} frames`,
            why: `take in one whole ${what}, ${perS} a second against ${fps} frames: the moment you want is at most ${percent(missedByCycles)} of a ${what} from one of them. Between two it goes ${smallLength(gapM)}`,
          }
        : {
            value: 'left to chance',
            why: `${perS} ${what}s a second against ${fps} frames: no burst chooses the moment, more bursts do. Between two frames it goes ${smallLength(gapM)}`,
          }),
    },
    {
      name: `The ${what} in the frame`,
      value: `${turn < 10 ? turn.toFixed(1) : Math.round(turn)}°`,
      why: `of its 360° while the shutter is open at ${formatShutter(shutterS)}`,
    },
  ];
}

/** How one presses, as practised: at what is reacted to, and at what is seen coming. */
export interface Practised {
  readonly leaving?: Hand | undefined;
  readonly jump?: Hand | undefined;
  /** What presses at jumps kept in earlier shoots. */
  readonly field?: FieldPresses;
}

function apexSaid(view: View, { jump, field }: Practised): readonly Said[] {
  if (!HANGS.has(view.subject.basedOn ?? view.subject.id)) return [];
  const { goodFromS, goodToS } = windowOf('jump');
  const windowS = goodToS - goodFromS;
  const fps = view.body.framesPerS;
  const { chance } = burst({ fps, windowS, speedMs: 0 });
  const own = jump && burstOdds(windowOf('jump'), jump, fps).find(({ how }) => how === 'half');
  const early =
    own && own.earlyS >= 0.02 ? `, pressed ${own.earlyS.toFixed(2)} s before you feel it` : '';
  return [
    {
      name: 'Top of the jump',
      value: seconds(windowS),
      why: `in which it hangs, slower than ${written(HANGS_MS, 'm/s', 1)}; an untimed burst has a frame in it ${percent(chance)} of the time${
        own ? `; half a second${early}, as you practised: ${percent(own.chance)}` : ''
      }${
        own && field && field.presses > 0
          ? `; ${field.kept} of ${field.presses} presses in the field have a kept frame: reckon with ${percent(oddsSetRight(own.chance, field))}`
          : ''
      }`,
    },
  ];
}

/** How long what falls is drawn; under a roof only water that somebody swims in is thrown. */
function streaksSaid(view: View, { shutterS }: Settings): readonly Said[] {
  const { sensor } = view.body;
  const frameHeightMm = view.orientation === 'upright' ? sensor.widthMm : sensor.heightMm;
  const inWater = view.subject.cautions?.some((tag) => tag === 'pool' || tag === 'water') ?? false;
  const falls = FALLING.filter(({ from }) => !view.scene.indoors || (from === 'water' && inWater));
  if (falls.length === 0) return [];
  const streaks = falls.map(({ name, speedMs }) => {
    const { shareOfFrame } = passingStreak({
      speedMs,
      distanceM: view.sight.distanceM,
      focalMm: view.focalMm,
      shutterS,
      frameHeightMm,
    });
    return `${name} ${shareOfFrame >= 0.1 ? Math.round(shareOfFrame * 100) : (shareOfFrame * 100).toFixed(1)} %`;
  });
  return [
    {
      name: 'Streaks',
      value: streaks.join(', '),
      why: `of the frame’s height at ${formatShutter(shutterS)}; about 1/30 draws them long`,
    },
  ];
}

/** What moves at the settings chosen: phases, streaks, lean, hands. */
export function motionSaid(
  view: View,
  settings: Settings,
  practised: Practised = {},
): readonly Said[] {
  const { shutterS } = settings;
  const { stabilisationStops } = view.body;
  return [
    ...cyclesSaid(view, settings),
    ...apexSaid(view, practised),
    ...streaksSaid(view, settings),
    silentSaid(view),
    {
      name: 'Your hands',
      value: `steady to ${formatShutter(view.shakeS)}`,
      why: 'one over the focal length, with what stabiliser and support give; careful people halve it',
    },
    {
      name: 'Stabiliser',
      value: stabiliserHint(view, shutterS, stabilisationStops),
      why: 'it steadies the camera, never the subject',
    },
  ];
}

/** What the silent shutter does to what crosses: held level it leans, held upright it grows or shrinks. */
function silentSaid(view: View): Said {
  const { sensor, silentReadoutS: readoutS } = view.body;
  const speed = { imageSpeedMmS: imageSpeedMmS(view), readoutS };
  if (view.orientation === 'upright') {
    const { longer, shorter } = rollingShutterStretch({ ...speed, frameAcrossMm: sensor.heightMm });
    return {
      name: 'Silent shutter',
      value:
        longer < 0.01
          ? 'no change to see'
          : `${percent(longer)} longer, or ${percent(shorter)} shorter`,
      why: `held upright it reads across the frame in ${formatShutter(readoutS)}: the subject grows if it runs with the reading and shrinks if against`,
    };
  }
  const { skewMm, leanDeg } = rollingShutterSkew({
    ...speed,
    frameHeightMm: sensor.heightMm,
    heightShare: Math.min(1, view.fill),
  });
  const subjectMm = imageSize({
    sizeM: view.subject.heightM,
    distanceM: view.sight.distanceM,
    focalMm: view.focalMm,
  });
  return {
    name: 'Silent shutter',
    value: leanDeg < 0.5 ? 'no lean to see' : `leans ${leanDeg.toFixed(1)}°`,
    why: `it reads down the frame in ${formatShutter(readoutS)}: the subject shifts ${percent(Math.min(9.99, skewMm / subjectMm))} of its height`,
  };
}

function stabiliserHint({ wanted, shakeS }: View, shutterS: number, stabilised: number): string {
  if (stabilised === 0) return 'none on this body';
  if (wanted.technique === 'pan') return 'panning mode: up and down only';
  return shutterS * 4 < shakeS ? 'off, or normal: not needed' : 'normal mode';
}

export interface FocusPlan {
  readonly said: readonly Said[];
  /** Distances between which all is sharp enough, for the plan. */
  readonly nearM: number;
  readonly farM: number;
}

/** Angle between the subject's way and the line to the camera. */
function awayDegOf({ mark, sight }: View): number {
  return Math.abs(halfCircle(mark.headingDeg - (sight.bearingDeg + 180)));
}

/** A subject slower than this comes to a known place: focus can wait for it there. */
const SLOW_MS = 1.5;

/** Three ways to take something flat: what each wants of the focus. */
function viewsSaid(
  { subject, sight, focalMm, cocMm, lens, capAperture, widestAperture }: View,
  depthM: number,
): readonly Said[] {
  const lengthM = subject.heightM;
  const turn = `within ${tiltTolerance({ depthM, subjectLengthM: lengthM }).toFixed(0)}°`;
  const wants = apertureForDepth({
    ...{ focalMm, cocMm, distanceM: sight.distanceM },
    depthM: depthWithin(lengthM, sight.distanceM, focalMm),
  });
  const whole = wants <= Math.min(lens.smallestAperture, capAperture);
  return [
    {
      name: 'From the side, wings closed',
      value: turn,
      why: 'how far the wings may turn from the sensor’s plane and stay sharp',
    },
    {
      name: 'From above, wings open',
      value: turn,
      why: 'the lens straight over it; mind your shadow, it drives it off',
    },
    {
      name: 'Head-on',
      value: whole ? `f/${Number(Math.max(wants, widestAperture).toFixed(1))}` : 'the eyes alone',
      why: whole
        ? `takes in all ${smallLength(lengthM)} of it, from eyes to wing tips`
        : `all ${smallLength(lengthM)} of it want f/${wants.toFixed(0)}, past what the lens gives sharp`,
    },
  ];
}

/** How to focus for a view: where, how deep, how long, how early to press. */
export function focusPlan(
  view: View,
  { aperture }: Settings,
  { leaving }: Practised = {},
): FocusPlan {
  const { focalMm, cocMm, subject } = view;
  const { distanceM } = view.sight;
  const { nearM, farM } = depthOfField({ focalMm, cocMm, aperture, distanceM });
  const depthM = farM - nearM;
  const awayDeg = awayDegOf(view);
  const { speedMs } = view.motion.subject;
  const inFocusS = depthM === Infinity ? Infinity : timeInFocus({ depthM, speedMs, awayDeg });
  // Nobody reacts before it happens, however they guessed.
  const leadS = Math.max(0, leaving?.bias.value ?? REACTION_S) + RELEASE_S;
  const waits = speedMs <= SLOW_MS || subject.climbDeg !== undefined;
  const fps = view.body.framesPerS;
  const frames = inFocusS === Infinity ? undefined : Math.floor(inFocusS * fps);
  return {
    nearM,
    farM,
    said: [
      {
        name: 'Focus',
        value: waits ? 'pre-focus on the mark, and wait' : 'continuous, one point on the body',
        why: waits
          ? 'it comes to a known place; lock there before it does'
          : 'it moves through the frame; start tracking before the moment. Others pre-focus on the mark and lock',
      },
      {
        name: 'Sharp from',
        value: depthInWords({ nearM, farM }),
        why: `${smallLength(depthM)} of depth, drawn on the plan across the line of sight`,
      },
      {
        name: 'In it for',
        value: inFocusS === Infinity ? 'as long as it is there' : seconds(inFocusS),
        why:
          frames === undefined
            ? 'it crosses at one distance'
            : `${frames} ${frames === 1 ? 'frame' : 'frames'} at ${fps} a second, if the focus stands still`,
      },
      {
        name: 'Press early by',
        value: smallLength(speedMs * leadS),
        why: `${leadS.toFixed(2)} s from seeing to opening${leaving ? `, by ${leaving.count} presses you practised,` : ''} at ${written(speedMs, 'm/s', 1)}; pre-capture, where the body has it, gives them back`,
      },
      ...(subject.flat && depthM !== Infinity ? viewsSaid(view, depthM) : []),
    ],
  };
}
