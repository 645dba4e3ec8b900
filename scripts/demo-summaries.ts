/** Writes what is known of the demo shoots before they are read, for the first start: `npm run demo-summaries`. */
import { writeFileSync } from 'node:fs';
import path from 'node:path';
import { DEMO_SHOOTS } from '../src/demo';
import { openingAnswerOf } from '../src/features/shoot/last-answer';
import { summaryOf } from '../src/records/summary';

const write = (name: string, value: unknown): void =>
  writeFileSync(
    path.resolve(__dirname, '../src/demo', name),
    `${JSON.stringify(value, null, 2)}\n`,
  );

write('summaries.json', DEMO_SHOOTS.map(summaryOf));
write('answers.json', DEMO_SHOOTS.map(openingAnswerOf));
