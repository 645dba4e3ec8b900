import { cpus } from 'node:os';
import { lightSeries } from '@/core';
import { answerAt } from '../src/answers/answer';
import { shadeRequest } from '../src/answers/shade';
import { shadesOn } from '../src/answers/shades-on';
import { sceneOf, viewOf } from '../src/answers/view';
import { benchDrags } from './bench-drags';
import { branchedHide } from './bench-drawing';
import { benchFrames } from './bench-frames';
import { benchOpening, benchSteps } from './bench-opening';
import { benchOrder } from './bench-order';
import { benchSearchAndDay } from './bench-search';
import { benchPlaces } from './bench-places';
import { benchPractice } from './bench-practice';
import { benchServer } from './bench-server';
import { hours, larkmoor, minute, perSecond, rounded, sunsPerSecond } from './speed';

function benchCore(): void {
  const sun = sunsPerSecond();
  const full = perSecond((i) => {
    const seen = viewOf(larkmoor);
    return seen.ok && answerAt(seen.view, larkmoor, minute(i));
  });
  const seen = viewOf(larkmoor);
  if (!seen.ok) throw new Error(seen.trouble.kind);
  const { view } = seen;
  const scrub = perSecond((i) => answerAt(view, larkmoor, minute(i)));
  const series = perSecond(() =>
    lightSeries({
      scene: sceneOf(view, larkmoor.features),
      fromMs: hours.fromMs,
      toMs: hours.toMs,
      stepS: 60,
    }),
  );
  const minutes = (hours.toMs - hours.fromMs) / 60_000 + 1;
  const row = (name: string, value: number, suns: number) =>
    console.log(
      `${name.padEnd(44)} ${rounded(value).padStart(9)} /s   ${rounded(suns)} sun calls each`,
    );
  row('bare sun position', sun, 1);
  row('full answer (geometry, motion, light, settings)', full, sun / full);
  row('answer at another minute', scrub, sun / scrub);
  row(`ribbon series, ${minutes} minutes`, series, sun / series);
  row('ribbon series, a minute of it', series * minutes, sun / (series * minutes));
}

/** A year of shade by name on the perch of the hide on a bank, forty branches about it. */
function benchShade(): void {
  const shoot = branchedHide();
  const seen = viewOf(shoot);
  if (!seen.ok) throw new Error(seen.trouble.kind);
  const { view } = seen;
  const request = shadeRequest(shoot, view.scene, view.position);
  const times = [0, 1, 2].map(() => {
    const start = performance.now();
    const owners = shadesOn(request);
    return { ms: performance.now() - start, owners: owners.length };
  });
  const [, middle] = times.sort((a, b) => a.ms - b.ms);
  console.log(
    `${'a year of shade by name, hide on a bank, 40 branches'.padEnd(62)} ${Math.round(middle?.ms ?? NaN)} ms, ${middle?.owners} owners`,
  );
}

/** Parts by name, all of them when none is asked for. */
const PARTS = {
  core: benchCore,
  shade: benchShade,
  search: benchSearchAndDay,
  order: benchOrder,
  server: benchServer,
  places: benchPlaces,
  frames: benchFrames,
  practice: benchPractice,
  opening: benchOpening,
  steps: benchSteps,
  drags: benchDrags,
} as const;

async function main(): Promise<void> {
  console.log(
    `${cpus()[0]?.model}, ${cpus().length} cores, Node ${process.version}, ${rounded(sunsPerSecond())} sun positions a second\n`,
  );
  const wanted = process.argv.slice(2);
  for (const [name, part] of Object.entries(PARTS)) {
    if (wanted.length > 0 && !wanted.includes(name)) continue;
    await part();
    console.log('');
  }
}

void main();
