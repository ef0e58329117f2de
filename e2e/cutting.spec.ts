import { type App, commandLine, expect, test, textOf } from './hosket.ts';

type Page = App['page'];
const turnTo = (page: Page, name: string) => page.getByRole('tab', { name, exact: true }).click();
const status = (page: Page) => page.getByRole('status', { name: 'Search for a layout' });

/** Two odd offcuts in the shed of the demo: one rectangle, one with five corners. */
async function twoOffcuts(app: App) {
  const { page } = app;
  await app.show('Layers');
  await turnTo(page, 'Shed');
  await page.getByRole('button', { name: 'Add an offcut' }).click();
  await app.write('Width of Offcut 1', '430');
  await app.write('Length of Offcut 1', '312');
  await page.getByRole('button', { name: 'Add an offcut' }).click();
  await page.getByLabel('Outline of Offcut 2').selectOption('traced');
  await page
    .getByLabel('Corners, one a line: from the left; from the front')
    .fill('0; 0\n360; 0\n360; 230\n150; 260\n0; 210');
  await page.getByRole('button', { name: 'Done' }).click();
  await app.settled();
}

test('Harl Quarry on two odd offcuts and sheets: searched, moved by hand, cut, put away, and found in the shed', async ({
  app,
  page,
}) => {
  await app.open();
  await twoOffcuts(app);
  await app.show('Cutting');
  await expect(page.getByRole('main').locator('p').first()).toHaveText(
    /^5 pieces on 2 offcuts and \d sheets?; \d+ cm² of useful offcuts left\.$/,
  );
  await expect(status(page)).toHaveText('A first layout, laid quickly.');

  // A search that is stopped keeps its best.
  await page.getByRole('button', { name: 'Find a better layout' }).click();
  await expect(status(page)).toContainText(/\d+ s, [\d,]{3,} tries/);
  await expect(page.getByRole('progressbar', { name: 'Patience used up' })).toBeVisible();
  await page.getByRole('button', { name: 'Stop and keep the best' }).click();
  await expect(status(page)).toContainText(/^Stopped\. (Better|No better).* in [\d,]+ tries\./);
  await app.settled();
  await expect(page.getByRole('button', { name: 'Lay anew' })).toBeVisible();

  // By keys, by numbers, by the pointer; what is moved is pinned.
  const piece = page.getByRole('button', { name: /^Piece 5-1 on / });
  await piece.focus();
  const across = page.getByLabel('Middle from the left');
  const before = Number((await across.inputValue()).replace(' mm', ''));
  await page.keyboard.press('ArrowRight');
  await app.settled();
  await expect(across).toHaveValue(`${Math.round((before + 1) * 10) / 10} mm`);
  await expect(piece).toHaveAccessibleName(/, pinned/);
  await app.write('Turned', '20 degrees');
  await app.settled();
  await expect(page.getByLabel('Turned')).toHaveValue('20 degrees');
  await app.write('Middle from the left', '125');
  await app.settled();
  await expect(page.getByRole('list', { name: 'Findings' })).toContainText(
    'Piece 5-1 stands over the edge or margin of its sheet',
  );
  await expect(piece).toHaveAccessibleName(/, clashes/);
  const home = await piece.boundingBox();
  // By its label: the middle of a crescent is no part of it.
  await app.drag(piece.locator('text'), 60, 0);
  await app.settled();
  expect((await piece.boundingBox())?.x).toBeGreaterThan((home?.x ?? 0) + 30);
  for (let step = 0; step < 4; step++) await page.keyboard.press('Control+z');
  await app.settled();
  await expect(page.getByRole('list', { name: 'Findings' })).toBeHidden();
  await expect(across).toHaveValue(`${before} mm`);

  // Cut: ticked off, put away, and the rest of it is in the shed under its name.
  await turnTo(page, 'Cutting list');
  const sheet = page.getByRole('region', { name: 'Offcut 2', exact: true });
  await expect(sheet.getByRole('button', { name: 'Put away what is left' })).toBeDisabled();
  const pieces = await sheet.getByRole('checkbox').count();
  for (let k = 0; k < pieces; k++) await sheet.getByRole('checkbox').nth(k).check();
  await sheet.getByRole('button', { name: 'Put away what is left' }).click();
  const dialog = page.getByRole('dialog', { name: 'Put away: Offcut 2' });
  await dialog.getByLabel('Name of the offcut').first().fill('Crescent');
  await dialog.getByLabel('Name of the offcut').first().press('Enter');
  await dialog.getByRole('button', { name: 'Put it away' }).click();
  await app.settled();
  await expect(page.getByRole('region', { name: 'Put away' })).toContainText(/Offcut 2: \d-\d/);
  await app.show('Layers');
  await expect(page.getByLabel('Offcut', { exact: true }).nth(1)).toHaveValue('Crescent');
  await expect(page.getByLabel('Offcut', { exact: true }).filter({ hasText: 'Offcut 2' })).toHaveCount(0);

  // It outlives a reload, and the command line says the same.
  await page.reload();
  await app.settled();
  await app.show('Cutting');
  await expect(page.getByRole('main').locator('p').first()).toHaveText(/^4 pieces on /);
  await turnTo(page, 'Pieces');
  const row = page.getByRole('row', { name: /^4-1/ });
  const cells = await row.getByRole('cell').allInnerTexts();
  const printed = commandLine('plan', await app.exportFile('Harl Quarry'));
  const line = printed.split('\n').find((text) => text.trim().startsWith('4-1 ')) ?? '';
  for (const cell of [cells[2], cells[6]]) expect(line.replace(/\s+/g, ' ')).toContain(cell);
  expect(printed).toContain('cut, put away');
});

test('a search ends by itself when nothing better comes, and pins are respected', async ({ app, page }) => {
  await app.open();
  await app.show('Cutting');
  await turnTo(page, 'How it is cut');
  await app.write('Goes on without getting better for', '2 s');
  await turnTo(page, 'Sheets');
  await page.getByRole('button', { name: /^Piece 4-1 on / }).focus();
  await page.getByRole('button', { name: 'Pin it here' }).click();
  await app.settled();
  const at = await page.getByLabel('Middle from the left').inputValue();
  await page.getByRole('button', { name: 'Find a better layout' }).click();
  await expect(status(page)).toContainText(/Nothing better was found for 2 seconds|too slowly/);
  await app.settled();
  await expect(page.getByLabel('Middle from the left')).toHaveValue(at);
  await page.getByRole('button', { name: 'Unpin the pinned piece' }).click();
  await app.settled();
  await expect(page.getByRole('button', { name: 'Pin it here' })).toBeVisible();
});

test('templates and files: paper, a printer that shrinks, PDF, SVG, DXF, STL, 3MF', async ({ app, page }) => {
  await app.open();
  await app.show('Cutting');
  await turnTo(page, 'Templates and files');
  await expect(page.getByRole('button', { name: 'Save 38 pages as PDF' })).toBeVisible();
  await page.getByLabel('Paper', { exact: true }).selectOption('A3');
  const pages = page.getByRole('list', { name: 'Pages' }).getByRole('listitem');
  await expect(page.getByRole('button', { name: /^Save \d+ pages as PDF/ })).toHaveText(/Save (1\d|2\d) pages/);
  await app.write('The printed bar of 100 mm measures', '98,5');
  await expect(pages.first().getByRole('img')).toBeVisible();
  await page.getByLabel('Contour plan at full size').uncheck();
  await page.getByLabel('Profiles of sides and sections').uncheck();
  const saved = async (name: string | RegExp) => {
    const coming = page.waitForEvent('download');
    await page.getByRole('button', { name, exact: true }).click();
    const download = await coming;
    return { name: download.suggestedFilename(), text: await textOf(await download.path()) };
  };
  const pdf = await saved(/^Save \d+ pages as PDF/);
  expect(pdf.name).toBe('harl-quarry-templates.pdf');
  expect(pdf.text.slice(0, 5)).toBe('%PDF-');
  const svg = await saved('SVG');
  expect(svg.name).toBe('harl-quarry-dense-foam-20-sheet-1.svg');
  expect(svg.text).toContain('width="600mm"');
  expect((await saved('DXF')).text).toContain('LWPOLYLINE');
  expect((await saved('All sheets, zipped')).text.slice(0, 2)).toBe('PK');
  expect((await saved('STL')).text.slice(0, 19)).toBe('Hosket, millimetres');
  await page.getByLabel('Body').selectOption('ground');
  const body = await saved('3MF');
  expect([body.name, body.text.slice(0, 2)]).toEqual(['harl-quarry-ground.3mf', 'PK']);
});

test('a piece larger than every sheet is split; without seams it fits nowhere, and by how much is told', async ({
  app,
  page,
}) => {
  await app.open();
  await app.show('Layers');
  await turnTo(page, 'Shed');
  for (const name of ['Dense foam 20', 'Dense foam 30', 'Dense foam 10']) {
    await app.write(`Width of ${name}`, '300');
    await app.write(`Length of ${name}`, '250');
    await app.write(`Sheets of ${name}`, '12');
  }
  await app.settled();
  await app.show('Cutting');
  await turnTo(page, 'Pieces');
  await expect(page.getByRole('button', { name: '1-1a', exact: true })).toBeVisible();
  const seams = page.getByRole('region', { name: 'Seams' }).getByRole('listitem');
  await expect(seams.first()).toContainText(/^Layer 1: \d+(\.\d)? mm/);
  await turnTo(page, 'How it is cut');
  await page.getByLabel('Seams are').selectOption('keyed');
  await app.settled();
  await turnTo(page, 'Pieces');
  await expect(seams.first()).toContainText(/\d keys?/);
  await turnTo(page, 'How it is cut');
  await page.getByLabel('Split what is larger than a sheet').uncheck();
  await app.settled();
  await expect(page.getByRole('list', { name: 'Findings' })).toContainText(
    /Piece 1-1 fits nowhere: it is 1\d\d(\.\d)? mm too long and \d\d(\.\d)? mm too wide for Dense foam \d0, sheet 1, the nearest/,
  );
  await turnTo(page, 'Cutting list');
  await expect(page.getByText(/^Lies nowhere: 1-1/)).toBeVisible();
});

test('the oval, and the tiles: what one tile leaves of a sheet is the next one is cut from', async ({ app, page }) => {
  await app.open();
  await app.projects();
  await page.getByRole('button', { name: 'Add Vessa Terraces' }).click();
  await page.getByRole('button', { name: /^Vessa Terraces/ }).waitFor();
  await app.settled();
  await app.show('Cutting');
  await turnTo(page, 'Templates and files');
  await expect(page.getByText(/\d+\. Profile, rim/).first()).toBeVisible();

  await app.projects();
  await page.getByRole('button', { name: 'Add Tarrow Moor' }).click();
  await page.getByRole('button', { name: /^Tarrow Moor/ }).waitFor();
  await app.settled();
  await app.show('Cutting');
  await turnTo(page, 'Cutting list');
  await page.getByRole('checkbox', { name: 'Piece 1-1' }).check();
  await page.getByRole('button', { name: 'Put away what is left' }).click();
  await page.getByRole('button', { name: 'Put it away' }).click();
  await app.settled();
  await expect(page.getByRole('main').locator('p').first()).toHaveText('Everything is cut and put away.');
  await app.show('Brief');
  await page.getByRole('button', { name: 'Open Clapper' }).first().click();
  await app.settled();
  await app.show('Cutting');
  await expect(page.getByRole('main').locator('p').first()).toHaveText(/^\d pieces? on 1 offcut/);
});

test('the cutting list on a phone: pieces are ticked off and stay so', async ({ app, page }) => {
  await page.setViewportSize({ width: 390, height: 800 });
  await app.open();
  await app.show('Cutting');
  await turnTo(page, 'Cutting list');
  const box = page.getByRole('checkbox', { name: 'Piece 2-1' });
  await box.scrollIntoViewIfNeeded();
  const size = await page.locator('label').filter({ hasText: 'Piece 2-1' }).boundingBox();
  expect(size?.height).toBeGreaterThanOrEqual(24);
  await box.check();
  await app.settled();
  expect(await page.evaluate(() => document.documentElement.scrollWidth)).toBeLessThanOrEqual(390);
  await page.reload();
  await app.settled();
  await expect(page.getByRole('checkbox', { name: 'Piece 2-1' })).toBeChecked();
});
