import { QueryClient } from '@tanstack/react-query';
import { DEMO_SHOOTS } from '@/demo';
import { hearOtherTab, onOtherTab } from './other-tabs';
import { SHOOTS_KEY, writerOf } from './queries';
import type { Shoot } from './shoot';

const [larkmoor, alder, tern] = DEMO_SHOOTS as [Shoot, Shoot, Shoot];
const keyOf = (shoot: Shoot) => `bright-perch/shoot/${shoot.id}`;
const later = (shoot: Shoot, updatedAt = '2027-06-01T00:00:00.000Z'): Shoot => ({
  ...shoot,
  title: 'Changed in the other tab',
  updatedAt,
});

function page() {
  const client = new QueryClient();
  client.setQueryData(SHOOTS_KEY, [larkmoor, alder]);
  return {
    client,
    shoots: () => client.getQueryData<Shoot[]>(SHOOTS_KEY),
    hear: (shoot: Shoot, newValue: string | null) =>
      hearOtherTab(client, { key: keyOf(shoot), newValue }),
  };
}

test('what another tab wrote is taken over, and whoever listens is told', () => {
  const { shoots, hear } = page();
  const heard: string[] = [];
  const stop = onOtherTab((id) => heard.push(id));
  hear(larkmoor, JSON.stringify(later(larkmoor)));
  stop();
  hear(alder, null);
  expect(shoots()).toEqual([later(larkmoor)]);
  expect(heard).toEqual([larkmoor.id]);
});

test('a shoot that is new there is new here, in its place', () => {
  const { shoots, hear } = page();
  hear(tern, JSON.stringify(tern));
  expect(shoots()?.map(({ id }) => id)).toEqual([larkmoor.id, alder.id, tern.id]);
});

test('a change that still waits here and is younger stays; an older one gives way', () => {
  const { client, shoots, hear } = page();
  const mine = { ...larkmoor, title: 'Mine', updatedAt: '2027-06-02T00:00:00.000Z' };
  client.setQueryData(SHOOTS_KEY, [mine, alder]);
  writerOf(client).put(mine);
  hear(larkmoor, JSON.stringify(later(larkmoor)));
  expect(shoots()?.[0]).toEqual(mine);
  hear(larkmoor, JSON.stringify(later(larkmoor, '2027-06-03T00:00:00.000Z')));
  expect(shoots()?.[0]?.title).toBe('Changed in the other tab');
  expect(writerOf(client).waiting(larkmoor.id)).toBeUndefined();
});

test('what can not be read, and what is not ours, changes nothing', () => {
  const { client, shoots, hear } = page();
  hear(larkmoor, '{"version":99}');
  hear(larkmoor, 'not JSON');
  hearOtherTab(client, { key: 'someone else’s', newValue: 'x' });
  expect(shoots()).toEqual([larkmoor, alder]);
});
