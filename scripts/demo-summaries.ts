/** Writes what the list says of the demo shoots, for the first start: `npm run demo-summaries`. */
import { writeFileSync } from 'node:fs';
import path from 'node:path';
import { DEMO_SHOOTS } from '../src/demo';
import { summaryOf } from '../src/records/summary';

writeFileSync(
  path.resolve(__dirname, '../src/demo/summaries.json'),
  `${JSON.stringify(DEMO_SHOOTS.map(summaryOf), null, 2)}\n`,
);
