import type { SubjectPreset } from '@/presets/subjects';
import type { Setup } from './view';

/** The wind of a shoot, and what it does to a subject. */

/** Strongest wind of the shoot's hours: the forecast's where it is followed, else as set by hand. */
export const windMs = ({ air, light }: Pick<Setup, 'air' | 'light'>): number =>
  light.skyFrom === 'forecast' && light.forecast
    ? Math.max(...light.forecast.hours.map((hour) => hour.windMs))
    : air.windMs;

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
