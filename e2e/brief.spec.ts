import { readFile } from 'node:fs/promises';
import { type App, commandLine, expect, test } from './hosket.ts';

/** Puts a thing that stands on the ground at a share of the plan's width and height. */
async function stand(app: App, kind: string, across: number, down: number) {
  const { page } = app;
  await app.tool(kind);
  const plan = await page.getByRole('group', { name: 'Plan of the base' }).boundingBox();
  if (!plan) throw new Error('no plan');
  await page.mouse.click(plan.x + plan.width * across, plan.y + plan.height * down);
  await page.getByLabel('Across its foot').waitFor();
}

test('an oval base in a cabinet that is too low: the tree to blame is named, drawn and mended', async ({
  app,
  page,
}) => {
  await app.startOwn('Low cabinet');
  await app.show('Brief');
  await page.getByLabel('Shape').selectOption('oval');
  await app.write('Width', '300');
  await app.write('Depth', '220');
  await expect(page.getByText('300 mm by 220 mm', { exact: false })).toBeVisible();
  await app.show('Ground');
  await stand(app, 'Tree', 0.5, 0.5);
  await app.write('Name', 'Old pine');
  await app.write('Height', '250');
  await page.getByRole('button', { name: 'Done' }).click();
  await stand(app, 'Figure', 0.56, 0.5);
  await page.getByRole('button', { name: 'Done' }).click();
  await app.show('Brief');
  await page.getByLabel('It goes into a box or cabinet').check();
  await app.write('Inside height', '240');
  await app.settled();
  const findings = page.getByRole('list', { name: 'Findings' });
  // Board 6 + tree 250 + its margin of 2 in 240.
  await expect(findings).toContainText('Old pine is 18 mm too tall for the box.');
  await expect(page.getByRole('img', { name: /From the front\..*Old pine 18 mm out at the top/ })).toBeVisible();
  const file = await app.exportFile('Low cabinet');
  const report = JSON.parse(commandLine('plan', file, '--json'));
  expect(report.fit.breaches[0]).toMatchObject({ name: 'Old pine', side: 'top', byMm: 18 });
  await findings.getByRole('button', { name: 'Show it' }).first().click();
  await expect(page.getByRole('complementary', { name: 'Old pine' })).toContainText('the box ends at 234 mm');
  await app.write('Height', '200');
  await app.settled();
  await app.show('Brief');
  await expect(page.getByText('Old pine is', { exact: false })).toHaveCount(0);
});

test('two things too near one another are told until one moves away', async ({ app, page }) => {
  await app.startOwn('Crowded');
  await stand(app, 'Figure', 0.5, 0.5);
  await page.getByRole('button', { name: 'Done' }).click();
  await stand(app, 'Figure', 0.51, 0.5);
  await app.settled();
  await app.show('Brief');
  await expect(page.getByRole('list', { name: 'Findings' })).toContainText('into one another');
  await app.show('Ground');
  const across = page.getByLabel(/^Point 1.*across/i).first();
  await across.fill('250');
  await across.press('Enter');
  await app.settled();
  await app.show('Brief');
  await expect(page.getByText('into one another', { exact: false })).toHaveCount(0);
});

test('a hexagon with a frame has its mitres; rules are ticked by themselves; a far face has its scale', async ({
  app,
  page,
}) => {
  await app.startOwn('Hexagon');
  await app.show('Brief');
  await page.getByLabel('Shape').selectOption('regular polygon');
  await app.write('Length of a side', '100');
  await page.getByLabel('A frame round it').check();
  await app.settled();
  const strips = page.getByRole('table', { name: 'Strips of the frame' });
  // 100 + 2 x 15 tan 30 outside, 100 - 2 x 5 tan 30 inside.
  await expect(strips.getByRole('row').nth(1)).toContainText('117.3 mm');
  await expect(strips.getByRole('row').nth(1)).toContainText('94.2 mm');
  await expect(strips.getByRole('row').nth(6)).toContainText('30°');
  await page.getByRole('button', { name: 'Add a rule' }).click();
  await app.write('Rule', 'Has open water');
  await page.getByLabel('How Has open water is ticked').selectOption('must be there');
  const kept = page.getByRole('region', { name: 'Limits and rules' });
  await expect(kept).toContainText('Has open water (not kept)');
  await expect(kept).toContainText('0 of 1');
  await app.write('Scale (1:87, a name, or empty)', '1:87');
  await page.getByLabel('The distance is built at a smaller scale').check();
  await app.write('Its scale', '1:2400');
  await app.write('On the model', '25');
  await app.write('In the world', '60');
  await expect(page.getByText('60 m drawn 25 mm high is 1:2400; a ripple of 1 mm there is 2.4 m')).toBeVisible();
  await expect(page.getByRole('table', { name: 'Sizes at the scale' })).toContainText('far, 1:2400');
  const text = await readFile(await app.exportFile('Hexagon'), 'utf8');
  expect(JSON.parse(text).base.shape).toEqual({ kind: 'polygon', sides: 6, sideMm: 100 });
});

test('a closed line that is drawn becomes the base, and undo gives the old one back', async ({ app, page }) => {
  await app.open();
  await app.show('Brief');
  await page.getByLabel('Shape').selectOption('free outline');
  await page.getByLabel('Take the outline of').selectOption({ label: 'Bench 1' });
  await app.settled();
  await expect(page.getByText(/^\d+ points, \d+ by \d+ mm/)).toBeVisible();
  const size = page
    .getByRole('heading', { name: 'Brief' })
    .locator('..')
    .getByText(/mm by .* mm, 1:87/);
  await expect(size).not.toContainText('420 mm by 297 mm');
  await page.getByRole('button', { name: 'Undo' }).click();
  await page.getByRole('button', { name: 'Undo' }).click();
  await expect(size).toContainText('420 mm by 297 mm');
});

test('where a 32 mm figure will not stand is shaded, listed and told at the figure', async ({ app, page }) => {
  await app.open();
  await page.getByRole('radio', { name: 'standing' }).click();
  await expect(page.getByRole('list', { name: 'Key of the standing' })).toContainText('slides');
  const list = page.getByRole('region', { name: 'Where a figure stands' });
  await expect(list.getByRole('button', { name: /on a 32 mm base/ })).toContainText('%');
  await page.getByRole('radio', { name: 'wet' }).click();
  await expect(page.getByRole('list', { name: 'Key of the wet' })).toContainText('water gathers');
  // On the face below the third bench.
  await app.tool('Figure');
  await page.mouse.click(...(await app.onPlan(120, 180, { widthMm: 420, depthMm: 297 })));
  await app.write('Across its foot', '32');
  await app.write('Name', 'Foreman');
  await app.write('Point 1, across', '60');
  await app.write('Point 1, away', '62');
  await app.settled();
  await page.getByRole('button', { name: 'Done' }).click();
  await expect(page.getByRole('list', { name: 'Findings' })).toContainText(
    /Foreman on its 32 mm base would (slide|rock)/,
  );
  await expect(list).toContainText('does not stand');
});
