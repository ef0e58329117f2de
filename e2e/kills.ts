/**
 * Kills the browser (SIGKILL, all of it) at random moments while somebody works, opens it again, and looks at what is left: no project may be gone, and
 * no edit that was made more than half a second before. `tsx e2e/kills.ts N [SEED]`, or `npm run fuzz -- kills N [SEED]`.
 */
import { type ChildProcess, spawn } from 'node:child_process';
import { mkdtempSync, readFileSync, rmSync } from 'node:fs';
import { tmpdir } from 'node:os';
import { fileURLToPath } from 'node:url';
import { type Browser, chromium, type Page } from '@playwright/test';
import { seeded } from '../core/src/testing/edits.ts';
import { createApp } from '../server/src/app.ts';
import { listenNear } from '../server/src/listen.ts';
import { launchOptions } from './launch.ts';

/** An edit made less than this before the kill may be gone, ms. */
const MAY_BE_LOST_MS = 500;
const LONGEST_WORK_MS = 2500;

const [many, seed = '1'] = process.argv.slice(2);
const count = Number(many);
const random = seeded(Number(seed));
const web = fileURLToPath(new URL('../web/dist', import.meta.url));
const { server, port } = await listenNear(createApp(web), '127.0.0.1', 4950);
const address = `http://127.0.0.1:${port}`;
const profile = mkdtempSync(`${tmpdir()}/hosket-kills-`);
const faults: string[] = [];
let edits = 0;
let lastHalfSecond = 0;
let oldestLostMs = 0;

/** A browser of its own process group over the same profile, and the page as it was left. */
async function start(path: string): Promise<{ process: ChildProcess; browser: Browser; page: Page }> {
  rmSync(`${profile}/DevToolsActivePort`, { force: true });
  const flags = [
    '--headless=new',
    '--remote-debugging-port=0',
    `--user-data-dir=${profile}`,
    ...(launchOptions.args ?? []),
  ];
  const process = spawn(launchOptions.executablePath ?? '', [...flags, 'about:blank'], {
    detached: true,
    stdio: 'ignore',
  });
  const devtools = await until(() => {
    const [port] = readFileSync(`${profile}/DevToolsActivePort`, 'utf8').split('\n');
    // The file is there a moment before what is written in it.
    if (!Number(port)) throw new Error('no port yet');
    return port;
  });
  const browser = await chromium.connectOverCDP(`http://127.0.0.1:${devtools}`);
  const page = await browser.contexts()[0].newPage();
  await page.goto(`${address}${path}`);
  await page.getByTestId('save-state').waitFor();
  return { process, browser, page };
}

async function until<T>(look: () => T): Promise<T> {
  for (let k = 0; ; k++) {
    try {
      return look();
    } catch (error) {
      if (k > 400) throw error;
      await new Promise((done) => setTimeout(done, 50));
    }
  }
}

/** Projects by name, with their notes, as the database holds them. */
const kept = (page: Page) =>
  page.evaluate(
    () =>
      new Promise<string[]>((done, fail) => {
        const opened = indexedDB.open('hosket');
        opened.onerror = () => fail(opened.error);
        opened.onsuccess = () => {
          const all = opened.result.transaction('projects').objectStore('projects').getAll();
          all.onsuccess = () => {
            opened.result.close();
            done(all.result.map(({ id }: { id: string }) => id));
          };
        };
      }),
  );

let path = '';
/** Projects that were seen on the bench, by id. */
const projects = new Set<string>();
/** Numbers written into the notes of the open project, and when the page had taken each. */
let written: { number: number; at: number }[] = [];
let number = 0;

for (let k = 0; k < count; k++) {
  const { process, browser, page } = await start(path);
  const here = new Set(await kept(page));
  for (const id of projects) if (!here.has(id)) faults.push(`after kill ${k}: project ${id} is gone`);
  const notes = page.getByLabel('Notes', { exact: true });
  if (written.length) {
    const found = Number(await notes.inputValue());
    const killedAt = written[written.length - 1].at;
    for (const edit of written.slice(0, -1).filter((each) => each.number > found)) {
      lastHalfSecond++;
      const before = killedAt - edit.at;
      oldestLostMs = Math.max(oldestLostMs, before);
      if (before > MAY_BE_LOST_MS) faults.push(`after kill ${k}: an edit of ${Math.round(before)} ms before is gone`);
    }
  }
  if (!path || random() < 0.1) {
    await page.keyboard.press('Alt+p');
    await page.getByRole('button', { name: 'Start my own' }).last().click();
    await page.getByRole('button', { name: 'Begin' }).click();
    await page.getByRole('dialog').waitFor({ state: 'detached' });
    await page.getByRole('link', { name: /^Brief/ }).click();
    await notes.waitFor();
    path = new URL(page.url()).pathname;
    projects.add(path.split('/')[2]);
  }
  written = [];
  let killed = false;
  const work = (async () => {
    while (!killed) {
      await notes.fill(`${++number}`);
      await notes.blur();
      written.push({ number, at: performance.now() });
      edits++;
      await page.waitForTimeout(random() * 120);
    }
  })().catch(() => {});
  await new Promise((done) => setTimeout(done, 100 + random() * LONGEST_WORK_MS));
  if (process.pid) global.process.kill(-process.pid, 'SIGKILL');
  killed = true;
  // The end of the list tells when it was killed.
  written.push({ number: Number.NaN, at: performance.now() });
  await work;
  written = written.filter(
    ({ number: n }, at) => Number.isNaN(n) || at < written.findIndex((w) => Number.isNaN(w.number)),
  );
  await browser.close().catch(() => {});
  if (k % 20 === 19) console.log(`${k + 1} kills, ${edits} edits, ${faults.length} faults`);
}
for (const fault of faults.slice(0, 40)) console.log(`  ${fault}`);
console.log(
  `${count} kills at random moments, ${edits} edits, ${projects.size} projects: ${lastHalfSecond} edits of the last moments lost, the earliest of them made ${Math.round(oldestLostMs)} ms before; ${faults.length} faults`,
);
server.closeAllConnections();
server.close();
rmSync(profile, { recursive: true, force: true });
process.exit(faults.length ? 1 : 0);
