import { z } from 'zod';
import { requireIso, requireLens } from '@/core';
import { BODIES, type Body } from '@/presets/bodies';
import { bodyById, lensById } from '@/presets/find';
import { CONVERTERS, LENSES, type LensPreset } from '@/presets/lenses';
import { presetId, text } from './shape';

/**
 * What one photographs with: what is in the hands, on the second strap, and in the bag. Things of
 * one's own begin as a generic preset and carry their own figures and name.
 * @example
 * const item = kitItemSchema.parse(itemFrom('body', 'full-frame-24', 'own-1'));
 */

/** Most things in one bag. */
export const MOST_IN_BAG = 60;
/** Most floors of one's own. */
export const MOST_FLOORS = 40;
const ownId = z.string().regex(/^own-[\w-]{1,36}$/, 'must begin with own-');
const count = z.number().int().min(1).max(50);
const positive = (most: number) => z.number().gt(0).max(most);
/** A preset's id, or that of a thing in the bag. */
const wornId = text(40);

const bodyItem = z.strictObject({
  kind: z.literal('body'),
  id: ownId,
  name: text(60),
  basedOn: presetId(BODIES),
  sealed: z.boolean(),
  framesPerS: positive(240),
  bufferMb: positive(64_000),
  rawMb: positive(400),
  jpegMb: positive(200),
  writeMbS: positive(6000),
  framesPerBattery: positive(20_000),
  isoGood: z.number().min(50).max(409_600),
  isoUsable: z.number().min(50).max(409_600),
});

const lensItem = z.strictObject({
  kind: z.literal('lens'),
  id: ownId,
  name: text(60),
  basedOn: presetId(LENSES),
  sealed: z.boolean(),
  /** From short to long; one for a prime lens. */
  focals: z
    .array(
      z.strictObject({
        focalMm: z.number().min(4).max(2000),
        widestAperture: z.number().min(0.7).max(32),
      }),
    )
    .min(1)
    .max(6),
  nearestFocusM: z.number().min(0.05).max(30),
  takesConverter: z.boolean(),
});

const allItems = z.discriminatedUnion('kind', [
  bodyItem,
  lensItem,
  z.strictObject({
    kind: z.literal('converter'),
    id: ownId,
    name: text(60),
    factor: z.literal([1.4, 2]),
  }),
  z.strictObject({
    kind: z.literal('support'),
    id: ownId,
    name: text(60),
    support: z.enum(['monopod', 'beanBag', 'tripod']),
  }),
  z.strictObject({
    kind: z.literal('card'),
    id: ownId,
    name: text(60),
    gb: z.number().min(1).max(16_000),
    writeMbS: positive(6000),
    count,
  }),
  z.strictObject({ kind: z.literal('battery'), id: ownId, name: text(60), count }),
  z.strictObject({
    kind: z.literal('filter'),
    id: ownId,
    name: text(60),
    /** Light it takes: a polariser about 1.5, a neutral filter 3 or 6. */
    stops: z.number().gt(0).max(20),
  }),
  z.strictObject({
    kind: z.literal('other'),
    id: ownId,
    name: text(60),
    use: z.enum(['rainCover', 'drySack', 'light', 'other']),
    count,
  }),
]);
export type KitItem = z.infer<typeof allItems>;
export type KitKind = KitItem['kind'];
export type ItemOfKind<K extends KitKind> = Extract<KitItem, { readonly kind: K }>;

/** What the core refuses of a thing, if it does. */
function refusedByCore(item: KitItem): string | undefined {
  try {
    if (item.kind === 'body') requireIso(bodyFrom(item).iso);
    if (item.kind === 'lens') requireLens(lensFrom(item));
    return undefined;
  } catch (error) {
    return (error as Error).message;
  }
}

/** A thing of the bag. What the core would refuse later is refused here, by the core's own limits. */
export const kitItemSchema = allItems.superRefine((item, context) => {
  const message = refusedByCore(item);
  if (message !== undefined) context.addIssue({ code: 'custom', message });
});

/**
 * A thing kept before the core's limits were asked, brought within them: no cleaner than the base ISO,
 * no wider than it closes, focusing from beyond its focal length. What is no thing of a bag stays as it is, for the schema to refuse.
 */
export function withinLimits(raw: unknown): unknown {
  const { data: item } = allItems.safeParse(raw);
  if (item?.kind === 'body') {
    const { base } = bodyById(item.basedOn).iso;
    return { ...item, isoGood: Math.max(base, item.isoGood) };
  }
  if (item?.kind === 'lens') {
    const { smallestAperture } = lensById(item.basedOn);
    const focals = item.focals.map((stop) => ({
      ...stop,
      widestAperture: Math.min(smallestAperture, stop.widestAperture),
    }));
    const longestM = Math.max(...item.focals.map(({ focalMm }) => focalMm)) / 1000;
    const nearestFocusM = item.nearestFocusM > longestM ? item.nearestFocusM : longestM * 1.05;
    return { ...item, focals, nearestFocusM };
  }
  return raw;
}

const hands = {
  bodyId: wornId,
  lensId: wornId,
  focalMm: z.number().gt(0).max(2000),
  converter: z.literal([...CONVERTERS]),
  support: z.enum(['hand', 'monopod', 'beanBag', 'tripod']),
  /** How finely the body's dials turn; thirds when absent. */
  dial: z.enum(['third', 'half']).optional(),
};

/** Presets in the hands and nothing else: what a quick answer asks. */
export const presetKitSchema = z.strictObject({
  ...hands,
  bodyId: presetId(BODIES),
  lensId: presetId(LENSES),
});

/** Dials held by hand, and a lift that is decided on; the others answer. */
export const heldSchema = z.strictObject({
  shutterS: z.number().gt(0).max(30).optional(),
  aperture: z.number().min(0.7).max(64).optional(),
  iso: z.number().min(25).max(409_600).optional(),
  liftStops: z.number().min(0).max(3).optional(),
});

/** Floors of one's own by the id of a class or a subject. */
export const floorsSchema = z
  .record(text(40), z.number().gt(0).max(30))
  .refine(
    (floors) => Object.keys(floors).length <= MOST_FLOORS,
    `must hold ${MOST_FLOORS} at most`,
  );

export const kitSchema = z
  .strictObject({
    ...hands,
    /** The second body, on the strap. */
    second: z
      .strictObject({ bodyId: wornId, lensId: wornId, converter: z.literal([...CONVERTERS]) })
      .optional(),
    bag: z.array(kitItemSchema).max(MOST_IN_BAG),
    /** Floors of one's own: the longest time for a class or a subject, in seconds. */
    floors: floorsSchema.optional(),
    /** Frames expected, where one knows better than the reckoning. */
    frames: z.number().int().min(1).max(100_000).optional(),
    /** Lines of the packing list that are ticked off. */
    packed: z.array(text(120)).max(300),
  })
  .superRefine((kit, context) => {
    const refuse = (path: (string | number)[], message: string) =>
      context.addIssue({ code: 'custom', path, message });
    const ids = kit.bag.map((item) => item.id);
    const twice = ids.findIndex((entry, i) => ids.indexOf(entry) !== i);
    if (twice >= 0) refuse(['bag', twice, 'id'], 'must not stand twice');
    const known = (kind: KitKind, presets: readonly { readonly id: string }[], sought: string) =>
      presets.some((preset) => preset.id === sought) ||
      kit.bag.some((item) => item.kind === kind && item.id === sought);
    const check = (at: string[], worn: Pick<Kit, 'bodyId' | 'lensId' | 'converter'>) => {
      if (!known('body', BODIES, worn.bodyId)) refuse([...at, 'bodyId'], 'must be a known body');
      if (!known('lens', LENSES, worn.lensId)) {
        refuse([...at, 'lensId'], 'must be a known lens');
        return;
      }
      const lens = lensOf({ ...worn, bag: kit.bag });
      if (worn.converter > 1 && !lens.takesConverter) {
        refuse([...at, 'converter'], `must be 1: the ${lens.name} takes no converter`);
      }
    };
    check([], kit);
    if (known('lens', LENSES, kit.lensId)) {
      const focals = lensOf(kit).focals.map((stop) => stop.focalMm);
      const [shortest, longest] = [Math.min(...focals), Math.max(...focals)];
      if (kit.focalMm < shortest || kit.focalMm > longest) {
        refuse(['focalMm'], `must be within the lens, ${shortest} to ${longest} mm`);
      }
    }
    if (kit.second) check(['second'], kit.second);
  });

export type Kit = {
  readonly bag?: readonly KitItem[];
  readonly floors?: Readonly<Record<string, number>> | undefined;
} & Pick<z.infer<typeof kitSchema>, 'bodyId' | 'lensId' | 'focalMm' | 'converter'>;

type Bag = Pick<Kit, 'bag'>;

/** Things of one kind in a bag. */
export const itemsOf = <K extends KitKind>({ bag = [] }: Bag, kind: K): readonly ItemOfKind<K>[] =>
  bag.filter((item): item is ItemOfKind<K> => item.kind === kind);

const isoOf = (preset: Body, { isoGood, isoUsable }: ItemOfKind<'body'>): Body['iso'] => ({
  ...preset.iso,
  good: isoGood,
  usable: Math.max(isoGood, isoUsable),
  last: Math.max(preset.iso.last, isoGood, isoUsable),
});

/** A body of one's own as the figures take it. */
export function bodyFrom(item: ItemOfKind<'body'>): Body {
  const preset = bodyById(item.basedOn);
  const { id: own, name, framesPerS, bufferMb, rawMb, jpegMb, writeMbS, framesPerBattery } = item;
  return {
    ...preset,
    ...{ id: own, name, framesPerS, bufferMb, jpegMb, writeMbS, framesPerBattery },
    fileMb: rawMb,
    iso: isoOf(preset, item),
  };
}

/** A lens of one's own as the figures take it. */
export function lensFrom(item: ItemOfKind<'lens'>): LensPreset {
  const { id: own, name, focals, nearestFocusM, takesConverter } = item;
  return { ...lensById(item.basedOn), id: own, name, focals, nearestFocusM, takesConverter };
}

/** The body in the hands. @throws RangeError for one that is neither in the bag nor a preset */
export function bodyOf({ bodyId, ...kit }: Bag & Pick<Kit, 'bodyId'>): Body {
  const own = itemsOf(kit, 'body').find((item) => item.id === bodyId);
  return own ? bodyFrom(own) : bodyById(bodyId);
}

/** The lens in the hands. @throws RangeError for one that is neither in the bag nor a preset */
export function lensOf({ lensId, ...kit }: Bag & Pick<Kit, 'lensId'>): LensPreset {
  const own = itemsOf(kit, 'lens').find((item) => item.id === lensId);
  return own ? lensFrom(own) : lensById(lensId);
}

/** What one can take in hand: things in the bag first, then presets, told apart where there is a bag. */
const options = (
  own: readonly { readonly id: string; readonly name: string }[],
  presets: readonly { readonly id: string; readonly name: string }[],
) => [
  ...own.map(({ id, name }) => ({ value: id, label: name })),
  ...presets.map(({ id, name }) => ({
    value: id,
    label: own.length > 0 ? `${name} (not in the bag)` : name,
  })),
];
export const bodyOptions = (kit: Bag) => options(itemsOf(kit, 'body'), BODIES);
export const lensOptions = (kit: Bag) => options(itemsOf(kit, 'lens'), LENSES);

/** Every lens there is, one's own first. */
export const lensesFor = (kit: Bag): readonly LensPreset[] => [
  ...itemsOf(kit, 'lens').map(lensFrom),
  ...LENSES,
];

/** What a kit holds before any bag is packed. */
export const EMPTY_BAG = { bag: [], packed: [] };
