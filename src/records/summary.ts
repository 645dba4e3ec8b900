import { FEATURE_SHAPE, type Point2 } from '@/core';
import { groundLines } from '@/presets/grounds';
import { SUMMARY_VERSION, type Summary } from './list';
import type { Shoot } from './shoot';

const BOX = 100;

/** Points to a box of {@link BOX}, north up, all of them within and none nearer to its edge than 5. */
function intoBox(points: readonly Point2[]): (point: Point2) => Point2 {
  const xs = points.map(({ x }) => x);
  const ys = points.map(({ y }) => y);
  const [west, east] = [Math.min(...xs), Math.max(...xs)];
  const [south, north] = [Math.min(...ys), Math.max(...ys)];
  const scale = (BOX - 10) / Math.max(east - west, north - south, 1);
  const rounded = (value: number) => Math.round(value * 10) / 10;
  return ({ x, y }) => ({
    x: rounded(BOX / 2 + (x - (west + east) / 2) * scale),
    y: rounded(BOX / 2 - (y - (south + north) / 2) * scale),
  });
}

/** A ground drawn at the size of a stamp. */
export function sketchOf({
  ground,
  features,
  marks,
  positions,
}: Pick<Shoot, 'ground' | 'features' | 'marks' | 'positions'>): Summary['sketch'] {
  const drawn = groundLines(ground.template, ground.bearingDeg);
  const all = [...drawn, ...features].flatMap(({ points }) => points);
  const boxed = intoBox([...all, ...marks, ...positions]);
  const path = (points: readonly Point2[]) =>
    points.map((point, i) => {
      const { x, y } = boxed(point);
      return `${i === 0 ? 'M' : 'L'}${x} ${y}`;
    });
  const shaped = (shape: 'line' | 'area') =>
    features.filter(({ kind }) => FEATURE_SHAPE[kind] === shape).map(({ points }) => points);
  return {
    lines: [...drawn.map(({ points }) => points), ...shaped('line')].flatMap(path).join(''),
    solids: shaped('area')
      .map((points) => `${path(points).join('')}Z`)
      .join(''),
    places: positions.map(boxed),
  };
}

/** What the list of shoots says of one. */
export function summaryOf(shoot: Shoot): Summary {
  const { id, title, startLocal, endLocal, updatedAt, place } = shoot;
  const { timeZone } = place;
  return {
    version: SUMMARY_VERSION,
    ...{ id, title, startLocal, endLocal, timeZone, updatedAt },
    sketch: sketchOf(shoot),
  };
}
