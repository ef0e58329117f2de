import { defineConfig } from '@playwright/test';
import { launchOptions } from './launch.ts';

export default defineConfig({
  testDir: '.',
  testMatch: '*.spec.ts',
  outputDir: '../test-results',
  workers: 1,
  timeout: 240_000,
  expect: { timeout: 20_000 },
  reporter: [['list']],
  use: { viewport: { width: 1280, height: 800 }, launchOptions, actionTimeout: 20_000, screenshot: 'only-on-failure' },
});
