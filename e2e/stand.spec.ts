import { expect, test } from './hosket.ts';

test('no board, feet, a board that stands out and a hole through it: each is told in the weight, the height and the findings', async ({
  app,
  page,
}) => {
  await app.startFinished('Stand');
  await app.tool('Spot height');
  const plan = page.getByRole('group', { name: 'Plan of the base' });
  const box = (await plan.boundingBox())!;
  await page.mouse.click(box.x + box.width / 2, box.y + box.height / 2);
  await app.write('Height', '40');
  await app.settled();
  await app.show('Brief');
  const allows = page.getByRole('complementary');
  const tallest = () => allows.getByText(/^Tallest/).locator('xpath=ancestor::div[@data-line]');
  await expect(tallest()).toContainText('46');

  await page.getByLabel('Baseboard').selectOption('none');
  await app.settled();
  await expect(tallest()).toContainText('40');
  await expect(allows).toContainText('Without a board a slab 297 mm long bows');
  await app.show('Layers');
  await page.getByRole('tab', { name: 'Gluing' }).click();
  const first = page.getByRole('list', { name: 'Order of gluing' }).getByRole('listitem').first();
  await expect(first).toContainText('on the bench');
  await expect(first).not.toContainText('it holds after');

  await app.show('Brief');
  await page.getByLabel('Baseboard').selectOption('plywood');
  await app.write('Stands out by, or −', '12');
  await app.write('Edge in waves, each way', '4');
  await app.write('Feet, tall', '10');
  await page.getByRole('button', { name: 'Hole from below' }).click();
  await app.write('Up into foam', '25');
  await app.settled();
  await expect(tallest()).toContainText('56');
  await app.show('Ground');
  await expect(page.getByTestId('board')).toBeVisible();
  await expect(page.getByTestId('under-board')).toHaveCount(5);
  await app.show('Layers');
  await expect(page.getByRole('list', { name: 'Order of gluing' })).toContainText(/bore for Hole 1/i);
  await app.show('Cutting');
  await page.getByRole('tab', { name: 'Templates and files' }).click();
  await expect(page.getByText(/\d+\. Board/).first()).toBeVisible();
});

test('a lorry is long and turned its own way, and keeps its footprint through a reload', async ({ app, page }) => {
  await app.startFinished('Lorry');
  await app.tool('Spot height');
  const box = (await page.getByRole('group', { name: 'Plan of the base' }).boundingBox())!;
  await page.mouse.click(box.x + box.width / 2, box.y + box.height / 2);
  await app.write('Height', '30');
  await app.tool('Vehicle');
  await page.mouse.click(box.x + box.width / 2 - 60, box.y + box.height / 2);
  await app.write('Length', '70');
  await app.write('Turned by', '30');
  await app.settled();
  const panel = page.getByRole('complementary');
  await expect(panel).toContainText('Vehicle');
  await expect(panel).toContainText('30 mm');
  await page.getByLabel('Footprint', { exact: true }).selectOption('outline');
  await expect(page.getByRole('list', { name: /^Corners of the footprint/ }).getByRole('listitem')).toHaveCount(4);
  await page.getByLabel('Footprint', { exact: true }).selectOption('cross');
  await expect(page.getByLabel('Across each bar')).toBeVisible();
  await app.settled();
  await page.reload();
  await app.settled();
  await page
    .getByRole('complementary')
    .getByRole('button', { name: /^Vehicle/ })
    .first()
    .click();
  await expect(page.getByLabel('Footprint', { exact: true })).toHaveValue('cross');
});

test('deep steps are filled with wedges of offcut in one press, and with paste again', async ({ app, page }) => {
  await app.open();
  await page.getByRole('button', { name: 'Explore the demo' }).click();
  await app.settled();
  await app.show('Layers');
  await page.getByRole('tab', { name: 'Levels' }).click();
  const panel = page.getByRole('region', { name: 'Foam in deep steps' });
  await expect(panel).toContainText(/\d wedges? of offcut/);
  await panel.getByRole('button', { name: 'Fill with wedges first' }).click();
  await app.settled();
  await expect(panel.getByRole('button', { name: 'Fill with paste' })).toBeVisible();
  await app.show('Days');
  await expect(page.getByRole('main')).toContainText(/wedges? of offcut into the steps/);
  await app.show('Layers');
  await panel.getByRole('button', { name: 'Fill with paste' }).click();
  await app.settled();
  await expect(panel.getByRole('button', { name: 'Fill with wedges first' })).toBeVisible();
});

test('a backdrop with a window is cut from a sheet, lies on the layout, and has its template', async ({
  app,
  page,
}) => {
  await app.open();
  await page.getByRole('button', { name: 'Explore the demo' }).click();
  await app.settled();
  await app.show('Cutting');
  const answer = page.getByRole('main').locator('p').first();
  await expect(answer).toHaveText(/^5 pieces/);
  await page.getByRole('tab', { name: 'Upright parts' }).click();
  await page.getByRole('button', { name: 'Backdrop', exact: true }).click();
  await page.getByRole('button', { name: 'Opening', exact: true }).click();
  await expect(page.getByRole('img', { name: 'Backdrop as it is cut: 1 piece' })).toBeVisible();
  await app.settled();
  await expect(answer).toHaveText(/^6 pieces/);
  await page.getByRole('tab', { name: 'Pieces' }).click();
  await expect(page.getByRole('row', { name: /W1/ })).toContainText('Backdrop');
  await page.getByRole('tab', { name: 'Cutting list' }).click();
  await expect(page.getByRole('checkbox', { name: 'Piece W1' })).toBeVisible();
  await page.getByRole('tab', { name: 'Upright parts' }).click();
  await page.getByRole('button', { name: 'Take out part W1' }).click();
  await app.settled();
  await expect(answer).toHaveText(/^5 pieces/);
});

test('a base that is open in the middle: ring and board lie round it, and the opening is told where it reaches the edge', async ({
  app,
  page,
}) => {
  await app.startOwn('A ring');
  await app.show('Brief');
  await page.getByLabel('Shape').selectOption('round');
  await app.write('Across', '300');
  await app.settled();
  const base = page.getByText(/^Base[\d.]+ cm/);
  await expect(base).toContainText('707');
  await page.getByLabel('Open in the middle').selectOption('round or oval');
  await app.write('Opening, width', '100');
  await app.write('Opening, depth', '100');
  await app.settled();
  // A disc of 150 mm less one of 50 mm.
  await expect(base).toContainText('628');
  await app.write('Its middle from the left', '45');
  await app.settled();
  await app.show('Brief');
  await expect(page.getByText('The opening of the base reaches its edge').first()).toBeVisible();
  await page.getByRole('button', { name: 'Undo' }).click();
  await app.settled();
  await expect(page.getByText('The opening of the base reaches its edge')).toHaveCount(0);
});
