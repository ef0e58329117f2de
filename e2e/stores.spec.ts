import { readFileSync } from 'node:fs';
import type { Page } from '@playwright/test';
import { getDocument } from 'pdfjs-dist/legacy/build/pdf.mjs';
import { type App, commandLine, expect, test, textOf } from './hosket.ts';

const tab = (page: Page, name: string) => page.getByRole('tab', { name, exact: true }).click();
const findings = (page: Page) => page.getByRole('list', { name: 'Findings', exact: true });
const buying = (page: Page) => page.getByRole('list', { name: 'To buy', exact: true });

async function inStores(app: App) {
  await app.open();
  await app.show('Stores');
  await app.settled();
}
/** Puts so much of something into the cupboard, in the table. */
async function put(app: App, name: string, amount: string) {
  await app.write(`${name} in the cupboard`, amount);
  await app.settled();
}
/** Adds a coat on top of the recipe that is shown. */
async function addCoat(page: Page, app: App, operation: string, material: string) {
  await page.getByRole('button', { name: 'Add a coat on top' }).click();
  await page.getByLabel('Operation').selectOption({ label: operation });
  await page.getByLabel('Material', { exact: true }).selectOption({ label: material });
  await app.settled();
}

test('what is in the cupboard is left off the shopping list, what is short or past its date is told; nothing is left out', async ({
  app,
  page,
}) => {
  await inStores(app);
  const table = page.getByRole('table', { name: 'Cupboard, needs and shopping' });
  const needed = await table.getByRole('textbox', { name: /in the cupboard$/ }).count();
  expect(needed).toBeGreaterThan(8);
  await put(app, 'Alcohol, 50 to 70 % in water', '0.5 L');
  await put(app, 'Cellulose-plaster compound', '300 g');
  await put(app, 'Matt medium', '250 ml');
  await page.getByLabel('Matt medium use by').fill('2027-01-31');
  await page.getByLabel('Matt medium use by').press('Enter');
  await app.settled();
  await expect(findings(page)).toContainText('300 g in the cupboard');
  await expect(findings(page)).toContainText('Matt medium in the cupboard is past its date');
  await tab(page, 'Shopping list');
  await expect(buying(page)).not.toContainText('Alcohol');
  await expect(page.getByText('In the cupboard already: Alcohol')).toBeVisible();
  const compound = buying(page).getByRole('listitem').filter({ hasText: 'Cellulose-plaster compound' });
  await expect(compound).toContainText('in the cupboard 300 g');
  await expect(compound).toContainText('1 x 500 g');
  await expect(buying(page).getByRole('listitem')).toHaveCount(needed - 1);

  // The same from the command line, and as a table with semicolons and decimal commas.
  const file = await app.exportFile('Harl Quarry');
  expect(commandLine('plan', file)).toMatch(/Cellulose-plaster compound +6\d\d g +300 g +1 x 500 g/);
  const csv = commandLine('shopping', file, '--semicolons');
  expect(csv).toMatch(/Cellulose-plaster compound;;g;\d+,\d+;\d+,\d+;300;\d+,\d+;1 x 500 g/);
  const saved = page.waitForEvent('download');
  await page.getByRole('button', { name: 'CSV with semicolons' }).click();
  expect((await textOf(await (await saved).path())).replace(/^\uFEFF/, '')).toBe(csv);
});

test('a set of tiles has one list: nothing that any tile needs is left out, and one tile alone can be asked for', async ({
  app,
  page,
}) => {
  await app.open();
  await app.projects();
  await page.getByRole('button', { name: 'Add Tarrow Moor' }).click();
  await page.getByRole('button', { name: /^Tarrow Moor/ }).waitFor();
  await app.show('Stores');
  await app.settled();
  await tab(page, 'Shopping list');
  const board = buying(page).getByRole('listitem').filter({ hasText: 'Fibreboard' });
  // Three tiles are worked out for it, one after the other.
  await expect(board).toContainText('needed 3', { timeout: 60_000 });
  await expect(page.getByText(/^For 3 tiles: /)).toBeVisible();
  await expect(page.getByRole('main').locator('p').first()).toContainText('to buy for 3 tiles');
  const grams = (text: string) => Number(/needed ([\d.]+) g/.exec(text)?.[1]);
  const compound = buying(page).getByRole('listitem').filter({ hasText: 'Cellulose-plaster compound' });
  const all = grams(await compound.innerText());
  await page.getByLabel('Needs and list for').selectOption({ index: 1 });
  await expect(board).toContainText('needed 1');
  expect(grams(await compound.innerText())).toBeLessThan(all / 2);
  await page.getByLabel('Needs and list for').selectOption({ index: 0 });
  await expect(board).toContainText('needed 3');

  // A jar in the cupboard counts for all of them at once, and the table speaks of all of them.
  await tab(page, 'Cupboard and needs');
  await put(app, 'Cellulose-plaster compound', '10 kg');
  await tab(page, 'Shopping list');
  await expect(compound).toHaveCount(0);
  await expect(page.getByText(/In the cupboard already: .*Cellulose-plaster compound/)).toBeVisible();
  const file = await app.exportFile('Tarrow Moor');
  const saved = page.waitForEvent('download');
  await page.getByRole('button', { name: 'As CSV' }).click();
  expect((await textOf(await (await saved).path())).replace(/^\uFEFF/, '')).toBe(commandLine('shopping', file));
  await page.getByRole('button', { name: 'Print it' }).click();
  const printed = page.getByRole('list', { name: 'Shopping list' });
  await expect(printed.getByRole('listitem').filter({ hasText: 'Fibreboard' })).toContainText('3');
  await expect(page.getByRole('main')).toContainText('For the whole set: ');
});

test('packs with prices: two small tubs are cheaper than a large one, and the cost follows', async ({ app, page }) => {
  await inStores(app);
  await tab(page, 'Shopping list');
  const note = async (holds: string, price: string) => {
    await page.getByLabel('Material of the pack').selectOption({ label: 'Cellulose-plaster compound' });
    await page.getByLabel('Holds', { exact: true }).fill(holds);
    await page.getByLabel('Holds', { exact: true }).press('Enter');
    await page.getByLabel('Price', { exact: true }).fill(price);
    await page.getByLabel('Price', { exact: true }).press('Enter');
    await page.getByRole('button', { name: 'Note the pack' }).click();
    await app.settled();
  };
  await note('500', '4');
  await note('1000', '9.50');
  const compound = buying(page).getByRole('listitem').filter({ hasText: 'Cellulose-plaster compound' });
  await expect(compound).toContainText('2 x 500 g');
  await expect(compound).toContainText('8.00 EUR');
  await expect(compound).toContainText('2 small packs are cheaper here than one large one');
  await expect(page.getByRole('main').locator('p').first()).toContainText('8.00 EUR as far as it is priced');
  await tab(page, 'Weight and cost');
  await expect(page.getByRole('row', { name: /^Skin/ })).toContainText('EUR');
  await page.getByRole('button', { name: 'Undo' }).click();
  await tab(page, 'Shopping list');
  await expect(compound).not.toContainText('9.50');
});

test('the table is sorted, searched and grouped; something else is put into the cupboard and taken out', async ({
  app,
  page,
}) => {
  await inStores(app);
  const table = page.getByRole('table', { name: 'Cupboard, needs and shopping' });
  const names = () =>
    table
      .getByRole('rowheader')
      .allInnerTexts()
      .then((texts) => texts.map((text) => text.split('\n')[0].split(':')[0]))
      // Sheets of the shed stand last, in their own order.
      .then((all) => (all.includes('In the shed') ? all.slice(0, all.indexOf('In the shed')) : all));
  await page.getByLabel('Grouped by').selectOption('nothing');
  await table.getByRole('button', { name: 'Material' }).click();
  const sorted = await names();
  expect(sorted).toEqual([...sorted].sort((a, b) => a.localeCompare(b)));
  await app.write('Look for', 'grass');
  expect((await names()).every((name) => /grass/i.test(name))).toBe(true);
  await app.write('Look for', '');
  await page.getByLabel('Put into the cupboard').selectOption({ label: 'Reeds' });
  await page.getByRole('button', { name: 'Add', exact: true }).click();
  await page.getByLabel('Grouped by').selectOption('how far it is');
  await expect(table).toContainText('Not needed');
  await expect(page.getByLabel('Reeds in the cupboard')).toHaveValue('50');
  await page.getByRole('button', { name: 'Take Reeds out of the cupboard' }).click();
  await expect(table).not.toContainText('Reeds');
});

test('warned off a solvent spray on bare foam, a foam-safe one passes; grass after stones is told, mended, ignored with a note', async ({
  app,
  page,
}) => {
  await app.open();
  await app.show('Surface');
  await page.getByLabel('Recipe of Everything else').selectOption({ label: 'begin with: Scree' });
  await app.settled();
  await page.getByRole('button', { name: /^Seal:/ }).click();
  await page.getByRole('button', { name: 'Take this coat out' }).click();
  await addCoat(page, app, 'Paint', 'Spray primer, solvent');
  await expect(findings(page)).toContainText('solvent or propellant that eats foam');
  await page.getByLabel('Operation').selectOption({ label: 'Varnish' });
  await page.getByLabel('Material', { exact: true }).selectOption({ label: 'Matt varnish, foam-safe spray' });
  await app.settled();
  await expect(page.getByText('solvent or propellant that eats foam')).toHaveCount(0);
  await addCoat(page, app, 'Grass', 'Static grass, 4 mm');
  const wrong = findings(page).getByRole('listitem').filter({ hasText: 'grass 4 mm comes after large stones' });
  await expect(wrong).toContainText('Grass before loose stones');
  await expect(wrong).toContainText('Why: Tipping and tapping off');
  await wrong.getByRole('button', { name: 'Move it there' }).click();
  await app.settled();
  await expect(page.getByText('comes after')).toHaveCount(0);
  await page.getByRole('button', { name: 'Undo' }).click();
  await app.settled();
  await wrong.getByRole('button', { name: /^Ignore, with a note/ }).click();
  await wrong.getByLabel('Why you mean it so').fill('stones are set in plaster');
  await wrong.getByRole('button', { name: 'Keep the note' }).click();
  await app.settled();
  await expect(findings(page).getByText('comes after')).toHaveCount(0);
  await app.show('Stores');
  await tab(page, 'All checks');
  const list = page.getByRole('list', { name: 'Ignored' });
  await expect(list).toContainText('Your note: stones are set in plaster');
  await list.getByRole('button', { name: /^Let it count again/ }).click();
  await app.settled();
  await expect(page.getByRole('list', { name: 'Wants attention' })).toContainText('Grass before loose stones');
});

test('white PVA in the lower joint takes weeks; ordinary super glue stops the work, a foam-safe one does not', async ({
  app,
  page,
}) => {
  await app.open();
  await app.show('Layers');
  await page.getByLabel('Glue in the joints').selectOption('white PVA');
  await app.settled();
  await expect(findings(page)).toContainText(/white PVA between .* dries inside for about \d+ days/);
  await expect(findings(page)).toContainText('Polyurethane or foam-safe contact spray');
  await page.getByLabel('Glue in the joints').selectOption('super glue');
  await app.settled();
  await expect(findings(page)).toContainText('Stops the work: Super glue, ordinary dissolves the foam');
  await page.getByLabel('Glue in the joints').selectOption('foam-safe super glue');
  await app.settled();
  await expect(page.getByText('dissolves the foam')).toHaveCount(0);
});

test('a step marked done takes from the cupboard what it used, and is taken back; done too soon is told', async ({
  app,
  page,
}) => {
  await inStores(app);
  await put(app, 'Cellulose-plaster compound', '1 kg');
  await tab(page, 'What is done');
  await page.getByRole('button', { name: 'Done: Fill and skin, cellulose-plaster compound' }).click();
  const form = page.getByRole('group', { name: 'What Fill and skin, cellulose-plaster compound used' });
  await form.getByLabel('of it powder, used').fill('600 g');
  await form.getByLabel('Done on').fill('2027-03-03');
  await form.getByRole('button', { name: 'Mark it done' }).click();
  await app.settled();
  await expect(page.getByRole('listitem', { name: 'Fill and skin, cellulose-plaster compound' })).toContainText(
    'done on 2027-03-03; took from 1 thing',
  );
  await page.getByRole('button', { name: /^Done: Seal coat/ }).click();
  await page.getByLabel('Done on').fill('2027-03-04');
  await page.getByRole('button', { name: 'Mark it done' }).click();
  await app.settled();
  await tab(page, 'All checks');
  await expect(page.getByRole('list', { name: 'Wants attention' })).toContainText(
    /was done on 2027-03-04; fill and skin.* of 2027-03-03 wants about \d+ (h|days)/,
  );
  await tab(page, 'Cupboard and needs');
  await expect(page.getByLabel('Cellulose-plaster compound in the cupboard')).toHaveValue('400 g');
  await tab(page, 'What is done');
  await page.getByRole('button', { name: /^Not done after all: Fill and skin/ }).click();
  await tab(page, 'Cupboard and needs');
  await expect(page.getByLabel('Cellulose-plaster compound in the cupboard')).toHaveValue('1 kg');
});

test('too heavy: what to change is said, and how it stands on a plinth', async ({ app, page }) => {
  await app.open();
  await app.show('Brief');
  await app.write('Weight', '1500');
  await app.settled();
  await expect(findings(page)).toContainText('no heavier than 1.5 kg');
  await app.show('Stores');
  await tab(page, 'Weight and cost');
  const heavy = page.getByRole('list', { name: 'What makes it heavy' });
  await expect(heavy.getByRole('listitem').first()).toContainText('Board');
  await expect(heavy).toContainText(/as the skin of Earth and grass, \d+ g lighter/);
  await expect(page.getByRole('list', { name: 'What makes it slow' })).toContainText('sooner');
  await page.getByLabel('On', { exact: true }).selectOption('a plinth');
  await app.write('Plinth, deep', '4 mm');
  await app.settled();
  await expect(findings(page)).toContainText(/falls (off|to)/);
});

test('the bench sheet is taken away as PDF and as a plain page: amounts, waits, cautions and everything to buy', async ({
  app,
  page,
}) => {
  await inStores(app);
  await tab(page, 'Bench sheet');
  await expect(
    page.getByRole('list', { name: 'Pages of the bench sheet' }).getByRole('listitem').first(),
  ).toContainText('the whole of it');
  const saved = page.waitForEvent('download');
  await page.getByRole('button', { name: /^Save \d+ pages as PDF/ }).click();
  const path = await (await saved).path();
  const file = await getDocument({ data: new Uint8Array(readFileSync(path)), verbosity: 0 }).promise;
  const texts = await Promise.all(
    Array.from({ length: file.numPages }, async (_, k) => {
      const { items } = await (await file.getPage(k + 1)).getTextContent();
      return items
        .map((item) => ('str' in item ? item.str : ''))
        .join(' ')
        .replace(/\s+/g, ' ');
    }),
  );
  const all = texts.join('\n');
  for (const text of ['Fill and skin', '3 bowls of about', 'Waits:', 'Tools:', 'safety sheet', 'Shopping list'])
    expect(all).toContain(text);
  for (const name of ['Polyurethane', 'Matt medium', 'Static grass', 'Grass glue', 'Alcohol', 'Fibreboard'])
    expect(texts.at(-1)).toContain(name);
  await page.getByRole('button', { name: 'As a plain page to print' }).click();
  await expect(page.getByRole('heading', { name: 'Harl Quarry: bench sheet' })).toBeVisible();
  await expect(page.getByRole('img', { name: 'Where: section for Seal' })).toBeVisible();
  await expect(page.getByRole('list', { name: 'Shopping list' })).toContainText('Polyurethane');
  await page.emulateMedia({ media: 'print' });
  await expect(page.getByRole('navigation', { name: 'Stages of the build' })).toBeHidden();
  await expect(page.getByRole('heading', { name: 'Shopping list' })).toBeVisible();
});
