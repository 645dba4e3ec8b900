/**
 * Draws the app's icons: the lit ball on a perch, engraved by the app's own shading. Run after a
 * change of the drawing: `npx tsx scripts/icons.ts`; the results in public/ are kept.
 */
import { chromium } from '@playwright/test';
import { writeFileSync } from 'node:fs';
import path from 'node:path';
import { daylight } from '@/core';
import { ballStrokes } from '@/figures/ball-shading';
import tokens from '@/ui/tokens.json';
import { CHROMIUM } from './chromium';

const SIZE = 512;
const { paper, ink, signal } = tokens.day;

function ball(centreX: number, centreY: number, radius: number): string {
  const strokes = ballStrokes({
    daylight: daylight({ sunAltitudeDeg: 28, sky: 'clear' }),
    sun: { azimuthDeg: 245, altitudeDeg: 28 },
    sunShare: 1,
    groundReflectance: 0.2,
    lampLux: 0,
    toCameraDeg: 180,
  });
  const at = (x: number, y: number) =>
    `${(centreX + x * radius).toFixed(1)} ${(centreY + y * radius).toFixed(1)}`;
  const d = strokes
    .map(({ points }) => {
      const upper = points.map(({ x, y, half }) => at(x, y - half));
      const lower = [...points].reverse().map(({ x, y, half }) => at(x, y + half));
      return `M${upper.join('L')}L${lower.join('L')}Z`;
    })
    .join('');
  return `<path d="${d}" fill="${ink}"/><circle cx="${centreX}" cy="${centreY}" r="${radius}" fill="none" stroke="${ink}" stroke-width="11"/>`;
}

const icon = `<svg xmlns="http://www.w3.org/2000/svg" viewBox="0 0 ${SIZE} ${SIZE}"><rect width="${SIZE}" height="${SIZE}" fill="${paper}"/>${ball(256, 226, 124)}<path d="M84 392L428 356M300 369L372 424" stroke="${signal}" stroke-width="22" stroke-linecap="round" fill="none"/></svg>`;

async function main(): Promise<void> {
  const publicDir = path.resolve(__dirname, '../public');
  writeFileSync(path.join(publicDir, 'icon.svg'), icon);
  const browser = await chromium.launch(CHROMIUM);
  for (const px of [192, 512]) {
    const page = await browser.newPage({ viewport: { width: px, height: px } });
    await page.setContent(`<style>body{margin:0}svg{display:block;width:100vw}</style>${icon}`);
    await page.screenshot({ path: path.join(publicDir, `icon-${px}.png`) });
  }
  await browser.close();
}

void main();
