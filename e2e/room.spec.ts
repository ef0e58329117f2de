import type { Locator } from '@playwright/test';
import { expect, test, textOf } from './hosket.ts';

/** What share of the window an element covers. */
const shareOf = (selector: string) => {
  const box = document.querySelector(selector)?.getBoundingClientRect();
  return box ? (box.width * box.height) / (window.innerWidth * window.innerHeight) : 0;
};

test('the drawing has the room: an A3 base on the ground, in the window, in a smaller one, and alone', async ({
  app,
  page,
}) => {
  await app.open();
  expect(await page.evaluate(shareOf, 'canvas')).toBeGreaterThanOrEqual(0.36);
  await expect(page.getByRole('region', { name: /^Section/ })).toBeVisible();
  await page.keyboard.press('F9');
  await expect(page.getByRole('navigation', { name: 'Stages of the build' })).toHaveCount(0);
  await expect.poll(() => page.evaluate(shareOf, 'canvas')).toBeGreaterThanOrEqual(0.65);
  await page.getByRole('button', { name: 'The drawing in the whole window' }).click();
  await expect(page.getByRole('navigation', { name: 'Stages of the build' })).toBeVisible();
  await page.setViewportSize({ width: 1024, height: 768 });
  await expect.poll(() => page.evaluate(shareOf, 'canvas')).toBeGreaterThanOrEqual(0.24);
});

test('the model, the sheets, the stack and the zones have the room too; on a wide window plan and model stand side by side', async ({
  app,
  page,
}) => {
  await app.open();
  await page.getByRole('button', { name: 'Explore the demo' }).click();
  await app.settled();
  /** What share of the window, or of the room between core and panel, drawings cover together. */
  const covered = (selector: string, of: string) =>
    page.evaluate(
      ([drawings, room]) => {
        const areaOf = (element: Element) => {
          const { width, height } = element.getBoundingClientRect();
          return width * height;
        };
        const whole = document.querySelector(room);
        const all = [...document.querySelectorAll(drawings)].reduce((sum, element) => sum + areaOf(element), 0);
        return all / (room === 'html' ? window.innerWidth * window.innerHeight : whole ? areaOf(whole) : 1);
      },
      [selector, of],
    );
  await page.getByRole('radio', { name: 'model' }).click();
  await expect.poll(() => covered('[data-picture="model"]', 'html')).toBeGreaterThanOrEqual(0.36);
  await app.show('Cutting');
  await expect
    .poll(() => covered('svg[aria-label="Sheets and offcuts with the pieces on them"]', 'html'))
    .toBeGreaterThanOrEqual(0.36);
  await app.show('Layers');
  await expect.poll(() => covered('main [data-drawing]', 'main')).toBeGreaterThanOrEqual(0.5);
  await app.show('Surface');
  await expect.poll(() => covered('main [data-drawing]', 'main')).toBeGreaterThanOrEqual(0.5);
  // The section shows what the view is about.
  await expect(page.getByTestId('section-coats').first().locator('path').first()).toBeAttached();
  await app.show('Ground');
  await expect(page.getByRole('radio', { name: 'both' })).toHaveCount(0);
  await page.setViewportSize({ width: 1680, height: 950 });
  await page.getByRole('radio', { name: 'both' }).click();
  await expect(page.locator('[data-picture="plan"]')).toBeVisible();
  await expect(page.locator('[data-picture="model"]')).toBeVisible();
  await page.setViewportSize({ width: 1280, height: 800 });
  await expect(page.locator('[data-picture="model"]')).toHaveCount(0);
  await expect(page.locator('[data-picture="plan"]')).toBeVisible();
});

test('nothing moves by itself: plan, section and panel stay where they are', async ({ app, page }) => {
  await app.open();
  const boxes = async () =>
    page.evaluate(() => {
      const of = (selector: string) => {
        const box = document.querySelector(selector)?.getBoundingClientRect();
        return box && [box.x, box.y, box.width, box.height].map(Math.round).join(' ');
      };
      return {
        plan: of('canvas'),
        section: of('[data-picture="section"]'),
        panel: of('aside'),
        shelf: of('[aria-label="Tools"]'),
      };
    });
  const before = await boxes();
  const still = async (after: string) => expect(await boxes(), after).toEqual(before);
  await page.getByRole('button', { name: 'Explore the demo' }).click();
  await still('the notice of the demo is closed');
  for (const tool of ['Contour', 'Steps', 'Spot height']) {
    await app.tool(tool);
    await still(`choosing ${tool}`);
    await page.mouse.move(500, 300);
    await still('moving over the plan');
    if (tool !== 'Spot height') await page.mouse.click(500, 300);
    await still('the first point');
    await page.getByRole('button', { name: 'Give up' }).click();
    await still('giving up');
  }
  await app.mark('Bench 3').click();
  await still('picking');
  await app.write('Height', '1046');
  await app.write('Height', '47.25');
  await still('a number that grows');
  await app.settled();
  await still('a plan that arrives');
  await page.getByRole('button', { name: 'Done' }).click();
  await still('picking nothing');
  for (const tint of ['slope', 'cover', 'standing', 'wet', 'relief']) {
    await page.getByRole('radio', { name: tint }).click();
    await still(`the tint ${tint}`);
  }
  await page.getByRole('button', { name: 'Pick several' }).click();
  await still('picking several');
});

test('the section is as high as it is dragged, in each view of its own, and the next line stands beside it where there is room', async ({
  app,
  page,
}) => {
  await app.open();
  const drawing = page.locator('[data-picture="section"]');
  const beside = page.getByRole('group', { name: /^Section B along/ });
  await expect(beside).toBeVisible();
  const high = async () => Math.round((await drawing.first().boundingBox())?.height ?? 0);
  const usual = await high();
  const grip = page.getByRole('separator', { name: 'Height of the section' });
  await app.drag(grip, 0, -120);
  expect(await high()).toBe(usual + 120);
  // So high that one line takes the width.
  await expect(beside).toHaveCount(0);
  await grip.focus();
  await page.keyboard.press('ArrowDown');
  expect(await high()).toBe(usual + 112);
  await app.show('Layers');
  expect(await high()).toBe(usual);
  for (const band of ['Brief', 'Days', 'Stores']) {
    await app.show(band);
    await expect(drawing, band).toHaveCount(0);
  }
  await page.getByRole('button', { name: 'Show section', exact: true }).click();
  await expect(drawing.first()).toBeVisible();
  await page.reload();
  await app.show('Ground');
  await expect.poll(high).toBe(usual + 112);
});

test('one press and drag puts down a landform, a line, a thing, water and a void, where its ghost stood', async ({
  app,
  page,
}) => {
  await app.startOwn('Put down');
  const base = { widthMm: 297, depthMm: 210 };
  // From the shelf onto the plan.
  for (const [tool, x, y] of [
    ['Mound', 70, 60],
    ['Pond', 200, 60],
    ['Tree', 150, 150],
    ['Cave', 240, 150],
    ['Road', 110, 120],
  ] as const) {
    const button = page.getByRole('toolbar', { name: 'Tools' }).getByRole('button', { name: tool, exact: true });
    const [px, py] = await app.onPlan(x, y, base);
    const from = await button.boundingBox();
    if (!from) throw new Error('no tool');
    await page.mouse.move(from.x + 20, from.y + 20);
    await page.mouse.down();
    await page.mouse.move(from.x + 60, from.y + 30, { steps: 4 });
    await page.mouse.move(px, py, { steps: 6 });
    await page.getByTestId('ghost').waitFor({ state: 'attached' });
    await page.mouse.up();
    await expect(page.getByLabel('Name', { exact: true })).toHaveValue(new RegExp(`^${tool}`));
    await page.getByRole('button', { name: 'Done' }).click();
  }
  // On the plan itself: as large as it is dragged.
  await app.tool('Pad');
  const [ax, ay] = await app.onPlan(20, 150, base);
  const [bx, by] = await app.onPlan(80, 190, base);
  await page.mouse.move(ax, ay);
  await page.mouse.down();
  await page.mouse.move(bx, by, { steps: 5 });
  await page.mouse.up();
  await expect(page.getByLabel('Name', { exact: true })).toHaveValue(/^Pad/);
  await app.settled();
  const file = JSON.parse(await textOf(await app.exportFile('Put down')));
  const pad = file.landforms.find(({ kind }: { kind: string }) => kind === 'pad');
  expect(pad.points).toHaveLength(4);
  expect(
    Math.max(...pad.points.map(([x]: [number]) => x)) - Math.min(...pad.points.map(([x]: [number]) => x)),
  ).toBeCloseTo(60, -1);
  // Let go of beside the plan nothing is put down.
  const rock = page.getByRole('toolbar', { name: 'Tools' }).getByRole('button', { name: 'Rock', exact: true });
  await app.drag(rock, 0, 60);
  await expect(page.getByTestId('ghost')).toHaveCount(0);
  // By typing among all of them.
  await page.getByRole('button', { name: /^All \d+$/ }).click();
  await page.getByLabel('Find a tool').fill('sleepers');
  await page.keyboard.press('Enter');
  await expect(page.getByRole('toolbar', { name: 'Drawing' })).toContainText('Track');
});

test('from nothing to a stack with amounts in few presses; before there is ground every stage says what it waits for', async ({
  app,
  page,
}) => {
  await app.open();
  let presses = 0;
  const press = async (what: Locator) => {
    presses++;
    await what.click();
  };
  await press(page.getByRole('button', { name: 'Start my own' }));
  const start = page.getByRole('dialog', { name: 'Start my own' });
  await press(start.getByRole('radio', { name: 'A3' }));
  await press(start.getByRole('radio', { name: 'Coast' }));
  await press(start.getByLabel('10 mm', { exact: true }));
  await press(start.getByRole('button', { name: 'Begin' }));
  await page.getByRole('heading', { name: 'Ground', level: 1 }).waitFor();
  await expect(page).toHaveTitle('Coast, Hosket');
  await app.settled();
  await press(page.getByRole('link', { name: /^Layers/ }));
  await page.getByRole('button', { name: /^Layer 2,/ }).waitFor();
  await press(page.getByRole('link', { name: /^Surface/ }));
  await expect(page.getByRole('complementary', { name: 'Amounts for the surface' })).toContainText(/\d+ ml/);
  expect(presses).toBeLessThanOrEqual(12);
  // A bare base.
  await app.projects();
  await app.begin();
  for (const [band, words] of [
    ['Layers', 'Layers follow from the ground.'],
    ['Days', 'Days follow from what is built.'],
    ['Stores', 'What to buy follows from the ground.'],
  ]) {
    await app.show(band);
    await expect(page.getByRole('main')).toContainText(words);
  }
  for (const band of ['Days', 'Stores'])
    await expect(page.getByRole('link', { name: new RegExp(`^${band}`) })).toContainText('after the ground');
  await page.getByRole('link', { name: 'Draw the ground' }).click();
  await page.getByRole('heading', { name: 'Ground', level: 1 }).waitFor();
});
