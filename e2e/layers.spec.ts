import { type App, commandLine, expect, test } from './hosket.ts';

type Page = App['page'];
const page250 = { widthMm: 250, depthMm: 250 };

const turnTo = (page: Page, name: string) => page.getByRole('tab', { name, exact: true }).click();

/** Draws an outline round the middle of the base, half as wide as `halfMm` says. */
async function square(app: App, button: string, halfMm: number) {
  const { page } = app;
  await page.getByRole('button', { name: button, exact: true }).click();
  for (const [dx, dy] of [
    [-1, -1],
    [1, -1],
    [1, 1],
    [-1, 1],
  ]) {
    const [x, y] = await app.onPlan(125 + dx * halfMm, 125 + dy * halfMm, page250);
    await page.mouse.click(x, y);
  }
  await page.getByRole('button', { name: 'Close the outline' }).click();
}

/** A crag of one's own with a meadow round it and a cave in it, and a shed of three odd sheets and two offcuts. */
async function crag(app: App) {
  const { page } = app;
  await app.startFinished('Crag');
  await app.show('Brief');
  await page.getByLabel('Usual size').selectOption('Tile 250 mm');
  await app.show('Ground');
  await square(app, 'Pad', 70);
  await app.write('Name', 'Crag');
  await app.write('Height', '64');
  await app.write('Bank', '70');
  await app.settled();
  await page.keyboard.press('Control+k');
  await page.keyboard.type('Draw: cave');
  await page.keyboard.press('Enter');
  for (const [dx, dy] of [
    [-1, -1],
    [1, -1],
    [1, 1],
    [-1, 1],
  ]) {
    const [x, y] = await app.onPlan(125 + dx * 25, 125 + dy * 20, page250);
    await page.mouse.click(x, y);
  }
  await page.getByRole('button', { name: 'Close the outline' }).click();
  await app.write('Name', 'Den');
  await app.write('Floor', '8');
  await app.write('Height inside', '32');
  await app.settled();
  await app.show('Layers');
  await turnTo(page, 'Shed');
  await app.write('Name of Dense foam', 'Thick');
  await app.write('Thick sold as', '30');
  await app.write('Sheets of Thick', '2');
  for (const [name, mm, sheets] of [
    ['Middling', '21.5', '1'],
    ['Thin', '12', '2'],
  ]) {
    await page.getByRole('button', { name: 'Add a kind of sheet' }).click();
    await app.write('Name of Dense foam', name);
    await app.write(`${name} sold as`, mm);
    await app.write(`Sheets of ${name}`, sheets);
  }
  await page.getByRole('button', { name: 'Add an offcut' }).click();
  await app.write('Width of Offcut 1', '240');
  await app.write('Length of Offcut 1', '18 cm');
  await app.write('Where Offcut 1 is kept', 'behind the door');
  await page.getByRole('button', { name: 'Add an offcut' }).click();
  await page.getByLabel('Offcut 2 is of').selectOption({ label: 'Thin, 12 mm' });
  await page.getByLabel('Outline of Offcut 2').selectOption('traced');
  await page
    .getByLabel('Corners, one a line: from the left; from the front')
    .fill('0; 0\n200; 0\n200; 120\n90; 200\n0; 150');
  await page.getByRole('button', { name: 'Done' }).click();
  await expect(page.getByRole('button', { name: 'Trace Offcut 2' })).toContainText('5 corners');
  await app.settled();
}

test('three odd sheets and two offcuts: proposals, one of them built, a layer swapped by hand and what that costs', async ({
  app,
  page,
}) => {
  await crag(app);
  await turnTo(page, 'Other stacks');
  const list = page.getByRole('table', { name: 'Stacks worth having' });
  for (const wish of ['fewest layers', 'least carving', 'least paste', 'soonest dry', 'lightest', 'least bought'])
    await expect(list.getByRole('rowheader', { name: new RegExp(wish) })).toBeVisible();
  await list.getByRole('button', { name: /^Build .*least paste/ }).click();
  await app.settled();
  await expect(list.getByRole('row').filter({ hasText: 'least paste' })).toContainText('Built');
  await list.getByRole('button', { name: /^Compare .*least carving/ }).click();
  const side = page.getByRole('region', { name: 'Side by side' });
  await expect(side).not.toContainText('working out');
  await expect(side.getByRole('row', { name: /^hands-on/ })).toContainText(/(min|h).*(min|h)/);
  await expect(side.getByRole('row', { name: /^dry base/ })).toContainText(/\d\d:\d\d.*\d\d:\d\d/);

  await turnTo(page, 'Stack');
  const status = (words: string) => page.getByRole('status').filter({ hasText: words });
  await expect(status('Chosen for least paste')).toBeVisible();
  await page.getByRole('radio', { name: /Halfway/i }).click();
  await app.settled();
  const layers = () => page.getByRole('button', { name: /^Layer \d/ });
  const before = await layers().count();
  await page.getByRole('button', { name: /^Layer 1,/ }).click();
  await page.getByRole('combobox', { name: 'Swap for' }).selectOption('Thin');
  await app.settled();
  await expect(status('By hand')).toContainText(/min (more|less) than the cheapest of halfway/);
  await page.getByRole('combobox', { name: 'Put another in' }).selectOption('Thin');
  await page.getByRole('button', { name: 'Above this' }).click();
  await app.settled();
  await expect(layers()).toHaveCount(before + 1);
  await page.getByRole('button', { name: 'Pin it here' }).click();
  await app.settled();
  await page.getByRole('button', { name: 'Choose the rest round what is pinned' }).click();
  await app.settled();
  await expect(status('1 pinned')).toBeVisible();
  await page.getByRole('button', { name: 'Unpin all' }).click();
  await app.settled();
  await expect(status('pinned')).toHaveCount(0);

  // What the screen shows the command line prints.
  const file = await app.exportFile('Crag');
  expect(commandLine('plan', file)).toContain('Stacks worth having');
});

test('the cliff carved and the meadow pasted, a hollow core, and a cave followed through its layers', async ({
  app,
  page,
}) => {
  await crag(app);
  await turnTo(page, 'Stack');
  await page.getByRole('radio', { name: /Build up/i }).click();
  await app.settled();
  const answer = page.getByRole('main').locator('p').first();
  await expect(answer).toContainText('0 ml to carve off');
  await turnTo(page, 'How it is built');
  await page.getByRole('button', { name: 'Add an area' }).click();
  await expect(page.getByLabel('Way of building Cliffs')).toHaveValue('carve back');
  await app.settled();
  await expect(answer).not.toContainText(' 0 ml to carve off');

  await page.getByLabel('Layers are').selectOption('core');
  await app.write('Wall of foam', '14');
  await app.settled();
  await expect(page.getByRole('group', { name: 'Hollow inside' })).toContainText(/Saves [\d.]+ (ml|L) of foam/);
  await expect(page.getByRole('complementary')).toContainText('Saved by hollowing');

  await turnTo(page, 'Gluing');
  const order = page.getByRole('list', { name: 'Order of gluing' });
  await expect(order).toContainText(/carve the floor of Den into the top/i);
  await expect(order).toContainText(/Carve the roof of Den into the underside before gluing|Cut Den right through/i);
  await expect(order).toContainText('Dowels at');
  await order.getByRole('button', { name: /^1\. / }).click();
  await expect(page.getByRole('list', { name: 'Rooms in this layer' })).toContainText('Den');
  await turnTo(page, 'Stack');
  await expect(page.getByTestId('footprint')).toBeVisible();
  await expect(page.getByTestId('next-outline')).toBeVisible();
  await expect(page.getByRole('button', { name: /^Layer 1,/ })).toHaveAttribute('aria-pressed', 'true');
});

test('too little foam says what is missing; a level that no sheet reaches says by how much', async ({ app, page }) => {
  await crag(app);
  await turnTo(page, 'Levels');
  await page.getByLabel('Crag should fall on a joint').check();
  await app.settled();
  const findings = page.getByRole('list', { name: 'Findings' });
  await expect(findings).toContainText(/Crag should fall on a joint at 61 mm of foam/);
  await expect(findings).toContainText(/mm (short|over|under)/);
  await turnTo(page, 'How it is built');
  await page.getByLabel('A bench wire slices sheets').check();
  await turnTo(page, 'What it costs');
  await app.write('A millimetre off a joint, where one is wanted', '500');
  await app.settled();
  await expect(page.getByRole('complementary').getByText('should fall on a joint')).toHaveCount(0);
  await page.getByRole('button', { name: 'Undo' }).click();
  await page.getByRole('button', { name: 'Undo' }).click();

  await turnTo(page, 'Shed');
  for (const name of ['Thick', 'Middling', 'Thin']) await app.write(`Sheets of ${name}`, '0');
  await app.settled();
  await expect(findings).toContainText(/Stops the work:.*above the highest stack these sheets make/);
  await expect(findings).toContainText(/Missing: [\d.]+ m² of .*more sheet/);
  await page.getByLabel('more can be bought').first().check();
  await app.settled();
  await expect(page.getByRole('complementary').getByText('Stops the work')).toHaveCount(0);
  await expect(page.getByRole('complementary')).toContainText('To buy, by area');
});

test('a traced offcut is dragged by its corner, and undone', async ({ app, page }) => {
  await crag(app);
  await page.getByRole('button', { name: 'Trace Offcut 2' }).click();
  await app.drag(page.getByTestId('corner-3'), 30, 20);
  await expect(page.getByLabel('Corners, one a line: from the left; from the front')).not.toHaveValue(/200; 120/);
  await page.getByTestId('edge-1').click({ force: true });
  await page.getByLabel('Corners, one a line: from the left; from the front').fill('0; 0\n5');
  await page.getByLabel('Corners, one a line: from the left; from the front').press('Tab');
  await expect(page.getByRole('alert')).toContainText('Line 2');
  await page.getByLabel('Corners, one a line: from the left; from the front').press('Escape');
  await page.getByRole('button', { name: 'Done' }).click();
  await expect(page.getByRole('button', { name: 'Trace Offcut 2' })).toContainText('6 corners');
  await page.getByRole('button', { name: 'Undo' }).click();
  await expect(page.getByRole('button', { name: 'Trace Offcut 2' })).toContainText('5 corners');
});
