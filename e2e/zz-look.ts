import { fileURLToPath } from 'node:url';
import { chromium } from '@playwright/test';
import { createApp } from '../server/src/app.ts';
import { listenNear } from '../server/src/listen.ts';
import { launchOptions } from './launch.ts';

const { server, port } = await listenNear(
  createApp(fileURLToPath(new URL('../web/dist', import.meta.url))),
  '127.0.0.1',
  4950,
);
const browser = await chromium.launch(launchOptions);
const page = await browser.newPage({ viewport: { width: 1280, height: 800 } });
page.on('console', (m) => m.type() === 'error' && console.error(m.text()));
page.on('pageerror', (e) => console.error(e.message));
await page.goto(`http://127.0.0.1:${port}/`);
page.setDefaultTimeout(120000);
await page.getByRole('button', { name: 'Explore the demo' }).click();
const settled = () =>
  page
    .getByTestId('plan-state')
    .filter({ hasText: /^worked out$/ })
    .waitFor();
await settled();
await page.getByRole('link', { name: /^Layers/ }).click();
await settled();
const shot = async (n: string) => {
  await settled();
  await page.waitForTimeout(400);
  await page.screenshot({ path: `/tmp/look-${n}.png` });
};
for (const step of process.argv.slice(2)) {
  if (step === 'stack') {
    await page.getByRole('button', { name: /^Layer 3,/ }).click();
    await shot('stack');
  } else if (step === 'hand') {
    await page.getByRole('button', { name: 'Up' }).click();
    await settled();
    await page.getByRole('button', { name: 'Pin it here' }).click();
    await shot('hand');
  } else if (step === 'compare') {
    await page.getByRole('button', { name: /^Compare .*soonest dry/ }).click();
    await page.getByRole('button', { name: /^Compare .*least carving/ }).click();
    await page
      .getByRole('region', { name: 'Side by side' })
      .getByText('working out')
      .first()
      .waitFor({ state: 'hidden' });
    await shot('compare');
  } else if (step === 'core') {
    await page.getByRole('combobox', { name: 'Layers are' }).selectOption('core');
    await shot('core');
    await page.getByRole('tab', { name: 'Stack', exact: true }).click();
    await shot('corestack');
  } else if (step === 'area') {
    await page.getByRole('button', { name: 'Add an area' }).click();
    await shot('area');
  } else if (step === 'apart') {
    await page.getByRole('tab', { name: 'Stack', exact: true }).click();
    await page.getByRole('button', { name: 'Take the layers apart' }).click();
    await page.waitForTimeout(3000);
    await shot('apart');
  } else if (step === 'vessa') {
    await page.keyboard.press('Control+k');
    await page.keyboard.type('Add the sample Vessa');
    await page.keyboard.press('Enter');
    await page.getByText('Vessa').first().waitFor();
    await page.waitForTimeout(1500);
    await settled();
    await page.getByRole('link', { name: /^Layers/ }).click();
    await settled();
  } else {
    await page.getByRole('tab', { name: step, exact: true }).click();
    await shot(step.replaceAll(' ', '-'));
  }
}
await browser.close();
server.close();
process.exit(0);
