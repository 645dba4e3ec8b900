import { headingOf } from '@/core';
import { chance } from '@/demo/chance';

/** Tells which way the phone points, degrees from north as a compass has it. */
export type Heard = (compassDeg: number) => void;

/** iOS has a heading of its own, and asks before it gives any. */
interface Orientation extends DeviceOrientationEvent {
  readonly webkitCompassHeading?: number;
}
type Asking = typeof DeviceOrientationEvent & { requestPermission?: () => Promise<string> };

const PATIENCE_MS = 3000;

/** The heading of one event; nothing where it is of no compass. */
function headingIn(event: Orientation): number | undefined {
  if (typeof event.webkitCompassHeading === 'number') return event.webkitCompassHeading;
  const { absolute, alpha, beta, gamma } = event;
  if (!absolute || alpha === null || beta === null || gamma === null) return undefined;
  return headingOf({ alphaDeg: alpha, betaDeg: beta, gammaDeg: gamma });
}

/**
 * Hears the phone's compass until told to stop.
 * @throws Error in words where there is none, or it may not be asked
 */
export async function deviceCompass(hear: Heard): Promise<() => void> {
  if (typeof DeviceOrientationEvent === 'undefined') {
    throw new Error('this browser has no compass');
  }
  const { requestPermission } = DeviceOrientationEvent as Asking;
  if (requestPermission && (await requestPermission()) !== 'granted') {
    throw new Error('the browser was not allowed to give it');
  }
  const kind =
    'ondeviceorientationabsolute' in window ? 'deviceorientationabsolute' : 'deviceorientation';
  return new Promise((resolve, reject) => {
    const timer = setTimeout(() => {
      stop();
      reject(new Error('no heading came; this device may have no compass'));
    }, PATIENCE_MS);
    const listen = (event: Event) => {
      const deg = headingIn(event as Orientation);
      if (deg === undefined) return;
      clearTimeout(timer);
      hear(deg);
      resolve(stop);
    };
    function stop() {
      clearTimeout(timer);
      window.removeEventListener(kind, listen);
    }
    window.addEventListener(kind, listen);
  });
}

const SIMULATED_EACH_MS = 120;
const SIMULATED_SWAY_DEG = 4;

/** A stand-in's heading: a made-up way of this venue, held by a hand that sways. */
export const simulatedHeading = (venue: string, tick: number): number =>
  (360 * chance(venue) + SIMULATED_SWAY_DEG * (chance(`${venue} ${tick}`) - 0.5) + 360) % 360;

/** As {@link deviceCompass}, by the stand-in. */
export function simulatedCompass(venue: string, hear: Heard): () => void {
  let tick = 0;
  const beat = () => hear(simulatedHeading(venue, (tick += 1)));
  beat();
  const timer = setInterval(beat, SIMULATED_EACH_MS);
  return () => clearInterval(timer);
}
