import { expect, test } from './hosket.ts';

test('a 100 mm square piece is planned in cards: the shed says that it is too thick, and one click plans it', async ({
  app,
  page,
}) => {
  await app.startOwn('Coaster');
  await app.show('Brief');
  await app.write('Width', '100');
  await app.write('Depth', '100');
  await app.show('Ground');
  await app.tool('Pad');
  for (const [x, y] of [
    [20, 20],
    [80, 20],
    [80, 80],
    [20, 80],
  ]) {
    const [px, py] = await app.onPlan(x, y, { widthMm: 100, depthMm: 100 });
    await page.mouse.click(px, py);
  }
  await page.getByRole('button', { name: 'Close the outline' }).click();
  await app.write('Height', '8');
  await app.settled();
  await app.show('Layers');
  const panel = page.getByRole('complementary');
  await expect(panel).toContainText('is usually built of thin sheets; the shed has none.');
  await panel.getByRole('button', { name: 'Plan it in card and cork' }).click();
  await app.settled();
  await expect(panel).not.toContainText('thin sheets; the shed has none');
  await expect(page.getByRole('main')).toContainText(/\d layers? reach(es)? \d+(\.\d)? mm/);
  await page.getByRole('button', { name: /^Layer 1,/ }).click();
  await expect(panel).toContainText(/Cut from(Foam-cored card|Cork)/);
});

test('the man on the jetty stands on it, or below where that is said, and weighs', async ({ app, page }) => {
  await app.open();
  await page.getByRole('button', { name: 'Explore the demo' }).click();
  await app.settled();
  const panel = page.getByRole('complementary');
  await panel.getByRole('button', { name: /^Pump man figure/ }).click();
  await expect(panel).toContainText(/Deck under it\s*18.5 mm/);
  await page.getByLabel('Stands below the deck, on the ground').check();
  await app.settled();
  await expect(panel).toContainText(/Ground under it\s*6 mm/);
  await page.getByRole('button', { name: 'Undo' }).click();
  await app.settled();
  await app.show('Stores');
  await page.getByRole('tab', { name: 'Weight and cost', exact: true }).click();
  await expect(page.getByRole('main')).toContainText(/Standing on it8\.\d g/);
});
