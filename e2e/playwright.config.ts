import { defineConfig } from '@playwright/test';
import { launchOptions, launchWithModel } from './launch.ts';

export default defineConfig({
  testDir: '.',
  testMatch: '*.spec.ts',
  outputDir: '../test-results',
  // Each page works in a thread of its own too, but waits half of its time: two at once are quicker on two cores.
  workers: 2,
  fullyParallel: true,
  timeout: 900_000,
  expect: { timeout: 90_000 },
  reporter: [['list']],
  use: {
    viewport: { width: 1280, height: 800 },
    // Numbers and days are written as this browser's builder does.
    locale: 'en-GB',
    // Each page would fetch the whole application once more; `offline.spec.ts` allows it.
    serviceWorkers: 'block',
    launchOptions,
    actionTimeout: 90_000,
    screenshot: 'only-on-failure',
  },
  projects: [
    { name: 'pages', testIgnore: 'model.spec.ts' },
    // Drawing by software costs every page three times its time, so the model has a browser of its own.
    { name: 'model', testMatch: 'model.spec.ts', use: { launchOptions: launchWithModel } },
  ],
});
