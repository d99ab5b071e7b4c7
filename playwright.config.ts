import { defineConfig } from '@playwright/test';

/** Tests that bring a server and a household of their own: they run beside the others. */
const OWN = /(demoDay|home|keys|moveIn|ninetyDays|unpackHaul)\.spec\.ts/;

/** Debian's Chromium against the production build that scripts/test.mjs serves. */
export default defineConfig({
  testDir: 'tests/e2e',
  workers: 1,
  fullyParallel: false,
  retries: 0,
  timeout: 240_000,
  // The machine may be busy with the tests beside these.
  expect: { timeout: 40_000 },
  outputDir: process.env.PLAYWRIGHT_OUT ?? 'var/playwright',
  projects: [
    { name: 'shared', testIgnore: OWN },
    { name: 'own', testMatch: OWN },
  ],
  reporter: [['list'], ['json']],
  use: {
    baseURL: process.env.BASE_URL,
    viewport: { width: 1280, height: 800 },
    timezoneId: 'Europe/Dublin',
    locale: 'en-GB',
    // What is kept for a house without network is tried where the network goes.
    serviceWorkers: 'block',
    launchOptions: {
      executablePath: '/usr/bin/chromium',
      args: [
        '--no-sandbox',
        '--disable-gpu',
        '--disable-quic',
        '--no-first-run',
        '--disable-background-networking',
        '--disable-component-update',
        '--disable-sync',
      ],
    },
  },
});
