import autocannon from 'autocannon';
import path from 'node:path';
import { readPlaces } from '../server/places';
import { started } from './bench-server';

/** What people type on the way to a name, from two letters on, and a slip in each. */
const NAMES = [
  ...['munich', 'san francisco', 'new york', 'reykjavik', 'ouagadougou', 'garmisch-partenkirchen'],
  ...['são paulo', 'springfield illinois', 'alice springs', 'longyearbyen', 'kitzbühel', 'leiden'],
  ...[
    'nairobi',
    'ulaanbaatar',
    'quebec',
    'ushuaia',
    'edinburgh',
    'abilene texas',
    'москва',
    '東京',
  ],
];
const slipped = (name: string): string => name.slice(0, 2) + name.slice(3);
const TYPED = NAMES.flatMap((name) => [
  ...Array.from({ length: name.length - 1 }, (_, i) => name.slice(0, i + 2)),
  slipped(name),
]);

/** Places by name: how long they take to read, to answer, and what they weigh in the server. */
export async function benchPlaces(): Promise<void> {
  const startMs = performance.now();
  const find = readPlaces(path.resolve(__dirname, '../build/places'));
  const loadMs = performance.now() - startMs;
  TYPED.forEach((name) => find(name));
  const took = TYPED.map((name) => {
    const fromMs = performance.now();
    find(name);
    return performance.now() - fromMs;
  }).sort((a, b) => a - b);
  const at = (share: number) => (took[Math.floor((took.length - 1) * share)] ?? 0).toFixed(2);
  console.log(
    `places: read in ${loadMs.toFixed(0)} ms; ${TYPED.length} beginnings and slips: ${at(0.5)} ms median, ${at(0.95)} ms at the 95th, ${at(1)} ms at most`,
  );
  const { base, megabytes, stop } = await started();
  const { requests, latency, errors, non2xx } = await autocannon({
    url: base,
    connections: 20,
    duration: 8,
    requests: TYPED.map((name) => ({ path: `/api/places?name=${encodeURIComponent(name)}` })),
  });
  console.log(
    `places: ${Math.round(requests.average)} answers a second, p99 ${latency.p99} ms, ${errors + non2xx} failed; the server weighs ${megabytes().toFixed(0)} MB`,
  );
  stop();
}
