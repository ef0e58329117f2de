import { commandLine, expect, test, textOf } from './hosket.ts';

test('page and command line give the same plan, to the last digit', async ({ app, page }) => {
  await app.open();
  const save = async () => {
    await app.show('Ground');
    await app.settled();
    const coming = page.waitForEvent('download');
    await page.getByRole('button', { name: 'Hand out' }).click();
    await page.getByRole('menuitem', { name: 'Every figure of the plan as JSON' }).click();
    return textOf(await (await coming).path());
  };
  const same = async (name: string) => {
    const file = await app.exportFile(name);
    // Levels to be moved are worked out by the page when they are asked for, by the command always.
    const lines = (text: string) => JSON.stringify({ ...JSON.parse(text), moves: null }, null, 1).split('\n');
    const [there, here] = [lines(await save()), lines(commandLine('plan', file, '--json'))];
    const apart = there.findIndex((line, k) => line !== here[k]);
    if (apart >= 0) expect(there.slice(apart - 3, apart + 3)).toEqual(here.slice(apart - 3, apart + 3));
    expect(there.length).toBe(here.length);
  };
  await same('Harl Quarry');
  for (const name of ['Vessa Terraces', 'Tarrow Moor']) {
    await app.projects();
    await page.getByRole('button', { name }).first().click();
    await expect(page.getByRole('dialog')).toHaveCount(0);
    await app.settled();
    await same(name);
  }
});
