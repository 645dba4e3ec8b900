import { z } from 'zod';
import { briefSchema } from './brief';
import { daySchema } from './day';
import { forecastSchema } from './forecast';
import { kitSchema } from './kit';
import { logSchema } from './log';
import { readingSchema } from './reading';
import { placeSchema, shootSchema } from './shoot';

/**
 * Each stands for the module that holds it: modules are set up when something of them is first used, and
 * schemas are long to put together.
 */
const PARTS: readonly (() => unknown)[] = [
  () => z,
  () => briefSchema,
  () => kitSchema,
  () => logSchema,
  () => daySchema,
  () => readingSchema,
  () => forecastSchema,
  () => placeSchema,
  () => shootSchema,
];

const nextTurn = (): Promise<void> => new Promise((resolve) => setTimeout(resolve));

/** Sets up modules, each by what stands for it, a piece a turn: a thumb or a drawing need not wait for all. */
export async function inTurns(parts: readonly (() => unknown)[]): Promise<void> {
  for (const part of parts) {
    part();
    await nextTurn();
  }
}

/** Sets up what reads a shoot. */
export const setUpSchemas = (): Promise<void> => inTurns(PARTS);
