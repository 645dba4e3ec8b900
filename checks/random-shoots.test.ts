/**
 * No shoot that can be kept, however odd, makes a step throw: made by chance within the schema's own limits,
 * from the demo and from every ground, each asked some of what the nine steps ask. A few in every run;
 * five thousand of them by `npm run long`.
 */
import { DEMO_SHOOTS } from '@/demo';
import { GROUND_TEMPLATES } from '@/presets/grounds';
import { newShoot } from '@/records/new-shoot';
import type { Shoot } from '@/records/shoot';
import { seeded } from '../scripts/seeded';
import { someSteps } from './some-steps';
import { randomShoot } from './random-shoots';

const SHOOTS = Number(process.env.SHOOTS ?? 500);

const BEGUN: readonly Shoot[] = [
  ...DEMO_SHOOTS,
  ...GROUND_TEMPLATES.map(({ id }) =>
    newShoot(
      {
        ...{ title: id, template: id, latitudeDeg: 53, longitudeDeg: -2, bearingDeg: 12 },
        timeZone: 'Europe/London',
        ...{ startLocal: '2027-06-19T14:00', endLocal: '2027-06-19T16:00' },
      },
      id,
      '2027-01-01T00:00:00.000Z',
    ),
  ),
];

/** A fault by what it says, figures apart, and the way to it. */
const stackOf = ({ message, stack = '' }: Error): string =>
  [
    message.replace(/-?\d+(\.\d+)?(e-?\d+)?/g, '#'),
    ...[...stack.matchAll(/at (?:Object\.|new )?(\S+) \(.*\/src\/(.*):\d+:\d+\)/g)]
      .slice(0, 7)
      .map(([, name, file]) => `${name} ${file}`),
  ].join(' < ');

test(`${SHOOTS} shoots made by chance: no step throws, and none says NaN or undefined`, () => {
  const faults = new Map<string, number[]>();
  let changed = 0;
  for (let seed = 1; seed <= SHOOTS; seed += 1) {
    // Half of them are the demo, whose things are of every kind.
    const begun = seed % 2 ? DEMO_SHOOTS : BEGUN;
    const from = begun[Math.floor(seed / 2) % begun.length] as Shoot;
    const next = seeded(seed);
    const shoot = randomShoot(from, next);
    if (JSON.stringify(shoot.features) !== JSON.stringify(from.features)) changed += 1;
    let fault: string | undefined;
    try {
      const said = JSON.stringify(someSteps(shoot, next), (_key, value: unknown) =>
        typeof value === 'string' && /\bNaN\b|\bundefined\b/.test(value) ? `FAULT ${value}` : value,
      );
      fault = /FAULT [^"]*/.exec(said)?.[0];
    } catch (error) {
      fault = stackOf(error as Error);
    }
    if (fault) faults.set(fault, [...(faults.get(fault) ?? []), seed]);
  }
  expect([...faults]).toEqual([]);
  expect(changed).toBeGreaterThan(SHOOTS / 10);
}, 400_000);
