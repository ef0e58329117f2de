import type { Page } from '@playwright/test';
import { type App, expect, test } from './hosket.ts';

/** A quarry from nothing, as a builder would say it: the same things by pointer and by keyboard. */
const base = { widthMm: 420, depthMm: 297 };

interface Thing {
  kind: string;
  /** Name of the button that ends its drawing. */
  end: string;
  points: [number, number][];
  fields: [string, string][];
}

const things: Thing[] = [
  {
    kind: 'Contour',
    end: 'Leave it open',
    points: [
      [0, 20],
      [420, 20],
    ],
    fields: [
      ['Name', 'Yard'],
      ['Height', '22'],
    ],
  },
  {
    kind: 'Contour',
    end: 'Leave it open',
    points: [
      [0, 280],
      [420, 280],
    ],
    fields: [
      ['Name', 'Hill'],
      ['Height', '80'],
    ],
  },
  {
    kind: 'Pad',
    end: 'Close the outline',
    points: [
      [60, 120],
      [300, 120],
      [300, 250],
      [60, 250],
    ],
    fields: [
      ['Name', 'Upper bench'],
      ['Height', '58'],
      ['Bank', '70'],
    ],
  },
  {
    kind: 'Pad',
    end: 'Close the outline',
    points: [
      [100, 70],
      [260, 70],
      [260, 210],
      [100, 210],
    ],
    fields: [
      ['Name', 'Lower bench'],
      ['Height', '34'],
      ['Bank', '70'],
    ],
  },
  {
    kind: 'Pit',
    end: 'Close the outline',
    points: [
      [130, 90],
      [220, 90],
      [220, 170],
      [130, 170],
    ],
    fields: [
      ['Name', 'Pit'],
      ['Floor', '6'],
      ['Water level', '14'],
    ],
  },
  {
    kind: 'Road',
    end: 'End the line',
    points: [
      [340, 0],
      [350, 120],
      [340, 250],
    ],
    fields: [
      ['Name', 'Haul road'],
      ['Height at its start', '22'],
      ['Height at its end', '40'],
      ['Steepest allowed', '12'],
    ],
  },
];

/** Nothing is wrong; that nothing says how high the ground is beyond the two lines is told. */
async function onlyGuesses(page: Page) {
  const findings = page.getByRole('list', { name: 'Findings' }).getByRole('listitem');
  await expect(findings).toHaveCount(1);
  await expect(findings).toContainText('Note: Nothing says how high it is here');
}

/** Checks that hold however it was drawn. */
async function quarryStands(app: App) {
  const { page } = app;
  await app.settled();
  await expect(page.getByRole('link', { name: /^Ground/ })).toContainText('6 drawn, to 8');
  await onlyGuesses(page);
  const ground = page.getByRole('complementary');
  await expect(ground).toContainText('Landforms, in the order they are built');
  // 18 mm over about 250 mm of road.
  await expect(ground.getByRole('region', { name: 'Gradients of ways' })).toContainText(
    /Haul road.*at most 12 %.*7\.\d %/,
  );
  await expect(ground.getByRole('region', { name: 'Low points that would hold water' })).toContainText('deep');
  await expect(page.getByRole('link', { name: /^Layers/ })).toContainText(/\d layers/);
}

async function startQuarry(app: App) {
  const { page } = app;
  await app.open();
  await app.begin();
  await app.write('Scale (1:87, a name, or empty)', '1:87');
  await page.getByLabel('Usual size').selectOption('A3');
  await app.settled();
  await app.show('Ground');
}

test('by pointer: pit, road and benches from nothing; the road moved; a rock, and a span over the cutting', async ({
  app,
  page,
}) => {
  await startQuarry(app);
  const draw = async ({ kind, end, points, fields }: Thing) => {
    await app.tool(kind);
    for (const [x, y] of points) await page.mouse.click(...(await app.onPlan(x, y, base)));
    await page.getByRole('button', { name: end }).click();
    for (const [label, text] of fields) await app.write(label, text);
  };
  for (const thing of things) {
    await draw(thing);
    await page.getByRole('button', { name: 'Done' }).click();
  }
  await quarryStands(app);

  // The section across the road: its bank and cutting follow when it is moved.
  const section = page.getByRole('group', { name: /^Section along/ });
  await app.write('Left end, across', '270');
  await app.write('Left end, away', '150');
  await app.write('Right end, across', '420');
  await app.write('Right end, away', '150');
  await app.settled();
  await expect(page.getByRole('button', { name: /^Haul road, way/ })).toBeVisible();
  const before = await section
    .locator('path')
    .evaluateAll((paths) => paths.map((path) => path.getAttribute('d')).join());
  await app.mark('Haul road').first().click();
  const cut = page.getByRole('complementary').getByText('Taken away').locator('xpath=ancestor::div[@data-line]');
  const cutBefore = await cut.innerText();
  const point = page.getByRole('button', { name: /^Point 2 of Haul road/ });
  await app.drag(point, 25, 0, async () => {
    await expect(page.getByTestId('drag-readout')).toBeVisible();
    // The coarse picture follows before anything is let go.
    await expect
      .poll(() => section.locator('path').evaluateAll((paths) => paths.map((path) => path.getAttribute('d')).join()))
      .not.toBe(before);
  });
  await app.settled();
  expect(await cut.innerText()).not.toBe(cutBefore);
  await page.getByRole('button', { name: 'Done' }).click();

  await draw({
    kind: 'Rock',
    end: 'Close the outline',
    points: [
      [60, 40],
      [80, 36],
      [92, 50],
      [76, 62],
    ],
    fields: [
      ['Height', '18'],
      ['Bedded by', '3'],
    ],
  });
  await app.settled();
  await expect(page.getByRole('complementary')).toContainText(/Weighs[\s\S]*g/);
  await page.getByRole('button', { name: 'Done' }).click();

  await draw({
    kind: 'Span',
    end: 'End the line',
    points: [
      [320, 220],
      [390, 220],
    ],
    fields: [
      ['Width', '20'],
      ['Thickness of the deck', '3'],
      ['Room wanted under it', '60'],
    ],
  });
  await app.settled();
  const panel = page.getByRole('complementary');
  await expect(panel).toContainText(/over Haul road/);
  await expect(page.getByRole('list', { name: 'Findings' })).toContainText(/over Haul road; 60 mm are wanted/);
  await app.write('Room wanted under it', '5');
  await app.settled();
  await onlyGuesses(page);
});

test('by keyboard alone: pit, road and benches from nothing, a rock and a span', async ({ app, page }) => {
  await startQuarry(app);
  const key = (name: string) => page.keyboard.press(name);
  const write = async (label: string, text: string) => {
    await app.tabTo(new RegExp(`^${label}$`));
    await key('Control+a');
    await page.keyboard.type(text);
    await key('Enter');
  };
  const draw = async ({ kind, end, points, fields }: Thing) => {
    await key('Control+k');
    await expect(page.getByRole('combobox', { name: 'Commands' })).toBeFocused();
    await page.keyboard.type(`draw: ${kind.toLowerCase()}`);
    await key('Enter');
    await expect(page.getByRole('application')).toBeFocused();
    for (const [x, y] of points) {
      await page.keyboard.type(`${x}; ${y}`);
      await key('Enter');
    }
    await key(end === 'Leave it open' ? 'Shift+Enter' : 'Enter');
    await expect(page.getByRole('complementary').getByRole('heading', { level: 2 }).first()).toBeFocused();
    for (const [label, text] of fields) await write(label, text);
  };
  for (const thing of things) {
    await draw(thing);
    await app.tabTo(/^\s*Done$/);
    await key('Enter');
  }
  await quarryStands(app);

  await app.tabTo(/^Haul road/);
  await key('Enter');
  await app.tabTo(/^Point 2 of Haul road/);
  for (let step = 0; step < 3; step++) await key('Shift+ArrowRight');
  await app.settled();
  await expect(page.getByRole('button', { name: 'Point 2 of Haul road, 380 mm across, 120 mm away' })).toBeFocused();

  await draw({
    kind: 'Rock',
    end: '',
    points: [
      [60, 40],
      [80, 36],
      [92, 50],
      [76, 62],
    ],
    fields: [['Height', '18']],
  });
  await app.settled();
  await expect(page.getByRole('complementary')).toContainText(/Weighs/);
  await draw({
    kind: 'Span',
    end: '',
    points: [
      [320, 220],
      [390, 220],
    ],
    fields: [['Width', '20']],
  });
  await app.settled();
  await expect(page.getByRole('complementary')).toContainText(/over Haul road/);
});
