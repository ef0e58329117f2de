import { expect, test } from './hosket.ts';

test('a slab of one sheet at 20 is 20 high: nothing to carve, 23 finished; as finished ground it is carved; one thing may be otherwise', async ({
  app,
  page,
}) => {
  await app.open();
  await page.getByRole('button', { name: 'Start my own' }).click();
  await page.getByRole('heading', { name: 'Brief', level: 1 }).waitFor();
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
