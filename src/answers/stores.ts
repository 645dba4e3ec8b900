import {
  batteriesFor,
  buffer,
  cardsFor,
  coldShare,
  frameMb,
  framesExpected,
  type Buffer,
} from '@/core';
import type { Body } from '@/presets/bodies';
import { bodyOf, itemsOf, type ItemOfKind } from '@/records/kit';
import type { Shoot } from '@/records/shoot';

/** Frames to expect, and whether cards, buffer and batteries hold them. */

export const FILE_FORMS = ['raw', 'jpeg', 'both'] as const;
export type FileForm = (typeof FILE_FORMS)[number];

/** Where nothing is promised and nothing said. Common practice, no source. */
const USUAL_FRAMES = 500;
/** A card where the bag has none. */
const USUAL_CARD: Pick<ItemOfKind<'card'>, 'name' | 'gb' | 'writeMbS' | 'count'> = {
  name: 'Card, 64 GB',
  gb: 64,
  writeMbS: 250,
  count: 0,
};

export interface BurstRow extends Buffer {
  readonly form: FileForm;
  readonly fileMb: number;
}

export interface Stores {
  readonly frames: number;
  /** Where that number is from: one's own, what is owed, or what is usual. */
  readonly framesBy: 'own' | 'owed' | 'usual';
  readonly fileMb: number;
  readonly gigabytes: number;
  readonly cards: { readonly need: number; readonly have: number; readonly name: string };
  readonly batteries: {
    readonly need: number;
    readonly have: number;
    readonly share: number;
    readonly framesEach: number;
  };
  /** The main body's bursts, form by form. */
  readonly bursts: readonly BurstRow[];
  /** Frames that the cards of the bag hold. */
  readonly holds: number;
}

const fileOf = (form: FileForm, { fileMb, jpegMb }: Body) =>
  frameMb(form, { rawMb: fileMb, jpegMb });

/** @param coldestC air temperature at its lowest through the shoot */
export function storesOf(shoot: Pick<Shoot, 'kit' | 'shots' | 'brief'>, coldestC: number): Stores {
  const { kit, shots, brief } = shoot;
  const body = bodyOf(kit);
  const owed = framesExpected(shots.map(({ quota, technique }) => ({ count: quota, technique })));
  const frames = kit.frames ?? (owed || USUAL_FRAMES);
  const framesBy = kit.frames ? 'own' : owed ? 'owed' : 'usual';
  const cards = itemsOf(kit, 'card');
  const card = cards.reduce(
    (best, next) => (next.gb > best.gb || best.count === 0 ? next : best),
    USUAL_CARD as typeof USUAL_CARD,
  );
  const fileMb = fileOf(brief.fileForm, body);
  const { cards: need } = cardsFor({ frames, fileMb, cardGb: card.gb });
  const writeMbS = Math.min(body.writeMbS, card.writeMbS);
  const temperatureC = Math.min(60, Math.max(-40, coldestC));
  const power = batteriesFor({ frames, ratedFrames: body.framesPerBattery, temperatureC });
  return {
    frames,
    framesBy,
    fileMb,
    gigabytes: (frames * fileMb) / 1000,
    cards: { need, have: cards.reduce((sum, { count }) => sum + count, 0), name: card.name },
    batteries: {
      need: power.batteries,
      have: itemsOf(kit, 'battery').reduce((sum, { count }) => sum + count, 0),
      share: coldShare(temperatureC),
      framesEach: Math.floor(power.framesPerBattery),
    },
    bursts: FILE_FORMS.map((form) => ({
      form,
      fileMb: fileOf(form, body),
      ...buffer({
        bufferMb: body.bufferMb,
        fps: body.framesPerS,
        fileMb: fileOf(form, body),
        writeMbS,
      }),
    })),
    holds: cards.reduce((sum, { gb, count }) => sum + count * Math.floor((gb * 1000) / fileMb), 0),
  };
}
