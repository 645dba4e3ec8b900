/**
 * Writes dist/sw.js: all that was built is kept by the browser at the first visit, so that the app opens
 * without a network. A new build takes over when every page of the old one is closed, or when asked to.
 */
import path from 'node:path';
import { generateSW } from 'workbox-build';
import { ROOT } from './prepare.mjs';

const { count, size, warnings } = await generateSW({
  mode: 'production',
  globDirectory: path.join(ROOT, 'dist'),
  globPatterns: ['**/*.{js,css,html,woff2,ttf,svg,png,jpg,json,webmanifest}'],
  globIgnores: ['sw.js', 'metadata.json'],
  swDest: path.join(ROOT, 'dist/sw.js'),
  inlineWorkboxRuntime: true,
  sourcemap: false,
  navigateFallback: '/index.html',
  navigateFallbackDenylist: [/^\/(?:api|healthz|_expo|assets|fonts)(?:\/|$)/],
  // The name says the content: it need not be asked for anew.
  dontCacheBustURLsMatching: /[-.][0-9a-f]{16,}\.\w+$/,
  maximumFileSizeToCacheInBytes: 20_000_000,
  clientsClaim: true,
  skipWaiting: false,
  cleanupOutdatedCaches: true,
});
warnings.forEach((warning) => console.warn(warning));
console.log(`Kept for use without a network: ${count} files, ${(size / 1e6).toFixed(1)} MB`);
