import type { Lens } from '@/core';

/** A generic lens. Every value: common practice, no source; named after no maker's. */
export interface LensPreset extends Lens {
  readonly id: string;
  readonly name: string;
  readonly takesConverter: boolean;
}

const prime = (
  focalMm: number,
  widestAperture: number,
  nearestFocusM: number,
  takesConverter = true,
): LensPreset => ({
  id: `${focalMm}-${widestAperture}`,
  name: `${focalMm} mm f/${widestAperture}`,
  focals: [{ focalMm, widestAperture }],
  smallestAperture: 22,
  nearestFocusM,
  takesConverter,
});

const zoom = (
  shortestMm: number,
  longestMm: number,
  widestAperture: number,
  nearestFocusM: number,
  takesConverter: boolean,
): LensPreset => ({
  id: `${shortestMm}-${longestMm}-${widestAperture}`,
  name: `${shortestMm}–${longestMm} mm f/${widestAperture}`,
  focals: [
    { focalMm: shortestMm, widestAperture },
    { focalMm: longestMm, widestAperture },
  ],
  smallestAperture: 22,
  nearestFocusM,
  takesConverter,
});

export const LENSES: readonly LensPreset[] = [
  zoom(16, 35, 2.8, 0.28, false),
  zoom(24, 70, 2.8, 0.4, false),
  prime(50, 1.8, 0.45, false),
  prime(85, 1.8, 0.8, false),
  { ...prime(100, 2.8, 0.3, false), name: '100 mm f/2.8 macro' },
  zoom(70, 200, 2.8, 1.2, true),
  {
    id: '100-400-5.6',
    name: '100–400 mm f/4.5–5.6',
    focals: [
      { focalMm: 100, widestAperture: 4.5 },
      { focalMm: 200, widestAperture: 5 },
      { focalMm: 300, widestAperture: 5.6 },
      { focalMm: 400, widestAperture: 5.6 },
    ],
    smallestAperture: 32,
    nearestFocusM: 1,
    takesConverter: true,
  },
  prime(300, 2.8, 2),
  prime(300, 4, 1.5),
  prime(400, 2.8, 2.6),
  prime(400, 4, 2.5),
  {
    ...zoom(100, 400, 6.3, 1, false),
    name: '100–400 mm f/5–6.3',
    focals: [
      { focalMm: 100, widestAperture: 5 },
      { focalMm: 200, widestAperture: 6.3 },
      { focalMm: 400, widestAperture: 6.3 },
    ],
  },
  prime(500, 5.6, 3),
  prime(600, 4, 4.2),
  {
    id: '200-600-6.3',
    name: '200–600 mm f/5.6–6.3',
    focals: [
      { focalMm: 200, widestAperture: 5.6 },
      { focalMm: 300, widestAperture: 6.3 },
      { focalMm: 600, widestAperture: 6.3 },
    ],
    smallestAperture: 32,
    nearestFocusM: 2.4,
    takesConverter: true,
  },
  prime(800, 5.6, 5.9),
];

export const CONVERTERS = [1, 1.4, 2] as const;
export type Converter = (typeof CONVERTERS)[number];
