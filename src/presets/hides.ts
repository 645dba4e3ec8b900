import type { HideWindow } from '@/core';

/** What one sits in: usual sizes and windows. Common practice, no source; every figure can be changed. */

export const HIDE_FORMS = ['hide', 'tent', 'car', 'house', 'tower'] as const;
export type HideForm = (typeof HIDE_FORMS)[number];

/** Whether what is put down is a hide of some form. */
export const isHideForm = (kind: string): kind is HideForm =>
  (HIDE_FORMS as readonly string[]).includes(kind);

export interface HideUsual {
  /** Across the way it looks, and along it. */
  readonly widthM: number;
  readonly depthM: number;
  readonly heightM: number;
  readonly window: Omit<HideWindow, 'wall' | 'asideM'>;
}

export const HIDES: Readonly<Record<HideForm, HideUsual>> = {
  hide: {
    ...{ widthM: 3, depthM: 2, heightM: 2.2 },
    window: { widthM: 1.2, sillM: 1, heightM: 0.35, pane: 'open' },
  },
  tent: {
    ...{ widthM: 1.5, depthM: 1.5, heightM: 1.6 },
    window: { widthM: 0.5, sillM: 0.6, heightM: 0.4, pane: 'net' },
  },
  car: {
    ...{ widthM: 4.5, depthM: 1.8, heightM: 1.5 },
    window: { widthM: 0.8, sillM: 0.95, heightM: 0.4, pane: 'open' },
  },
  house: {
    ...{ widthM: 6, depthM: 4, heightM: 2.8 },
    window: { widthM: 1.2, sillM: 0.9, heightM: 1.2, pane: 'doubleGlass' },
  },
  tower: {
    ...{ widthM: 2.5, depthM: 2.5, heightM: 7 },
    window: { widthM: 1.6, sillM: 5.2, heightM: 0.6, pane: 'open' },
  },
};
