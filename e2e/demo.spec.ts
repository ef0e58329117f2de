import { commandLine, expect, test, textOf } from './hosket.ts';

test('the demo opens; raising a bench changes everything after it; reload, undo, export, delete and import keep it', async ({
  app,
  page,
}) => {
  await app.open();
  await expect(page.getByText('An invented demo: change anything.')).toBeVisible();
  await page.getByRole('button', { name: 'Explore the demo' }).click();
  const before = await app.figures();

  await app.show('Ground');
  await app.mark('Bench 3').click();
  await app.write('Height', '50');
  const raised = await app.figures();
  expect(raised.stack).not.toEqual(before.stack);
  for (const what of ['school', 'compound', 'finish'] as const) expect(raised[what]).not.toBe(before[what]);
  const carve = (figures: typeof before) => /carve\n([\d.]+ \w+)/.exec(figures.school)?.[1];
  const fill = (figures: typeof before) => /fill\n([\d.]+ \w+)/.exec(figures.school)?.[1];
  expect(carve(raised)).not.toBe(carve(before));
  expect(fill(raised)).not.toBe(fill(before));

  await page.reload();
  expect(await app.figures()).toEqual(raised);

  await page.getByRole('button', { name: 'Undo' }).click();
  expect(await app.figures()).toEqual(before);
  await page.getByRole('button', { name: 'Redo' }).click();
  expect(await app.figures()).toEqual(raised);

  const file = await app.exportFile('Harl Quarry');
  await app.projects();
  await page.getByRole('button', { name: 'Delete Harl Quarry' }).click();
  await expect(page.getByText('Harl Quarry was deleted.', { exact: true })).toBeVisible();
  await expect(page.getByRole('dialog')).toBeHidden();
  await app.settled();
  await app.importFile(file);
  await expect(page.getByRole('dialog')).toBeHidden();
  expect(await app.figures()).toEqual(raised);
  const again = await app.exportFile('Harl Quarry');
  expect(await textOf(again)).toBe(await textOf(file));

  // The command line says the same of the exported file, to the digit.
  const report = JSON.parse(commandLine('plan', file, '--json'));
  const chosen = report.schools.find(({ school }: { school: string }) => school === report.chosen);
  expect(raised.stack).toHaveLength(chosen.layers.length);
  const printed = commandLine('plan', file);
  expect(printed).toContain(`carve ${carve(raised)}, fill ${fill(raised)}`);
  expect(printed).toContain(`Cellulose-plaster compound, mixed: ${/^([\d.]+ \w+)/.exec(raised.compound)?.[1]}`);
  const [, likely] = /^Dry (.+?);/.exec(raised.finish) ?? [];
  expect(printed).toContain(`dry ${likely}`);
});

test('the screen and the command line show the same levels for every mark', async ({ app, page }) => {
  await app.open();
  const file = await app.exportFile('Harl Quarry');
  const report = JSON.parse(commandLine('plan', file, '--json'));
  const chosen = report.schools.find(({ school }: { school: string }) => school === report.chosen);
  await app.show('Ground');
  for (const level of chosen.levels.slice(0, 6)) {
    const name = level.name.replace(/, (start|end|floor|bed)$/, '');
    await app.mark(name).first().click();
    await expect(page.getByRole('complementary', { name })).toContainText(level.instruction);
    await page.getByRole('button', { name: 'Done' }).click();
  }
});

test('choosing a school, glue and air answers at once in all bands', async ({ app, page }) => {
  await app.open();
  const before = await app.figures();
  await app.show('Layers');
  await page.getByRole('radio', { name: /Build up/i }).click();
  await app.settled();
  const built = await app.figures();
  expect(built.school).toContain('carve\n0 ml');
  expect(built.finish).not.toBe(before.finish);
  await app.show('Layers');
  await page.getByLabel('Glue in the joints').selectOption('white PVA');
  await app.settled();
  await expect(page.getByRole('list', { name: 'Findings' })).toContainText('its water can only leave through the foam');
  await app.show('Brief');
  await app.write('Humidity', '85');
  const damp = await app.figures();
  expect(damp.finish).not.toBe(built.finish);
});

test('picking a layer marks it in stack, plan and section at once, and tells about it', async ({ app, page }) => {
  await app.open();
  await app.show('Layers');
  await page.getByRole('button', { name: /^Layer 2,/ }).click();
  await expect(page.getByRole('complementary', { name: 'Layer 2' })).toContainText('Outline follows the foam line at');
  await expect(page.getByTestId('footprint')).toBeVisible();
  await expect(page.getByRole('button', { name: /^Layer 2,/ })).toHaveAttribute('aria-pressed', 'true');
  await page.getByRole('button', { name: 'All layers' }).click();
  await expect(page.getByTestId('footprint')).toBeHidden();
});

test('an amount opens down to its coefficients and their source', async ({ app, page }) => {
  await app.open();
  await app.show('Surface');
  await page.getByRole('button', { name: 'Show working of of it powder' }).click();
  const working = page.getByText('(fill + skin) / (1 - loss) / yield').locator('..');
  await expect(working).toContainText('Cellulose-plaster compound: mixed from 1 kg of powder');
  await expect(working).toContainText('common practice, no source');
});
