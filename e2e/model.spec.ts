import { stat } from 'node:fs/promises';
import { expect, test } from './hosket.ts';

test('the model draws the ground, its layers apart, lit from a side and seen by someone standing in it; its picture is saved', async ({
  app,
  page,
}) => {
  await app.open();
  await page.getByRole('radio', { name: 'model' }).click();
  const model = page.getByRole('img', { name: /^Model of the finished ground/ });
  await expect(model).toBeVisible();
  /** Share of the canvas that is not background, and a sum that tells pictures apart. */
  const seen = async () => {
    await page.waitForTimeout(1200);
    const shot = await model.screenshot();
    return shot.toString('base64');
  };
  const whole = await seen();
  await page.getByLabel(/^Light from/).fill('90');
  const lit = await seen();
  expect(lit).not.toBe(whole);
  await page.getByLabel(/^Layers apart/).fill('30');
  const apart = await seen();
  expect(apart).not.toBe(lit);
  await page.getByLabel(/^Layers apart/).fill('0');
  await page.getByLabel('Look from').selectOption('someone standing');
  expect(await seen()).not.toBe(lit);
  await page.getByLabel('Look from').selectOption('outside');
  // Through the ground one sees what is hollow in it.
  const ground = await seen();
  await page.getByLabel('Show', { exact: true }).selectOption('hollows, through it');
  const through = await seen();
  expect(through).not.toBe(ground);
  await page.getByRole('radio', { name: 'plan' }).click();
  await app.tool('Cave');
  for (const [x, y] of [
    [150, 120],
    [230, 120],
    [230, 180],
    [150, 180],
  ])
    await page.mouse.click(...(await app.onPlan(x, y, { widthMm: 420, depthMm: 297 })));
  await page.keyboard.press('Enter');
  await app.write('Floor', '4');
  await page.getByRole('button', { name: 'Done' }).click();
  await app.settled();
  await page.getByRole('radio', { name: 'model' }).click();
  await page.getByLabel('Show', { exact: true }).selectOption('hollows, through it');
  expect(await seen()).not.toBe(through);
  await page.getByLabel('Show', { exact: true }).selectOption('finished ground');
  await model.focus();
  const before = await seen();
  for (let step = 0; step < 6; step++) await page.keyboard.press('Shift+ArrowLeft');
  expect(await seen()).not.toBe(before);
  const download = page.waitForEvent('download');
  await page.getByRole('button', { name: 'Hand out' }).click();
  await page.getByRole('menuitem', { name: 'Picture of the model, PNG' }).click();
  const file = await download;
  expect(file.suggestedFilename()).toBe('harl-quarry-model.png');
  expect((await stat(await file.path())).size).toBeGreaterThan(5_000);
});
