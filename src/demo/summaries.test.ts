import { summaryOf } from '@/records/summary';
import { DEMO_SHOOTS } from './index';
import written from './summaries.json';

test('what the list says of the demo at the first start is what it says after', () => {
  // When the demo changes: npm run demo-summaries.
  expect(written).toEqual(DEMO_SHOOTS.map(summaryOf));
});
