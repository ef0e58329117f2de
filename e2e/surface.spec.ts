import type { Page } from '@playwright/test';
import { type App, commandLine, expect, test, textOf } from './hosket.ts';

const quarry = { widthMm: 420, depthMm: 297 };
const tab = (page: Page, name: string) => page.getByRole('tab', { name, exact: true }).click();
const zones = (page: Page) => page.getByRole('list', { name: 'Zones of the ground' });
const steps = (page: Page) => page.getByRole('list', { name: 'Steps on the surface' });
const step = (page: Page, title: string) => steps(page).getByRole('listitem').filter({ hasText: title }).first();
const pick = (page: Page, zone: string) =>
  zones(page)
    .getByRole('button', { name: new RegExp(`^${zone}`) })
    .click();

/** Takes the zones that the rules of the trade propose for the quarry. */
async function zoned(app: App, page: Page) {
  await app.open();
  await app.show('Surface');
  await page.getByRole('button', { name: 'Suggest by the rules of the trade' }).click();
  await page.getByRole('button', { name: 'Take these zones' }).click();
  await app.settled();
}

async function dress(app: App, page: Page, zone: string, recipe: string) {
  await pick(page, zone);
  await page.getByLabel(`Recipe of ${zone}`).selectOption({ label: `begin with: ${recipe}` });
  await app.settled();
}

test('five zones in five recipes: every step with its zones, and the command line says the same', async ({
  app,
  page,
}) => {
  await zoned(app, page);
  await dress(app, page, 'Too steep for soil', 'Rock face');
  await dress(app, page, 'Under water', 'Water bed');
  await dress(app, page, 'Ways', 'Road');
  await dress(app, page, 'Steep and in shade', 'Bare earth');
  await expect(page.getByRole('main').locator('p').first()).toContainText('5 recipes on 10 zones');
  await expect(step(page, 'Fill and skin, powder filler, slow')).toContainText('Under water, Ways');
  await expect(step(page, 'Seal coat')).toContainText('Too steep for soil');
  await expect(page.getByRole('list', { name: /^Build-up of Bare earth/ })).toBeVisible();

  // The picked zone alone: what lies on the road is no concern of the bed.
  await pick(page, 'Under water');
  await page.getByRole('checkbox', { name: 'Only the picked zone' }).check();
  await expect(steps(page)).toContainText('sand to dark green');
  await expect(steps(page)).not.toContainText('Static grass');
  await page.getByRole('checkbox', { name: 'Only the picked zone' }).uncheck();

  const shown = await step(page, 'Fill and skin, cellulose-plaster compound').innerText();
  const file = await app.exportFile('Harl Quarry');
  const printed = commandLine('plan', file);
  const mixed = /compound, mixed[^\d]*([\d.]+ ml)/.exec(shown)?.[1];
  expect(mixed).toBeTruthy();
  expect(printed).toContain(`Cellulose-plaster compound, mixed: ${mixed}`);
  expect(printed).toContain('Paint sand to dark green');
});

test('a zone is picked where it lies on the plan, and the list shows which', async ({ app, page }) => {
  await zoned(app, page);
  await page.getByRole('group', { name: 'Plan of the base' }).scrollIntoViewIfNeeded();
  await page.mouse.click(...(await app.onPlan(275, 100, quarry)));
  await expect(zones(page).getByRole('button', { name: /^Under water/ })).toHaveAttribute('aria-pressed', 'true');
  await expect(page.getByLabel('Recipe of Under water')).toBeVisible();
  await page.mouse.click(...(await app.onPlan(20, 280, quarry)));
  await expect(zones(page).getByRole('button', { name: /^Under water/ })).toHaveAttribute('aria-pressed', 'false');
});

test('the skin of the benches from compound to texture paste: amounts, coats, bowls, hours and weight answer', async ({
  app,
  page,
}) => {
  await app.open();
  await app.show('Surface');
  const weight = page.getByText('Dry weight of it').locator('xpath=ancestor::div[@data-line]');
  const before = await step(page, 'Fill and skin').innerText();
  const heavy = await weight.innerText();
  await tab(page, 'Ways side by side');
  await page.getByLabel('Part of the work').selectOption({ label: 'Skin' });
  await expect(page.getByRole('row', { name: 'Compound, spread' })).toContainText('chosen');
  await page.getByRole('button', { name: 'Do it this way: Texture paste' }).click();
  await app.settled();
  const after = step(page, 'Fill and skin, texture paste');
  await expect(after).toBeVisible();
  const now = await after.innerText();
  const figures = (text: string) => ({
    ml: /([\d.]+)\s*ml\s*\n?\(/.exec(text)?.[1],
    coats: /(\d+) coats/.exec(text)?.[1],
    bowls: /(\d+) bowls?/.exec(text)?.[1],
    waits: /through and fit for resin ([^:]+):/.exec(text)?.[1],
  });
  for (const key of ['ml', 'coats', 'waits'] as const) expect(figures(now)[key], key).not.toBe(figures(before)[key]);
  expect(await weight.innerText()).not.toBe(heavy);
  await expect(page.getByRole('row', { name: 'Texture paste' })).toContainText('chosen');
  await page.getByRole('button', { name: 'Undo' }).click();
  await app.settled();
  expect(await step(page, 'Fill and skin').innerText()).toBe(before);
});

test('schools of colouring side by side, by evenings; another one is taken', async ({ app, page }) => {
  await app.open();
  await app.show('Surface');
  await tab(page, 'Ways side by side');
  const row = (name: string) => page.getByRole('row', { name, exact: true });
  const sittings = async (name: string) => Number(await row(name).getByRole('cell').nth(3).innerText());
  for (const name of ['Dark up', 'Mid tone and wash', 'Spots on white'])
    expect(await sittings(name)).toBeGreaterThan(0);
  expect(await sittings('Airbrushed')).toBeLessThan(await sittings('Dark up'));
  await page.getByRole('button', { name: 'Do it this way: Spots on white' }).click();
  await app.settled();
  await expect(row('Spots on white')).toContainText('chosen');
  await expect(steps(page)).toContainText('ochre, grey, brown, green in spots');
  await page.getByLabel('Part of the work').selectOption({ label: 'Joints of the stack' });
  await expect(row('polyurethane')).toContainText('chosen');
  await expect(row('quick rim, slow middle').getByRole('cell')).toHaveCount(6);
  await page.getByRole('button', { name: 'Glue with contact spray' }).click();
  await app.settled();
  await expect(row('contact spray')).toContainText('chosen');
  await tab(page, 'Zones and recipes');
  await expect(page.getByRole('list', { name: /^Build-up/ })).toContainText('Wash: dark, over all');
});

test('slate laid along a bank takes the place of paste', async ({ app, page }) => {
  await app.open();
  await app.show('Surface');
  const compound = async () => {
    await app.settled();
    return Number(/([\d.]+)\s*ml/.exec(await step(page, 'Fill and skin').innerText())?.[1]);
  };
  const before = await compound();
  await app.show('Ground');
  await app.tool('Slate');
  for (const [x, y] of [
    [20, 20],
    [120, 20],
    [120, 60],
    [20, 60],
  ])
    await page.mouse.click(...(await app.onPlan(x, y, quarry)));
  await page.keyboard.press('Enter');
  await app.write('Bedded by', '8 mm');
  await app.settled();
  await app.show('Surface');
  expect(await compound()).toBeLessThan(before - 5);
});

test('a coverage figure corrected in the working is marked yours wherever it counts, and can be taken back', async ({
  app,
  page,
}) => {
  await app.open();
  await app.show('Surface');
  const paint = step(page, 'Acrylic paint');
  const amount = async () => Number(/([\d.]+)\s*ml/.exec(await paint.innerText())?.[1]);
  const before = await amount();
  await page.getByRole('button', { name: 'Show working of Acrylic paint, brushed' }).click();
  await page.getByRole('button', { name: 'Correct Acrylic paint, brushed: a litre covers' }).first().click();
  const form = page.getByRole('form', { name: /^Your own figure/ });
  await form.getByLabel('low', { exact: true }).fill('6');
  await form.getByLabel('likely', { exact: true }).fill('5');
  await form.getByLabel('high', { exact: true }).fill('7');
  await form.getByRole('button', { name: 'Count with mine' }).click();
  await expect(form.getByRole('alert')).toHaveText('Low, likely and high must rise.');
  await form.getByLabel('low', { exact: true }).fill('4,5');
  await form.getByLabel('Where it comes from').fill('two bases weighed');
  await form.getByRole('button', { name: 'Count with mine' }).click();
  await app.settled();
  // Half of what a litre covered before: twice the paint.
  expect(Math.abs((await amount()) / (2 * before) - 1)).toBeLessThan(0.02);
  await expect(paint.getByText('yours', { exact: true }).first()).toBeVisible();
  await expect(paint).toContainText('two bases weighed');
  await expect(paint).toContainText('shipped 10');
  await tab(page, 'Materials');
  await page.getByLabel('Look for').fill('acrylic paint, brushed');
  await page.getByLabel('Look for').press('Enter');
  await expect(page.getByRole('row', { name: /^a litre covers/ })).toContainText('two bases weighed');
  const file = await app.exportFile('Harl Quarry');
  const seal = JSON.parse(commandLine('plan', file, '--json')).takeoff.find(
    ({ operation }: { operation: string }) => operation === 'paint',
  );
  expect(
    seal.materials[0].amount.working.coefficients.some(
      ({ source }: { source: { kind: string } }) => source.kind === 'yours',
    ),
  ).toBe(true);
  await page.getByRole('button', { name: 'Correct Acrylic paint, brushed: a litre covers' }).last().click();
  await page.getByRole('button', { name: 'Take it again' }).click();
  await app.settled();
  expect(await amount()).toBe(before);
});

test('the posts of a fence that goes round a corner are counted, drawn and timed', async ({ app, page }) => {
  await app.startOwn('Fold');
  await app.show('Surface');
  await tab(page, 'Counted things');
  await page.getByRole('button', { name: 'Draw a fence' }).click();
  const base = { widthMm: 297, depthMm: 210 };
  for (const [x, y] of [
    [50, 50],
    [150, 50],
    [150, 110],
  ])
    await page.mouse.click(...(await app.onPlan(x, y, base)));
  await page.keyboard.press('Enter');
  await app.settled();
  await app.show('Surface');
  // 100 mm in 5 bays and 60 mm in 3: eight bays, nine posts.
  const row = page.getByRole('row', { name: /Fence 1/ });
  await expect(row).toContainText('9 posts');
  await expect(row).toContainText('8 bays, 1 corner');
  await expect(row).toContainText('16 rails');
  await expect(step(page, 'Fence 1')).toContainText('Hands-on');
  await page.getByRole('button', { name: 'Stones round a ring' }).click();
  await app.settled();
  await expect(page.getByRole('main')).toContainText('ring stones (each spans');
  await page.getByRole('button', { name: 'Fence 1', exact: true }).click();
  await page.getByLabel('Its ends').selectOption('closed');
  await app.settled();
  await expect(page.getByRole('group', { name: 'Plan of the base' })).toContainText('14 posts');
});

test('bands of a build-up are moved by keys and by dragging, changed, added and taken out', async ({ app, page }) => {
  await app.open();
  await app.show('Surface');
  const build = page.getByRole('list', { name: /^Build-up of Earth and grass/ });
  const names = async () =>
    (await build.getByRole('listitem').allInnerTexts()).map((text) => text.trim().split(':')[0]);
  expect(await names()).toEqual(['Grass', 'Scatter', 'Dry-brush', 'Paint', 'Seal', 'Skin']);
  await page.getByRole('button', { name: /^Move seal coat/ }).focus();
  await page.keyboard.press('Space');
  await page.waitForTimeout(100);
  await page.keyboard.press('ArrowUp');
  await page.waitForTimeout(100);
  await page.keyboard.press('Space');
  await expect.poll(names).toEqual(['Grass', 'Scatter', 'Dry-brush', 'Seal', 'Paint', 'Skin']);
  await app.settled();
  await page.getByRole('button', { name: 'Undo' }).click();
  await expect.poll(names).toEqual(['Grass', 'Scatter', 'Dry-brush', 'Paint', 'Seal', 'Skin']);
  await app.drag(page.getByRole('button', { name: /^Move static grass/ }), 0, 60);
  await expect.poll(async () => (await names()).indexOf('Grass')).toBeGreaterThan(0);
  await page.getByRole('button', { name: 'Undo' }).click();

  await page.getByRole('button', { name: 'Add a coat on top' }).click();
  await page.getByRole('combobox', { name: 'Operation' }).selectOption({ label: 'Plant' });
  await page.getByRole('combobox', { name: 'Material' }).selectOption({ label: 'Tufts' });
  await app.write('On 100 cm²', '4');
  await app.settled();
  await expect(steps(page)).toContainText('Tufts, 61');
  await page.getByRole('button', { name: 'Take this coat out' }).click();
  await app.settled();
  await expect(steps(page)).not.toContainText('Tufts');
});

test('a recipe and the materials go out as files and come in elsewhere', async ({ app, page }) => {
  await app.open();
  await app.show('Surface');
  await app.write('Name of the recipe', 'Quarry floor');
  const recipe = page.waitForEvent('download');
  await page.getByRole('button', { name: 'Save as a file' }).click();
  const file = await (await recipe).path();
  expect(JSON.parse(await textOf(file)).recipe.name).toBe('Quarry floor');
  await tab(page, 'Materials');
  await page.getByRole('button', { name: 'Add my own' }).click();
  await app.write('Name of the material', 'Bog paste');
  const table = page.waitForEvent('download');
  await page.getByRole('button', { name: 'CSV with semicolons' }).click();
  const csv = await (await table).path();
  expect(await textOf(csv)).toContain('Bog paste;paste;dryA;h/mm;4;6,4;11;yours');

  await app.projects();
  await app.begin();
  await app.show('Surface');
  const give = async (button: string, name: string, buffer: Buffer) => {
    const chooser = page.waitForEvent('filechooser');
    await page.getByRole('button', { name: button }).click();
    await (await chooser).setFiles({ name, mimeType: 'text/plain', buffer });
  };
  await tab(page, 'Materials');
  await give('Read a file', 'm.csv', Buffer.from(await textOf(csv)));
  await expect(page.getByRole('status').filter({ hasText: '1 material and 0 own figures' }).first()).toBeVisible();
  await expect(page.getByRole('list', { name: 'Materials' })).toContainText('Bog paste');
  await give('Read a file', 'broken.csv', Buffer.from('a,b\n1,2'));
  await expect(page.getByText('These columns are missing').first()).toBeVisible();
  await tab(page, 'Zones and recipes');
  await give('Read from a file', 'r.json', Buffer.from(await textOf(file)));
  await app.settled();
  await expect(page.getByLabel('Recipe of Everything else')).toHaveValue(/usual/);
  await expect(page.getByLabel('Name of the recipe')).toHaveValue('Quarry floor');
});

test('mixes follow from any one part; sides are faced; paste has its depth', async ({ app, page }) => {
  await app.open();
  await app.show('Surface');
  await tab(page, 'Mixes');
  const mix = page.getByRole('table', { name: /measured out$/ });
  await expect(mix.getByRole('row', { name: /^matt medium/ })).toContainText('25 ml');
  await page.getByLabel('What is given').selectOption({ label: 'matt medium' });
  await app.write('How much', '10 ml');
  await expect(mix.getByRole('row', { name: /^water/ })).toContainText('30 ml');
  await tab(page, 'Zones and recipes');
  await pick(page, 'Edges of the base');
  await page.getByLabel('Recipe of Edges of the base').selectOption({ label: 'begin with: Sides faced with panels' });
  await app.settled();
  await expect(step(page, 'Edge panel')).toContainText('Edges of the base');
  await tab(page, 'Depth of paste');
  const row = page.getByRole('row', { name: /^Everything else/ });
  await expect(row.getByRole('cell').nth(2)).toHaveText(/^8\.\d mm$/);
  await row.getByRole('button', { name: /^Show/ }).click();
  await expect(page.getByRole('img', { name: /paste is deeper than/ })).toBeVisible();
  // Here the section shows coats; elsewhere the cover to its height.
  await expect(page.getByTestId('section-coats').first().locator('path').first()).toBeAttached();
  await app.show('Layers');
  await expect(page.getByTestId('section-cover').first().locator('path').first()).toBeAttached();
});
