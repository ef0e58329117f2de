import { fileURLToPath } from 'node:url';
import { chromium } from '@playwright/test';
import { createApp } from '../server/src/app.ts';
import { listenNear } from '../server/src/listen.ts';
import { launchWithModel as launchOptions } from './launch.ts';

const { server, port } = await listenNear(
  createApp(fileURLToPath(new URL('../web/dist', import.meta.url))),
  '127.0.0.1',
  4970,
);
const browser = await chromium.launch(launchOptions);
const page = await browser.newPage({ viewport: { width: 1280, height: 800 } });
page.on('console', (m) => m.type() === 'error' && console.log('CONSOLE', m.text()));
page.on('pageerror', (e) => console.log('PAGEERROR', e.message));
const shot = (n: string) => page.screenshot({ path: `/tmp/shots/${n}.png` });
const ready = () =>
  page
    .getByTestId('plan-state')
    .filter({ hasText: /^worked out$/ })
    .waitFor({ timeout: 60000 });
const sample = async (name: string) => {
  await page.keyboard.press('Alt+p');
  await page.getByRole('button', { name: `Add ${name}` }).click();
  await page.waitForTimeout(800);
  await ready();
};
const show = async (b: string) => {
  await page.getByRole('link', { name: new RegExp(`^${b}`) }).click();
  await page.waitForTimeout(500);
};
await page.goto(`http://127.0.0.1:${port}/`);
await page.getByRole('button', { name: 'Explore the demo' }).click();
await ready();
await sample('Vessa Terraces');
await page.waitForTimeout(1500);
await shot('a-ground');
await page.getByRole('radio', { name: 'model' }).click();
await page.waitForTimeout(2500);
await page.getByLabel('Show', { exact: true }).selectOption('through');
await page.waitForTimeout(1500);
await shot('a-model');
await page.getByRole('radio', { name: 'plan' }).click();
await page.keyboard.press('Alt+p');
await page.getByRole('button', { name: 'Start my own' }).click();
await page.waitForTimeout(1200);
await show('Ground');
await page.getByRole('button', { name: 'Bring in' }).click();
await page.getByLabel('File to bring in').setInputFiles('/tmp/plan.dxf');
await page.waitForTimeout(1500);
await shot('b-dxf');
await page.getByRole('button', { name: 'Draw it on the plan' }).click();
await ready();
await page.waitForTimeout(1200);
await shot('b-drawn');
await page.getByRole('button', { name: 'Bring in' }).click();
await page.getByRole('button', { name: 'Fetch them' }).click();
await page.waitForTimeout(1200);
await shot('c-heights');
await page.getByRole('button', { name: 'Make it the ground' }).click();
await page.waitForTimeout(800);
await ready();
await page.waitForTimeout(800);
await shot('c-ground');
await page.getByRole('button', { name: 'Bring in' }).click();
await page.getByLabel('File to bring in').setInputFiles('/tmp/shots/vessa-cover.png');
await page.getByRole('button', { name: 'Lay it under the plan' }).click();
await page.waitForTimeout(1500);
await page.getByLabel('Dragging its points').selectOption('picture');
await page.waitForTimeout(400);
await shot('d-underlay');
await browser.close();
server.close();
