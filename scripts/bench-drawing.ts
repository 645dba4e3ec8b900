import type { Page } from '@playwright/test';
import { DEMO_SHOOTS } from '@/demo';
import { newFeature } from '../src/features/draw/kinds';
import type { FeatureKind } from '@/core';
import { SHOOT_VERSION, shootSchema, type Shoot } from '@/records/shoot';

/** A sloping ground of two hundred things, forty of them branches about the mark, and the ways they are dragged. */

const COUNT = 200;
const BRANCHES = 40;
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

/** Branches about the mark that is looked at, near enough to hide and to dapple. */
function branchesAbout(shoot: Shoot): Shoot['features'] {
  const mark = shoot.marks.find(({ id }) => id === shoot.choice.markId) ?? shoot.marks[0];
  return Array.from({ length: BRANCHES }, (_, i) => {
    const [off, angle] = [2 + (i % 7), i * 2.399963];
    const at = (m: number) => ({
      x: (mark?.x ?? 0) + m * Math.cos(angle),
      y: (mark?.y ?? 0) + m * Math.sin(angle),
    });
    const made = newFeature('branch', { shoot, id: `branch-${i}`, points: [at(off), at(off + 2)] });
    return { ...made, name: `Branch ${i}` };
  });
}

/** A ground that rises and falls under all of it. */
const slope = (shoot: Shoot): Shoot['features'][number] => ({
  ...newFeature('slope', {
    shoot,
    id: 'slope',
    points: [-60, -20, 0, 30, 70].map((y) => ({ x: y / 4, y })),
  }),
  ...({ kind: 'slope', heightsM: [0, 1.5, 1, 3, 4.5] } as { kind: 'slope'; heightsM: number[] }),
});

/** Larkmoor with branches about its mark, and other things in rings about it, up to the count. */
export function crowdedShoot(): Shoot {
  const [larkmoor] = DEMO_SHOOTS as [Shoot];
  const branches = branchesAbout(larkmoor);
  const others = COUNT - larkmoor.features.length - BRANCHES - 1;
  const more = Array.from({ length: others }, (_, i) => {
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
    features: [...larkmoor.features, slope(larkmoor), ...branches, ...more],
  });
}

/** The demo's hide with forty branches about its perch, on a bank. */
export function branchedHide(): Shoot {
  const [, alderReach] = DEMO_SHOOTS as [Shoot, Shoot];
  return shootSchema.parse({
    ...alderReach,
    id: 'bench-branches',
    features: [...alderReach.features, slope(alderReach), ...branchesAbout(alderReach)],
  });
}

/** Puts a ground into the page's own storage before it is opened. */
export async function openCrowded(
  page: Page,
  base: string,
  step: 'ground' | 'draw',
  shoot = crowdedShoot(),
) {
  await page.addInitScript(
    ([key, text]) => {
      localStorage.setItem('bright-perch/seeded', '2026-11-25');
      localStorage.setItem(key as string, text as string);
    },
    [`bright-perch/shoot/${shoot.id}`, JSON.stringify(shoot)],
  );
  await page.goto(`${base}/shoot/${shoot.id}/${step}`);
  await page.getByRole('img', { name: /^Ground plan/ }).waitFor();
  await page.waitForTimeout(1500);
}
