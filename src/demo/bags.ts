import { firstItem, basedOn } from '@/records/edit-kit';
import type { ItemOfKind, Kit, KitItem, KitKind } from '@/records/kit';

/** What is in the bags of the demo's shoots. All of it invented. */

const item = <K extends KitKind>(kind: K, id: string, rest: Partial<ItemOfKind<K>>): KitItem =>
  ({ ...firstItem(kind, `own-${id}`), ...rest }) as KitItem;

const made = (kind: 'body' | 'lens', id: string, presetId: string, rest: Partial<KitItem> = {}) =>
  ({
    ...basedOn(firstItem(kind, `own-${id}`) as ItemOfKind<'body'>, presetId),
    ...rest,
  }) as KitItem;

const MAIN = made('body', 'main', 'full-frame-24', { name: 'Main body, 24 MP full frame' });
const SPARE = made('body', 'spare', 'crop-1.5-20', {
  name: 'Second body, 20 MP crop',
  sealed: false,
});
const CONVERTER = item('converter', 'tc14', {});
const MONOPOD = item('support', 'monopod', {});

interface DemoBag {
  readonly bag: KitItem[];
  readonly packed: string[];
  readonly second?: Pick<Kit, 'bodyId' | 'lensId' | 'converter'>;
}

export const LARKMOOR_BAG: DemoBag = {
  bag: [
    MAIN,
    SPARE,
    made('lens', '300', '300-4'),
    made('lens', '70-200', '70-200-2.8'),
    CONVERTER,
    MONOPOD,
    item('card', 'cards', { name: 'Card, 64 GB', gb: 64, count: 2 }),
    item('battery', 'batteries', { count: 3 }),
    item('other', 'cover', {}),
  ],
  packed: [],
  second: { bodyId: 'own-spare', lensId: 'own-300', converter: 1 },
};

export const ALDER_BAG: DemoBag = {
  bag: [
    MAIN,
    made('lens', '600', '600-4'),
    made('lens', '100-400', '100-400-5.6', { sealed: false }),
    CONVERTER,
    item('support', 'tripod', { name: 'Tripod with a fluid head', support: 'tripod' }),
    item('card', 'cards', { name: 'Card, 128 GB', count: 2 }),
    item('battery', 'batteries', { count: 2 }),
  ],
  packed: [],
};

export const TERN_BAG: DemoBag = {
  bag: [
    MAIN,
    SPARE,
    made('lens', '200-600', '200-600-6.3'),
    made('lens', '70-200', '70-200-2.8'),
    MONOPOD,
    item('filter', 'nd3', {}),
    item('card', 'cards', { name: 'Card, 64 GB', gb: 64, count: 3 }),
    item('battery', 'batteries', { count: 4 }),
  ],
  packed: [],
  second: { bodyId: 'own-spare', lensId: 'own-70-200', converter: 1 },
};
