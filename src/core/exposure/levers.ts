import { LONGEST_SHUTTER_S } from '../motion/freeze';
import { ev as evOf } from '../quantity/ev';
import { nearestMark } from '../quantity/scales';
import {
  fastestAllowedS,
  onDial,
  type ExposureRequest,
  type IsoLandmarks,
  type Lever,
  type School,
} from './request';

/** Half a click: nearer than this nothing more is spent. */
const RIGHT_WITHIN_STOPS = 1 / 6;

interface Step {
  readonly lever: 'iso' | 'lift' | 'shutter';
  readonly upTo?: keyof IsoLandmarks;
  readonly mostStops?: number;
}

/** The order in which levers give. Common practice: each school has its followers. */
const ORDER: Readonly<Record<School, readonly Step[]>> = {
  motion: [{ lever: 'iso', upTo: 'last' }, { lever: 'lift' }, { lever: 'shutter' }],
  balanced: [
    { lever: 'iso', upTo: 'usable' },
    { lever: 'lift' },
    { lever: 'iso', upTo: 'last' },
    { lever: 'shutter' },
  ],
  quality: [
    { lever: 'iso', upTo: 'good' },
    { lever: 'shutter', mostStops: 1 },
    { lever: 'lift' },
    { lever: 'iso', upTo: 'last' },
    { lever: 'shutter' },
  ],
};

/** ISO as stops over 100. */
export const isoStops = (iso: number): number => Math.log2(iso / 100);

export interface Given {
  readonly isoStops: number;
  readonly lift: number;
  readonly shutter: number;
  readonly missing: number;
  /** The lever that gave last: it alone is between its steps, so it takes up what dials round. */
  readonly last: Step['lever'];
}

/** Lets the levers give in the school's order until `needStops` over ISO 100 are found. */
export function give(request: ExposureRequest, shutterS: number, needStops: number): Given {
  const { iso } = request.camera;
  const given = { isoStops: isoStops(iso.base), lift: 0, shutter: 0 };
  let missing = needStops - given.isoStops;
  let last: Step['lever'] = 'iso';
  for (const { lever, upTo, mostStops = Infinity } of ORDER[request.school]) {
    if (missing <= 0) break;
    const room = {
      iso: isoStops(iso[upTo ?? 'last']) - given.isoStops,
      lift: request.demands.liftStops - given.lift,
      shutter: Math.min(mostStops, Math.log2(LONGEST_SHUTTER_S / shutterS)) - given.shutter,
    }[lever];
    const taken = Math.max(0, Math.min(room, missing));
    if (taken > 0) last = lever;
    if (lever === 'iso') given.isoStops += taken;
    else given[lever] += taken;
    missing -= taken;
  }
  return { ...given, missing: Math.max(0, missing), last };
}

/**
 * Spends light that is over at base ISO: a faster shutter first, then a smaller aperture; the other
 * way round where the time is wanted for its blur.
 */
export function spend(
  request: ExposureRequest,
  start: { readonly shutterS: number; readonly aperture: number },
): { readonly shutterS: number; readonly aperture: number } {
  const { camera, lens, ev, demands } = request;
  const chosen = { ...start };
  const over = () => ev.expected - evOf({ ...chosen, iso: camera.iso.base });
  const fastest = nearestMark('shutter', fastestAllowedS(camera), 'up').value;
  const faster = () => {
    chosen.shutterS = Math.max(fastest, onDial(camera, 'shutter', chosen.shutterS * 2 ** -over()));
  };
  const closer = () => {
    chosen.aperture = onDial(
      camera,
      'aperture',
      Math.min(lens.smallestAperture, chosen.aperture * 2 ** (over() / 2)),
    );
  };
  const [first, then] = demands.keepShutter ? [closer, faster] : [faster, closer];
  if (over() > 0) first();
  if (over() > RIGHT_WITHIN_STOPS) then();
  return chosen;
}

/** Which of the body's own steps an ISO falls in. */
export function noiseLevel(
  iso: number,
  { base, good, usable, last }: IsoLandmarks,
): keyof IsoLandmarks | 'beyond' {
  const tolerance = 1.01;
  if (iso <= base * tolerance) return 'base';
  if (iso <= good * tolerance) return 'good';
  if (iso <= usable * tolerance) return 'usable';
  return iso <= last * tolerance ? 'last' : 'beyond';
}

/** One way to close the gap with a single lever, as far as that lever goes. */
export interface WayOut {
  readonly lever: Lever;
  readonly stops: number;
  /** The lever's new value: seconds, aperture number, ISO or stops of lift. */
  readonly value: number;
}

/** Single levers that would close a gap, nearest to the demand first. */
export function waysOut(
  { camera, lens, demands }: ExposureRequest,
  start: { readonly shutterS: number; readonly aperture: number },
  stopsShort: number,
): readonly WayOut[] {
  if (stopsShort <= 0) return [];
  const levers: readonly { lever: Lever; room: number; at: (stops: number) => number }[] = [
    {
      lever: 'aperture',
      room: 2 * Math.log2(start.aperture / nearestMark('aperture', lens.widestAperture).value),
      at: (stops) => start.aperture * 2 ** (-stops / 2),
    },
    { lever: 'lift', room: demands.liftStops, at: (stops) => stops },
    {
      lever: 'iso',
      room: isoStops(camera.iso.last) - isoStops(camera.iso.usable),
      at: (stops) => camera.iso.usable * 2 ** stops,
    },
    {
      lever: 'shutter',
      room: Math.log2(LONGEST_SHUTTER_S / start.shutterS),
      at: (stops) => start.shutterS * 2 ** stops,
    },
  ];
  return levers
    .map(({ lever, room, at }) => {
      const stops = Math.min(Math.max(0, room), stopsShort);
      return { lever, stops, value: at(stops) };
    })
    .filter(({ stops }) => stops > 0.05);
}
