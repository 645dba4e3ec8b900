import { Navigator } from 'expo-router';

/** An address alone: the page of the shoot shows the step it names. */
export function Address() {
  return null;
}

/** Addresses of a step's parts, which the step shows itself. */
export function Parts() {
  return <Navigator>{null}</Navigator>;
}
