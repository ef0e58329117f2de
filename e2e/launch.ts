import type { LaunchOptions } from '@playwright/test';

/** Debian's Chromium, headless, without any talk to the outside. */
export const launchOptions: LaunchOptions = {
  executablePath: '/usr/bin/chromium',
  args: [
    '--no-sandbox',
    '--disable-quic',
    '--no-first-run',
    '--disable-background-networking',
    '--disable-component-update',
    '--disable-sync',
    // Nothing here draws with WebGL yet, and software GL would slow every picture down.
    '--disable-gpu',
  ],
};
