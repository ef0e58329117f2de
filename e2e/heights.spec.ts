import { type App, expect, test } from './hosket.ts';

async function layersOfTheDemo(app: App) {
  await app.open();
  await app.page.getByRole('button', { name: 'Explore the demo' }).click();
  await app.settled();
  await app.show('Layers');
}

test('a slab of one sheet at 20 is 20 high: nothing to carve, 23 finished; as finished ground it is carved; one thing may be otherwise', async ({
  app,
  page,
}) => {
  await app.startOwn('Slab');
  await app.show('Brief');
  await expect(page.getByLabel('Drawn heights are of')).toHaveValue('foam');
  await app.show('Ground');
  await app.tool('Contour');
  const box = (await page.getByRole('group', { name: 'Plan of the base' }).boundingBox())!;
  for (const [x, y] of [
    [-80, -60],
    [80, -60],
    [80, 60],
    [-80, 60],
  ])
    await page.mouse.click(box.x + box.width / 2 + x, box.y + box.height / 2 + y);
  await page.getByRole('button', { name: 'Close the line' }).click();
  await app.write('Height', '20');
  await page.getByLabel('Level inside (a bench, a pad)').check();
  await app.settled();
  const panel = page.getByRole('complementary');
  await expect(panel).toContainText('Finished: height 23 mm');
  await expect(panel).toContainText('flush with the top of layer 1');

  // The plan writes heights as they were drawn, or all of one kind: one press apart.
  const plan = page.getByRole('group', { name: 'Plan of the base' });
  await expect(plan).toContainText('20');
  const shown = page.getByRole('button', { name: /^Heights:/ });
  await expect(shown).toHaveText('Heights: as drawn, bare foam');
  await shown.click();
  await shown.click();
  await expect(shown).toHaveText('Heights: finished');
  await expect(plan).toContainText('23');

  await app.show('Layers');
  await expect(page.getByRole('main')).toContainText('0 ml to carve off and 0 ml to fill');
  await page.getByRole('tab', { name: 'Levels' }).click();
  const row = page.getByRole('table', { name: 'Levels' }).getByRole('row').nth(1);
  await expect(row).toContainText('23 mm');
  await expect(row.locator('td').nth(2)).toHaveText('20 mm');

  // Meant as finished ground, the same number asks for 3 mm less foam.
  await app.show('Brief');
  await page.getByLabel('Drawn heights are of').selectOption('ground');
  await app.settled();
  await app.show('Layers');
  await page.getByRole('tab', { name: 'Levels' }).click();
  await expect(row).toContainText('carve 3.3 mm from layer 1');

  // That one contour may be of bare foam all the same.
  await row.getByRole('button').click();
  await app.show('Ground');
  await page.getByLabel('Its heights are of').selectOption('foam');
  await app.settled();
  await expect(panel).toContainText('Finished: height 23 mm');
  await page.reload();
  await app.settled();
  await app.show('Layers');
  await page.getByRole('tab', { name: 'Levels' }).click();
  await expect(row.locator('td').nth(2)).toHaveText('20 mm');
});

test('who chooses the way of building is said with its reason; a deadline that one way misses is kept by the named one in one click', async ({
  app,
  page,
}) => {
  await app.open();
  await page.getByRole('button', { name: 'Explore the demo' }).click();
  await app.show('Layers');
  const way = page.getByTestId('way');
  await expect(way).toContainText('You chose the way of building.');
  await page.getByRole('button', { name: 'Let the plan choose' }).click();
  await app.settled();
  await expect(way).toContainText(/The plan chose carve back: .* sooner than halfway/);
  await expect(page.getByRole('radio', { name: /^carve back/i })).toBeChecked();
  await page.getByRole('button', { name: 'Undo' }).click();
  await app.settled();

  await app.show('Brief');
  await app.write('Finished by', '2027-03-16');
  await app.settled();
  const findings = page.getByRole('list', { name: 'Findings' });
  await expect(findings).toContainText('Not kept: finished by 2027-03-16');
  await expect(findings).toContainText('Kept by the way "carve back": 80 % sure to be ready by 2027-03-1');
  await findings.getByRole('button', { name: 'Build it so: carve back' }).click();
  await app.settled();
  await expect(findings.getByText('Not kept')).toHaveCount(0);
  await expect(page.getByRole('link', { name: /^Layers/ })).toContainText('carve back');
});

test('levels that may be moved are proposed onto joints: one left out, the rest taken, undone; what it costs is the builder’s to say', async ({
  app,
  page,
}) => {
  await layersOfTheDemo(app);
  await page.getByRole('tab', { name: 'Levels', exact: true }).click();
  const moves = page.getByRole('region', { name: 'Levels onto joints' });
  const row = page.getByRole('table', { name: 'Levels' }).getByRole('row', { name: /^Bench 3/ });
  await expect(row).toContainText('carve 0.5 mm from layer 3');
  await expect(moves.getByTestId('moves-save')).toContainText(/ml less to carve, .*min less by the figures/);
  await expect(moves.getByLabel(/^Bench 3 up 0.5 mm/)).toBeChecked();
  await moves.getByLabel(/^Haul road, end up 0.5 mm/).uncheck();
  await moves.getByRole('button', { name: 'Move 1 of 2' }).click();
  await app.settled();
  await expect(row).toContainText('flush with the top of layer 3');
  await page.getByRole('button', { name: 'Undo' }).click();
  await app.settled();
  await moves.getByRole('button', { name: 'Move them all' }).click();
  await app.settled();
  await expect(moves).toContainText('No level that may move saves anything by it');

  // None may move, or all by as much as the builder says; what a thing may is told at the thing.
  await moves.getByRole('button', { name: 'None may move' }).click();
  await expect(moves).toContainText('All levels stay as drawn.');
  await app.write('Each up or down by', '1.5');
  await moves.getByRole('button', { name: 'Let all levels move' }).click();
  await row.getByRole('button').click();
  await app.show('Ground');
  await expect(page.getByLabel('May go up by')).toHaveValue('1.5 mm');

  await app.show('Layers');
  await page.getByRole('tab', { name: 'What it costs', exact: true }).click();
  await expect(page.getByLabel('Figures as usual at a')).toHaveValue('hobby bench');
  const comes = page.getByRole('main').getByText(/It comes to/);
  const before = await comes.textContent();
  await page.getByLabel('Carved with a').selectOption('hot wire');
  await expect(page.getByLabel('A litre carved')).toHaveValue('6 min');
  await app.settled();
  await expect(comes).not.toHaveText(before ?? '');
  await page.getByLabel('Figures as usual at a').selectOption('workshop');
  await app.write('Each layer', '30');
  await app.settled();
  await expect(page.getByLabel('Figures as usual at a')).toHaveValue('');
});

test('terrace it: the ground stands in steps of the sheets, with nothing to carve; a layer has measures to transfer; undone', async ({
  app,
  page,
}) => {
  await layersOfTheDemo(app);
  await page.getByRole('button', { name: /^Layer 3,/ }).click();
  const measures = page.getByRole('region', { name: 'Measures to transfer' });
  await expect(measures.getByRole('row')).not.toHaveCount(1);
  await expect(measures.getByRole('row').nth(1)).toContainText(/A.*mm.*mm/);
  await expect(page.getByTestId('set-out')).toContainText('A');
  await page.getByRole('button', { name: 'Terrace it' }).click();
  await app.settled();
  // The pit, its water and the ways lie in the steps: what they ask for is still carved.
  await expect(page.getByRole('main')).toContainText(/5 layers reach 80.3 mm/);
  await app.show('Ground');
  await expect(
    page
      .getByRole('complementary')
      .getByRole('button', { name: /^Step 5/ })
      .first(),
  ).toBeVisible();
  await page.getByRole('button', { name: 'Undo' }).first().click();
  await app.settled();
  await expect(page.getByRole('complementary').getByRole('button', { name: /^Bench 3/ })).toBeVisible();
});
