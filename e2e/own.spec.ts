import { writeFile } from 'node:fs/promises';
import { expect, test } from './hosket.ts';

test("a project of one's own, from nothing to a dry base", async ({ app, page }) => {
  await app.open();
  await app.begin();
  await app.write('Name', 'Pond corner');
  await app.write('Scale (1:87, a name, or empty)', 'H0');
  await page.getByLabel('Usual size').selectOption('Tile 250 mm');
  await app.write('Dense foam sold as', '1 1/2 in');
  await app.settled();
  await expect(page.getByRole('link', { name: /^Brief/ })).toContainText('250 × 250 mm, 1:87');

  await app.show('Ground');
  await expect(page.getByRole('list', { name: 'Findings' })).toContainText('No heights are drawn yet');
  await app.tool('Contour');
  const box = (await page.getByRole('group', { name: 'Plan of the base' }).boundingBox())!;
  for (const [x, y] of [
    [-70, -70],
    [70, -70],
    [70, 70],
    [-70, 70],
  ])
    await page.mouse.click(box.x + box.width / 2 + x, box.y + box.height / 2 + y);
  await page.getByRole('button', { name: 'Close the line' }).click();
  await app.write('Height', '41');
  await page.getByLabel('Level inside (a bench, a pad)').check();
  await app.settled();
  await expect(page.getByRole('link', { name: /^Layers/ })).toContainText('1 layer');

  await app.show('Days');
  await expect(page.getByRole('main')).toContainText(/Dry \w{3} \d+ \w{3}/);
  for (const day of ['monday', 'wednesday', 'friday', 'saturday']) await app.write(`Hours on ${day}`, '');
  await app.settled();
  await expect(page.getByRole('list', { name: 'Findings' })).toContainText('no bench hours');
  await app.write('Hours on sunday', '14 to 17');
  await app.settled();
  await expect(page.getByRole('main')).toContainText(/Dry \w{3} \d+ \w{3}/);
});

test('odd input is answered at the field and changes nothing', async ({ app, page }) => {
  await app.open();
  await app.mark('Bench 3').click();
  for (const [text, words] of [
    ['tall', 'not a number'],
    ['-5', 'Between 0 mm and 2000 mm'],
    ['3 furlongs', 'not a unit'],
    ['', 'Nothing is written'],
  ]) {
    await app.write('Height', text);
    await expect(page.getByRole('alert')).toContainText(words);
  }
  await page.getByLabel('Height', { exact: true }).press('Escape');
  await expect(page.getByLabel('Height', { exact: true })).toHaveValue('43 mm');
  await expect(page.getByRole('button', { name: 'Undo' })).toBeDisabled();
});

test('quick edits one after another end in the plan of the last', async ({ app, page }) => {
  await app.open();
  await app.mark('Bench 3').click();
  for (const height of ['44', '47', '52', '49', '43']) await app.write('Height', height);
  await expect(page.getByLabel('Height', { exact: true })).toHaveValue('43 mm');
  await app.settled();
  const settled = await app.figures();
  await page.reload();
  expect(await app.figures()).toEqual(settled);
});

test('every view has an address: reload, back and forward work, and a wrong address is told', async ({ app, page }) => {
  await app.open();
  for (const band of ['Layers', 'Cutting', 'Surface', 'Days', 'Brief']) {
    await app.show(band);
    await expect(page).toHaveURL(new RegExp(`/${band.toLowerCase()}$`));
  }
  await page.reload();
  await page.getByRole('heading', { name: 'Brief', level: 1 }).waitFor();
  await page.goBack();
  await page.getByRole('heading', { name: 'Days', level: 1 }).waitFor();
  await page.goForward();
  await page.getByRole('heading', { name: 'Brief', level: 1 }).waitFor();
  await page.goto(`${app.address}/project/none-such/layers`);
  await expect(page.getByText('There is no such project in this browser.')).toBeVisible();
  await page.goto(`${app.address}/nowhere`);
  await expect(page.getByText('There is no such page.')).toBeVisible();
  await page.getByRole('button', { name: 'Open my last project' }).click();
  await page.getByRole('heading', { name: 'Ground' }).waitFor();
});

test('a file that cannot be read is refused with the place and the reason, and touches nothing', async ({
  app,
  page,
}, info) => {
  await app.open();
  const before = await app.figures();
  for (const [name, text, words] of [
    ['empty.json', '', 'The file is empty'],
    ['newer.json', '{"format":"hosket-project","version":99}', 'version 99'],
    ['broken.json', '{"format":"hosket-project","version":1,"name":4}', 'name: Invalid input'],
  ]) {
    const path = info.outputPath(name);
    await writeFile(path, text);
    await app.importFile(path);
    await expect(page.getByRole('alert')).toContainText(`${name} was not imported`);
    await expect(page.getByRole('alert')).toContainText(words);
    await page.keyboard.press('Escape');
    await expect(page.getByRole('dialog')).toBeHidden();
  }
  expect(await app.figures()).toEqual(before);
});

test('duplicate, delete with undo, and inches', async ({ app, page }) => {
  await app.open();
  await app.projects();
  await page.getByRole('button', { name: 'Duplicate Harl Quarry' }).click();
  await app.settled();
  await expect(page.getByRole('button', { name: 'Harl Quarry, copy', exact: true })).toBeVisible();
  await app.projects();
  await page.getByRole('button', { name: 'Delete Harl Quarry, copy' }).click();
  await page.getByRole('button', { name: 'Bring it back' }).click();
  await expect(page.getByRole('button', { name: 'Harl Quarry, copy', exact: true })).toBeVisible();
  await page.keyboard.press('Alt+u');
  await app.mark('Bench 3').click();
  await expect(page.getByLabel('Height', { exact: true })).toHaveValue('1.693 in');
  await app.show('Surface');
  await expect(page.getByRole('main').locator('p').first()).toContainText('fl oz of cellulose-plaster compound');
  await expect(page.getByRole('link', { name: /^Surface/ })).toContainText('fl oz of paste');
  await app.show('Ground');
  await app.write('Height', '1 3/4');
  await page.keyboard.press('Alt+u');
  await expect(page.getByLabel('Height', { exact: true })).toHaveValue('44.45 mm');
});
