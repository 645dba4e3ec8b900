import {
  alongBearing,
  apexWindow,
  GRAVITY_MS2,
  point3,
  type Figure,
  type Point3,
  type Scene,
} from '@/core';
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
  /** What flies towards it. */
  readonly ballsAt: (
    timeS: number,
  ) => readonly { readonly middle: Point3; readonly radiusM: number }[];
}

type Way = Pick<Happening, 'movedAt' | 'ballsAt'>;

const NOTHING_FLIES = () => [];

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
    ballsAt: NOTHING_FLIES,
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
function bat({ mark }: View): Way {
  const ahead = alongBearing(mark.headingDeg);
  const meetsM = (mark.feetM ?? 0) + MEETS_M;
  const flightS = THROWN_FROM_M / THROWN_MS;
  return {
    movedAt: () => point3(0, 0, 0),
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
    ballsAt: NOTHING_FLIES,
  };
}

const KINDS = { jump, bat, leaving } as const;

/** From when to when a frame of a moment is worth keeping, the moment being 0. */
export function windowOf(kind: MomentKind): Pick<Happening, 'goodFromS' | 'goodToS'> {
  switch (kind) {
    case 'jump': {
      const hangS = apexWindow({ toleranceMs: HANGS_MS });
      return { goodFromS: -hangS / 2, goodToS: hangS / 2 };
    }
    case 'bat':
      return { goodFromS: -ON_BAT_M / THROWN_MS, goodToS: ON_BAT_M / BATTED_MS };
    case 'leaving':
      return { goodFromS: 0, goodToS: LEAVING_S };
  }
}

/**
 * A moment before the lens.
 * @param chance 0 to 1, for how long it is waited for
 */
export const happening = (kind: MomentKind, view: View, chance: number): Happening => ({
  ...KINDS[kind](view),
  ...windowOf(kind),
  fromS: -(LEAST_WAIT_S + MORE_WAIT_S * chance),
  toS: AFTER_S,
});

/** The figure as it is then. */
export function figureThen({ figure }: Scene, { movedAt }: Happening, timeS: number): Figure {
  const moved = movedAt(timeS);
  const { position } = figure.path;
  return {
    ...figure,
    path: {
      ...figure.path,
      position: point3(position.x + moved.x, position.y + moved.y, position.z + moved.z),
    },
  };
}

/** The picture of a press: the figure where it was, and what flew. */
export const sceneThen = (scene: Scene, what: Happening, timeS: number): Scene => ({
  ...scene,
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
  what: Pick<Happening, 'goodFromS' | 'goodToS'>,
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
    return { timeS, good: timeS >= what.goodFromS && timeS <= what.goodToS };
  });
}
