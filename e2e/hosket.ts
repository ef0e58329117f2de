import { spawnSync } from 'node:child_process';
import { randomUUID } from 'node:crypto';
import { readFile, writeFile } from 'node:fs/promises';
import { tmpdir } from 'node:os';
import { fileURLToPath } from 'node:url';
import { startProject } from '@hosket/core';
import { test as base, expect, type Locator, type Page } from '@playwright/test';
import { createApp } from '../server/src/app.ts';
import { listenNear } from '../server/src/listen.ts';

const root = fileURLToPath(new URL('..', import.meta.url));

/** The served application, and a page on which any complaint of the browser fails the test. */
export const test = base.extend<{ app: App }, { address: string }>({
  address: [
    async ({}, use) => {
      const { server, port } = await listenNear(createApp(`${root}web/dist`), '127.0.0.1', 4890);
      await use(`http://127.0.0.1:${port}`);
      server.closeAllConnections();
      server.close();
    },
    { scope: 'worker' },
  ],
  app: async ({ page, address }, use) => {
    // What the checks find is read in many of these tests: its list is open, as a builder may keep it.
    await page.addInitScript(() => {
      try {
        localStorage.getItem('hosket-view') ??
          localStorage.setItem('hosket-view', JSON.stringify({ state: { findingsOpen: true }, version: 0 }));
      } catch {
        // Denied.
      }
    });
    const complaints: string[] = [];
    const strangers: string[] = [];
    page.on('console', (message) => message.type() === 'error' && complaints.push(message.text()));
    page.on('pageerror', (error) => complaints.push(error.message));
    page.on('request', (request) => {
      if (!request.url().startsWith(address) && !/^(blob|data):/.test(request.url())) strangers.push(request.url());
    });
    await use(new App(page, address));
    expect(complaints, 'the browser complained').toEqual([]);
    expect(strangers, 'requests to elsewhere').toEqual([]);
  },
});
export { expect };

/** What a builder does with the application, in their words. */
export class App {
  constructor(
    readonly page: Page,
    readonly address: string,
  ) {}

  async open() {
    await this.page.goto(this.address);
    await this.page.getByRole('heading', { name: 'Ground' }).waitFor();
    await this.settled();
  }

  /** A first start that leaves the demo for a project of one's own. */
  async startOwn(name: string) {
    await this.open();
    await this.begin();
    await this.write('Name', name);
    await this.show('Ground');
  }

  /** Starts a bare base of A4 with the sheets that are there. */
  async begin() {
    await this.page.getByRole('button', { name: 'Start my own' }).last().click();
    const start = this.page.getByRole('dialog', { name: 'Start my own' });
    await start.getByRole('radio', { name: 'A bare base' }).click();
    await start.getByLabel('More can be bought').uncheck();
    await start.getByRole('button', { name: 'Begin' }).click();
    await this.page.getByRole('heading', { name: 'Brief', level: 1 }).waitFor();
  }

  /** The same, with a project of finished heights that is built halfway, as a file of it says. */
  async startFinished(name: string) {
    await this.open();
    const file = `${tmpdir()}/${randomUUID()}.hosket.json`;
    await writeFile(file, JSON.stringify(startProject(name, '2027-03-01', 'ground')));
    await this.importFile(file);
    await this.show('Ground');
  }

  /** Until the newest plan is there and everything is saved. */
  async settled() {
    await expect(this.page.getByTestId('plan-state')).toHaveText('worked out');
    await this.saved();
  }

  /** Until everything is saved, or kept as long as the page where nothing can be. */
  async saved() {
    await expect(this.page.getByTestId('save-state')).toHaveText(/^(saved|kept for)/);
  }

  async show(band: string) {
    await this.page.getByRole('link', { name: new RegExp(`^${band}`) }).click();
    await this.page.getByRole('heading', { name: band, level: 1 }).waitFor();
  }

  async write(label: string, text: string) {
    const field = this.page.getByLabel(label, { exact: true });
    await field.fill(text);
    await field.press('Enter');
  }

  /** Tabs on until something with this name has the focus. */
  async tabTo(name: RegExp) {
    for (let step = 0; step < 260; step++) {
      const label = await this.page.evaluate(() => {
        const element = document.activeElement;
        const labelled =
          element instanceof HTMLInputElement || element instanceof HTMLSelectElement
            ? element.labels?.[0]?.textContent
            : null;
        return element?.getAttribute('aria-label') ?? labelled ?? element?.textContent ?? '';
      });
      if (name.test(label)) return;
      await this.page.keyboard.press('Tab');
    }
    throw new Error(`no way by Tab to ${name}`);
  }

  /** Where a place on the base (mm) lies on the page while the whole base is shown. */
  async onPlan(x: number, y: number, base: { widthMm: number; depthMm: number }): Promise<[number, number]> {
    const box = await this.page.getByRole('group', { name: 'Plan of the base' }).boundingBox();
    if (!box) throw new Error('there is no plan');
    const scale = Math.min((box.width - 20) / base.widthMm, (box.height - 20) / base.depthMm);
    return [
      box.x + box.width / 2 + (x - base.widthMm / 2) * scale,
      box.y + box.height / 2 - (y - base.depthMm / 2) * scale,
    ];
  }

  /** Presses on the middle of something, moves the pointer by so many pixels, and does what is wanted before letting go. */
  async drag(thing: Locator, dx: number, dy: number, meanwhile: () => Promise<void> = async () => {}) {
    const box = await thing.boundingBox();
    if (!box) throw new Error('nothing to drag');
    const [x, y] = [box.x + box.width / 2, box.y + box.height / 2];
    await this.page.mouse.move(x, y);
    await this.page.mouse.down();
    await this.page.mouse.move(x + dx / 2, y + dy / 2, { steps: 3 });
    await this.page.mouse.move(x + dx, y + dy, { steps: 3 });
    await meanwhile();
    await this.page.mouse.up();
  }

  /** Takes a tool: from the shelf, or from among all of them. */
  async tool(name: string) {
    const shelf = this.page.getByRole('toolbar', { name: 'Tools' }).getByRole('button', { name, exact: true });
    if (await shelf.count()) return shelf.click();
    await this.page.getByRole('button', { name: /^All \d+$/ }).click();
    await this.page.getByLabel('All tools').getByRole('button', { name, exact: true }).last().click();
  }

  mark(name: string) {
    return this.page.getByRole('complementary').getByRole('button', { name: new RegExp(`^${name}`) });
  }

  /** The chosen school's figures and the amount of compound, as they stand on the screens. */
  async figures() {
    await this.settled();
    await this.show('Layers');
    await this.page.getByRole('button', { name: /^Layer 1,/ }).waitFor();
    const stack = await this.page
      .getByRole('button', { name: /^Layer \d/ })
      .evaluateAll((layers) => layers.map((layer) => layer.getAttribute('aria-label')));
    const school = await this.page.getByRole('radio', { checked: true }).innerText();
    await this.show('Surface');
    const compound = await this.page.getByRole('main').locator('p').first().innerText();
    await this.show('Days');
    const finish = await this.page.getByRole('main').locator('p').first().innerText();
    return { stack, school, compound, finish };
  }

  /** Exports the open project; gives the file's path. */
  async exportFile(name: string): Promise<string> {
    await this.projects();
    const download = this.page.waitForEvent('download');
    await this.page
      .getByRole('button', { name: `Export ${name}`, exact: true })
      .first()
      .click();
    const path = await (await download).path();
    await this.page.keyboard.press('Escape');
    return path;
  }

  async importFile(path: string) {
    await this.projects();
    const chooser = this.page.waitForEvent('filechooser');
    await this.page.getByRole('button', { name: 'Import a file' }).click();
    await (await chooser).setFiles(path);
  }

  async projects() {
    const dialog = this.page.getByRole('dialog', { name: 'Projects' });
    // Between two projects there is a moment in which no page hears the key.
    await expect(async () => {
      await this.page.keyboard.press('Alt+p');
      await dialog.waitFor({ timeout: 4000 });
    }).toPass({ timeout: 90_000 });
  }
}

/** What the command line prints for a file. */
export function commandLine(...words: string[]): string {
  const { stdout } = spawnSync(process.execPath, [`${root}scripts/hosket.mjs`, ...words], {
    cwd: root,
    encoding: 'utf8',
    maxBuffer: 1e8,
  });
  return stdout;
}

export const textOf = (path: string): Promise<string> => readFile(path, 'utf8');
