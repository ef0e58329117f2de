import { cpSync, mkdtempSync, readFileSync, writeFileSync } from 'node:fs';
import { tmpdir } from 'node:os';
import { join } from 'node:path';
import { fileURLToPath } from 'node:url';
import type { Page } from '@playwright/test';
import { createApp } from '../server/src/app.ts';
import { listenNear } from '../server/src/listen.ts';
import { App, expect, test } from './hosket.ts';

test.use({ serviceWorkers: 'allow' });

const built = fileURLToPath(new URL('../web/dist', import.meta.url));

/** A server of one's own that can be stopped and started again at the same address. */
async function ownServer(dist: string, port = 4940) {
  const { server, port: got } = await listenNear(createApp(dist), '127.0.0.1', port);
  const stop = () =>
    new Promise<void>((done) => {
      server.close(() => done());
      server.closeAllConnections();
    });
  return { address: `http://127.0.0.1:${got}`, port: got, stop };
}

/** Until the browser has kept the whole application. */
const kept = (page: Page) =>
  expect
    .poll(() =>
      page.evaluate(async () => {
        const registration = await navigator.serviceWorker.getRegistration();
        return registration?.active?.state === 'activated' && navigator.serviceWorker.controller !== null;
      }),
    )
    .toBe(true);

const bands = ['Brief', 'Ground', 'Layers', 'Cutting', 'Surface', 'Days', 'Stores'];

test('after the first visit the server may go: every view, the samples, faces, files in and out, and what was typed', async ({
  page,
}) => {
  const complaints: string[] = [];
  page.on('console', (message) => message.type() === 'error' && complaints.push(message.text()));
  page.on('pageerror', (error) => complaints.push(error.message));
  const server = await ownServer(built);
  const app = new App(page, server.address);
  await app.open();
  const manifest = await (await fetch(`${server.address}/manifest.webmanifest`)).json();
  for (const { src } of manifest.icons) expect((await fetch(server.address + src)).status).toBe(200);
  await kept(page);
  await server.stop();
  await page.reload();
  await app.settled();
  for (const band of bands) await app.show(band);
  for (const face of ['Bricolage Grotesque', 'Atkinson Hyperlegible Next', 'Spline Sans Mono'])
    expect(
      await page.evaluate(
        (name) => [...document.fonts].some((f) => f.family.includes(name) && f.status === 'loaded'),
        face,
      ),
      face,
    ).toBe(true);
  await app.show('Cutting');
  await page.getByRole('tab', { name: 'Templates and files' }).click();
  for (const what of ['PDF', 'DXF', 'SVG', 'STL', '3MF']) {
    const coming = page.waitForEvent('download');
    await page
      .getByRole('button', { name: new RegExp(what) })
      .first()
      .click();
    expect((await coming).suggestedFilename(), what).toContain('.');
  }
  await app.projects();
  await page.getByRole('button', { name: 'Vessa Terraces' }).first().click();
  await app.settled();
  await app.show('Brief');
  await app.write('Name', 'Without a server');
  await app.saved();
  await page.goto(`${server.address}/`);
  await app.show('Brief');
  await expect(page.getByLabel('Name', { exact: true })).toHaveValue('Without a server');
  expect(complaints).toEqual([]);
});

test('a newer version is offered, waits for other tabs and for what is being typed, and keeps every project', async ({
  page,
  context,
}) => {
  const dist = mkdtempSync(join(tmpdir(), 'hosket-version-'));
  cpSync(built, dist, { recursive: true });
  let server = await ownServer(dist, 4945);
  const app = new App(page, server.address);
  await app.startOwn('Old and new');
  await kept(page);
  await app.show('Brief');
  const notice = (of: Page) => of.getByLabel('A newer version');
  await expect(notice(page)).toHaveCount(0);
  // The next version: another page, and so another list of what is kept.
  await server.stop();
  const at = (name: string) => join(dist, name);
  writeFileSync(
    at('index.html'),
    readFileSync(at('index.html'), 'utf8').replace('<body>', '<body data-version="next">'),
  );
  const list = readFileSync(at('sw.js'), 'utf8');
  const next = list.replace(/(\{url:"index\.html",revision:")[^"]*/, '$1next');
  expect(next).not.toBe(list);
  writeFileSync(at('sw.js'), next);
  server = await ownServer(dist, server.port);
  expect(server.address).toBe(app.address);
  const other = await context.newPage();
  await other.goto(page.url());
  // Both still work with the old one, and are told of the new.
  await expect(notice(page)).toBeVisible();
  expect(await page.locator('body[data-version]').count()).toBe(0);
  await app.write('Width', '333');
  await notice(page).getByRole('button', { name: 'Update now' }).click();
  await expect(notice(page)).toContainText('Other tabs still work with this version.');
  expect(await page.locator('body[data-version]').count()).toBe(0);
  await other.close();
  await app.write('Depth', '222');
  await notice(page).getByRole('button', { name: 'Try again' }).click();
  await expect(page.locator('body[data-version="next"]')).toHaveCount(1);
  await expect(page.getByLabel('Width', { exact: true })).toHaveValue('333 mm');
  await expect(page.getByLabel('Depth', { exact: true })).toHaveValue('222 mm');
  await expect(notice(page)).toHaveCount(0);
  await server.stop();
});
