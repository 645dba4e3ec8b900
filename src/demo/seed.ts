import type { LastAnswer, Shipped } from '@/records/last-answer';
import type { Summary } from '@/records/list';
import type { Seed } from '@/records/list-queries';
import demoAnswers from './answers.json';
import demoSummaries from './summaries.json';

/** The demo, fetched only where it is put in: on the first start, or when it is asked for back. */
export const demoShoots: Seed & Shipped = {
  shoots: async () => (await import('./in-turns')).demoInTurns(),
  summaries: demoSummaries as readonly Summary[],
  answers: demoAnswers as unknown as readonly LastAnswer[],
};
