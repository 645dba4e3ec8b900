import { toGeographic, type GeoPoint } from '@/core';

/** Where one stands, as the device says. */
export interface Fix extends GeoPoint {
  readonly accuracyM: number;
  /** From the stand-in rather than from a receiver. */
  readonly simulated: boolean;
}

const PATIENCE_MS = 15_000;
const SIMULATED_ACCURACY_M = 4;
const SIMULATED_STRIDE_M = 10;
/** The simulated walk goes along the sides of a square, this many strides to a side. */
const STRIDES_A_SIDE = 3;

/** Where the simulated walker stands after some strides, metres from where the walk began. */
export function simulatedWalk(stride: number): { readonly x: number; readonly y: number } {
  const round = ((stride % (4 * STRIDES_A_SIDE)) + 4 * STRIDES_A_SIDE) % (4 * STRIDES_A_SIDE);
  const side = Math.floor(round / STRIDES_A_SIDE);
  const along = (round % STRIDES_A_SIDE) * SIMULATED_STRIDE_M;
  const far = STRIDES_A_SIDE * SIMULATED_STRIDE_M;
  const corners = [
    { x: 0, y: along },
    { x: along, y: far },
    { x: far, y: far - along },
    { x: far - along, y: 0 },
  ];
  return corners[side] ?? { x: 0, y: 0 };
}

/** The next fix of the stand-in: ten metres on at each call, round a square about the site. */
export const simulatedFix = (site: GeoPoint, stride: number): Fix => ({
  ...toGeographic(simulatedWalk(stride), site),
  accuracyM: SIMULATED_ACCURACY_M,
  simulated: true,
});

/** The device's own fix, or why there is none. */
export function deviceFix(): Promise<Fix> {
  return new Promise((resolve, reject) => {
    if (!('geolocation' in navigator)) {
      reject(new Error('this browser has no location'));
      return;
    }
    navigator.geolocation.getCurrentPosition(
      ({ coords }) =>
        resolve({
          latitudeDeg: coords.latitude,
          longitudeDeg: coords.longitude,
          accuracyM: coords.accuracy,
          simulated: false,
        }),
      ({ code }) =>
        reject(
          new Error(
            code === 1
              ? 'the browser was not allowed to give it'
              : 'no fix came; try again under open sky',
          ),
        ),
      { enableHighAccuracy: true, timeout: PATIENCE_MS, maximumAge: 0 },
    );
  });
}
