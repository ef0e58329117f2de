import { expect, test } from './hosket.ts';

test('a slab of one sheet at 20 is 20 high: nothing to carve, 23 finished; as finished ground it is carved; one thing may be otherwise', async ({
  app,
  page,
}) => {
  await app.startOwn('Slab');
  await app.show('Brief');
  await expect(page.getByLabel('Drawn heights are of')).toHaveValue('foam');
  await app.show('Ground');
  await page.getByRole('button', { name: 'Contour', exact: true }).click();
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
  await expect(findings).toContainText('Kept by the way "carve back": ready by 2027-03-1');
  await findings.getByRole('button', { name: 'Build it so: carve back' }).click();
  await app.settled();
  await expect(findings.getByText('Not kept')).toHaveCount(0);
  await expect(page.getByRole('link', { name: /^Layers/ })).toContainText('carve back');
});
