import { isSunless, sunPosition } from '@/core';
import { itemsOf } from '@/records/kit';
import type { Shoot } from '@/records/shoot';
import { hoursOf } from '@/records/times';
import type { Stores } from '@/answers/stores';
import { litres, type Weather } from './weather';

/** What to pack for a shoot, and why: it follows from bag, stores, weather, hours and leave. */

export interface PackingLine {
  /** What it is ticked off by: stays while the thing stays. */
  readonly key: string;
  readonly text: string;
  readonly why: string;
  /** It is wanted and the bag has too little of it. */
  readonly lacking: boolean;
}

const times = (count: number, name: string): string => (count === 1 ? name : `${count} × ${name}`);
const chargedBatteries = (count: number): string =>
  count === 1 ? 'A charged battery' : `${count} charged batteries`;

/** What lies in the bag, but for what is counted. */
function ownLines({ kit, brief }: Pick<Shoot, 'kit' | 'brief'>): readonly PackingLine[] {
  const inHands = new Set([kit.bodyId, kit.lensId]);
  const onStrap = new Set([kit.second?.bodyId, kit.second?.lensId]);
  return kit.bag
    .filter(({ kind }) => kind !== 'card' && kind !== 'battery')
    .map((item) => {
      const tripodBanned =
        item.kind === 'support' && item.support === 'tripod' && brief.forbidden.includes('tripod');
      const why = tripodBanned
        ? 'tripods are forbidden there: do not bring it'
        : inHands.has(item.id)
          ? 'in your hands'
          : onStrap.has(item.id)
            ? 'on the second strap'
            : '';
      return {
        key: item.id,
        text: times('count' in item ? item.count : 1, item.name),
        why,
        lacking: false,
      };
    });
}

/** Sun lower than this leaves paths and dials dark. */
const DARK_SUN_DEG = -3;
/** Sun higher than this burns. No source. */
const BURNING_SUN_DEG = 30;
const SAMPLES = 12;

type Hours = Pick<Shoot, 'place' | 'startLocal' | 'endLocal' | 'light'>;
type Wanted = Hours & Pick<Shoot, 'kit' | 'shots'>;

function sunHeights(shoot: Hours): readonly number[] {
  const { startMs, endMs } = hoursOf(shoot);
  return Array.from(
    { length: SAMPLES + 1 },
    (_, i) =>
      sunPosition({ time: startMs + ((endMs - startMs) * i) / SAMPLES, ...shoot.place })
        .altitudeDeg,
  );
}
const highestSunDeg = (shoot: Hours): number => Math.max(...sunHeights(shoot));

function sunLines(shoot: Hours) {
  const altitudes = sunHeights(shoot);
  const line = (key: string, text: string, why: string) => ({ key, text, why, lacking: false });
  return [
    ...(Math.min(...altitudes) < DARK_SUN_DEG
      ? [line('head-lamp', 'Head-lamp with a red light', 'it is dark for a part of it')]
      : []),
    ...(!isSunless(shoot.light) && Math.max(...altitudes) > BURNING_SUN_DEG
      ? [line('sun-cream', 'Hat and sun cream', 'the sun stands high')]
      : []),
  ];
}

/** Sun higher than this is too much light for a slow shutter. No source. */
const BRIGHT_SUN_DEG = 10;

/** A pan or streaks by day want a neutral filter. */
function filterLines({ kit, shots, light, ...when }: Wanted): readonly PackingLine[] {
  const slow = shots.filter(({ technique }) => technique === 'pan' || technique === 'streak');
  if (slow.length === 0 || light.indoors || itemsOf(kit, 'filter').length > 0) return [];
  if (highestSunDeg({ light, ...when }) < BRIGHT_SUN_DEG) return [];
  const names = slow.map(({ name }) => name).join(', ');
  return [
    {
      key: 'neutral-filter',
      text: 'Neutral filter, 3 stops',
      why: `slow times by day: ${names}`,
      lacking: true,
    },
  ];
}

/** All that is to be packed, what the bag lacks first. @param always lines of every list */
export function packingList(
  shoot: Wanted & Pick<Shoot, 'brief' | 'events' | 'people'>,
  stores: Stores,
  weather: Weather,
  always: readonly string[],
): readonly PackingLine[] {
  const { cards, batteries } = stores;
  const covers = itemsOf(shoot.kit, 'other').filter(({ use }) => use === 'rainCover').length;
  const sacks = itemsOf(shoot.kit, 'other').filter(({ use }) => use === 'drySack').length;
  const seals = weather.fogs || weather.fogsIndoors;
  const lines: readonly PackingLine[] = [
    {
      key: 'cards',
      text: times(Math.max(cards.need, cards.have), cards.name),
      why: `${stores.frames} frames want ${cards.need}${cards.have < cards.need ? `; the bag has ${cards.have}` : ', formatted, their pictures safe elsewhere'}`,
      lacking: cards.have < cards.need,
    },
    {
      key: 'batteries',
      text: chargedBatteries(Math.max(batteries.need, batteries.have)),
      why: `${stores.frames} frames want ${batteries.need}${batteries.share < 0.95 ? `, the cold counted (${Math.round(batteries.share * 100)} %)` : ''}${batteries.have < batteries.need ? `; the bag has ${batteries.have}` : ''}`,
      lacking: batteries.have < batteries.need,
    },
    ...ownLines(shoot),
    ...filterLines(shoot),
    ...(weather.rains && covers === 0
      ? [{ key: 'rain-cover', text: 'Rain cover', why: 'rain is expected', lacking: true }]
      : []),
    ...(seals && sacks === 0
      ? [
          {
            key: 'sealed-bag',
            text: 'A bag that seals, large enough for the lens',
            why: weather.fogs ? 'to warm the kit in, dry' : 'for going in with cold kit',
            lacking: true,
          },
        ]
      : []),
    { key: 'cloth', text: 'Lens cloths, dry', why: '', lacking: false },
    { key: 'water', text: `Water, ${litres(weather.waterL)}`, why: '', lacking: false },
    ...(weather.windChillC < 5
      ? [
          {
            key: 'gloves',
            text: 'Thin gloves under warm ones',
            why: 'cold hands',
            lacking: false,
          },
        ]
      : []),
    ...sunLines(shoot),
    ...(shoot.brief.access
      ? [{ key: 'leave', text: 'Written permission', why: shoot.brief.access, lacking: false }]
      : []),
    ...(shoot.events.length > 0 || shoot.people.length > 0
      ? [
          {
            key: 'order',
            text: 'The running order on paper',
            why: 'in case the phone dies',
            lacking: false,
          },
        ]
      : []),
    ...always.map((text) => ({ key: `always ${text}`, text, why: 'always', lacking: false })),
  ];
  return [...lines].sort((a, b) => Number(b.lacking) - Number(a.lacking));
}

/** "9 of 14 packed", counting only what is on the list. */
export function packedInWords(lines: readonly PackingLine[], packed: readonly string[]): string {
  const ticked = lines.filter(({ key }) => packed.includes(key)).length;
  return ticked === lines.length
    ? `All ${lines.length} packed`
    : `${ticked} of ${lines.length} packed`;
}
