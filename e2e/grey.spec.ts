import type { Page } from '@playwright/test';
import { expect, groundTool, openLarkmoor, settle, test } from './app';

/** What lies along a line of the plan, in grey of 0 to 255: on the line, and a little to each side of it. */
interface Along {
  /** How far the line is from its nearer side. */
  readonly lineStands: number;
  /** How far its sides are from each other. */
  readonly sidesDiffer: number;
}

const SAMPLES = 120;

/** The plan as a photographer who sees no colour sees it, along the search's rings and the edge of the shade. */
async function seenInGrey(page: Page) {
  const shot = (await page.screenshot()).toString('base64');
  return page.evaluate(
    async ([png, count]) => {
      const image = new Image();
      image.src = `data:image/png;base64,${png}`;
      await image.decode();
      const canvas = document.createElement('canvas');
      [canvas.width, canvas.height] = [image.width, image.height];
      const context = canvas.getContext('2d') as CanvasRenderingContext2D;
      context.drawImage(image, 0, 0);
      const perPx = image.width / window.innerWidth;
      const greyAt = (x: number, y: number, halfPx: number): number => {
        const [left, top] = [Math.round((x - halfPx) * perPx), Math.round((y - halfPx) * perPx)];
        const wide = Math.max(1, Math.round(2 * halfPx * perPx));
        const { data } = context.getImageData(left, top, wide, wide);
        let sum = 0;
        for (let i = 0; i < data.length; i += 4)
          sum +=
            0.2126 * (data[i] as number) +
            0.7152 * (data[i + 1] as number) +
            0.0722 * (data[i + 2] as number);
        return sum / (data.length / 4);
      };
      const median = (values: number[]): number =>
        [...values].sort((a, b) => a - b)[values.length >> 1] as number;
      const along = (path: SVGPathElement, sidePx: number): Along => {
        const matrix = path.getScreenCTM() as DOMMatrix;
        const box = (path.ownerSVGElement as SVGSVGElement).getBoundingClientRect();
        const lengthPx = path.getTotalLength();
        const seen = Array.from({ length: count }, (_, i) => {
          const s = ((i + 0.5) / count) * lengthPx;
          const at = path.getPointAtLength(s).matrixTransform(matrix);
          const on = path.getPointAtLength(s + 0.5).matrixTransform(matrix);
          const turn = Math.hypot(on.x - at.x, on.y - at.y) || 1;
          const [nx, ny] = [-(on.y - at.y) / turn, (on.x - at.x) / turn];
          const within =
            at.x > box.left + 16 &&
            at.x < box.right - 16 &&
            at.y > box.top + 16 &&
            at.y < box.bottom - 16;
          if (!within) return [];
          const line = greyAt(at.x, at.y, 0.5);
          const one = greyAt(at.x + sidePx * nx, at.y + sidePx * ny, 2.5);
          const other = greyAt(at.x - sidePx * nx, at.y - sidePx * ny, 2.5);
          const nearer = Math.abs(line - one) < Math.abs(line - other) ? one : other;
          // A step from one side to the other is no line: what lies between them counts for nothing.
          const between = (line - one) * (line - other) <= 0;
          return [{ stands: between ? 0 : Math.abs(line - nearer), differ: Math.abs(one - other) }];
        }).flat();
        return {
          lineStands: median(seen.map(({ stands }) => stands)),
          sidesDiffer: median(seen.map(({ differ }) => differ)),
        };
      };
      const plan = document.querySelector('[role=img][aria-label^="Ground plan"]');
      const paths = [...(plan?.querySelectorAll('path') ?? [])];
      const rings = paths.filter((path) => path.getAttribute('fill-rule') === 'evenodd');
      const shade = (plan?.querySelectorAll('svg')[1] as SVGSVGElement).querySelector('path');
      return {
        rings: rings.map((ring) => along(ring, 6)),
        shade: along(shade as SVGPathElement, 6),
      };
    },
    [shot, SAMPLES] as const,
  );
}

test(
  'without colour the search’s rings are lines and the shade is an area, by day, in the dusk and in the hide',
  { tag: '@once' },
  async ({ page }) => {
    for (const next of [undefined, 'Show for the dusk', 'Show dark, for the hide']) {
      if (next) {
        await page.goto('/');
        await page.getByRole('button', { name: next }).click();
      }
      await openLarkmoor(page);
      await groundTool(page, 'Search');
      const section = page.getByRole('region', { name: 'Where else to stand' });
      await section.getByRole('button', { name: 'Search the ground' }).click();
      await expect(section.getByRole('list', { name: 'Best places' })).toBeVisible();
      await settle(page);
      const { rings, shade } = await seenInGrey(page);
      expect(rings).toHaveLength(4);
      for (const ring of rings) expect(ring.lineStands).toBeGreaterThan(25);
      expect(shade.lineStands).toBeLessThan(12);
      expect(shade.sidesDiffer).toBeGreaterThan(15);
    }
  },
);
