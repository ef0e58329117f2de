import { chromium } from '@playwright/test';
import { createApp } from '../server/src/app.ts';
import { listenNear } from '../server/src/listen.ts';
import { launchOptions } from './launch.ts';

const { server, port } = await listenNear(createApp('/work/main/web/dist'), '127.0.0.1', 4950);
const browser = await chromium.launch(launchOptions);
const page = await browser.newPage({ viewport: { width: 1280, height: 800 }, acceptDownloads: true });
page.on('console', (m) => m.type() === 'error' && console.log('ERR', m.text()));
page.on('pageerror', (e) => console.log('PAGEERR', e.message));
await page.goto(`http://127.0.0.1:${port}/`);
await page.getByRole('button', { name: 'Explore the demo' }).click();
const settled = () =>
  page
    .getByTestId('plan-state')
    .filter({ hasText: /^worked out$/ })
    .waitFor();
await settled();
const steps = await import(process.argv[2]);
await steps.default(page, settled, (n: string) => page.screenshot({ path: `/tmp/look/${n}.png` }));
await browser.close();
server.closeAllConnections();
server.close();
