/**
 * Events that go on for a while and are dropped into, by the words in their names. How long each takes: common practice,
 * no source; long and triple jump 75 to 100 minutes, high jump 90 to 120, vault 100 to 140, throws 60 to 80. An
 * athlete's own attempts come every six to twelve minutes.
 */
const KINDS: readonly { readonly named: RegExp; readonly lastsMin: number }[] = [
  { named: /\b(?:long|triple) jump\b/i, lastsMin: 90 },
  { named: /\bhigh jump\b/i, lastsMin: 105 },
  { named: /\b(?:pole )?vault\b/i, lastsMin: 120 },
  { named: /\b(?:shot(?: put)?|discus|javelin|hammer|weight throw)\b/i, lastsMin: 70 },
  { named: /\bwarm[- ]?ups?\b/i, lastsMin: 45 },
];

/** How an event is dropped into. */
export interface UsualWindow {
  readonly visitMin: number;
  readonly visits: number;
}

/** A round of attempts, and no more than three of them; no source. */
export const FIRST_WINDOW: UsualWindow = { visitMin: 10, visits: 3 };

/** How an event of that name usually goes, where it is dropped into. */
export function windowNamed(
  name: string,
): { readonly durationMin: number; readonly window: UsualWindow } | undefined {
  const kind = KINDS.find(({ named }) => named.test(name));
  return kind && { durationMin: kind.lastsMin, window: FIRST_WINDOW };
}
