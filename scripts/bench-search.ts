/**
 * The search over a grid as model.md sizes it (10 000 cells × 24 times × 6 marks × 3 lenses), the
 * day's route (200 events × 40 positions), and a bare loop over typed arrays that does the search's
 * own arithmetic with everything inlined, nothing checked and nothing explained.
 */
import { daylight, planDay, searchPositions, sunPosition, type SearchRequest } from '@/core';
import { timesOf } from '@/presets/classes';
import { bodyById, lensById, subjectById } from '@/presets/find';

const box = (x: number, y: number, width: number, depth: number) => [
  { x, y },
  { x: x + width, y },
  { x: x + width, y: y + depth },
  { x, y: y + depth },
];
const SUBJECTS = ['field-player', 'field-player-swing', 'standing'] as const;
const LENSES = ['70-200-2.8', '300-2.8', '400-2.8'] as const;
const body = bodyById('full-frame-24');

export const timed = (id: string) => ({ ...subjectById(id), ...timesOf(subjectById(id)) });

const SEARCH: SearchRequest = {
  area: { minX: -75, minY: -75, maxX: 75, maxY: 75, stepM: 1.5 },
  cameraHeightM: 1.2,
  site: {
    place: { latitudeDeg: 53.12, longitudeDeg: -1.87 },
    sky: 'clear',
    groundReflectance: 0.2,
    limits: [],
    keepAwayM: 2,
    lampLux: 245,
    obstacles: [0, 1, 2, 3].map((i) => ({
      heightM: 6 + i,
      footprint: box(-80 + i * 40, 80, 20, 8),
    })),
  },
  shots: Array.from({ length: 6 }, (_, i) => ({
    mark: {
      x: -20 + 8 * i,
      y: -30 + 10 * i,
      headingDeg: 40 * i,
      facingDeg: 40 * i,
      subject: timed(SUBJECTS[i % 3] as string),
    },
    shot: { fill: 0.6, face: 'front', light: 'front', backdrop: 'washed' },
  })),
  timesMs: Array.from({ length: 24 }, (_, i) => Date.parse('2027-04-16T15:00:00Z') + i * 900_000),
  kits: LENSES.map((id) => ({
    ...body,
    lens: lensById(id),
    orientation: 'level',
    support: 'hand',
  })),
};

const RAD = Math.PI / 180;

/** @returns sum of the best scores, so that nothing is optimised away */
function bareLoop(): number {
  const { area, shots, timesMs, kits, site } = SEARCH;
  const columns = Math.round((area.maxX - area.minX) / area.stepM);
  const rows = Math.round((area.maxY - area.minY) / area.stepM);
  const times = timesMs.length;
  const sun = new Float64Array(times * 6);
  timesMs.forEach((time, t) => {
    const { azimuthDeg, altitudeDeg } = sunPosition({ time, ...site.place });
    const day = daylight({ sunAltitudeDeg: altitudeDeg, sky: site.sky });
    const level = Math.cos(altitudeDeg * RAD);
    sun.set(
      [
        Math.sin(azimuthDeg * RAD) * level,
        Math.cos(azimuthDeg * RAD) * level,
        Math.sin(altitudeDeg * RAD),
        day.directNormalLux,
        day.diffuseHorizontalLux,
        day.globalHorizontalLux,
      ],
      t * 6,
    );
  });
  const walls = Float64Array.from(
    site.obstacles.flatMap((o) => o.footprint.flatMap(({ x, y }) => [x, y])),
  );
  const heights = Float64Array.from(site.obstacles.map((o) => o.heightM));
  const focals = Float64Array.from(
    kits.flatMap(({ lens }) => [lens.focals[0]?.focalMm ?? 0, lens.focals.at(-1)?.focalMm ?? 0]),
  );
  const evs = new Float64Array(times);
  const lights = new Float64Array(times);
  let total = 0;
  for (let cell = 0; cell < columns * rows; cell += 1) {
    const x = area.minX + ((cell % columns) + 0.5) * area.stepM;
    const y = area.minY + (Math.floor(cell / columns) + 0.5) * area.stepM;
    for (let m = 0; m < shots.length; m += 1) {
      const { mark, shot } = shots[m] as (typeof shots)[number];
      const toX = mark.x - x;
      const toY = mark.y - y;
      const level = Math.sqrt(toX * toX + toY * toY);
      if (level < site.keepAwayM) continue;
      const rise = mark.subject.heightM / 2 - SEARCH.cameraHeightM;
      const distance = Math.sqrt(level * level + rise * rise);
      const ux = toX / level;
      const uy = toY / level;
      const faceOff = Math.acos(
        -(Math.sin(mark.facingDeg * RAD) * ux + Math.cos(mark.facingDeg * RAD) * uy),
      );
      let rate = 0;
      for (const part of mark.subject.parts) {
        const speed = mark.subject.speedMs * part.bodyShare;
        const across = speed * Math.sin(mark.headingDeg * RAD - Math.atan2(ux, uy));
        let fastest = Math.abs(across);
        if (part.swing) {
          for (let i = 0; i < 24; i += 1) {
            const a = across - Math.sin((i * Math.PI) / 12) * part.swing.speedMs;
            const b = Math.cos((i * Math.PI) / 12) * part.swing.speedMs;
            fastest = Math.max(fastest, Math.sqrt(a * a + b * b));
          }
        }
        rate = Math.max(rate, fastest / distance / (part.role === 'body' ? 2 : 5));
      }
      let blocked = false;
      for (let o = 0; o < heights.length; o += 1) {
        for (let i = 0; i < 4; i += 1) {
          const ax = (walls[o * 8 + i * 2] as number) - x;
          const ay = (walls[o * 8 + i * 2 + 1] as number) - y;
          const j = (i + 1) % 4;
          const bx = (walls[o * 8 + j * 2] as number) - x;
          const by = (walls[o * 8 + j * 2 + 1] as number) - y;
          const sideA = ax * uy - ay * ux;
          const sideB = bx * uy - by * ux;
          if (sideA > 0 === sideB > 0) continue;
          const share = sideA / (sideA - sideB);
          const along = (ax + (bx - ax) * share) * ux + (ay + (by - ay) * share) * uy;
          const height = SEARCH.cameraHeightM + (rise / level) * along;
          if (along > 0 && along < level && height < (heights[o] as number)) blocked = true;
        }
      }
      if (blocked) continue;
      for (let t = 0; t < times; t += 1) {
        const at = t * 6;
        const cos = -((sun[at] as number) * ux + (sun[at + 1] as number) * uy);
        const lux =
          (cos > 0 ? (sun[at + 3] as number) * cos : 0) +
          (sun[at + 4] as number) * 0.5 +
          0.1 * (sun[at + 5] as number) +
          site.lampLux;
        evs[t] = Math.log2(lux / 2.5);
        const view = -cos + ((sun[at + 2] as number) * rise) / level;
        const phase = Math.PI - Math.acos(view > 1 ? 1 : view < -1 ? -1 : view);
        lights[t] = Math.log(0.05 + 0.475 * (1 + Math.cos(Math.min(1, phase / 2) * Math.PI)));
      }
      let best = -Infinity;
      for (let l = 0; l < kits.length; l += 1) {
        const imageMm = shot.fill * 24;
        const wanted = (imageMm * distance * 1000) / (mark.subject.heightM * 1000 + imageMm);
        const focal = Math.min(
          focals[l * 2 + 1] as number,
          Math.max(focals[l * 2] as number, wanted),
        );
        const image = (focal * distance * 1000) / (distance * 1000 - focal);
        const fill = ((mark.subject.heightM / distance) * image) / 24;
        const shutter = Math.min(0.0288 / (image * rate), 8 / focal);
        const needed = Math.log2((2.8 * 2.8) / shutter) - 6;
        const blur = (focal * focal) / 2.8 / (distance * 1000 - focal) / 36;
        const still =
          3 * Math.log(Math.max(1e-9, Math.min(1, fill / shot.fill))) +
          2 * Math.log(0.05 + 0.475 * (1 + Math.cos(Math.min(1, faceOff / 2) * Math.PI))) +
          1.5 * Math.log(Math.min(1, blur / 0.04));
        for (let t = 0; t < times; t += 1) {
          const spare = (evs[t] as number) - needed + 0.25;
          const score =
            still + 2 * (lights[t] as number) - 2.5 * Math.log(1 + Math.exp(-1.6 * spare));
          if (score > best) best = score;
        }
      }
      total += Math.exp(best / 12.5);
    }
  }
  return total;
}

/** Shortest of some runs in ms: what the machine can do when left alone. */
function shortest(runs: number, work: () => unknown): number {
  let best = Infinity;
  for (let i = 0; i < runs; i += 1) {
    const start = performance.now();
    work();
    best = Math.min(best, performance.now() - start);
  }
  return best;
}

function day() {
  let seed = 1;
  const next = () => {
    seed = (seed * 16_807) % 2_147_483_647;
    return seed / 2_147_483_647;
  };
  const positions = Array.from({ length: 40 }, (_, i) => ({
    id: `p${i}`,
    x: next() * 600,
    y: next() * 400,
  }));
  const events = Array.from({ length: 200 }, (_, i) => {
    const startMs = next() * 8 * 3.6e6;
    return {
      id: `e${i}`,
      startMs,
      endMs: startMs + 60_000 + next() * 300_000,
      value: 1 + next() * 9,
      mustHave: i % 37 === 0,
      from: positions.map(({ id }) => ({ positionId: id, quality: next() })),
    };
  });
  return () => planDay(events, positions, 1.4, { secondCallMs: 300_000 });
}

export function benchSearchAndDay(): void {
  const cells = 10_000;
  const search = shortest(5, () => searchPositions(SEARCH));
  const bare = shortest(5, bareLoop);
  const route = shortest(5, day());
  console.log(
    `search, 10 000 cells × 24 times × 6 marks × 3 lenses   ${(search / 1000).toFixed(2)} s, ${Math.round(cells / (search / 1000))} cells/s, ${(search / bare).toFixed(2)} × the bare loop (${(bare / 1000).toFixed(2)} s)`,
  );
  console.log(
    `day, 200 events × 40 positions                         ${(route / 1000).toFixed(2)} s`,
  );
}
