import { cropFor, FRAMED_SHARE } from '@/core';
import type { View } from './view';
import type { Shot } from '@/records/brief';

/** How large the subject is wanted in the frame, and what a crop leaves where it is smaller. */

/** Share of the frame's height that the subject should take where no shot says otherwise. No source. */
export const WANTED_FILL = 0.6;

/** The framing of a picture that nobody promised, whatever is in the hands. No source. */
export const PLAIN_FRAMING: Pick<Shot, 'fill' | 'orientation'> = {
  fill: WANTED_FILL,
  orientation: 'level',
};

/** Share of the frame's height that the subject should take in this picture. */
export const wantedFill = ({ shot }: Pick<View, 'shot'>): number => shot?.fill ?? WANTED_FILL;

/** What is kept of the frame for the framing wanted; nothing where it is framed as it is. */
export function cropOf(view: Pick<View, 'shot' | 'fill' | 'body'>) {
  const wanted = Math.min(1, wantedFill(view));
  if (view.fill >= wanted * FRAMED_SHARE) return undefined;
  const { sensor } = view.body;
  return { wanted, ...cropFor({ fill: view.fill, wantedFill: wanted, sensor }) };
}
