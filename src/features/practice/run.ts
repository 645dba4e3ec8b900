import type { Crossing } from '@/answers/crossing';
import type { Aim, AimAt } from '@/core';
import type { HandKind } from '@/records/practice';

/** One swing as it happens: where the hand has the camera, moment by moment, until it has followed through. */

/** As much of the room from where the hand sets in to the page's edge is for the whole arc. */
const ROOM_SHARE = 0.85;
const LEAST_ROOM_PX = 140;
/** A hand that rests sends nothing: after this it is where it was, noted so often. */
const RESTS_AFTER_S = 0.04;
const NOTED_EACH_S = 1 / 60;
/** It follows through for this long after the press. */
const THROUGH_S = 0.35;
/** Without a press by then it is taken as it passed the middle. */
const PRESSED_BY_S = 0.5;
/** A camera that keys steer goes so much too slow or too fast at the most, and an arrow changes that by this. */
const KEYS_OFF = 0.12;
const KEY_STEP = 0.04;

export interface Swung {
  readonly by: HandKind;
  readonly track: readonly AimAt[];
  readonly pressS: number;
  /** Whether it was pressed, and not taken by itself in the middle. */
  readonly pressed: boolean;
}

export interface Run {
  readonly by: HandKind;
  /** Time of the subject's way at a moment of the page's clock. */
  readonly timeAt: (nowMs: number) => number;
  /** A pointer is here. */
  readonly move: (nowMs: number, xPx: number, yPx: number) => void;
  /** The camera was turned by so much. */
  readonly turn: (nowMs: number, byDeg: Aim) => void;
  /** A key makes it faster, or slower. */
  readonly nudge: (nowMs: number, faster: boolean) => void;
  readonly press: (nowMs: number) => void;
  /** Where the camera looks now. */
  readonly aim: (nowMs: number) => Aim;
  /** The swing, once it is over. */
  readonly done: (nowMs: number) => Swung | undefined;
}

/** Readings of a hand with where it rested between them, up to the end. */
function withRests(track: readonly AimAt[], endS: number): readonly AimAt[] {
  return track.flatMap((at, i) => {
    const nextS = track[i + 1]?.timeS ?? endS;
    const gapS = nextS - at.timeS;
    if (gapS <= RESTS_AFTER_S) return [at];
    const rests = Math.floor(gapS / NOTED_EACH_S - 1e-9);
    return Array.from({ length: rests }, (_, k) => ({ ...at, timeS: at.timeS + k * NOTED_EACH_S }));
  });
}

/** @param chance 0 to 1, for how far off a camera steered by keys sets out */
export function beginRun({
  crossing,
  by,
  atMs,
  from,
  pageWidthPx,
  chance = 0.5,
}: {
  readonly crossing: Pick<Crossing, 'subjectAt' | 'fromS' | 'toS' | 'rightward'>;
  readonly by: HandKind;
  readonly atMs: number;
  readonly from?: { readonly xPx: number; readonly yPx: number };
  readonly pageWidthPx: number;
  readonly chance?: number;
}): Run {
  const { subjectAt, fromS, toS, rightward } = crossing;
  const start = subjectAt(fromS);
  let keysOff = KEYS_OFF * (2 * chance - 1);
  // As far behind as it will be ahead: the subject stays in the frame meanwhile.
  const behindDeg = by === 'keys' ? (keysOff * (subjectAt(0).turnDeg - start.turnDeg)) / 2 : 0;
  const track: AimAt[] = [{ timeS: fromS, ...start, turnDeg: start.turnDeg - behindDeg }];
  const arcDeg = subjectAt(toS).turnDeg - start.turnDeg;
  const side = rightward ? 1 : -1;
  const room = from ? (rightward ? pageWidthPx - from.xPx : from.xPx) : pageWidthPx;
  const degPerPx = arcDeg / (ROOM_SHARE * Math.max(LEAST_ROOM_PX, room));
  let pressedS: number | undefined;
  const timeAt = (nowMs: number) => fromS + (nowMs - atMs) / 1000;
  const last = () => track.at(-1) as AimAt;
  const note = (timeS: number, aim: Aim) => {
    if (timeS > last().timeS) track.push({ timeS, ...aim });
  };
  /** A camera that keys steer goes on by itself, however seldom it is drawn. */
  const swingOn = (timeS: number) => {
    if (by !== 'keys') return;
    while (last().timeS < timeS) {
      const { turnDeg, timeS: lastS } = last();
      const nextS = Math.min(timeS, lastS + NOTED_EACH_S);
      const next = subjectAt(nextS);
      const byDeg = (next.turnDeg - subjectAt(lastS).turnDeg) * (1 + keysOff);
      note(nextS, { turnDeg: turnDeg + byDeg, upDeg: next.upDeg });
    }
  };
  return {
    by,
    timeAt,
    move: (nowMs, xPx, yPx) => {
      if (!from) return;
      note(timeAt(nowMs), {
        turnDeg: start.turnDeg + side * (xPx - from.xPx) * degPerPx,
        upDeg: start.upDeg - (yPx - from.yPx) * degPerPx,
      });
    },
    turn: (nowMs, byDeg) => {
      const { turnDeg, upDeg } = last();
      note(timeAt(nowMs), {
        turnDeg: turnDeg + side * byDeg.turnDeg,
        upDeg: upDeg + byDeg.upDeg,
      });
    },
    nudge: (nowMs, faster) => {
      swingOn(timeAt(nowMs));
      keysOff += (faster ? 1 : -1) * KEY_STEP;
    },
    press: (nowMs) => {
      swingOn(timeAt(nowMs));
      pressedS ??= Math.min(toS, timeAt(nowMs));
    },
    aim: (nowMs) => {
      swingOn(timeAt(nowMs));
      return last();
    },
    done: (nowMs) => {
      const nowS = timeAt(nowMs);
      const over = pressedS === undefined ? PRESSED_BY_S : pressedS + THROUGH_S;
      if (nowS < Math.min(toS, over)) return undefined;
      swingOn(nowS);
      const pressed = pressedS !== undefined;
      return { by, track: withRests(track, nowS), pressS: pressedS ?? 0, pressed };
    },
  };
}
