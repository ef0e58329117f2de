import { mkdtemp, readFile, writeFile } from 'node:fs/promises';
import { tmpdir } from 'node:os';
import { join } from 'node:path';
import DxfParser from 'dxf-parser';
import { type App, expect, test } from './hosket.ts';

/** A made-up plan in inches: two contours, a road, a summit. */
const dxf = () => {
  const line = (layer: string, z: number, closed: number, points: [number, number][]) => [
    ...['0', 'LWPOLYLINE', '8', layer, '90', `${points.length}`, '70', `${closed}`, '38', `${z}`],
    ...points.flatMap(([x, y]) => ['10', `${x}`, '20', `${y}`]),
  ];
  return [
    ...['0', 'SECTION', '2', 'HEADER', '9', '$INSUNITS', '70', '1', '0', 'ENDSEC', '0', 'SECTION', '2', 'ENTITIES'],
    ...line('contours', 0.4, 1, [
      [1, 1],
      [10, 1],
      [10, 7],
      [1, 7],
    ]),
    ...line('contours', 1.2, 1, [
      [3, 2.5],
      [8, 2.5],
      [8, 6],
      [3, 6],
    ]),
    ...line('road', 0, 0, [
      [0, 2],
      [5, 1.6],
      [11, 2],
    ]),
    ...['0', 'POINT', '8', 'summit', '10', '5.5', '20', '4.3', '30', '1.8'],
    ...['0', 'TEXT', '8', 'notes', '10', '1', '20', '1', '40', '0.2', '1', 'hello', '0', 'ENDSEC', '0', 'EOF'],
  ].join('\n');
};

async function choose(app: App, name: string, content: string | Buffer) {
  const { page } = app;
  if (!(await page.getByRole('dialog', { name: 'Bring in' }).isVisible()))
    await page.getByRole('button', { name: 'Bring in' }).click();
  await page
    .getByLabel('File to bring in')
    .setInputFiles({ name, mimeType: 'application/octet-stream', buffer: Buffer.from(content) });
}

test('a plan in inches comes in by its layers, and goes out again as a drawing', async ({ app, page }) => {
  await app.startOwn('From a plan');
  await choose(app, 'plan.dxf', dxf());
  const dialog = page.getByRole('dialog', { name: 'Bring in' });
  await expect(dialog).toContainText('units of one inch, which is 25.4 mm');
  await expect(dialog).toContainText('1 TEXT was left out');
  await expect(dialog.getByLabel('contours becomes')).toHaveValue('contour');
  await expect(dialog.getByLabel('road becomes')).toHaveValue('way');
  await dialog.getByLabel('road becomes').selectOption('left out');
  await expect(dialog).toContainText('279.4 mm by 152.4 mm');
  await dialog.getByRole('button', { name: 'Draw it on the plan' }).click();
  await app.settled();
  await expect(app.mark('contours 30.48')).toBeVisible();
  await expect(app.mark('summit')).toContainText('45.7');
  await expect(app.mark('road')).toHaveCount(0);
  const download = page.waitForEvent('download');
  await page.getByRole('button', { name: 'Hand out' }).click();
  await page.getByRole('menuitem', { name: 'Plan as DXF, in millimetres' }).click();
  const written = new DxfParser().parseSync(await readFile(await (await download).path(), 'utf8'));
  expect(written?.header.$INSUNITS).toBe(4);
  expect(written?.entities.filter(({ layer }) => layer === 'contour')).toHaveLength(2);
  // One step takes all of it away again.
  await page.getByRole('button', { name: 'Undo' }).click();
  await expect(app.mark('summit')).toHaveCount(0);
});

test('made-up heights of a place become the ground; marks act on top; they survive a reload and the file', async ({
  app,
  page,
}) => {
  await app.startOwn('From heights');
  await page.getByRole('button', { name: 'Bring in' }).click();
  await app.write('Or made-up heights of a place', 'Ondra Cone');
  await page.getByRole('button', { name: 'Fetch them' }).click();
  const dialog = page.getByRole('dialog', { name: 'Bring in' });
  await expect(dialog).toContainText('121 by 91 heights');
  await app.write('Highest place on the base', '70');
  await dialog.getByRole('button', { name: 'Make it the ground' }).click();
  await app.settled();
  const highest = page.getByRole('main').getByText(/^\S+ mm to .* above the board/);
  // Of bare foam: its skin comes on top.
  await expect(highest).toContainText('to 73 mm above the board');
  await page.getByLabel('Smoothed over').fill('10');
  await page.getByLabel('Smoothed over').press('Enter');
  await app.settled();
  await expect(highest).not.toContainText('to 73 mm');
  await app.tool('Spot height');
  await page.mouse.click(...(await app.onPlan(150, 105, { widthMm: 297, depthMm: 210 })));
  await app.write('Height', '85');
  await app.settled();
  await expect(highest).toContainText('to 88 mm');
  await page.reload();
  await app.settled();
  await expect(highest).toContainText('to 88 mm');
  const file = await app.exportFile('From heights');
  const kept = JSON.parse(await readFile(file, 'utf8'));
  expect(kept.terrain).toMatchObject({ name: 'Ondra Cone', smoothMm: 10 });
  await app.importFile(file);
  await app.settled();
  await expect(highest).toContainText('to 88 mm');
});

test('a picture lies under the plan, is placed by two points, faded, and kept', async ({ app, page }) => {
  await app.startOwn('Traced');
  // A picture of the page itself is a picture like any other.
  const picture = await page.screenshot({ type: 'png' });
  await choose(app, 'scan.png', picture);
  await page.getByRole('button', { name: 'Lay it under the plan' }).click();
  const under = page.getByTestId('underlay');
  await expect(under).toBeVisible();
  await page.getByLabel('Dragging its points').selectOption('moves the picture');
  const before = await under.getAttribute('transform');
  await app.drag(page.getByRole('button', { name: /^Second point of the picture/ }), 30, -20);
  await app.settled();
  expect(await under.getAttribute('transform')).not.toBe(before);
  await page.getByLabel('Dragging its points').selectOption('chooses them anew');
  const placed = await under.getAttribute('transform');
  await app.drag(page.getByRole('button', { name: /^First point of the picture/ }), 20, -30);
  await app.settled();
  // Choosing a point anew leaves the picture where it lies.
  const numbers = (text: string | null) =>
    (text ?? '').match(/-?\d+(\.\d+)?/g)?.map((n) => Math.round(Number(n))) ?? [];
  expect(numbers(await under.getAttribute('transform'))).toEqual(numbers(placed));
  await app.write('From A to B it is', '120');
  await app.write('Strength', '30');
  await app.settled();
  await expect(under).toHaveAttribute('opacity', '0.3');
  await page.reload();
  await app.settled();
  await expect(under).toHaveAttribute('opacity', '0.3');
  const kept = JSON.parse(await readFile(await app.exportFile('Traced'), 'utf8'));
  const [a, b] = kept.underlay.pins;
  expect(Math.hypot(b.mm[0] - a.mm[0], b.mm[1] - a.mm[1])).toBeCloseTo(120, 1);
  expect(kept.underlay.picture.data.length).toBeGreaterThan(1000);
});

test('files that cannot be taken say why and what to do, and nothing is lost', async ({ app, page }) => {
  await app.startOwn('Careful');
  await app.tool('Spot height');
  await page.mouse.click(...(await app.onPlan(150, 105, { widthMm: 297, depthMm: 210 })));
  await app.write('Height', '33');
  await page.getByRole('button', { name: 'Done' }).click();
  const dialog = page.getByRole('dialog', { name: 'Bring in' });
  const alert = dialog.getByRole('alert');
  await choose(app, 'hole.asc', 'ncols 3\nnrows 2\nxllcorner 0\ncellsize 5\n1 2 3 4\n');
  await expect(alert).toContainText('promises 3 x 2 = 6 heights; the file has 4');
  await choose(app, 'head.asc', 'columns 3\nrows 2\n1 2 3');
  await expect(alert).toContainText('"ncols"');
  await choose(app, 'broken.dxf', 'no drawing at all');
  await expect(alert).toContainText('broken.dxf was not brought in');
  await choose(app, 'what.doc', 'x');
  await expect(alert).toContainText('files that end in "doc" cannot be read');
  const big = join(await mkdtemp(join(tmpdir(), 'hosket-')), 'big.png');
  await writeFile(big, Buffer.alloc(100_000_000, 1));
  await page.getByLabel('File to bring in').setInputFiles(big);
  await expect(alert).toContainText('too large');
  await choose(app, 'damaged.png', 'this is no picture');
  await dialog.getByRole('button', { name: 'Lay it under the plan' }).click();
  await expect(alert).toContainText('damaged.png cannot be shown as a picture.');
  await choose(
    app,
    'evil.svg',
    '<svg xmlns="http://www.w3.org/2000/svg" width="50em" viewBox="0 0 90 60" onload="document.title=1"><script>document.title="taken"</script><path id="bench" d="M0 0H90V60H0Z"/></svg>',
  );
  await expect(dialog).toContainText('left out: only shapes are read');
  await expect(dialog).toContainText('"em", which is no length');
  expect(await page.title()).not.toContain('taken');
  expect(await page.locator('script:not([src])').count()).toBe(0);
  await page.keyboard.press('Escape');
  await expect(app.mark('Spot height 1')).toContainText('33');
});

test('a file that takes long can be stopped, and one made to hurt is refused; the page goes on', async ({
  app,
  page,
}) => {
  await app.startOwn('Patient');
  const dialog = page.getByRole('dialog', { name: 'Bring in' });
  await choose(
    app,
    'corners.dxf',
    [
      '0',
      'SECTION',
      '2',
      'ENTITIES',
      '0',
      'LWPOLYLINE',
      '8',
      'a',
      '90',
      '99999999',
      '10',
      '1',
      '20',
      '2',
      '10',
      '9',
      '20',
      '9',
      '0',
      'ENDSEC',
      '0',
      'EOF',
    ].join('\n'),
  );
  await expect(dialog).toContainText('1 lines on 1 layer');
  await choose(app, 'steps.dxf', '0\nSECTION\n2\nENTITIES\nhm\n1\n0\nEOF\n');
  await expect(dialog.getByRole('alert')).toContainText('line 5: "hm" stands where a group code belongs.');
  const path = Array.from({ length: 390_000 }, (_, k) => `L${k % 997} ${(k * 7) % 983}`).join('');
  await choose(app, 'long.svg', `<svg width="10mm" viewBox="0 0 10 10"><path d="M0 0${path}"/></svg>`);
  await dialog.getByRole('progressbar', { name: 'Reading long.svg' }).waitFor();
  await dialog.getByRole('button', { name: 'Stop' }).click();
  await expect(dialog.getByRole('alert')).toContainText('long.svg was not read: it was stopped.');
  // The next one is read as if nothing had been.
  await choose(app, 'line.svg', '<svg width="10mm" viewBox="0 0 10 10"><path d="M0 0L9 9"/></svg>');
  await expect(dialog).toContainText('line.svg: 1 lines on 1 layer');
});
