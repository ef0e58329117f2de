import { expect, test } from './hosket.ts';

test('by pointer: draw a contour, drag a point, add one, put a spot, turn the section, delete, undo', async ({
  app,
  page,
}) => {
  await app.open();
  await page.getByRole('button', { name: 'Explore the demo' }).click();
  const plan = page.getByRole('group', { name: 'Plan of the base' });
  const box = (await plan.boundingBox())!;
  const at = (x: number, y: number) => [box.x + box.width / 2 + x, box.y + box.height / 2 + y] as const;

  await app.tool('Contour');
  for (const [x, y] of [
    [150, 120],
    [220, 120],
    [220, 160],
    [150, 160],
  ])
    await page.mouse.click(...at(x, y));
  await page.getByRole('button', { name: 'Close the line' }).click();
  await expect(page.getByRole('complementary', { name: 'Contour 23' })).toBeVisible();
  await app.write('Height', '33 mm');
  await page.getByLabel('Level inside (a bench, a pad)').check();
  await app.settled();
  await expect(page.getByRole('complementary')).toContainText('4 points');

  const point = page.getByRole('button', { name: /^Point 1 of Contour 23/ });
  const label = await point.getAttribute('aria-label');
  const handle = (await point.boundingBox())!;
  await page.mouse.move(handle.x + handle.width / 2, handle.y + handle.height / 2);
  await page.mouse.down();
  await page.mouse.move(handle.x - 20, handle.y - 10, { steps: 4 });
  await page.mouse.up();
  await expect(point).not.toHaveAttribute('aria-label', label ?? '');
  await page.getByRole('button', { name: 'Add a point after point 2' }).click();
  await expect(page.getByRole('complementary')).toContainText('5 points');
  await page.getByRole('button', { name: 'Done' }).click();

  await app.tool('Spot height');
  await page.mouse.click(...at(-200, 60));
  await app.write('Height', '12');
  await app.settled();
  await page.getByRole('button', { name: 'Delete mark' }).click();
  await expect(page.getByText('Spot height 24 was deleted.', { exact: true })).toBeVisible();

  const section = page.getByRole('group', { name: /^Section along/ });
  const words = await section.getAttribute('aria-label');
  const end = (await page.getByRole('button', { name: /^Left end of section A/ }).boundingBox())!;
  await page.mouse.move(end.x + end.width / 2, end.y + end.height / 2);
  await page.mouse.down();
  await page.mouse.move(end.x + 10, end.y + 120, { steps: 5 });
  await page.mouse.up();
  await expect(section).not.toHaveAttribute('aria-label', words ?? '');

  for (let step = 0; step < 9; step++) await page.keyboard.press('Control+z');
  await expect(page.getByRole('button', { name: 'Undo' })).toBeDisabled();
  await expect(page.getByRole('link', { name: /^Ground/ })).toContainText('22 drawn');
});

test('the plan shows slope and height with a key, and remembers the choice', async ({ app, page }) => {
  await app.open();
  await page.getByRole('radio', { name: 'slope' }).click();
  await expect(page.getByRole('list', { name: 'Key of the slope' })).toContainText('over 60°');
  await page.reload();
  await app.settled();
  await expect(page.getByRole('list', { name: 'Key of the slope' })).toBeVisible();
  await page.getByRole('radio', { name: 'height' }).click();
  await expect(page.getByRole('list', { name: 'Key of the height' })).toContainText('20–40 mm');
});

test('a drag that is given up with Escape, or ends where it began, changes nothing', async ({ app, page }) => {
  await app.open();
  await app.mark('Flooded pit').click();
  const point = page.getByRole('button', { name: /^Point 1 of Flooded pit/ });
  const handle = (await point.boundingBox())!;
  await page.mouse.move(handle.x + handle.width / 2, handle.y + handle.height / 2);
  await page.mouse.down();
  await page.mouse.up();
  await expect(page.getByRole('button', { name: 'Undo' })).toBeDisabled();
});

test('by keyboard alone: raise a bench, draw a contour, nudge its point, choose a school, undo all, export', async ({
  app,
  page,
}) => {
  await app.open();
  const key = (name: string) => page.keyboard.press(name);
  const tabTo = (name: RegExp) => app.tabTo(name);

  await tabTo(/^Bench 3/);
  await key('Enter');
  await expect(page.getByRole('heading', { name: 'Bench 3' })).toBeFocused();
  await tabTo(/^Height$/);
  await key('Control+a');
  await page.keyboard.type('50');
  await key('Enter');
  await app.settled();
  await expect(page.getByRole('complementary')).toContainText('50 mm');

  await key('Alt+c');
  await page.keyboard.press('Shift+ArrowRight');
  for (const arrow of ['ArrowRight', 'ArrowUp', 'ArrowLeft']) {
    await key('Space');
    for (let step = 0; step < 3; step++) await page.keyboard.press(`Shift+${arrow}`);
  }
  await key('Enter');
  await expect(page.getByRole('complementary', { name: 'Contour 23' })).toBeVisible();
  await tabTo(/^Point 1 of Contour 23/);
  const label = await page.evaluate(() => document.activeElement?.getAttribute('aria-label'));
  await key('ArrowUp');
  await expect(page.getByRole('button', { name: /^Point 1 of Contour 23/ })).not.toHaveAttribute(
    'aria-label',
    label ?? '',
  );
  await app.settled();

  await key('Alt+3');
  await page.getByRole('heading', { name: 'Layers', level: 1 }).waitFor();
  await tabTo(/^Halfway/i);
  await page.keyboard.press('ArrowLeft', { delay: 150 });
  await expect(page.getByRole('radio', { name: /Carve back/i })).toBeChecked();
  await key('Alt+6');
  await page.getByRole('heading', { name: 'Days', level: 1 }).waitFor();
  await page.reload();
  await app.settled();
  for (let step = 0; step < 5; step++) await key('Control+z');
  await expect(page.getByRole('button', { name: 'Undo' })).toBeDisabled();

  const download = page.waitForEvent('download');
  await key('Control+k');
  await expect(page.getByRole('combobox', { name: 'Commands' })).toBeFocused();
  await page.keyboard.type('export');
  await key('Enter');
  expect((await download).suggestedFilename()).toBe('harl-quarry.hosket.json');

  await key('Alt+p');
  await tabTo(/^Delete Harl Quarry/);
  await key('Enter');
  await expect(page.getByText('Harl Quarry was deleted.', { exact: true })).toBeVisible();
  await expect(page.getByRole('dialog')).toBeHidden();
  await app.settled();
  await key('Alt+p');
  await tabTo(/^Bring back Harl Quarry/);
  await key('Enter');
  await expect(page.getByRole('button', { name: 'Delete Harl Quarry' })).toHaveCount(2);
});
