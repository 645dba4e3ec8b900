import { DEMO_SHOOTS } from '@/demo';
import { onDay } from './edit-day';
import { shootSchema } from './shoot';

const [larkmoor] = DEMO_SHOOTS;

test('a shoot on another day keeps its times by the clock, lamps included', () => {
  const shoot = larkmoor as (typeof DEMO_SHOOTS)[number];
  const moved = onDay(shoot, '2027-10-31');
  expect(moved.startLocal).toBe(`2027-10-31${shoot.startLocal.slice(10)}`);
  expect(moved.endLocal).toBe(`2027-10-31${shoot.endLocal.slice(10)}`);
  expect(moved.atLocal.slice(10)).toBe(shoot.atLocal.slice(10));
  expect(moved.light.lampsFromLocal?.slice(10)).toBe(shoot.light.lampsFromLocal?.slice(10));
  expect(shootSchema.safeParse(moved).success).toBe(true);
  expect(onDay(moved, shoot.startLocal.slice(0, 10))).toEqual(shoot);
});

test('a shoot over midnight still ends the day after it began', () => {
  const night = {
    ...(larkmoor as (typeof DEMO_SHOOTS)[number]),
    startLocal: '2027-04-16T22:00',
    endLocal: '2027-04-17T02:00',
    atLocal: '2027-04-17T01:00',
  };
  expect(onDay(night, '2027-12-31')).toMatchObject({
    startLocal: '2027-12-31T22:00',
    endLocal: '2028-01-01T02:00',
    atLocal: '2028-01-01T01:00',
  });
});
