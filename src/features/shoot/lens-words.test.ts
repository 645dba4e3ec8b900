import { linesOf } from '@/features/day/fixtures/planned-day';
import { TERN_WATER } from '@/demo/tern-water';
import { withShooter } from '@/records/edit-shooters';
import type { Shoot } from '@/records/shoot';
import { isOneOfMany, lensesInWords, lensTaken, withWhatLens } from './lens-words';

test('what is taken is named with where a zoom stands, its converter and its body where there are several', () => {
  const { kit } = TERN_WATER;
  expect(isOneOfMany(kit)).toBe(true);
  expect(lensTaken({ ...kit, lensId: 'own-70-200', focalMm: 134.6 })).toBe(
    '70–200 mm f/2.8 at 135 mm on the Main body, 24 MP full frame',
  );
  const single: Shoot['kit'] = {
    ...kit,
    ...{ bodyId: 'full-frame-24', lensId: '300-4', focalMm: 300, converter: 1.4, bag: [] },
  };
  expect(lensTaken(single)).toBe('300 mm f/4 with 1.4x');
  expect(isOneOfMany(single)).toBe(false);
});

test('the day says with which lens, of the bag of whoever shoots it', async () => {
  const line = (await linesOf(TERN_WATER)).find(({ stop }) => stop);
  if (!line?.stop) throw new Error('must be shot');
  expect(withWhatLens(TERN_WATER, line)).toMatch(/^With the .+ mm f\/.+ on the .+\.$/);
  expect(lensesInWords(TERN_WATER, [line, line])).toMatch(/^With the [^,]+ mm f\/.+\.$/);
  // Mara has one lens and one body: there is nothing to say of hers.
  const two = withShooter(TERN_WATER, { own: 'Ivo', name: 'Mara' }, () => 's');
  const bare: Shoot['kit'] = {
    ...TERN_WATER.kit,
    ...{ bodyId: 'full-frame-24', lensId: '300-4', focalMm: 300, bag: [] },
  };
  const shooters = two.shooters.map((entry, i) =>
    i === 1 ? { ...entry, id: 'mara', kit: bare } : entry,
  );
  const hers = { ...line, stop: { ...line.stop, shooterId: 'mara' } };
  expect(withWhatLens({ ...two, shooters }, hers)).toBe('');
  expect(lensesInWords({ ...two, shooters }, [hers])).toBe('');
});
