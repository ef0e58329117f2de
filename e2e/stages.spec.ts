import { expect, test } from './hosket.ts';

test('figures follow while a height is stepped on and on, and are exact in the end', async ({ app, page }) => {
  await app.open();
  await page.getByRole('button', { name: 'Explore the demo' }).click();
  await app.mark('Bench 3').click();
  const height = page.getByLabel('Height', { exact: true });
  const before = await height.inputValue();
  const foam = page
    .getByRole('complementary')
    .getByText('Finished height', { exact: true })
    .locator('xpath=ancestor::div[@data-line]');
  await height.focus();
  // Every edit once gave the one before up, so that nothing new was seen until the key was let go.
  const seen = new Set<string>();
  for (let press = 0; press < 400 && seen.size < 4; press++) {
    await height.press(press % 40 < 20 ? 'ArrowUp' : 'ArrowDown');
    await page.waitForTimeout(100);
    seen.add(await foam.innerText());
  }
  expect(seen.size).toBeGreaterThanOrEqual(4);
  await height.fill(before);
  await height.press('Enter');
  await app.settled();
  await expect(foam).toContainText(before);
});

test('the stages of a plan can be looked at: a new name runs the report and nothing before it', async ({
  app,
  page,
}) => {
  await app.open();
  await page.getByRole('button', { name: 'Explore the demo' }).click();
  await app.mark('Bench 3').click();
  await app.write('Name', 'Third bench');
  await app.settled();
  const project = new URL(page.url()).pathname.split('/').slice(0, 3).join('/');
  await page.evaluate((path) => {
    history.pushState(null, '', `${path}/stages`);
    dispatchEvent(new PopStateEvent('popstate'));
  }, project);
  const row = (name: string) =>
    page
      .getByRole('table', { name: 'Stages of the newest plan' })
      .getByRole('row', { name: new RegExp(`^${name} (ran|kept|left)`) });
  await expect(row('report')).toContainText('ran');
  for (const name of ['solved ground', 'ground', 'target', 'cutting', 'amounts'])
    await expect(row(name)).toContainText('kept');
});
