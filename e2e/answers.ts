import { fileURLToPath } from 'node:url';
import { chromium, type Locator } from '@playwright/test';
import { createApp } from '../server/src/app.ts';
import { listenNear } from '../server/src/listen.ts';
import { launchOptions } from './launch.ts';

/**
 * How soon the page answers an edit of the demo, from the key to the first new number or drawing and to the exact plan, ms: the median of
 * several edits, beside what it was before the planner became a table of stages (two shared cores). Timings: no part of the tests.
 */
const EDITS = 7;

/** Watches a part of the page and the plan's state from the next key on. As text: the page knows nothing of what a compiler adds to functions. */
const WATCH = (part: string) => `
  window.answer_ = { key: 0, first: 0, exact: 0, behind: false };
  document.addEventListener('keydown', (event) => { window.answer_.key = window.answer_.key || event.timeStamp; }, { capture: true, once: true });
  window.watches_?.forEach((watch) => watch.disconnect());
  const state = document.querySelector('[data-testid="plan-state"]');
  const first = new MutationObserver(() => { const a = window.answer_; if (a.key && !a.first) a.first = performance.now(); });
  first.observe(document.querySelector('${part}'), { subtree: true, childList: true, characterData: true, attributes: true, attributeFilter: ['d'] });
  const exact = new MutationObserver(() => {
    const a = window.answer_;
    if (!a.key) return;
    if (state.textContent !== 'worked out') a.behind = true;
    else if (a.behind) a.exact = performance.now();
  });
  exact.observe(state, { subtree: true, childList: true, characterData: true });
  window.watches_ = [first, exact];
`;

const { server, port } = await listenNear(
  createApp(fileURLToPath(new URL('../web/dist', import.meta.url))),
  '127.0.0.1',
  4955,
);
const browser = await chromium.launch(launchOptions);
const page = await browser.newPage({ viewport: { width: 1280, height: 800 } });
const settled = () =>
  page
    .getByTestId('plan-state')
    .filter({ hasText: /^worked out$/ })
    .waitFor();
const middleOf = (numbers: number[]) => Math.round([...numbers].sort((a, b) => a - b)[numbers.length >> 1]);

const results: Record<string, string | number | null>[] = [];

/** Makes an edit several times over in a field and writes down how soon it is answered. `part` is what is watched for the first answer. */
async function measure(what: string, before: string, part: string, field: Locator, edit: (run: number) => string) {
  const first: number[] = [];
  const exact: number[] = [];
  for (let run = 0; run < EDITS; run++) {
    await field.fill(edit(run));
    await settled();
    await page.waitForTimeout(400);
    await page.evaluate(WATCH(part));
    await field.press('Enter');
    let answer = { key: 0, first: 0, exact: 0 };
    while (!answer.exact) {
      await page.waitForTimeout(100);
      answer = await page.evaluate<typeof answer>('window.answer_');
    }
    first.push((answer.first || answer.exact) - answer.key);
    exact.push(answer.exact - answer.key);
  }
  results.push({
    edit: what,
    'first, ms': middleOf(first),
    'exact, ms': middleOf(exact),
    'before, s (first / exact)': before,
  });
}

const SECTION = '[aria-label^="Section along"]';
await page.goto(`http://127.0.0.1:${port}/`);
await page.getByRole('button', { name: 'Explore the demo' }).click();
await settled();
await page
  .getByRole('complementary')
  .getByRole('button', { name: /^Bench 3/ })
  .first()
  .click();
const height = page.getByLabel('Height', { exact: true });
const at = Number.parseFloat(await height.inputValue());
await measure('a height by 1 mm', '0.6 / 1.15', SECTION, height, (run) => String(at + 1 - (run % 2)));
await measure('a name', '0.6 / 1.15', 'aside', page.getByLabel('Name', { exact: true }), (run) => `Bench three ${run}`);
await page.getByRole('link', { name: /^Brief/ }).click();
await settled();
await measure(
  'the limit of hours',
  '0.15',
  'main',
  page.getByLabel('Hours at the bench', { exact: true }),
  (run) => `${20 + run}`,
);
await page.getByRole('link', { name: /^Layers/ }).click();
await page.getByRole('tab', { name: 'Shed' }).click();
await settled();
await measure(
  "a sheet's price",
  '0.3-0.4 / 0.65',
  'main',
  page.getByLabel('Price of Dense foam 20', { exact: true }),
  (run) => `${4 + run / 10}`,
);
console.log('From a key to the page: the median of several edits of the demo.');
console.table(results);
await browser.close();
server.closeAllConnections();
server.close();
