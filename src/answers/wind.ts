import type { SubjectPreset } from '@/presets/subjects';
import { airThrough } from '@/records/air';
import type { Setup } from './view';

/** The wind of a shoot, and what it does to a subject. */

/** Strongest wind of the shoot's hours: the forecast's where it is followed, else as set by hand. */
export const windMs = (
  setup: Pick<Setup, 'air' | 'light' | 'place' | 'startLocal' | 'endLocal'>,
): number =>
  setup.light.skyFrom === 'hand'
    ? setup.air.windMs
    : Math.max(...airThrough(setup).hours.map((hour) => hour.windMs));

/** A subject as the wind moves it: what sits on a flower or a twig sways with it, whichever way. */
export function inWind(subject: SubjectPreset, wind: number): SubjectPreset {
  const { swayShare = 0, speedMs } = subject;
  if (swayShare === 0 || speedMs === 0) return subject;
  const more = (swayShare * wind) / speedMs;
  return {
    ...subject,
    parts: subject.parts.map((part) => ({ ...part, ownShare: (part.ownShare ?? 0) + more })),
  };
}
