import AsyncStorage from '@react-native-async-storage/async-storage';
import { colorScheme } from 'nativewind';
import { useEffect, useSyncExternalStore } from 'react';
import tokens from './tokens.json';

export type Inks = typeof tokens.day;

/** Paper for the day, slate for the dusk, amber on black for the hide and the eye used to the dark. */
export const BRIGHTNESSES = ['day', 'dusk', 'hide'] as const;
export type Brightness = (typeof BRIGHTNESSES)[number];

const SCHEME_KEY = 'bright-perch/scheme';
const INKS = { day: tokens.day, dusk: tokens.dark, hide: tokens.hide } as const;
/** As it is kept: what the first versions wrote stays readable. */
const KEPT = { day: 'light', dusk: 'dark', hide: 'hide' } as const;

let brightness: Brightness = 'day';
const listeners = new Set<() => void>();

function setBrightness(next: Brightness): void {
  brightness = next;
  colorScheme.set(next === 'day' ? 'light' : 'dark');
  document.documentElement.classList.toggle('hide', next === 'hide');
  listeners.forEach((tell) => tell());
}

export const useBrightnessNow = (): Brightness =>
  useSyncExternalStore(
    (tell) => {
      listeners.add(tell);
      return () => void listeners.delete(tell);
    },
    () => brightness,
  );

/** The inks of the brightness in force, for drawings. */
export const useInks = (): Inks => INKS[useBrightnessNow()];

/** How bright the page is, remembered; until chosen, as the device asks. */
export function useBrightness() {
  const now = useBrightnessNow();
  return {
    brightness: now,
    choose: (next: Brightness) => {
      setBrightness(next);
      AsyncStorage.setItem(SCHEME_KEY, KEPT[next]).catch(() => undefined);
    },
  };
}

/** Puts back the brightness that was chosen last. */
export function useRememberedScheme() {
  useEffect(() => {
    const preferred = (): Brightness =>
      window.matchMedia('(prefers-color-scheme: dark)').matches ? 'dusk' : 'day';
    AsyncStorage.getItem(SCHEME_KEY).then(
      (kept) => {
        setBrightness(BRIGHTNESSES.find((name) => KEPT[name] === kept) ?? preferred());
      },
      () => undefined,
    );
  }, []);
}
