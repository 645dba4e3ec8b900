import type { Page } from '@playwright/test';

/**
 * One entry of the browser's own trace, in microseconds: `ts` by the clock, `tts` and `tdur` by the
 * thread's own time, so that what else runs on the cores meanwhile is not counted as script.
 */
interface TraceEvent {
  readonly name: string;
  readonly ph: string;
  readonly ts: number;
  readonly tts?: number;
  readonly tdur?: number;
  readonly pid: number;
  readonly tid: number;
  readonly args?: { readonly name?: string };
}

/** What the trace calls running script, in whatever it began. */
const SCRIPT = new Set([
  'EvaluateScript',
  'EventDispatch',
  'FireAnimationFrame',
  'FireIdleCallback',
  'FunctionCall',
  'RunMicrotasks',
  'TimerFire',
]);
/** Each frame that is drawn ends in one of these. */
const FRAME = 'BeginCommitCompositorFrame';

/** Milliseconds of script between the beginnings of frames; what lies within another is counted once. */
export function scriptByFrame(events: readonly TraceEvent[]): number[] {
  const frames = events.filter(({ name }) => name === FRAME);
  const busiest = mostCommon(frames.map(({ pid, tid }) => `${pid} ${tid}`));
  const onMain = events.filter(({ pid, tid }) => `${pid} ${tid}` === busiest);
  const starts = onMain
    .filter(({ name }) => name === FRAME)
    .map(({ ts }) => ts)
    .sort((a, b) => a - b);
  const script = onMain
    .filter(({ name, ph }) => ph === 'X' && SCRIPT.has(name))
    .sort((a, b) => a.ts - b.ts);
  const sums = starts.map(() => 0);
  let counted = -Infinity;
  let frame = 0;
  for (const { ts, tts = 0, tdur = 0 } of script) {
    const end = tts + tdur;
    if (end <= counted) continue;
    while (frame + 1 < starts.length && (starts[frame + 1] as number) <= ts) frame += 1;
    sums[frame] = (sums[frame] ?? 0) + (end - Math.max(tts, counted)) / 1000;
    counted = end;
  }
  return sums.slice(1, -1);
}

function mostCommon(names: readonly string[]): string | undefined {
  const counts = new Map<string, number>();
  for (const name of names) counts.set(name, (counts.get(name) ?? 0) + 1);
  return [...counts].sort((a, b) => b[1] - a[1])[0]?.[0];
}

/** Script of each frame on the page's main thread while something is done, in milliseconds. */
export async function scriptWhile(page: Page, work: () => Promise<void>): Promise<number[]> {
  const session = await page.context().newCDPSession(page);
  const events: TraceEvent[] = [];
  session.on('Tracing.dataCollected', ({ value }) => {
    events.push(...(value as unknown as TraceEvent[]));
  });
  await session.send('Tracing.start', {
    transferMode: 'ReportEvents',
    traceConfig: {
      includedCategories: ['devtools.timeline', 'disabled-by-default-devtools.timeline'],
    },
  });
  await work();
  const complete = new Promise((done) => session.once('Tracing.tracingComplete', done));
  await session.send('Tracing.end');
  await complete;
  await session.detach();
  return scriptByFrame(events);
}
