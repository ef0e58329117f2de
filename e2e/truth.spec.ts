import type { Page } from '@playwright/test';
import { type App, expect, test } from './hosket.ts';

/** Draws a line by writing its points, then gives it its height. */
async function contour(app: App, page: Page, points: readonly string[], height: string, closed = false) {
  await app.tool('Contour');
  await page.getByRole('application', { name: /^Drawing/ }).focus();
  for (const point of points) {
    await page.keyboard.type(point);
    await page.keyboard.press('Enter');
  }
  if (closed) await page.getByRole('button', { name: 'Close the line' }).click();
  else await page.keyboard.press('Shift+Enter');
  await app.write('Height', height);
}
const box = (x0: number, y0: number, x1: number, y1: number) => [
  `${x0}; ${y0}`,
  `${x1}; ${y0}`,
  `${x1}; ${y1}`,
  `${x0}; ${y1}`,
];

test('two lines 300 mm apart give a plane, from edge to edge of the section', async ({ app, page }) => {
  await app.startFinished('Plane');
  await app.show('Brief');
  await page.getByLabel('Usual size').selectOption('A3');
  await app.settled();
  await app.show('Ground');
  await contour(app, page, ['60; 0', '60; 297'], '14');
  await contour(app, page, ['360; 0', '360; 297'], '74');
  await app.settled();
  // 0.2 mm a millimetre: 2 mm at the left edge, 86 mm at the right one, 420 mm on.
  await expect(page.getByRole('group', { name: /^Section along/ })).toHaveAttribute(
    'aria-label',
    'Section along 420 mm: ground from 2 mm to 86 mm',
  );
});

test('a bench that carries a higher one reads its own height', async ({ app, page }) => {
  await app.startFinished('Benches');
  await contour(app, page, box(30, 30, 270, 180), '20', true);
  await page.getByLabel('Level inside (a bench, a pad)').check();
  await contour(app, page, box(50, 45, 250, 165), '40', true);
  await page.getByLabel('Level inside (a bench, a pad)').check();
  await app.settled();
  await app.show('Layers');
  await page.getByRole('tab', { name: 'Levels' }).click();
  // Skin of 3 mm over each: foam to 17 and to 37 mm. Before, the lower one was told to want 37 as well.
  const table = page.getByRole('table', { name: 'Levels' });
  await expect(table.getByRole('row', { name: /^Contour 1 20 mm 3 mm 17 mm/ })).toBeVisible();
  await expect(table.getByRole('row', { name: /^Contour 2 40 mm 3 mm 37 mm/ })).toBeVisible();
});

test('a guessed summit is shown as guessed on plan and section, and told with its share', async ({ app, page }) => {
  await app.startOwn('Summit');
  await contour(app, page, box(40, 30, 250, 180), '10', true);
  await contour(app, page, box(80, 60, 210, 150), '25', true);
  await app.settled();
  await expect(page.getByTestId('guessed')).toBeVisible();
  await expect(page.getByTestId('guessed-line')).toHaveAttribute('d', /^M/);
  const findings = page.getByRole('list', { name: 'Findings' });
  await expect(findings).toContainText(/Nothing says how high it is here: \d+ % of the base/);
  await expect(findings).toContainText('Add a spot height');
});
