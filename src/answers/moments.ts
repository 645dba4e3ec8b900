import {
  alongBearing,
  apexWindow,
  bearingDeg,
  GRAVITY_MS2,
  halfCircle,
  headTurned,
  point3,
  striding,
  wingsAt,
  type Figure,
  type Piece,
  type Point3,
  type Scene,
} from '@/core';
import { RHYTHMS } from '@/presets/rhythms';
import type { MomentKind } from '@/records/practice';
import type { View } from './view';

/** Moments to press for, as they run before the lens. All figures: usual magnitudes, no source. */

/** A moment on its way: 0 is the moment. */
export interface Happening {
  readonly fromS: number;
  readonly toS: number;
  /** How long a frame of it is worth keeping, from when to when. */
  readonly goodFromS: number;
  readonly goodToS: number;
  /** How far the figure is from where it stands. */
  readonly movedAt: (timeS: number) => Point3;
  /** The figure's pieces as they are held then. */
  readonly piecesAt: (timeS: number, pieces: readonly Piece[]) => readonly Piece[];
  /** The camera goes with it. */
  readonly followed: boolean;
  /** It comes again so often; once when absent. */
  readonly everyS?: number;
  /** What flies towards it. */
  readonly ballsAt: (
    timeS: number,
  ) => readonly { readonly middle: Point3; readonly radiusM: number }[];
}

type Way = Partial<Pick<Happening, 'movedAt' | 'piecesAt' | 'ballsAt' | 'followed' | 'everyS'>>;

/** What stands, holds still and has nothing fly at it. */
const STANDS = {
  movedAt: () => point3(0, 0, 0),
  piecesAt: (_timeS: number, pieces: readonly Piece[]) => pieces,
  ballsAt: () => [],
  followed: false,
};

/** One waits at least so long, and up to this much longer: nobody knows when it comes. */
const LEAST_WAIT_S = 1.3;
const MORE_WAIT_S = 1.8;
const AFTER_S = 0.9;

const JUMP_M = 0.6;
const CROUCH_M = 0.14;
const CROUCH_S = 0.28;
/** At the top one hangs while rising or falling slower than this. */
export const HANGS_MS = 0.5;

/** Somebody crouches, jumps, and hangs at the top. */
function jump(): Way {
  const upS = Math.sqrt((2 * JUMP_M) / GRAVITY_MS2);
  const heightM = (timeS: number): number => {
    if (Math.abs(timeS) <= upS) return JUMP_M - (GRAVITY_MS2 * timeS ** 2) / 2;
    const beforeS = -upS - timeS;
    return beforeS > 0 && beforeS < CROUCH_S
      ? -CROUCH_M * Math.sin((Math.PI * beforeS) / CROUCH_S)
      : 0;
  };
  return {
    movedAt: (timeS) => point3(0, 0, heightM(timeS)),
  };
}

const THROWN_MS = 30;
const THROWN_FROM_M = 16;
const BALL_RADIUS_M = 0.037;
const MEETS_M = 0.9;
/** So near the bat, before or after, the ball is still on it for a picture. */
const ON_BAT_M = 0.5;
const BATTED_MS = 35;

/** A ball comes, is met, and is gone. */
function bat({ mark, running }: View): Way {
  const ahead = alongBearing(mark.headingDeg);
  const meetsM = running.path.position.z + MEETS_M;
  const flightS = THROWN_FROM_M / THROWN_MS;
  return {
    ballsAt: (timeS) => {
      const farM = timeS < 0 ? -timeS * THROWN_MS : timeS * BATTED_MS;
      const upM = timeS > 0 ? timeS * BATTED_MS * 0.3 : 0;
      return timeS < -flightS
        ? []
        : [
            {
              middle: point3(
                mark.x + ahead.x * (0.6 + farM),
                mark.y + ahead.y * (0.6 + farM),
                meetsM + upM,
              ),
              radiusM: BALL_RADIUS_M,
            },
          ];
    },
  };
}

const DIPS_S = 0.35;
const DIPS_SHARE = 0.18;
const LEAVES_MS2 = 18;
const LEAVES_UP = 0.35;
/** With its wings open and still in the frame. */
const LEAVING_S = 0.15;

/** Something small sits, dips, and is off. */
function leaving({ mark, subject }: View): Way {
  const ahead = alongBearing(mark.headingDeg);
  return {
    movedAt: (timeS) => {
      if (timeS >= 0) {
        const goneM = (LEAVES_MS2 * timeS ** 2) / 2;
        return point3(ahead.x * goneM, ahead.y * goneM, goneM * LEAVES_UP);
      }
      const share = timeS > -DIPS_S ? Math.sin((Math.PI * (timeS + DIPS_S)) / DIPS_S) : 0;
      return point3(0, 0, -DIPS_SHARE * subject.heightM * share);
    },
  };
}

/** It comes again faster than this: nobody presses for one of them. No source. */
const FASTEST_BEAT_S = 0.25;

/** How often a subject's step or beat comes again, where a hand can time it. */
export function beatS({ subject: { id, basedOn } }: Pick<View, 'subject'>): number | undefined {
  const rhythm = RHYTHMS[basedOn ?? id];
  return rhythm && 1 / rhythm.perS >= FASTEST_BEAT_S ? 1 / rhythm.perS : undefined;
}

const alongWay =
  ({ mark, subject }: View) =>
  (timeS: number): Point3 => {
    const ahead = alongBearing(mark.headingDeg);
    return point3(ahead.x * subject.speedMs * timeS, ahead.y * subject.speedMs * timeS, 0);
  };

/** So near its top a knee is as good as highest, and a wing as good as up. */
const NEAR_STEP_S = 0.05;

/** Somebody runs, and is followed. */
function stride(view: View): Way {
  const everyS = beatS(view) ?? FASTEST_BEAT_S;
  return {
    movedAt: alongWay(view),
    piecesAt: (timeS) => striding(view.subject, timeS / everyS),
    ...{ followed: true, everyS },
  };
}

const RAISED_DEG = 45;
const HUNG_DEG = -25;

/** Something flies by and is followed. */
function wings(view: View): Way {
  const everyS = beatS(view) ?? FASTEST_BEAT_S;
  const [middleDeg, swingDeg] = [(RAISED_DEG + HUNG_DEG) / 2, (RAISED_DEG - HUNG_DEG) / 2];
  return {
    movedAt: alongWay(view),
    piecesAt: (timeS, pieces) =>
      wingsAt(pieces, middleDeg + swingDeg * Math.cos((2 * Math.PI * timeS) / everyS)),
    ...{ followed: true, everyS },
  };
}

const AWAY_DEG = 80;
/** A head goes so much of the way to the lens: three quarters of the face are seen. No source. */
const TOWARD_SHARE = 0.75;
const TURNS_S = 0.15;
const STAYS_S = 0.5;

/** Something looks away, and for a moment at the lens. */
function turn({ mark, subject, position }: View): Way {
  // Turned to its left counts above 0; bearings run to the right.
  const lensDeg = -halfCircle(bearingDeg(mark, position) - mark.headingDeg);
  const seenDeg = TOWARD_SHARE * lensDeg;
  const awayDeg = seenDeg + (lensDeg > 0 ? -AWAY_DEG : AWAY_DEG);
  return {
    piecesAt: (timeS, pieces) => {
      const sinceS = timeS < 0 ? -timeS : Math.max(0, timeS - STAYS_S);
      const share = Math.min(1, sinceS / TURNS_S);
      return headTurned(pieces, subject, seenDeg + share * (awayDeg - seenDeg));
    },
  };
}

const KINDS = { jump, bat, stride, wings, leaving, turn } as const;

/** From when to when a frame of a moment is worth keeping, the moment being 0. */
export function windowOf(kind: MomentKind): Pick<Happening, 'goodFromS' | 'goodToS'> {
  switch (kind) {
    case 'jump': {
      const hangS = apexWindow({ toleranceMs: HANGS_MS });
      return { goodFromS: -hangS / 2, goodToS: hangS / 2 };
    }
    case 'bat':
      return { goodFromS: -ON_BAT_M / THROWN_MS, goodToS: ON_BAT_M / BATTED_MS };
    case 'stride':
    case 'wings':
      return { goodFromS: -NEAR_STEP_S, goodToS: NEAR_STEP_S };
    case 'leaving':
      return { goodFromS: 0, goodToS: LEAVING_S };
    case 'turn':
      return { goodFromS: 0, goodToS: STAYS_S };
  }
}

/**
 * A moment before the lens.
 * @param chance 0 to 1, for how long it is waited for
 */
export const happening = (kind: MomentKind, view: View, chance: number): Happening => ({
  ...STANDS,
  ...KINDS[kind](view),
  ...windowOf(kind),
  fromS: -(LEAST_WAIT_S + MORE_WAIT_S * chance),
  toS: AFTER_S,
});

/** How far from the moment a press fell: from the nearest, where it comes again. */
export const offMoment = ({ everyS }: Pick<Happening, 'everyS'>, timeS: number): number =>
  everyS === undefined ? timeS : timeS - everyS * Math.round(timeS / everyS);

const shifted = (at: Point3, by: Point3): Point3 => point3(at.x + by.x, at.y + by.y, at.z + by.z);

/** What the camera looks at then. */
export const aimThen = (
  { camera: { aim } }: Scene,
  { followed, movedAt }: Happening,
  timeS: number,
): Point3 => (followed ? shifted(aim, movedAt(timeS)) : aim);

/** The figure as it is then. */
export function figureThen(
  { figure }: Scene,
  { movedAt, piecesAt }: Happening,
  timeS: number,
): Figure {
  const { path, pieces } = figure;
  return {
    ...figure,
    path: { ...path, position: shifted(path.position, movedAt(timeS)) },
    pieces: piecesAt(timeS, pieces),
  };
}

/** The picture of a press: the figure where it was, and what flew. */
export const sceneThen = (scene: Scene, what: Happening, timeS: number): Scene => ({
  ...scene,
  camera: { ...scene.camera, aim: aimThen(scene, what, timeS) },
  figure: figureThen(scene, what, timeS),
  solids: [
    ...scene.solids,
    ...what.ballsAt(timeS).map(({ middle, radiusM }) => ({
      ...{ shape: 'ellipsoid' as const, middle, radiiM: { x: radiusM, y: radiusM, z: radiusM } },
      ...{ material: 'pale' as const, reflectance: 0.7 },
    })),
  ],
});

/** Frames of a burst that begins at a time: when each is taken, and whether the moment is on it. */
export function burstFrom(
  what: Pick<Happening, 'goodFromS' | 'goodToS' | 'everyS'>,
  {
    pressS,
    fps,
    burstS,
    preCaptureS,
  }: {
    readonly pressS: number;
    readonly fps: number;
    readonly burstS: number;
    readonly preCaptureS: number;
  },
): readonly { readonly timeS: number; readonly good: boolean }[] {
  const before = Math.floor(preCaptureS * fps + 1e-9);
  const after = Math.floor(burstS * fps + 1e-9);
  return Array.from({ length: before + after + 1 }, (_, i) => {
    const timeS = pressS + (i - before) / fps;
    const offS = offMoment(what, timeS);
    return { timeS, good: offS >= what.goodFromS && offS <= what.goodToS };
  });
}
