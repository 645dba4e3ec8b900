import AsyncStorage from '@react-native-async-storage/async-storage';
import { useEffect, useSyncExternalStore } from 'react';

/**
 * Metres or feet: like the language, one for the whole page. Everything inside is metric; only what is
 * written and read at the edge is turned. A page is drawn anew when it changes (`useUnits` as its key).
 */
export type Units = 'metric' | 'imperial';

const KEY = 'bright-perch/units';
const M_PER_FT = 0.3048;
const MS_PER_MPH = 0.44704;
const KM_PER_MILE = 1.609344;

let units: Units = 'metric';
const readers = new Set<() => void>();

/** The units in force. */
export const unitsNow = (): Units => units;

/** Puts units in force for every reader. */
export function setUnits(next: Units): void {
  if (next === units) return;
  units = next;
  readers.forEach((tell) => tell());
}

/** Units in force, and how to choose others for good. */
export function useUnits(): { readonly units: Units; readonly choose: (next: Units) => void } {
  const now = useSyncExternalStore((tell) => {
    readers.add(tell);
    return () => readers.delete(tell);
  }, unitsNow);
  return {
    units: now,
    choose: (next) => {
      setUnits(next);
      AsyncStorage.setItem(KEY, next).catch(() => undefined);
    },
  };
}

/** Puts back the units that were chosen last. */
export function useRememberedUnits(): void {
  useEffect(() => {
    AsyncStorage.getItem(KEY).then(
      (kept) => {
        if (kept === 'imperial' || kept === 'metric') setUnits(kept);
      },
      () => undefined,
    );
  }, []);
}

/** A unit as it is shown, and how many of the shown make one of the kept. */
const SHOWN: Readonly<Record<string, { readonly unit: string; readonly each: number }>> = {
  m: { unit: 'ft', each: 1 / M_PER_FT },
  'm/s': { unit: 'mph', each: 1 / MS_PER_MPH },
  km: { unit: 'mi', each: 1 / KM_PER_MILE },
};

/** The unit a value is shown in, and the factor to it. */
export const shownIn = (unit: string): { readonly unit: string; readonly each: number } =>
  (units === 'imperial' && SHOWN[unit]) || { unit, each: 1 };

/** A value with its unit: "23.9 m" or "78.4 ft". */
export function written(value: number, unit: 'm' | 'm/s' | 'km', places: number): string {
  const shown = shownIn(unit);
  return `${(value * shown.each).toFixed(places)} ${shown.unit}`;
}

/** "14 °C" or "57 °F". */
export const degrees = (celsius: number): string =>
  units === 'imperial' ? `${Math.round(celsius * 1.8 + 32)} °F` : `${Math.round(celsius)} °C`;
