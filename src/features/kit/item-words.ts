import type { KitItem, KitKind } from '@/records/kit';
import { written } from '@/ui/units';

export const KIND_NAMES: Readonly<Record<KitKind, string>> = {
  body: 'A body',
  lens: 'A lens',
  converter: 'A converter',
  support: 'A support',
  card: 'Cards',
  battery: 'Batteries',
  filter: 'A filter',
  other: 'Something else',
};

const USES = {
  rainCover: 'keeps rain off',
  drySack: 'seals: for rain, and for warming kit in',
  light: 'to see by',
  other: 'comes along',
} as const;

const sealing = (sealed: boolean): string => (sealed ? 'sealed' : 'not sealed');

/** What a thing can do, in a line. */
export function itemInWords(item: KitItem): string {
  switch (item.kind) {
    case 'body':
      return `${item.framesPerS} frames a second, buffer ${item.bufferMb} MB, clean to ISO ${item.isoGood}, ${sealing(item.sealed)}`;
    case 'lens': {
      const [first, last] = [item.focals[0], item.focals.at(-1)];
      const span =
        first && last && first.focalMm < last.focalMm
          ? `${first.focalMm}–${last.focalMm} mm f/${first.widestAperture}${last.widestAperture === first.widestAperture ? '' : `–${last.widestAperture}`}`
          : `${first?.focalMm ?? 0} mm f/${first?.widestAperture ?? 0}`;
      return `${span}, from ${written(item.nearestFocusM, 'm', 1)}, ${item.takesConverter ? 'takes a converter' : 'no converter'}, ${sealing(item.sealed)}`;
    }
    case 'converter':
      return item.factor === 2 ? 'costs two stops' : 'costs one stop';
    case 'support':
      return 'to carry the weight';
    case 'card':
      return `${item.count} of ${item.gb} GB, ${item.writeMbS} MB a second`;
    case 'battery':
      return `${item.count} charged`;
    case 'filter':
      return `takes ${item.stops} stops of light`;
    case 'other':
      return `${item.count === 1 ? '' : `${item.count}: `}${USES[item.use]}`;
  }
}

export const USE_OPTIONS = [
  { value: 'rainCover', label: 'Rain cover' },
  { value: 'drySack', label: 'Sealed bag' },
  { value: 'light', label: 'Light' },
  { value: 'other', label: 'Other' },
] as const;
