import AxeBuilder from '@axe-core/playwright';
import { expect, test } from './hosket.ts';

const bands = ['Brief', 'Ground', 'Layers', 'Cutting', 'Surface', 'Days', 'Stores'];

const tags = ['wcag2a', 'wcag2aa', 'wcag21a', 'wcag21aa', 'wcag22aa', 'best-practice'];

for (const theme of ['plaster', 'evening'])
  test(`axe finds nothing at 200 % either, ${theme}`, async ({ app, page }) => {
    await page.setViewportSize({ width: 640, height: 400 });
    await page.emulateMedia({ colorScheme: theme === 'plaster' ? 'light' : 'dark' });
    await app.open();
    for (const band of bands) {
      await app.show(band);
      await app.settled();
      const { violations } = await new AxeBuilder({ page })
        .options({ resultTypes: ['violations'] })
        .withTags(tags)
        .analyze();
      expect(
        violations.map(({ id, nodes }) => `${band}: ${id}: ${nodes.map(({ html }) => html.slice(0, 160)).join(' | ')}`),
      ).toEqual([]);
    }
  });

for (const theme of ['plaster', 'evening'])
  test(`axe finds nothing in any view, ${theme}`, async ({ app, page }) => {
    await page.addInitScript((name) => {
      localStorage.setItem(
        'hosket-view',
        JSON.stringify({
          state: { units: 'metric', theme: name, sectionOpen: true, stretch: 1, demoNoticeSeen: false },
          version: 0,
        }),
      );
    }, theme);
    await app.open();
    const clean = async (where: string) => {
      const axe = new AxeBuilder({ page }).options({ resultTypes: ['violations'] });
      // Another theme has other colours, and nothing else is other in it.
      const { violations } = await (theme === 'plaster'
        ? axe.withTags(tags)
        : axe.withRules(['color-contrast'])
      ).analyze();
      expect(
        violations.map(
          ({ id, nodes }) => `${where}: ${id}: ${nodes.map(({ html }) => html.slice(0, 160)).join(' | ')}`,
        ),
      ).toEqual([]);
    };
    for (const band of bands) {
      await app.show(band);
      await clean(band);
    }
    await app.write('Matt medium in the cupboard', '20 ml');
    await app.settled();
    await clean('a short jar in the cupboard');
    for (const name of ['Shopping list', 'What is done', 'Weight and cost', 'All checks', 'Bench sheet']) {
      await page.getByRole('tab', { name, exact: true }).click();
      await clean(name);
    }
    await page.getByRole('button', { name: 'As a plain page to print' }).click();
    await clean('the plain page');
    await app.show('Cutting');
    await page.getByRole('button', { name: /^Piece 4-1 on / }).focus();
    await clean('a picked piece');
    for (const name of ['Pieces', 'Cutting list', 'Templates and files', 'How it is cut']) {
      await page.getByRole('tab', { name, exact: true }).click();
      await clean(name);
    }
    await app.write('Goes on without getting better for', '300 s');
    await app.settled();
    await page.getByRole('tab', { name: 'Sheets', exact: true }).click();
    await page.getByRole('button', { name: 'Find a better layout' }).click();
    await page.getByRole('progressbar', { name: 'Patience used up' }).waitFor();
    await clean('a search for a layout');
    await page.getByRole('button', { name: 'Stop and keep the best' }).click();
    await app.show('Ground');
    await app.mark('Bench 3').click();
    await clean('a picked mark');
    for (const thing of ['Haul road', 'Pump jetty', 'Fallen block']) {
      await page.getByRole('button', { name: 'Done' }).click();
      await app.mark(thing).first().click();
      await clean(thing);
    }
    await page.getByRole('button', { name: 'Done' }).click();
    await page.getByRole('button', { name: 'Pick several' }).click();
    await page.getByRole('button', { name: 'Pick all' }).click();
    await clean('several picked');
    await page.getByRole('button', { name: 'Done' }).click();
    await page.getByRole('button', { name: 'Measure', exact: true }).click();
    await clean('measuring in the section');
    await page.getByRole('button', { name: 'Measure', exact: true }).click();
    await app.tool('Contour');
    await clean('drawing');
    await page.getByRole('button', { name: 'Give up' }).click();
    await page.getByRole('button', { name: 'Bring in' }).click();
    await page.getByRole('button', { name: 'Fetch them' }).click();
    await page.getByRole('button', { name: 'Make it the ground' }).waitFor();
    await clean('heights to bring in');
    await page.getByLabel('File to bring in').setInputFiles({
      name: 'a.svg',
      mimeType: 'image/svg+xml',
      buffer: Buffer.from('<svg width="90mm" viewBox="0 0 90 60"><path id="c 20" d="M0 0H90V60H0Z"/></svg>'),
    });
    await page.getByRole('button', { name: 'Draw it on the plan' }).waitFor();
    await clean('a plan to bring in');
    await page.keyboard.press('Escape');
    await page.getByRole('button', { name: 'Hand out' }).click();
    await clean('what can be handed out');
    await page.keyboard.press('Escape');
    await app.show('Surface');
    await page.getByRole('button', { name: 'Suggest by the rules of the trade' }).click();
    await page.getByRole('button', { name: 'Take these zones' }).click();
    await app.settled();
    await page.getByRole('button', { name: 'Where Too steep for soil lies' }).click();
    await page.getByRole('button', { name: /^Paint:/ }).click();
    await clean('a zone with its rule, and a coat of its recipe');
    await page.getByRole('button', { name: 'Undo' }).click();
    await app.show('Brief');
    await page.getByRole('button', { name: 'Add a profile' }).click();
    await page.getByRole('button', { name: 'Add a lane, wall or channel' }).click();
    await page.getByRole('button', { name: 'Add a bare tile' }).click();
    await app.settled();
    await clean('tiles and profiles');
    for (let k = 0; k < 3; k++) await page.getByRole('button', { name: 'Undo' }).click();
    await app.show('Layers');
    await page.getByRole('button', { name: /^Layer 1,/ }).click();
    await clean('a picked layer');
    for (const name of ['Levels', 'Other stacks', 'What it costs', 'How it is built', 'Shed', 'Gluing']) {
      await page.getByRole('tab', { name, exact: true }).click();
      if (name === 'Other stacks') await page.getByRole('button', { name: /^Compare .*soonest dry/ }).click();
      if (name === 'How it is built') await page.getByRole('button', { name: 'Add an area' }).click();
      if (name === 'Shed') await page.getByRole('button', { name: 'Add an offcut' }).click();
      await app.settled();
      await clean(`layers, ${name}`);
    }
    for (let k = 0; k < 2; k++) await page.getByRole('button', { name: 'Undo' }).click();
    await page.getByRole('tab', { name: 'Stack', exact: true }).click();
    await app.projects();
    await clean('projects');
    await page.keyboard.press('Escape');
    await page.keyboard.press('Control+k');
    await page.getByRole('dialog').waitFor();
    await clean('command search');
    await page.keyboard.press('Escape');
    await page.keyboard.press('Shift+?');
    await page.getByRole('dialog', { name: 'Keys' }).waitFor();
    await clean('shortcuts');
  });

for (const [width, height] of [
  [1280, 800],
  [900, 700],
  [390, 800],
])
  test(`nothing scrolls sideways at ${width} x ${height}`, async ({ app, page }) => {
    await page.setViewportSize({ width, height });
    await app.open();
    for (const band of bands) {
      await app.show(band);
      expect(
        await page.evaluate(() => document.documentElement.scrollWidth - window.innerWidth),
        band,
      ).toBeLessThanOrEqual(0);
    }
    await app.show('Layers');
    for (const name of ['Levels', 'Other stacks', 'What it costs', 'How it is built', 'Shed', 'Gluing']) {
      await page.getByRole('tab', { name, exact: true }).click();
      expect(
        await page.evaluate(() => document.documentElement.scrollWidth - window.innerWidth),
        name,
      ).toBeLessThanOrEqual(0);
    }
    await app.show('Surface');
    for (const name of ['Ways side by side', 'Depth of paste', 'Counted things', 'Mixes', 'Materials']) {
      await page.getByRole('tab', { name, exact: true }).click();
      expect(
        await page.evaluate(() => document.documentElement.scrollWidth - window.innerWidth),
        name,
      ).toBeLessThanOrEqual(0);
    }
  });

test('the plan and the section keep their place when a number changes', async ({ app, page }) => {
  await app.open();
  await page.getByRole('button', { name: 'Explore the demo' }).click();
  const canvas = page.locator('canvas');
  await app.mark('Bench 3').click();
  const before = await canvas.boundingBox();
  await app.write('Height', '46');
  await app.settled();
  expect(await canvas.boundingBox()).toEqual(before);
});
