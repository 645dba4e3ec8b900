import type { Aim } from '@/core';

/** The phone itself as the camera: how fast it is turned, by its motion sensors. */

type Asking = typeof DeviceMotionEvent & { requestPermission?: () => Promise<string> };

const PATIENCE_MS = 3000;
/** A sensor that was silent for longer has not been turned meanwhile. */
const LONGEST_GAP_S = 0.25;

/** One reading: rates about the phone's own axes, degrees a second, and which way gravity pulls along them. */
export interface Turning {
  readonly rates: { readonly x: number; readonly y: number; readonly z: number };
  readonly gravity: { readonly x: number; readonly y: number; readonly z: number };
}

/**
 * How fast the camera turns right and up, degrees a second: the turn about the vertical, and about the level line
 * across the sight. The camera looks out of the phone's back (−z).
 */
export function turnRate({ rates, gravity }: Turning): Aim {
  const size = Math.hypot(gravity.x, gravity.y, gravity.z);
  if (size < 1) return { turnDeg: 0, upDeg: 0 };
  // At rest the sensor feels the push against gravity: up.
  const up = { x: gravity.x / size, y: gravity.y / size, z: gravity.z / size };
  // Right of the sight: forward × up, forward being −z.
  const right = { x: up.y, y: -up.x, z: 0 };
  const across = Math.hypot(right.x, right.y);
  const { x, y, z } = rates;
  return {
    // Seen from above a turn to the right goes against the hands of a mathematician's clock.
    turnDeg: -(x * up.x + y * up.y + z * up.z),
    upDeg: across < 0.1 ? 0 : (x * right.x + y * right.y) / across,
  };
}

/** What one event of the sensors says; nothing where it lacks a figure. */
function turningIn(event: DeviceMotionEvent): Turning | undefined {
  const { rotationRate, accelerationIncludingGravity: pull } = event;
  // The page's axes: beta turns about x, gamma about y, alpha about z.
  const { alpha, beta, gamma } = rotationRate ?? {};
  if (alpha == null || beta == null || gamma == null || !pull) return undefined;
  const { x, y, z } = pull;
  if (x == null || y == null || z == null) return undefined;
  return { rates: { x: beta, y: gamma, z: alpha }, gravity: { x, y, z } };
}

/** Hears by how much the phone was turned, in degrees, until told to stop. */
export type HeardTurn = (nowMs: number, byDeg: Aim) => void;

/**
 * @throws Error in words where there are no sensors, or they may not be asked
 */
export async function hearTurning(hear: HeardTurn): Promise<() => void> {
  if (typeof DeviceMotionEvent === 'undefined') {
    throw new Error('this browser has no motion sensors');
  }
  const { requestPermission } = DeviceMotionEvent as Asking;
  if (requestPermission && (await requestPermission()) !== 'granted') {
    throw new Error('the browser was not allowed to give them');
  }
  return new Promise((resolve, reject) => {
    let lastMs: number | undefined;
    const timer = setTimeout(() => {
      stop();
      reject(new Error('no motion came; this device may have no sensors'));
    }, PATIENCE_MS);
    const listen = (event: DeviceMotionEvent) => {
      const turning = turningIn(event);
      if (!turning) return;
      clearTimeout(timer);
      resolve(stop);
      const nowMs = event.timeStamp;
      const forS = lastMs === undefined ? 0 : Math.min(LONGEST_GAP_S, (nowMs - lastMs) / 1000);
      lastMs = nowMs;
      const { turnDeg, upDeg } = turnRate(turning);
      hear(nowMs, { turnDeg: turnDeg * forS, upDeg: upDeg * forS });
    };
    function stop() {
      clearTimeout(timer);
      window.removeEventListener('devicemotion', listen);
    }
    window.addEventListener('devicemotion', listen);
  });
}
