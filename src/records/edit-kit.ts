import type { Support } from '@/core';
import { bodyById, lensById } from '@/presets/find';
import { BODIES } from '@/presets/bodies';
import { LENSES } from '@/presets/lenses';
import {
  bodyOf,
  lensOf,
  MOST_IN_BAG,
  type ItemOfKind,
  type Kit,
  type KitItem,
  type KitKind,
} from './kit';
import type { Shoot } from './shoot';

/** Changes of what is in the hands and in the bag. */

type ShootKit = Shoot['kit'];

const bodyItem = (presetId: string, id: string): ItemOfKind<'body'> => {
  const body = bodyById(presetId);
  const { name, framesPerS, bufferMb, jpegMb, writeMbS, framesPerBattery } = body;
  return {
    kind: 'body',
    id,
    name,
    basedOn: presetId,
    sealed: true,
    ...{ framesPerS, bufferMb, rawMb: body.fileMb, jpegMb, writeMbS, framesPerBattery },
    isoGood: body.iso.good,
    isoUsable: body.iso.usable,
  };
};

/** A lens of the bag like a preset. */
export const lensLike = (presetId: string, id: string): ItemOfKind<'lens'> => {
  const { name, focals, nearestFocusM, takesConverter } = lensById(presetId);
  return {
    kind: 'lens',
    id,
    name,
    basedOn: presetId,
    sealed: true,
    focals: focals.map((stop) => ({ ...stop })),
    nearestFocusM,
    takesConverter,
  };
};

/** A thing as it begins. Figures of cards: common practice, no source. */
export function firstItem(kind: KitKind, id: string): KitItem {
  switch (kind) {
    case 'body':
      return bodyItem(BODIES[0]?.id ?? '', id);
    case 'lens':
      return lensLike(LENSES[0]?.id ?? '', id);
    case 'converter':
      return { kind, id, name: '1.4x converter', factor: 1.4 };
    case 'support':
      return { kind, id, name: 'Monopod', support: 'monopod' };
    case 'card':
      return { kind, id, name: 'Card, 128 GB', gb: 128, writeMbS: 250, count: 2 };
    case 'battery':
      return { kind, id, name: 'Battery', count: 2 };
    case 'filter':
      return { kind, id, name: 'Neutral filter, 3 stops', stops: 3 };
    case 'other':
      return { kind, id, name: 'Rain cover', use: 'rainCover', count: 1 };
  }
}

/** A body or lens with another preset's figures, under its own name unless it bore a preset's. */
export function basedOn<T extends ItemOfKind<'body'> | ItemOfKind<'lens'>>(
  item: T,
  presetId: string,
): T {
  const named = item.kind === 'body' ? bodyById(item.basedOn) : lensById(item.basedOn);
  const fresh = (item.kind === 'body' ? bodyItem : lensLike)(presetId, item.id) as T;
  return item.name === named.name ? fresh : { ...fresh, name: item.name };
}

/** The kit with a thing put into the bag, or in place of the one of its id. */
export function withItem(kit: ShootKit, item: KitItem): ShootKit {
  const known = kit.bag.some(({ id }) => id === item.id);
  if (!known && kit.bag.length >= MOST_IN_BAG) return kit;
  const bag = known ? kit.bag.map((old) => (old.id === item.id ? item : old)) : [...kit.bag, item];
  return fitting({ ...kit, bag });
}

/** The kit without a thing; what was in the hands becomes the preset it is like. */
export function withoutItem(kit: ShootKit, id: string): ShootKit {
  const gone = kit.bag.find((item) => item.id === id);
  const bag = kit.bag.filter((item) => item.id !== id);
  if (!gone || (gone.kind !== 'body' && gone.kind !== 'lens')) return { ...kit, bag };
  const key = gone.kind === 'body' ? 'bodyId' : 'lensId';
  const { second } = kit;
  return fitting({
    ...kit,
    bag,
    ...(kit[key] === id && { [key]: gone.basedOn }),
    ...(second && second[key] === id && { second: { ...second, [key]: gone.basedOn } }),
  });
}

/** The kit with its zoom within the lens and no converter on a lens that takes none. */
export function fitting(kit: ShootKit): ShootKit {
  const lens = lensOf(kit);
  const [shortest, longest] = [lens.focals[0]?.focalMm ?? 0, lens.focals.at(-1)?.focalMm ?? 0];
  const { second } = kit;
  return {
    ...kit,
    focalMm: Math.min(longest, Math.max(shortest, kit.focalMm)),
    converter: lens.takesConverter ? kit.converter : 1,
    ...(second && {
      second: {
        ...second,
        converter: lensOf({ ...second, bag: kit.bag }).takesConverter ? second.converter : 1,
      },
    }),
  };
}

type Worn = Pick<Kit, 'bodyId' | 'lensId' | 'converter'>;

/** The bag with a lens that was in the hands but in no bag: one that is laid down is not left behind. */
function withLaidDown(kit: ShootKit, lensId: string): ShootKit {
  const lenses = kit.bag.filter(({ kind }) => kind === 'lens');
  const { name } = lensOf({ ...kit, lensId });
  if (lenses.length === 0 || lenses.some((lens) => lens.id === lensId || lens.name === name)) {
    return kit;
  }
  return withItem(kit, lensLike(lensId, `own-laid-${lensId.replace(/\W/g, '-')}`));
}

/**
 * The kit with a body and a lens of it taken in hand: what was there goes to the other strap where it came
 * from, else back into the bag.
 */
export function takenInHand(kit: ShootKit, hands: Worn): ShootKit {
  const { bodyId, lensId, converter, second } = kit;
  const before: Worn = { bodyId, lensId, converter };
  if (hands.bodyId === bodyId && hands.lensId === lensId) return fitting({ ...kit, ...hands });
  const laid = lensId === hands.lensId ? kit : withLaidDown(kit, lensId);
  if (!second) return fitting({ ...laid, ...hands });
  const [other, left] =
    hands.bodyId !== bodyId && hands.bodyId === second.bodyId ? [before, second] : [second, before];
  // The lens taken was on the other body: that gets the one that is free now.
  const strapped = other.lensId === hands.lensId ? { ...left, bodyId: other.bodyId } : other;
  return fitting({ ...laid, ...hands, second: strapped });
}

/** Names of what is worn: "Crop body with the 300 mm f/4 and 1.4x". */
export function wornInWords(
  worn: Pick<ShootKit, 'bodyId' | 'lensId' | 'converter' | 'bag'>,
): string {
  const with14 = worn.converter > 1 ? ` and ${worn.converter}x` : '';
  return `${bodyOf(worn).name} with the ${lensOf(worn).name}${with14}`;
}

/** What is in the hands, of a shoot's kit or of a quick answer's. */
export type Hands = Kit & {
  readonly support: Support;
  readonly dial?: 'third' | 'half' | undefined;
};

/** The kit with another lens on: at its longest, its converter off if it takes none. */
export function withLens<K extends Hands>(kit: K, lensId: string): K {
  const lens = lensOf({ ...kit, lensId });
  return {
    ...kit,
    lensId,
    focalMm: lens.focals.at(-1)?.focalMm ?? kit.focalMm,
    converter: lens.takesConverter ? kit.converter : 1,
  };
}
