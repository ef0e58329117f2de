import { fileURLToPath } from 'node:url';
import { chromium, type Page } from '@playwright/test';
import { createApp } from '../server/src/app.ts';
import { listenNear } from '../server/src/listen.ts';
import { launchOptions } from './launch.ts';

/** How fluidly the plan follows a pointer, in frames a second, on the demo and with a hundred more marks. Timings: no part of the tests. */
const { server, port } = await listenNear(
  createApp(fileURLToPath(new URL('../web/dist', import.meta.url))),
  '127.0.0.1',
  4950,
);
const browser = await chromium.launch(launchOptions);
const page = await browser.newPage({ viewport: { width: 1280, height: 800 } });
const cdp = await page.context().newCDPSession(page);
const SECONDS = 3;

/** Counts frames, and changes of the section's lines, in the page. As text: the page knows nothing of what a compiler adds to functions. */
const COUNT = `
  window.frames_ = 0;
  window.drawn_ = 0;
  if (!window.ticks_) { window.ticks_ = () => { window.frames_++; requestAnimationFrame(window.ticks_); }; requestAnimationFrame(window.ticks_); }
  window.seen_?.disconnect();
  window.seen_ = new MutationObserver(() => { window.drawn_++; });
  window.seen_.observe(document.querySelector('[aria-label^="Section along"]'), { subtree: true, attributes: true, attributeFilter: ['d'] });
`;

/** Moves the pointer on every frame the page draws, for some seconds, and counts frames and (where asked) drawings of the section. */
async function framesWhile(name: string, from: [number, number], press: boolean, wheel = false) {
  await page.mouse.move(...from);
  if (press) await page.mouse.down();
  await page.evaluate(COUNT);
  const start = Date.now();
  let k = 0;
  const sent: Promise<unknown>[] = [];
  // As a hand does it: sixty times a second, whether or not the page has kept up.
  while (Date.now() - start < SECONDS * 1000) {
    k++;
    // Round in a circle, always on the move.
    const [x, y] = [from[0] + 35 * (1 - Math.cos(k / 8)), from[1] + 35 * Math.sin(k / 8)];
    const event = wheel
      ? ({ type: 'mouseWheel', x: from[0], y: from[1], deltaX: 0, deltaY: k % 20 < 10 ? -60 : 60 } as const)
      : ({ type: 'mouseMoved', x, y, button: press ? 'left' : 'none', buttons: press ? 1 : 0 } as const);
    sent.push(cdp.send('Input.dispatchMouseEvent', event));
    await new Promise((resolve) => setTimeout(resolve, 1000 / 60));
  }
  await Promise.all(sent);
  const took = (Date.now() - start) / 1000;
  const [frames, drawn] = await page.evaluate<[number, number]>('[window.frames_, window.drawn_]');
  if (press) await page.mouse.up();
  results.push({
    what: name,
    'moves a second': Math.round(k / took),
    'frames a second': Math.round(frames / took),
    'sections drawn a second': Math.round(drawn / took),
  });
  await page.keyboard.press('Escape');
  await page.waitForTimeout(1500);
}

const middle = async (on: Page, name: RegExp): Promise<[number, number]> => {
  const box = await on.getByRole('button', { name }).first().boundingBox();
  if (!box) throw new Error(`no ${name}`);
  return [box.x + box.width / 2, box.y + box.height / 2];
};

const results: Record<string, string | number>[] = [];
await page.goto(`http://127.0.0.1:${port}/`);
await page.getByRole('button', { name: 'Explore the demo' }).click();
await page
  .getByTestId('plan-state')
  .filter({ hasText: /^worked out$/ })
  .waitFor();
const plan = await page.getByRole('group', { name: 'Plan of the base' }).boundingBox();
if (!plan) throw new Error('no plan');
const free: [number, number] = [plan.x + 30, plan.y + 40];
await framesWhile('nothing moved', free, false);
await framesWhile('plan dragged, relief on', free, true);
await framesWhile('plan zoomed by the wheel', [plan.x + 300, plan.y + 200], false, true);
await page.getByRole('button', { name: 'See the whole base' }).click();
await page
  .getByRole('complementary')
  .getByRole('button', { name: /^Haul road/ })
  .first()
  .click();
await framesWhile('road point dragged', await middle(page, /^Point 3 of Haul road/), true);
await page.getByRole('button', { name: 'Done' }).click();
await page
  .getByRole('complementary')
  .getByRole('button', { name: /^Summit/ })
  .first()
  .click();
await framesWhile('spot dragged', await middle(page, /^Spot of Summit/), true);
await page.getByRole('button', { name: 'Done' }).click();
await page.getByRole('button', { name: 'Pick several' }).click();
for (let k = 0; k < 3; k++) {
  await page.getByRole('button', { name: 'Pick all' }).click();
  await page.getByRole('button', { name: 'Copy', exact: true }).click();
}
await page.getByRole('button', { name: 'Done' }).click();
await page
  .getByTestId('plan-state')
  .filter({ hasText: /^worked out$/ })
  .waitFor({ timeout: 120_000 });
const drawn = await page.getByRole('link', { name: /^Ground/ }).innerText();
await framesWhile(`plan dragged with ${/\d+ drawn/.exec(drawn)?.[0]}`, free, true);
console.table(results);
await browser.close();
server.close();
