import AsyncStorage from '@react-native-async-storage/async-storage';
import { useColorScheme } from 'nativewind';
import { useEffect } from 'react';
import tokens from './tokens.json';

export type Inks = typeof tokens.day;
export type SchemeName = 'light' | 'dark';

const SCHEME_KEY = 'bright-perch/scheme';

/** The inks of the scheme in force, for drawings. */
export function useInks(): Inks {
  return useColorScheme().colorScheme === 'dark' ? tokens.dark : tokens.day;
}

/** Day paper or hide-dark slate, remembered; until chosen, as the device asks. */
export function useScheme() {
  const { colorScheme, setColorScheme } = useColorScheme();
  const scheme: SchemeName = colorScheme === 'dark' ? 'dark' : 'light';
  return {
    scheme,
    toggle: () => {
      const next = scheme === 'dark' ? 'light' : 'dark';
      setColorScheme(next);
      void AsyncStorage.setItem(SCHEME_KEY, next);
    },
  };
}

/** Puts back the scheme that was chosen last. */
export function useRememberedScheme() {
  const { setColorScheme } = useColorScheme();
  useEffect(() => {
    const preferred = () =>
      window.matchMedia('(prefers-color-scheme: dark)').matches ? 'dark' : 'light';
    void AsyncStorage.getItem(SCHEME_KEY).then((kept) =>
      setColorScheme(kept === 'dark' || kept === 'light' ? kept : preferred()),
    );
    // Once, as the setter never changes: later changes come from the person.
  }, [setColorScheme]);
}
