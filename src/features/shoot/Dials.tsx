import type { View as Seen } from '@/answers/view';
import type { ScaleKind, Settings } from '@/core';
import { DialStepper } from './DialStepper';

/** The dials of a camera, in the order in which they are read. */
export type Lever = 'shutterS' | 'aperture' | 'iso';
const KINDS: Readonly<Record<Lever, ScaleKind>> = {
  shutterS: 'shutter',
  aperture: 'aperture',
  iso: 'iso',
};
const SLOWEST_S = 30;

/** The three dials of a body and lens, each between its ends. */
export function Dials({
  view,
  settings,
  noteOf,
  onTurn,
}: {
  readonly view: Seen;
  readonly settings: Settings;
  /** What stands under a dial. */
  readonly noteOf?: (lever: Lever) => string;
  readonly onTurn: (lever: Lever, value: number) => void;
}) {
  const ends: Readonly<Record<Lever, readonly [number, number]>> = {
    shutterS: [SLOWEST_S, view.body.fastestShutterS],
    aperture: [view.widestAperture, view.lens.smallestAperture],
    iso: [view.body.iso.base, view.body.iso.last],
  };
  return (Object.keys(KINDS) as Lever[]).map((lever) => (
    <DialStepper
      key={lever}
      kind={KINDS[lever]}
      value={settings[lever]}
      least={ends[lever][0]}
      most={ends[lever][1]}
      dial={view.dial}
      inLine
      note={noteOf?.(lever)}
      onChange={(value) => onTurn(lever, value)}
    />
  ));
}
