import { defineConfig } from '@playwright/test';
import { CHROMIUM } from './scripts/chromium';

const PORT = 8791;

/** The built app in Debian's Chromium, on a phone and on a wide screen. */
export default defineConfig({
  testDir: 'e2e',
  outputDir: 'test-results',
  fullyParallel: true,
  // One waits while two compute.
  workers: 3,
  // Fingers are timed by the clock: a machine that stalls half a second turns a tap into a long press.
  retries: 1,
  timeout: 60_000,
  // A page is compiled while three browsers share two cores, and a busy machine takes its time.
  expect: { timeout: 20_000 },
  reporter: [['list'], ['json', { outputFile: '.cache/e2e.json' }]],
  use: {
    baseURL: `http://127.0.0.1:${PORT}`,
    launchOptions: CHROMIUM,
    locale: 'en-GB',
    // Not the shoot's own zone: what is shown must be the place's clock, not the device's.
    timezoneId: 'America/New_York',
    trace: 'on-first-retry',
    // Storage is cleared between tests; the app that was loaded need not be compiled again.
    reuseContext: true,
    // Only what is tried without a network has the app kept by the browser (e2e/offline.spec.ts).
    serviceWorkers: 'block',
  },
  projects: [
    {
      name: 'phone',
      grepInvert: /@wide/,
      use: { viewport: { width: 390, height: 844 }, hasTouch: true, isMobile: true },
    },
    // What is the same on any width is tried once, on the phone.
    { name: 'wide', grepInvert: /@once/, use: { viewport: { width: 1280, height: 800 } } },
  ],
  webServer: {
    command: 'node --import tsx server/index.ts',
    env: { PORT: String(PORT), NODE_ENV: 'production' },
    url: `http://127.0.0.1:${PORT}/healthz`,
    reuseExistingServer: false,
  },
});
