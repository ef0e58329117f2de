import { readFile } from 'node:fs/promises';
import { type App, commandLine, expect, test } from './hosket.ts';

const base = { widthMm: 297, depthMm: 210 };
/** Most of the base; its near right corner lies under the buttons of the plan. */
const most: [number, number][] = [
  [4, 60],
  [293, 60],
  [293, 206],
  [4, 206],
];

/** Draws a line or outline by clicking its points on the plan of the usual base. */
async function drawn(app: App, kind: string, points: readonly [number, number][]) {
  const { page } = app;
  await app.tool(kind);
  for (const [x, y] of points) await page.mouse.click(...(await app.onPlan(x, y, base)));
  await page.keyboard.press('Enter');
  await page.getByLabel('Name', { exact: true }).waitFor();
}

/** A level slab, so that roofs can be reckoned by hand. */
async function slab(app: App, name: string, height: string) {
  await app.startFinished(name);
  await drawn(app, 'Pad', most);
  await app.write('Height', height);
  await app.page.getByRole('button', { name: 'Done' }).click();
}

test('a cave and a cable run are dug, seen in the section, and what is wrong with them is told until it is mended', async ({
  app,
  page,
}) => {
  await slab(app, 'Hollow hill', '60');
  const findings = page.getByRole('list', { name: 'Findings' });
  await drawn(app, 'Cave', [
    [110, 125],
    [190, 125],
    [190, 165],
    [110, 165],
  ]);
  await app.write('Name', 'Den');
  await app.write('Floor', '20');
  await app.write('Height inside', '36');
  await app.settled();
  const effect = page.getByRole('complementary', { name: 'Den' });
  await expect(effect).toContainText('Thinnest roof');
  await page.getByRole('button', { name: 'Done' }).click();
  // 60 mm of ground less a roof at 56: 4 mm, where 6 are wanted.
  await expect(findings).toContainText('The roof of Den is 4 mm thin');
  await page.getByRole('button', { name: 'Show it' }).first().click();
  await app.write('Height inside', '30');
  await app.settled();
  await page.getByRole('button', { name: 'Done' }).click();
  await expect(page.getByText('The roof of Den', { exact: false })).toHaveCount(0);
  await app.write('Left end, away', '145');
  await app.write('Right end, away', '145');
  await expect(page.locator('[data-item="cave"]')).toBeVisible();

  await drawn(app, 'Bay', [
    [210, 115],
    [250, 115],
    [250, 150],
    [210, 150],
  ]);
  await app.write('Name', 'Battery');
  await page.getByRole('button', { name: 'Done' }).click();
  await drawn(app, 'Cable run', [
    [30, 140],
    [90, 140],
  ]);
  await app.write('Name', 'Lead');
  await app.write('Middle at its start', '59');
  await app.write('Middle at its end', '10');
  await app.settled();
  await page.getByRole('button', { name: 'Done' }).click();
  await expect(findings).toContainText('Lead ends nowhere');
  await app.mark('Lead').first().click();
  await app.write('Point 2, across', '230');
  await app.settled();
  // On its way to the bay it now runs through the cave.
  await page.getByRole('button', { name: 'Done' }).click();
  await expect(page.getByText('Lead ends nowhere', { exact: false })).toHaveCount(0);
  await expect(findings).toContainText('Den and Lead run into one another');
  await app.mark('Lead').first().click();
  await app.write('Point 1, away', '70');
  await app.write('Point 2, away', '122');
  await app.write('Middle at its start', '59');
  await page.getByRole('button', { name: 'Done' }).click();
  await app.settled();

  const file = await app.exportFile('Hollow hill');
  const report = JSON.parse(commandLine('plan', file, '--json'));
  const lead = report.voids.find(({ name }: { name: string }) => name === 'Lead');
  expect(lead.ends.map(({ where }: { where: string }) => where)).toEqual(['at the surface', 'in a void']);
  const den = report.voids.find(({ name }: { name: string }) => name === 'Den');
  expect(den.thinnestMm).toBeCloseTo(10, 1);
});

test('zones are suggested, taken in one step, one is changed, and a patch goes before them', async ({ app, page }) => {
  await app.open();
  await app.show('Surface');
  const zones = page.getByRole('list', { name: 'Zones of the ground' });
  await expect(zones).toContainText('100.0 %');
  await page.getByRole('button', { name: 'Suggest by the rules of the trade' }).click();
  const suggested = page.getByRole('list', { name: 'Suggested zones' });
  await expect(suggested).toContainText('water bed');
  await expect(suggested).toContainText('road');
  await expect(suggested).toContainText('rock');
  await page.getByRole('button', { name: 'Take these zones' }).click();
  await app.settled();
  await expect(zones).toContainText('Too steep for soil');
  const shares = async () => {
    const texts = await zones.getByRole('listitem').allInnerTexts();
    // Sides of the base stand there too, but are no part of the ground.
    return texts
      .filter((text) => text.includes('%'))
      .map((text) => Number([...text.matchAll(/([\d.]+)\s*%/g)].at(-1)?.[1]));
  };
  const sum = (list: number[]) => list.reduce((a, b) => a + b, 0);
  expect(Math.abs(sum(await shares()) - 100)).toBeLessThan(1);

  await zones.getByRole('button', { name: 'Where Too steep for soil lies' }).click();
  await page.getByLabel('Slope, at least').fill('60');
  await page.getByLabel('Slope, at least').press('Enter');
  await app.settled();
  await expect(zones).toContainText('slope over 60°');
  await page.getByRole('combobox', { name: 'Cover' }).selectOption('scree');
  await app.settled();
  await expect(zones.getByRole('button', { name: /^Too steep for soil/ })).toContainText('scree');
  expect(Math.abs(sum(await shares()) - 100)).toBeLessThan(1);

  await app.show('Ground');
  await app.tool('Patch');
  const quarry = { widthMm: 420, depthMm: 297 };
  for (const [x, y] of [
    [20, 20],
    [120, 20],
    [120, 80],
    [20, 80],
  ])
    await page.mouse.click(...(await app.onPlan(x, y, quarry)));
  await page.keyboard.press('Enter');
  await page.getByRole('combobox', { name: 'Cover' }).selectOption('snow');
  await app.settled();
  await expect(page.getByRole('complementary')).toContainText('of the base');
  await page.getByRole('radio', { name: 'cover' }).click();
  await expect(page.getByRole('list', { name: 'Key of the cover' })).toContainText('snow');
  await page.getByRole('button', { name: 'Undo' }).click();
  await page.getByRole('radio', { name: 'relief' }).click();
});

test('a test piece is derived from the real work and opens as a project of its own', async ({ app, page }) => {
  await app.open();
  await app.show('Brief');
  await page.getByRole('button', { name: 'Derive a test piece' }).click();
  await page.getByRole('heading', { name: 'Ground' }).waitFor();
  await app.settled();
  await expect(page.getByRole('button', { name: /Harl Quarry, test piece/ })).toBeVisible();
  await expect(page.getByRole('complementary')).toContainText('Strip of grass');
  await app.show('Layers');
  await expect(page.getByRole('button', { name: /^Layer 2,/ })).toBeVisible();
  const text = await readFile(await app.exportFile('Harl Quarry, test piece'), 'utf8');
  expect(JSON.parse(text).base.shape).toEqual({ kind: 'rectangle', widthMm: 100, depthMm: 100 });
});

test('the line where the distance begins is dragged on the plan', async ({ app, page }) => {
  await app.open();
  await app.show('Brief');
  await page.getByLabel('The distance is built at a smaller scale').check();
  await app.show('Ground');
  const end = page.getByRole('button', { name: /^Left end of the line where the distance begins/ });
  const before = await end.getAttribute('aria-label');
  await app.drag(end, 0, 40);
  await app.settled();
  expect(await end.getAttribute('aria-label')).not.toBe(before);
  await page.getByRole('button', { name: 'Undo' }).click();
  await expect(end).toHaveAttribute('aria-label', before ?? '');
});
