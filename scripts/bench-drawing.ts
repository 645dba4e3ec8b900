import type { Page } from '@playwright/test';
import { DEMO_SHOOTS } from '@/demo';
import { newFeature } from '../src/features/draw/kinds';
import type { FeatureKind } from '@/core';
import { SHOOT_VERSION, shootSchema, type Shoot } from '@/records/shoot';

/** A ground of two hundred things, and the ways they are dragged. */

const COUNT = 200;
const ID = 'bench-200';
/** Of everything that can be drawn, most of what there usually is most of. */
const KINDS: readonly FeatureKind[] = [
  'tree',
  'lamp',
  'tree',
  'wall',
  'perch',
  'fence',
  'trees',
  'path',
  'stand',
  'keepOut',
  'outline',
  'course',
  'water',
  'backdrop',
];

/** Larkmoor with things in rings about it, up to the count. */
export function crowdedShoot(): Shoot {
  const [larkmoor] = DEMO_SHOOTS as [Shoot];
  const more = Array.from({ length: COUNT - larkmoor.features.length }, (_, i) => {
    const ring = 62 + 9 * (i % 6);
    const angle = i * 2.399963;
    const at = { x: ring * Math.cos(angle), y: ring * Math.sin(angle) };
    const kind = KINDS[i % KINDS.length] as FeatureKind;
    const near = [at, { x: at.x + 5, y: at.y + 1 }, { x: at.x + 6, y: at.y + 5 }];
    const single = ['tree', 'lamp', 'perch', 'stand'].includes(kind);
    const made = newFeature(kind, {
      shoot: larkmoor,
      id: `thing-${i}`,
      points: single ? near.slice(0, 1) : near,
    });
    return { ...made, name: `${made.name} ${i}` };
  });
  return shootSchema.parse({
    ...larkmoor,
    version: SHOOT_VERSION,
    id: ID,
    features: [...larkmoor.features, ...more],
  });
}

/** Puts the crowded ground into the page's own storage before it is opened. */
export async function openCrowded(page: Page, base: string, step: 'ground' | 'draw') {
  await page.addInitScript(
    ([key, text]) => {
      localStorage.setItem('bright-perch/seeded', '2026-11-25');
      localStorage.setItem(key as string, text as string);
    },
    [`bright-perch/shoot/${ID}`, JSON.stringify(crowdedShoot())],
  );
  await page.goto(`${base}/shoot/${ID}/${step}`);
  await page.getByRole('img', { name: /^Ground plan/ }).waitFor();
  await page.waitForTimeout(1500);
}
