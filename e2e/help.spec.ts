import { expect, test } from './hosket.ts';

const bands = ['Brief', 'Ground', 'Layers', 'Cutting', 'Surface', 'Days', 'Stores'];

test('every field, figure and column tells what it means, in every view and on every page of it', async ({
  app,
  page,
}) => {
  await app.open();
  await page.getByRole('button', { name: 'Explore the demo' }).click();
  const untold = new Set<string>();
  const look = async (where: string) => {
    const found = await page.evaluate(() => {
      for (const details of document.querySelectorAll('details')) details.open = true;
      // Labels of what carries the builder's own names are names, and no words of the trade.
      return [...document.querySelectorAll('main label, aside label, main legend, main th[scope="col"], aside th')]
        .filter(
          (element) =>
            !element.querySelector('[data-word]') &&
            !element.matches('.sr-only') &&
            !element.querySelector('.sr-only') &&
            element.textContent?.trim(),
        )
        .map((element) => element.textContent?.trim() ?? '');
    });
    for (const label of found) untold.add(`${where}: ${label}`);
  };
  for (const band of bands) {
    await app.show(band);
    await app.settled();
    const pages = await page.getByRole('tab').allTextContents();
    if (!pages.length) await look(band);
    for (const name of pages) {
      await page.getByRole('tab', { name, exact: true }).click();
      await look(`${band}, ${name}`);
    }
  }
  expect([...untold]).toEqual([]);
});

test('what a word means is told by pointer, by keyboard and by touch, and put away again', async ({ app, page }) => {
  await app.open();
  await page.getByRole('button', { name: 'Explore the demo' }).click();
  await app.show('Cutting');
  await app.settled();
  await page.getByRole('tab', { name: 'How it is cut' }).click();
  const card = page.getByRole('dialog', { name: 'What is meant' });
  const word = page.locator('[data-word="Slivers are smaller than"]');
  await word.hover();
  await expect(card).toContainText('filled with paste instead');
  // It can be pointed at itself, and goes when the pointer leaves.
  await card.hover();
  await expect(card).toBeVisible();
  await page.mouse.move(5, 5);
  await expect(card).toBeHidden();
  const field = page.getByRole('textbox', { name: 'Slivers are smaller than' });
  await field.focus();
  await page.keyboard.press('F1');
  await expect(card).toBeVisible();
  await page.keyboard.press('Escape');
  await expect(card).toBeHidden();
  // Reached by Tab it is told without asking, and readers hear it with the field.
  await page.keyboard.press('Shift+Tab');
  await page.keyboard.press('Tab');
  await expect(card).toBeVisible();
  await expect(field).toHaveAttribute('aria-description', /filled with paste instead/);
});

test('all words in one list: those on the page first, found by typing', async ({ app, page }) => {
  await app.open();
  await page.getByRole('button', { name: 'Explore the demo' }).click();
  await app.show('Layers');
  await app.settled();
  await page.getByRole('heading', { name: 'Layers', exact: true }).click();
  await page.keyboard.press('F1');
  const words = page.getByRole('dialog', { name: 'Words' });
  await expect(words.getByRole('heading', { level: 3 }).first()).toHaveText('On this page');
  await expect(words.getByRole('term').filter({ hasText: /^To fill$/ })).toBeVisible();
  await words.getByLabel('Find a word').fill('kerf');
  await expect(words.getByText('What a wire, blade or saw takes away: the width of its cut.')).toBeVisible();
  await words.getByLabel('Find a word').fill('portal');
  await expect(words.getByText('A passage from portal to portal.')).toBeVisible();
});

test('a walk through the demo goes from view to view and can be left at any step', async ({ app, page }) => {
  await app.open();
  await page.getByRole('button', { name: 'Walk me through' }).click();
  const card = page.getByRole('dialog', { name: /^Walk, step / });
  await expect(card).toContainText('1 of 9');
  for (const view of ['Ground', 'Ground', 'Layers', 'Cutting', 'Surface', 'Days', 'Stores']) {
    await card.getByRole('button', { name: 'Next' }).click();
    await expect(page.getByRole('heading', { level: 1 })).toHaveText(view);
    await expect(card.getByRole('button', { name: 'Next' })).toBeVisible();
  }
  await card.getByRole('button', { name: 'Back' }).click();
  await expect(page.getByRole('heading', { level: 1 })).toHaveText('Days');
  await page.keyboard.press('Escape');
  await expect(card).toBeHidden();
  await page.getByRole('button', { name: 'Help' }).click();
  await page.getByRole('menuitem', { name: 'A walk through the program' }).click();
  await expect(card).toContainText('1 of 9');
  await card.getByRole('button', { name: 'Leave' }).click();
  await expect(card).toBeHidden();
});
