import { readFile } from 'node:fs/promises';
import { commandLine, expect, test } from './hosket.ts';

test('three tiles are set beside each other, and an edge that does not meet is mended', async ({ app, page }) => {
  await app.startOwn('Moor set');
  await app.show('Brief');
  await page.getByLabel('Usual size').selectOption('Tile 250 mm');
  const tiles = page.getByRole('region', { name: 'Tiles and storeys' });
  await app.write('Name of the tile', 'First');
  await tiles.getByRole('button', { name: 'Add a profile' }).click();
  await app.write('Name of the profile', 'Lane');
  await app.write('Point 1, height', '30');
  await tiles.getByRole('button', { name: 'Add a lane, wall or channel' }).click();
  await tiles.getByLabel('Over it runs a').selectOption('wall');
  await tiles.getByLabel('Profile of its right').selectOption('Lane');
  await tiles.getByRole('button', { name: 'Add a bare tile' }).click();
  await tiles.getByRole('button', { name: 'Open Tile 2' }).first().click();
  await tiles.getByLabel('Profile of its left').selectOption('no profile');
  await tiles.getByRole('button', { name: 'Add a bare tile' }).click();
  await app.settled();
  const findings = page.getByRole('list', { name: 'Findings' });
  await expect(findings).toContainText('The right of First and the left of Tile 2 do not meet: a step of');
  await expect(tiles.getByRole('group', { name: 'The set: 3 tiles, 2 joints that do not meet' })).toBeVisible();

  await tiles.getByLabel('Profile of its left').selectOption('Lane');
  await app.settled();
  await expect(page.getByText('The right of First and the left of Tile 2', { exact: false })).toHaveCount(0);
  await expect(tiles).toContainText('at its left: First, right');
  // Between the second and the third it is still to be mended.
  await tiles.getByRole('button', { name: 'Open Tile 3' }).first().click();
  await tiles.getByLabel('Profile of its left').selectOption('Lane');
  await app.settled();
  await expect(tiles.getByRole('group', { name: 'The set: 3 tiles, 0 joints that do not meet' })).toBeVisible();

  const file = await app.exportFile('Moor set');
  const report = JSON.parse(commandLine('plan', file, '--json'));
  expect(report.set.joints.map(({ meets }: { meets: boolean }) => meets)).toEqual([true, true]);
  // From 30 to 20 over 250 mm, a wall of 6 on it from 110 mm on: 25.6 + 6.
  await app.show('Ground');
  await app.settled();
  await expect(page.getByRole('main')).toContainText('to 31.6 mm above the board');
  await page.reload();
  await app.settled();
  const kept = JSON.parse(await readFile(await app.exportFile('Moor set'), 'utf8'));
  expect(kept.tile.name).toBe('Tile 3');
  expect(kept.tiles.map(({ name }: { name: string }) => name).sort()).toEqual(['First', 'Tile 2']);
});

test('a storey that is too low for what stands below it is told', async ({ app, page }) => {
  await app.startOwn('Tower');
  await app.show('Brief');
  const tiles = page.getByRole('region', { name: 'Tiles and storeys' });
  await tiles.getByRole('button', { name: 'Add a bare tile' }).click();
  await tiles.getByRole('button', { name: 'Open Tile 2' }).first().click();
  await app.write('Column', '1');
  await app.write('Raised by', '60');
  await tiles.getByRole('button', { name: 'Open Tile 1' }).first().click();
  await app.show('Ground');
  await app.tool('Tree');
  await page.mouse.click(...(await app.onPlan(150, 100, { widthMm: 297, depthMm: 210 })));
  await app.write('Height', '80');
  await app.settled();
  await app.show('Brief');
  const findings = page.getByRole('list', { name: 'Findings' });
  await expect(findings).toContainText('Tile 1 stands 80 mm tall; under Tile 2 there are 54 mm.');
  await tiles.getByRole('button', { name: 'Open Tile 2' }).first().click();
  await app.write('Raised by', '90');
  await app.settled();
  await expect(page.getByText('under Tile 2 there are', { exact: false })).toHaveCount(0);
});

test('the sample of three tiles opens with edges that meet', async ({ app, page }) => {
  await app.open();
  await app.projects();
  await page.getByRole('button', { name: 'Add Tarrow Moor' }).click();
  await page.getByRole('button', { name: /^Tarrow Moor/ }).waitFor();
  await app.settled();
  await app.show('Brief');
  const tiles = page.getByRole('region', { name: 'Tiles and storeys' });
  await expect(tiles.getByRole('group', { name: 'The set: 3 tiles, 0 joints that do not meet' })).toBeVisible();
  await tiles.getByRole('button', { name: 'Open Clapper' }).first().click();
  await app.show('Ground');
  await app.settled();
  await expect(app.mark('Clapper span').first()).toBeVisible();
});
