import type { LaunchOptions } from '@playwright/test';

const quiet = [
  '--no-sandbox',
  '--disable-quic',
  '--no-first-run',
  '--disable-background-networking',
  '--disable-component-update',
  '--disable-sync',
];
const chromium = { executablePath: '/usr/bin/chromium' };

/** Debian's Chromium, headless, without any talk to the outside, and without WebGL: drawing by software would slow every picture down. */
export const launchOptions: LaunchOptions = { ...chromium, args: [...quiet, '--disable-gpu', '--disable-3d-apis'] };

/** The same with WebGL drawn by software, for the model. */
export const launchWithModel: LaunchOptions = {
  ...chromium,
  args: [
    ...quiet,
    '--use-gl=angle',
    '--use-angle=swiftshader',
    '--enable-unsafe-swiftshader',
    '--ignore-gpu-blocklist',
  ],
};
