import { spawnSync } from 'node:child_process';
import { readFile } from 'node:fs/promises';
import { fileURLToPath } from 'node:url';
import { test as base, expect, type Page } from '@playwright/test';
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

  /** Until the newest plan is there and everything is saved. */
  async settled() {
    await expect(this.page.getByTestId('plan-state')).toHaveText('worked out');
    await expect(this.page.getByTestId('save-state')).toHaveText(/^saved/);
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
    await this.page.keyboard.press('Alt+p');
    await this.page.getByRole('dialog', { name: 'Projects' }).waitFor();
  }
}

/** What the command line prints for a file. */
export function commandLine(...words: string[]): string {
  const { stdout } = spawnSync(process.execPath, ['--import', 'tsx', `${root}cli/src/main.ts`, ...words], {
    cwd: root,
    encoding: 'utf8',
    maxBuffer: 1e8,
  });
  return stdout;
}

export const textOf = (path: string): Promise<string> => readFile(path, 'utf8');
