/** The whole way from nothing to a plan, by keys alone and by fingers on a phone. */
import type { Page } from '@playwright/test';
import { expect, test } from './hosket.ts';

const bands = ['Brief', 'Ground', 'Layers', 'Cutting', 'Surface', 'Days', 'Stores'];

/** How many things are drawn, as the core says. */
const drawn = async (page: Page) =>
  Number(/(\d+) drawn/.exec(await page.getByRole('link', { name: /^Ground/ }).innerText())?.[1] ?? 0);

test('a plan from nothing by keyboard alone: begun, drawn, changed, planned', async ({ app, page }) => {
  await app.open();
  const key = page.keyboard;
  await key.press('Control+k');
  await key.type('Start a project of my own');
  await key.press('Enter');
  await expect(page.getByRole('dialog', { name: 'Start my own' })).toBeVisible();
  // A4 has the focus or is the next stop; the arrows choose, Enter begins with what is chosen.
  await page.getByRole('radio', { name: 'A4' }).focus();
  await key.press('ArrowRight');
  await expect(page.getByRole('radio', { name: 'A5' })).toBeChecked();
  await key.press('ArrowLeft');
  await key.press('Tab');
  await key.press('ArrowRight');
  await expect(page.getByRole('radio', { name: 'River bank' })).toBeChecked();
  const begin = page.getByRole('button', { name: 'Begin' });
  for (let k = 0; k < 20 && !(await begin.evaluate((it) => it === document.activeElement)); k++) await key.press('Tab');
  await key.press('Enter');
  await expect(page.getByRole('heading', { name: 'Ground', level: 1 })).toBeVisible();
  await app.settled();
  const before = await drawn(page);
  // A pad drawn with the cross.
  await key.press('Alt+d');
  for (const way of ['ArrowRight', 'ArrowUp', 'ArrowLeft']) {
    await key.press('Space');
    for (let k = 0; k < 4; k++) await key.press(`Shift+${way}`);
  }
  await key.press('Space');
  await key.press('Enter');
  await app.settled();
  expect(await drawn(page)).toBe(before + 1);
  await key.press('Alt+3');
  await app.settled();
  await expect(page.getByRole('main')).toContainText(/\d layers? reach(es)? \d+(\.\d)? mm/);
  await key.press('Alt+7');
  await expect(page.getByRole('main')).toContainText(/things? to buy/);
});

test.describe('on a phone', () => {
  test.use({ viewport: { width: 390, height: 844 }, hasTouch: true, isMobile: true });

  test('a plan from nothing by fingers; the stages are one row, and nothing sticks out', async ({ app, page }) => {
    await app.open();
    await page.getByRole('button', { name: 'Start my own' }).last().tap();
    await page.getByRole('radio', { name: 'Hill and hollow' }).tap();
    await page.getByRole('button', { name: 'Begin' }).tap();
    await expect(page.getByRole('heading', { name: 'Ground', level: 1 })).toBeVisible();
    await app.settled();
    const before = await drawn(page);
    await page
      .getByRole('toolbar', { name: 'Tools' })
      .getByRole('button', { name: /^Terraces/ })
      .tap();
    const plan = page.getByRole('group', { name: 'Plan of the base' });
    await plan.scrollIntoViewIfNeeded();
    const box = await plan.boundingBox();
    if (!box) throw new Error('no plan');
    for (const [x, y] of [
      [0.3, 0.6],
      [0.5, 0.6],
      [0.5, 0.45],
    ])
      await page.touchscreen.tap(box.x + x * box.width, box.y + y * box.height);
    await page
      .getByRole('button', { name: /^(Close the outline|End the line)/ })
      .first()
      .tap();
    await app.settled();
    expect(await drawn(page)).toBe(before + 1);
    for (const band of bands) {
      await page.getByRole('link', { name: new RegExp(`^${band}`) }).tap();
      await app.settled();
      expect(await page.evaluate(() => document.documentElement.scrollWidth), band).toBe(390);
      const row = await page.getByRole('navigation', { name: 'Stages of the build' }).boundingBox();
      expect(row?.height, band).toBeLessThan(72);
    }
    await expect(page.getByRole('main')).toContainText(/things? to buy/);
  });

  test('two fingers bring the plan nearer, and drawings that are only looked at can be pinched with the page', async ({
    app,
    page,
  }) => {
    await app.startOwn('Pinched');
    const plan = page.getByRole('group', { name: 'Plan of the base' });
    await plan.scrollIntoViewIfNeeded();
    const box = await plan.boundingBox();
    if (!box) throw new Error('no plan');
    const middle = [box.x + box.width / 2, box.y + box.height / 2];
    const client = await page.context().newCDPSession(page);
    const fingers = (apart: number) => [
      { x: middle[0] - apart, y: middle[1] },
      { x: middle[0] + apart, y: middle[1] },
    ];
    await client.send('Input.dispatchTouchEvent', { type: 'touchStart', touchPoints: fingers(40) });
    for (let apart = 50; apart <= 120; apart += 10)
      await client.send('Input.dispatchTouchEvent', { type: 'touchMove', touchPoints: fingers(apart) });
    await client.send('Input.dispatchTouchEvent', { type: 'touchEnd', touchPoints: [] });
    await expect
      .poll(async () =>
        Number.parseInt(
          await page
            .getByText(/^\d+ %$/)
            .first()
            .innerText(),
          10,
        ),
      )
      .toBeGreaterThan(150);
    for (const band of ['Layers', 'Surface']) {
      await page.getByRole('link', { name: new RegExp(`^${band}`) }).tap();
      const picture = page.getByRole('main').locator('svg[role="group"]').first();
      await expect(picture, band).toHaveCSS('touch-action', /^(auto|manipulation)$/);
    }
  });
});

test.describe('a builder who writes numbers with a comma', () => {
  test.use({ locale: 'de-DE' });

  test('sees them so in figures, fields, findings and days, and writes them so', async ({ app, page }) => {
    await app.open();
    await page.getByRole('button', { name: 'Explore the demo' }).click();
    await app.settled();
    await expect(page.getByRole('main')).toContainText(/6 mm to 93,8 mm above the board/);
    await app.mark('Bench 3').click();
    await app.write('Height', '47,25');
    await app.settled();
    await expect(page.getByLabel('Height', { exact: true })).toHaveValue('47,25 mm');
    await app.show('Stores');
    await expect(page.getByRole('complementary')).toContainText(/1,\d+ kg/);
    await app.show('Days');
    await expect(page.getByRole('link', { name: /^Days/ })).toContainText(/\d+\. März/);
    await app.show('Layers');
    await expect(page.getByRole('complementary')).toContainText(/Paste, 95 % no deeper.*\d,\d mm/s);
  });
});
