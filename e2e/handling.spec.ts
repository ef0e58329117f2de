import { readFile, stat, writeFile } from 'node:fs/promises';
import { expect, test } from './hosket.ts';

test('the plan zooms and pans by wheel, keys and buttons, and finds the whole base again', async ({ app, page }) => {
  await app.open();
  const zoom = page.getByTestId('zoom');
  const place = async () => (await page.getByRole('button', { name: /^Left end of section A/ }).boundingBox())!;
  const before = await place();
  await page.mouse.move(before.x + 200, before.y);
  await page.mouse.wheel(0, -600);
  await expect(zoom).not.toHaveText('100 %');
  await page.getByRole('button', { name: 'See the whole base' }).click();
  await expect(zoom).toHaveText('100 %');
  expect((await place()).x).toBeCloseTo(before.x, 0);
  await page.getByRole('group', { name: 'Plan of the base' }).focus();
  await page.keyboard.press('+');
  await expect(zoom).toHaveText('135 %');
  const near = await place();
  await page.keyboard.press('ArrowLeft');
  expect((await place()).x).toBeGreaterThan(near.x + 20);
  await page.keyboard.press('0');
  await expect(zoom).toHaveText('100 %');
  // Free ground dragged moves the plan; it changes nothing in the project.
  const plan = (await page.getByRole('group', { name: 'Plan of the base' }).boundingBox())!;
  await page.mouse.move(plan.x + 20, plan.y + 20);
  await page.mouse.down();
  await page.mouse.move(plan.x + 80, plan.y + 50, { steps: 4 });
  await page.mouse.up();
  await expect.poll(async () => Math.round((await place()).x - before.x)).toBe(60);
  await expect(page.getByRole('button', { name: 'Undo' })).toBeDisabled();
});

test('a dragged point names what it takes hold of, takes written numbers, and is given up with Escape', async ({
  app,
  page,
}) => {
  await app.open();
  await app.mark('Loading bank').click();
  const point = page.getByRole('button', { name: /^Point 1 of Loading bank/ });
  const readout = page.getByTestId('drag-readout');
  await app.drag(point, 30, -8, async () => {
    await expect(readout).toBeVisible();
    await page.keyboard.press('Escape');
  });
  await expect(readout).toBeHidden();
  await expect(page.getByRole('button', { name: 'Undo' })).toBeDisabled();
  await app.drag(point, 30, -8, async () => {
    await page.keyboard.type('350; 12');
    await expect(readout).toContainText('350; 12');
    await page.keyboard.press('Enter');
  });
  await expect(page.getByRole('button', { name: 'Point 1 of Loading bank, 350 mm across, 12 mm away' })).toBeVisible();
  // Next to the corner of the base it takes hold of that.
  const [x, y] = await app.onPlan(420, 0, { widthMm: 420, depthMm: 297 });
  const box = (await page.getByRole('button', { name: /^Point 2 of Loading bank/ }).boundingBox())!;
  await app.drag(
    page.getByRole('button', { name: /^Point 2 of Loading bank/ }),
    x + 2 - box.x - box.width / 2,
    y - 3 - box.y - box.height / 2,
    async () => {
      await expect(readout).toContainText('corner of the base');
    },
  );
  await expect(page.getByRole('button', { name: 'Point 2 of Loading bank, 420 mm across, 0 mm away' })).toBeVisible();
});

test('several picked things move, are copied, mirrored, turned, locked, hidden and deleted together', async ({
  app,
  page,
}) => {
  await app.open();
  const list = page.getByRole('complementary');
  await list.getByRole('button', { name: 'Pick several' }).click();
  await list.getByRole('checkbox', { name: /^Spoil heap/ }).check();
  await expect(page.getByRole('complementary', { name: '1 thing picked' })).toBeVisible();
  await list.getByRole('checkbox', { name: /^Haul road/ }).check();
  await expect(page.getByRole('complementary', { name: '2 things picked' })).toBeVisible();
  await page.getByRole('button', { name: 'Done' }).click();
  // On the plan: Shift and drag over free ground picks what lies in the box.
  const from = await app.onPlan(34, 96, { widthMm: 420, depthMm: 297 });
  const to = await app.onPlan(190, 8, { widthMm: 420, depthMm: 297 });
  await page.keyboard.down('Shift');
  await page.mouse.move(...from);
  await page.mouse.down();
  await page.mouse.move((from[0] + to[0]) / 2, (from[1] + to[1]) / 2, { steps: 3 });
  await page.mouse.move(...to, { steps: 3 });
  await page.mouse.up();
  await page.keyboard.up('Shift');
  const picked = page.getByRole('complementary', { name: '2 things picked' });
  await expect(picked.getByRole('checkbox', { name: /^Small heap/ })).toBeChecked();
  const whole = page.getByRole('button', { name: /^Whole of 2 picked things/ });
  const label = await whole.getAttribute('aria-label');
  await whole.focus();
  await page.keyboard.press('Shift+ArrowUp');
  await expect(whole).not.toHaveAttribute('aria-label', label ?? '');
  await picked.getByRole('button', { name: 'Copy' }).click();
  await expect(page.getByRole('link', { name: /^Ground/ })).toContainText('24 drawn');
  await picked.getByRole('button', { name: 'Mirror' }).click();
  await picked.getByRole('button', { name: 'Turn by 15°' }).click();
  await picked.getByRole('button', { name: 'Hide on the plan' }).click();
  await expect(picked.getByRole('button', { name: 'Show on the plan' })).toBeVisible();
  await picked.getByRole('button', { name: 'Lock', exact: true }).click();
  await expect(picked.getByRole('button', { name: 'Delete them' })).toBeDisabled();
  await picked.getByRole('button', { name: 'Unlock' }).click();
  await picked.getByRole('button', { name: 'Delete them' }).click();
  await expect(page.getByRole('link', { name: /^Ground/ })).toContainText('22 drawn');
  await app.settled();
});

test('the list of what is drawn is searched and put in another order; lists lead to places', async ({ app, page }) => {
  await app.open();
  const list = page.getByRole('complementary');
  await list.getByLabel('Search what is drawn').fill('heap');
  await expect(list.getByRole('region', { name: /^Landforms/ }).getByRole('listitem')).toHaveCount(2);
  await list.getByLabel('Search what is drawn').fill('');
  await list.getByRole('button', { name: 'Build Bench 5 later' }).click();
  await expect(
    list
      .getByRole('region', { name: /^Landforms/ })
      .getByRole('listitem')
      .first(),
  ).toContainText('Bench 4');
  await app.settled();
  await list.getByRole('button', { name: /^Highest/ }).click();
  await expect(page.getByTestId('shown-place')).toBeVisible();
  await expect(page.getByTestId('zoom')).toHaveText('160 %');
  await list.getByRole('region', { name: 'Low points that would hold water' }).getByRole('button').first().click();
  await expect(page.getByTestId('shown-place')).toBeVisible();
});

test('in the section: the ground line is dragged and typed, nudged, measured; section lines are kept, switched and deleted', async ({
  app,
  page,
}) => {
  await app.open();
  const bench = page.getByRole('button', { name: /^Bench 3, height, 43 mm/ });
  await app.drag(bench, 0, -12, async () => {
    await expect(page.getByTestId('section-readout')).toBeVisible();
    await page.keyboard.type('51');
    await expect(page.getByTestId('section-readout')).toContainText('51');
  });
  await expect(page.getByLabel('Height', { exact: true })).toHaveValue('51 mm');
  await page.getByRole('button', { name: /^Bench 3, height, 51 mm/ }).focus();
  await page.keyboard.press('ArrowDown');
  await expect(page.getByLabel('Height', { exact: true })).toHaveValue('50 mm');
  await app.settled();
  await page.getByRole('button', { name: 'Measure' }).click();
  await expect(page.getByTestId('measure')).toContainText(/along.*(up|down).*straight.*°/);
  const words = await page.getByTestId('measure').textContent();
  await page.getByRole('button', { name: /^Second end of the measure/ }).focus();
  await page.keyboard.press('Shift+ArrowRight');
  await expect(page.getByTestId('measure')).not.toHaveText(words ?? '');
  const section = page.getByRole('group', { name: /^Section along/ });
  const first = await section.getAttribute('aria-label');
  await page.getByRole('button', { name: 'Show section B' }).click();
  await expect(section).not.toHaveAttribute('aria-label', first ?? '');
  await page.getByRole('button', { name: 'One more' }).click();
  await expect(page.getByRole('button', { name: 'Show section C' })).toHaveAttribute('aria-pressed', 'true');
  await page.getByRole('button', { name: 'Delete section C' }).click();
  await expect(page.getByRole('button', { name: 'Show section C' })).toBeHidden();
  for (const drawing of ['plan', 'section']) {
    const download = page.waitForEvent('download');
    if (drawing === 'plan') {
      await page.getByRole('button', { name: 'Hand out' }).click();
      await page.getByRole('menuitem', { name: 'Picture of the plan, PNG' }).click();
    } else await page.getByRole('button', { name: 'Save a picture of the section' }).click();
    const file = await download;
    expect(file.suggestedFilename()).toBe(`harl-quarry-${drawing}.png`);
    expect((await stat(await file.path())).size).toBeGreaterThan(5_000);
  }
});

test('bad lines are told at the mark and the rest still works: crossing, self-crossing, open, two spots on one point', async ({
  app,
  page,
}) => {
  await app.open();
  await app.begin();
  await app.show('Ground');
  const draw = async (kind: string, points: string[], end: string) => {
    await app.tool(kind);
    for (const point of points) {
      await page.keyboard.type(point);
      await page.keyboard.press('Enter');
    }
    if (end) await page.keyboard.press(end);
  };
  await draw('Contour', ['20; 20', '120; 120', '120; 20', '20; 120'], 'Enter');
  await draw('Contour', ['0; 60', '290; 60'], 'Shift+Enter');
  await app.write('Height', '40');
  await draw('Contour', ['200; 100', '260; 100', '260; 160', '200; 160', '200; 104'], 'Shift+Enter');
  await draw('Spot height', ['150; 150'], '');
  await draw('Spot height', ['150; 150'], '');
  await app.write('Height', '70');
  await app.settled();
  const findings = page.getByRole('list', { name: 'Findings' });
  for (const words of [
    'crosses itself',
    'cross; the ground there',
    'is not closed: its ends lie 4 mm apart',
    'stand on one point',
  ])
    await expect(findings).toContainText(words);
  await page.reload();
  await app.settled();
  await expect(page.getByRole('link', { name: /^Ground/ })).toContainText('5 drawn');
});

test('a line of 20,000 points opens, is drawn and picked, and crossing it is told; one point more is refused with its reason', async ({
  app,
  page,
}, info) => {
  await app.open();
  const sample = JSON.parse(await readFile(new URL('../samples/harl-quarry.hosket.json', import.meta.url), 'utf8'));
  const wave = (count: number) =>
    Array.from({ length: count }, (_, k) => [10 + (400 * k) / count, 40 + 12 * Math.sin(k / 400)]);
  const own = { hidden: false, locked: false, smooth: false, closed: false, level: false };
  const file = async (name: string, count: number) => {
    const marks = [
      { kind: 'contour', id: 'long', name: 'Traced shore', heightMm: 12, ...own, points: wave(count) },
      {
        kind: 'contour',
        id: 'over',
        name: 'Over it',
        heightMm: 30,
        ...own,
        points: [
          [200, -5],
          [200, 200],
        ],
      },
    ];
    const path = info.outputPath(`${name}.hosket.json`);
    await writeFile(path, JSON.stringify({ ...sample, name, marks, landforms: [], laid: [] }));
    return path;
  };
  await app.importFile(await file('Too long', 20_001));
  await expect(page.getByRole('alert')).toContainText('marks[0].points');
  await app.importFile(await file('Long', 20_000));
  await app.show('Ground');
  await app.settled();
  await expect(page.getByRole('list', { name: 'Findings' })).toContainText(
    'Traced shore (12 mm) and Over it (30 mm) cross',
  );
  await app.mark('Traced shore').click();
  await app.write('Height', '14');
  await app.settled();
  await expect(page.getByRole('list', { name: 'Findings' })).toContainText('Traced shore (14 mm)');
  await page.reload();
  await app.settled();
  await expect(app.mark('Traced shore')).toContainText('14 mm');
});

test('without WebGL the model says so kindly, and everything else goes on', async ({ app, page }) => {
  await app.open();
  await page.getByRole('radio', { name: 'model' }).click();
  await expect(page.getByText('This browser cannot draw the model')).toBeVisible();
  await page.getByRole('radio', { name: 'plan', exact: true }).click();
  await expect(page.getByRole('group', { name: 'Plan of the base' })).toBeVisible();
});
