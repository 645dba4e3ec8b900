import { readFileSync } from 'node:fs';
import { createRequire } from 'node:module';
import type { Page } from '@playwright/test';

const AXE = readFileSync(createRequire(__filename).resolve('axe-core/axe.min.js'), 'utf8');

interface Violation {
  readonly id: string;
  readonly nodes: readonly { readonly html: string }[];
}

/** What axe finds, serious or not; in other brightnesses than the day's only what colours can do. */
export async function violationsOf(page: Page, rules?: readonly string[]): Promise<string[]> {
  if (!(await page.evaluate(() => 'axe' in window))) await page.evaluate(AXE);
  const violations = await page.evaluate(
    async (only) =>
      (
        await (
          window as unknown as {
            axe: { run: (options: object) => Promise<{ violations: Violation[] }> };
          }
        ).axe.run({ resultTypes: ['violations'], ...(only && { runOnly: only }) })
      ).violations,
    rules,
  );
  return violations.map(
    ({ id, nodes }) => `${id}: ${nodes.map(({ html }) => html.slice(0, 160)).join(' | ')}`,
  );
}
