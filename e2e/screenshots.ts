import { mkdirSync } from 'node:fs';
import { fileURLToPath } from 'node:url';
import { chromium, type LaunchOptions } from '@playwright/test';
import { createApp } from '../server/src/app.ts';
import { listenNear } from '../server/src/listen.ts';
import { launchOptions, launchWithModel } from './launch.ts';

/** One current picture of each main view from the demo, for the README. An argument names another folder; further ones the views wanted. */
const folder = process.argv[2] ?? fileURLToPath(new URL('../docs/screenshots', import.meta.url));
const wanted = process.argv.slice(3);
mkdirSync(folder, { recursive: true });

const { server, port } = await listenNear(
  createApp(fileURLToPath(new URL('../web/dist', import.meta.url))),
  '127.0.0.1',
  4900,
);
const address = `http://127.0.0.1:${port}/`;
async function open(options: LaunchOptions) {
  const browser = await chromium.launch(options);
  const page = await browser.newPage({ viewport: { width: 1280, height: 800 }, locale: 'en-GB' });
  page.on('console', (message) => message.type() === 'error' && console.error(message.text()));
  page.on('pageerror', (error) => console.error(error.message));
  await page.goto(address);
  await page.getByRole('heading', { name: 'Ground' }).waitFor();
  return { browser, page };
}
let { browser, page } = await open(launchOptions);
const settled = () =>
  page
    .getByTestId('plan-state')
    .filter({ hasText: /^worked out$/ })
    .waitFor();
const shoot = async (name: string) => {
  if (wanted.length && !wanted.includes(name)) return;
  await settled();
  await page.waitForTimeout(300);
  await page.screenshot({ path: `${folder}/${name}.png` });
};
const show = (band: string) => page.getByRole('link', { name: new RegExp(`^${band}`) }).click();

await shoot('first-start');
await page.getByRole('button', { name: 'Explore the demo' }).click();
await page
  .getByRole('complementary')
  .getByRole('button', { name: /^Bench 3/ })
  .click();
await shoot('ground');
await show('Layers');
await page.getByRole('button', { name: /^Layer 3,/ }).click();
await shoot('layers');
await page.getByRole('tab', { name: 'Other stacks', exact: true }).click();
await page.getByRole('button', { name: /^Compare .*soonest dry/ }).click();
await page.getByRole('region', { name: 'Side by side' }).getByText('working out').first().waitFor({ state: 'hidden' });
await shoot('other-stacks');
await page.getByRole('button', { name: 'Done comparing' }).click();
await page.getByRole('button', { name: 'All layers' }).click();
await page.getByRole('tab', { name: 'Stack', exact: true }).click();
await show('Cutting');
await page.getByRole('button', { name: /^Piece 4-1 on / }).focus();
await shoot('cutting');
await page.getByRole('tab', { name: 'Templates and files', exact: true }).click();
await shoot('templates');
await page.getByRole('tab', { name: 'Sheets', exact: true }).click();
await show('Surface');
await page.getByRole('button', { name: 'Suggest by the rules of the trade' }).click();
await page.getByRole('button', { name: 'Take these zones' }).click();
await settled();
const zoneList = page.getByRole('list', { name: 'Zones of the ground' });
for (const [zone, recipe] of [
  ['Under water', 'Water bed'],
  ['Ways', 'Road'],
  ['Too steep for soil', 'Rock face'],
]) {
  await zoneList.getByRole('button', { name: new RegExp(`^${zone}`) }).click();
  await page.getByLabel(`Recipe of ${zone}`).selectOption({ label: `begin with: ${recipe}` });
  await settled();
}
await page.getByRole('button', { name: /^Skin: cellulose/ }).click();
await shoot('surface');
await page.getByRole('tab', { name: 'Ways side by side', exact: true }).click();
await shoot('ways');
await page.getByRole('tab', { name: 'Materials', exact: true }).click();
await shoot('materials');
await page.getByRole('tab', { name: 'Zones and recipes', exact: true }).click();
for (let k = 0; k < 4; k++) await page.getByRole('button', { name: 'Undo' }).click();
await settled();
await show('Days');
await shoot('days');
await show('Stores');
for (const [name, amount] of [
  ['Cellulose-plaster compound', '300 g'],
  ['Matt medium', '250 ml'],
]) {
  await page.getByLabel(`${name} in the cupboard`).fill(amount);
  await page.getByLabel(`${name} in the cupboard`).press('Enter');
}
await settled();
await shoot('stores');
await page.getByRole('tab', { name: 'Bench sheet', exact: true }).click();
await shoot('bench-sheet');
for (let k = 0; k < 2; k++) await page.getByRole('button', { name: 'Undo' }).click();
await page.getByRole('tab', { name: 'Cupboard and needs', exact: true }).click();
await show('Brief');
await shoot('brief');
const sample = async (name: string) => {
  await page.keyboard.press('Alt+p');
  await page.getByRole('button', { name: `Add ${name}` }).click();
  await page.getByRole('button', { name: new RegExp(`^${name}`) }).waitFor();
  await settled();
};
await page.getByRole('button', { name: /Harl Quarry/ }).click();
await shoot('projects');
await page.keyboard.press('Escape');
await sample('Tarrow Moor');
await show('Brief');
await page.getByText('Edge profiles').scrollIntoViewIfNeeded();
await shoot('tiles');
await sample('Vessa Terraces');
await show('Surface');
await shoot('zones');
await show('Ground');
await page.getByRole('button', { name: 'Bring in' }).click();
await page.getByLabel('File to bring in').setInputFiles({
  name: 'terraces.svg',
  mimeType: 'image/svg+xml',
  buffer: Buffer.from(
    '<svg width="300mm" height="220mm" viewBox="0 0 300 220"><g id="contour 30"><path d="M20 180C90 150 210 160 280 185"/></g><g id="contour 60"><path d="M30 120C100 95 200 100 270 125"/></g><g id="house"><rect x="140" y="40" width="36" height="24"/></g><g id="path"><path d="M10 200L120 140L250 60"/></g></svg>',
  ),
});
await page.getByRole('button', { name: 'Draw it on the plan' }).waitFor();
await shoot('bring-in');
await browser.close();

// The model needs WebGL, here drawn by software.
({ browser, page } = await open(launchWithModel));
await page.getByRole('button', { name: 'Explore the demo' }).click();
await page.getByRole('radio', { name: 'model' }).click();
await page.locator('canvas').waitFor();
await page.waitForTimeout(3000);
await shoot('model');
await page.keyboard.press('Alt+p');
await page.getByRole('button', { name: 'Add Vessa Terraces' }).click();
await page.getByRole('button', { name: /^Vessa Terraces/ }).waitFor();
await settled();
await page.getByRole('radio', { name: 'model' }).click();
await page.waitForTimeout(1500);
await page.getByLabel('Show', { exact: true }).selectOption('through');
await page.waitForTimeout(2500);
await shoot('hollows');
await browser.close();
server.close();
