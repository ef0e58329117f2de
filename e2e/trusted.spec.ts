import { randomUUID } from 'node:crypto';
import { writeFile } from 'node:fs/promises';
import { tmpdir } from 'node:os';
import { drawItem, startProject, writeProject } from '@hosket/core';
import type { Page } from '@playwright/test';
import { seeded } from '../core/src/testing/edits.ts';
import { App, expect, test, textOf } from './hosket.ts';

test('two tabs on one project: one holds the pen, the other follows and may take it over; nothing of either is lost', async ({
  app,
  page,
  context,
}) => {
  await app.startOwn('Two tabs');
  await app.show('Brief');
  await app.write('Width', '310');
  await app.saved();
  const second = new App(await context.newPage(), app.address);
  await second.page.goto(page.url());
  await second.page.getByRole('heading', { name: 'Brief', level: 1 }).waitFor();
  const notice = (of: App) => of.page.getByLabel('Open in another tab');
  await expect(notice(second)).toBeVisible();
  await expect(second.page.getByLabel('Width', { exact: true })).toHaveValue('310 mm');
  // What the first writes shows in the second as it is written.
  await app.write('Name', 'Still two tabs');
  await expect(second.page.getByLabel('Name', { exact: true })).toHaveValue('Still two tabs');
  // The second may not write, and says why.
  await second.write('Width', '320');
  await expect(second.page.getByText('Another tab is at work on this project.').last()).toBeVisible();
  await expect(page.getByLabel('Width', { exact: true })).toHaveValue('310 mm');
  await notice(second).getByRole('button', { name: 'Work here' }).click();
  await expect(notice(second)).toHaveCount(0);
  await expect(notice(app)).toBeVisible();
  await second.write('Width', '320');
  await expect(page.getByLabel('Width', { exact: true })).toHaveValue('320 mm');
  // The steps of both are there to be taken back.
  await second.page.keyboard.press('Control+z');
  await second.page.keyboard.press('Control+z');
  await expect(second.page.getByLabel('Name', { exact: true })).toHaveValue('Two tabs');
  await expect(page.getByLabel('Name', { exact: true })).toHaveValue('Two tabs');
  // A tab that is closed gives the pen back by itself.
  await second.page.close();
  await expect(notice(app)).toHaveCount(0);
  await app.write('Width', '330');
  await app.saved();
  await page.reload();
  await expect(page.getByLabel('Width', { exact: true })).toHaveValue('330 mm');
});

test('a page that is loaded again in the moment of an edit keeps it', async ({ app, page }) => {
  await app.startOwn('At once');
  await app.show('Brief');
  await app.saved();
  for (const name of ['One', 'Two', 'Three']) {
    await app.write('Name', name);
    await page.reload();
    await expect(page.getByLabel('Name', { exact: true })).toHaveValue(name);
  }
  await page.keyboard.press('Control+z');
  await expect(page.getByLabel('Name', { exact: true })).toHaveValue('Two');
});

test('a project that is deleted in another tab is told, and a change brings it back', async ({
  app,
  page,
  context,
}) => {
  await app.startOwn('Deleted elsewhere');
  await app.show('Brief');
  await app.saved();
  const second = new App(await context.newPage(), app.address);
  await second.open();
  await second.projects();
  await second.page.getByRole('button', { name: 'Delete Deleted elsewhere' }).click();
  await expect(page.getByText('This project was deleted in another tab.').first()).toBeVisible();
  await app.write('Width', '340');
  await app.saved();
  await second.projects();
  await expect(second.page.getByRole('button', { name: 'Delete Deleted elsewhere' })).toBeVisible();
});

test('records that cannot be read stand in the list with their reason and hide nothing; they are saved as they stand, and deleted', async ({
  app,
  page,
}) => {
  await app.startOwn('Sound');
  await app.saved();
  await page.evaluate(async () => {
    const opened = await new Promise<IDBDatabase>((done, fail) => {
      const request = indexedDB.open('hosket');
      request.onsuccess = () => done(request.result);
      request.onerror = () => fail(request.error);
    });
    const store = opened.transaction('projects', 'readwrite').objectStore('projects');
    store.put({
      id: 'newer',
      name: 'From next year',
      changedAt: 9e15,
      project: { format: 'hosket-project', version: 99 },
    });
    store.put({ id: 'broken', name: 'Broken', changedAt: 1, deletedAt: null, project: null });
    await new Promise((done) => {
      store.transaction.oncomplete = done;
    });
    opened.close();
  });
  // Changed last, but it cannot be opened: the sound one is.
  await page.goto(app.address);
  await app.settled();
  await app.projects();
  const list = page.getByRole('list', { name: 'Projects that cannot be read' });
  await expect(list).toContainText('a newer Hosket kept it (version 99');
  await expect(list).toContainText('its project is missing');
  await expect(page.getByRole('button', { name: 'Export Sound' })).toBeVisible();
  const download = page.waitForEvent('download');
  await list.getByRole('button', { name: 'Save the record of From next year' }).click();
  expect((await download).suggestedFilename()).toBe('from-next-year.record.json');
  page.once('dialog', (dialog) => dialog.accept());
  await list.getByRole('button', { name: 'Delete Broken for good' }).click();
  await expect(list).not.toContainText('Broken');
  // By its address: why, its record, and the way to the others.
  await page.goto(`${app.address}/project/newer/ground`);
  await expect(page.getByRole('heading', { name: 'Nothing here' })).toBeVisible();
  await expect(page.getByText('reads up to version')).toBeVisible();
  await expect(page.getByRole('button', { name: 'Save its record' })).toBeVisible();
  await page.getByRole('link', { name: 'Sound' }).click();
  await page.getByRole('heading', { name: 'Ground' }).waitFor();
});

test('a backup holds every project, and brings back what was lost', async ({ app, page }) => {
  await app.startOwn('To be lost');
  await app.saved();
  await app.projects();
  const backup = page.getByRole('region', { name: 'Backup' });
  await expect(backup).toContainText('Nothing was backed up yet.');
  await expect(page.getByTestId('room')).toContainText('free');
  const download = page.waitForEvent('download');
  await backup.getByRole('button', { name: 'Back up all' }).click();
  const file = await (await download).path();
  await expect(backup).toContainText('2 projects saved.');
  await expect(backup).toContainText('Last backed up on');
  await page.getByRole('button', { name: 'Delete To be lost' }).click();
  await page.getByText('To be lost was deleted.').first().waitFor();
  await app.settled();
  await app.projects();
  const chooser = page.waitForEvent('filechooser');
  await backup.getByRole('button', { name: 'Bring back a backup' }).click();
  await (await chooser).setFiles(file);
  await expect(backup).toContainText('1 project brought back. 1 project was here already.');
  await expect(page.getByRole('button', { name: 'Export To be lost' })).toBeVisible();
});

test('where the browser denies its storage the page works for this sitting, says so, and hands the project out', async ({
  app,
  page,
}) => {
  await page.addInitScript(() => {
    IDBFactory.prototype.open = () => {
      throw new DOMException('denied', 'SecurityError');
    };
  });
  await app.open();
  const notice = page.getByLabel('Nothing is kept');
  await expect(notice).toContainText('Nothing can be kept in this browser');
  await expect(page.getByTestId('save-state')).toHaveText('kept for this sitting only');
  await app.begin();
  await app.write('Name', 'Of this sitting');
  await app.projects();
  await expect(page.getByRole('button', { name: 'Export Of this sitting' })).toBeVisible();
  await expect(page.getByRole('button', { name: 'Export Harl Quarry' })).toBeVisible();
  await page.keyboard.press('Escape');
  const download = page.waitForEvent('download');
  await notice.getByRole('button', { name: 'Export the project' }).click();
  expect((await download).suggestedFilename()).toBe('of-this-sitting.hosket.json');
});

test('where the storage never answers that is said, and one may work without it or wait', async ({ app, page }) => {
  await page.addInitScript(() => {
    IDBFactory.prototype.open = () => ({}) as IDBOpenDBRequest;
  });
  await page.goto(app.address);
  await expect(page.getByRole('heading', { name: 'storage does not answer' })).toBeVisible();
  await page.getByRole('button', { name: 'Work without it for now' }).click();
  await page.getByRole('heading', { name: 'Ground' }).waitFor();
  await expect(page.getByLabel('Nothing is kept')).toBeVisible();
});

test('an earlier state is looked at and taken back, and that can be undone', async ({ app, page }) => {
  await app.startOwn('States');
  await app.show('Brief');
  for (const width of ['310', '320', '330']) await app.write('Width', width);
  await app.saved();
  await page.getByRole('button', { name: 'Earlier states' }).click();
  const dialog = page.getByRole('dialog', { name: 'Earlier states' });
  const steps = dialog.getByRole('list', { name: 'Steps back' }).getByRole('listitem');
  await expect(steps.first()).toContainText('1 step back');
  await expect(steps.first()).toContainText('320 × 210 mm');
  await expect(steps.first()).toContainText('Other then: the base');
  await dialog.getByRole('button', { name: 'Take back: 2 steps back' }).click();
  await expect(page.getByLabel('Width', { exact: true })).toHaveValue('310 mm');
  await page.keyboard.press('Control+z');
  await expect(page.getByLabel('Width', { exact: true })).toHaveValue('330 mm');
  // Of another day: as it is kept when it is changed on a later one.
  await app.saved();
  await page.evaluate(
    () =>
      new Promise<void>((done, fail) => {
        const opened = indexedDB.open('hosket');
        opened.onerror = fail;
        opened.onsuccess = () => {
          const records = opened.result.transaction('projects', 'readwrite').objectStore('projects');
          records.openCursor().onsuccess = ({ target }) => {
            const cursor = (target as IDBRequest<IDBCursorWithValue | null>).result;
            if (!cursor) {
              opened.result.close();
              return done();
            }
            cursor.update({ ...cursor.value, changedAt: Date.UTC(2026, 9, 5, 12) });
            cursor.continue();
          };
        };
      }),
  );
  await page.reload();
  await app.write('Width', '400');
  await app.saved();
  await page.getByRole('button', { name: 'Earlier states' }).click();
  await dialog.getByRole('button', { name: 'Take back: At the end of 5 October 2026' }).click();
  await expect(page.getByLabel('Width', { exact: true })).toHaveValue('330 mm');
});

/** Sets the browser's own limit for what a page may keep; without a number, as it was. */
async function limitsOf(page: Page, origin: string) {
  const browser = await page.context().newCDPSession(page);
  return (quotaSize?: number) => browser.send('Storage.overrideQuotaForOrigin', { origin, quotaSize });
}

test('a full disk: every action says so and goes on in the page, the file is offered, and all is kept when there is room', async ({
  app,
  page,
  address,
}) => {
  await app.startOwn('While there was room');
  await app.show('Brief');
  await app.saved();
  const limit = await limitsOf(page, address);
  await limit(1);
  const notice = page.getByLabel('Not kept yet');
  // The browser looks at its limit again within half a minute.
  let width = 310;
  await expect
    .poll(
      async () => {
        await app.write('Width', `${++width}`);
        await page.waitForTimeout(1000);
        return notice.count();
      },
      { timeout: 60_000 },
    )
    .toBe(1);
  await app.write('Width', '333');
  await expect(notice).toContainText('Not kept yet: While there was room, because the disk is full.');
  await expect(page.getByTestId('save-state')).toHaveText('not saved: the disk is full');
  const download = page.waitForEvent('download');
  await notice.getByRole('button', { name: 'Export the project' }).click();
  expect(await textOf(await (await download).path())).toContain('"widthMm": 333');
  // A new one, a copy, a sample and a file are all opened, and held.
  const file = `${tmpdir()}/${randomUUID()}.hosket.json`;
  await writeFile(file, JSON.stringify(startProject('Of a file', '2027-03-01', 'ground')));
  await app.projects();
  await app.begin();
  for (const act of ['Duplicate While there was room', 'Add Vessa Terraces']) {
    await app.projects();
    await page.getByRole('button', { name: act, exact: true }).click();
    await expect(page.getByRole('dialog')).toHaveCount(0);
    await page.getByRole('heading', { name: 'Ground', level: 1 }).waitFor();
  }
  await app.importFile(file);
  await expect(page).toHaveTitle('Of a file, Hosket');
  await app.projects();
  for (const name of ['My groundwork', 'While there was room, copy', 'Vessa Terraces', 'Of a file'])
    await expect(page.getByRole('button', { name: new RegExp(`^${name} .*held in this page only`) })).toBeVisible();
  // What stands in the database cannot even be noted as deleted: that is said, with what to do.
  await page.getByRole('button', { name: 'Delete Harl Quarry', exact: true }).click();
  await expect(page.getByText('Harl Quarry was not deleted: the disk is full.')).toBeVisible();
  await page.keyboard.press('Escape');
  await notice.getByRole('button', { name: 'Try again' }).click();
  await expect(notice).toBeVisible();
  // Left all the same, with one more edit: the last states are in another place, and taken up when it is opened again.
  await app.show('Brief');
  await app.write('Width', '444');
  await expect(page.getByTestId('save-state')).toHaveText('not saved: the disk is full');
  page.once('dialog', (dialog) => dialog.accept());
  await page.reload();
  await page.getByTestId('save-state').waitFor();
  await limit();
  await notice.getByRole('button', { name: 'Try again' }).click();
  await expect(notice).toHaveCount(0);
  await page.reload();
  await expect(page.getByLabel('Width', { exact: true })).toHaveValue('444 mm');
  await app.projects();
  for (const name of [
    'While there was room',
    'My groundwork',
    'While there was room, copy',
    'Vessa Terraces',
    'Harl Quarry',
  ])
    await expect(page.getByRole('button', { name: `Export ${name}`, exact: true })).toBeVisible();
  await page.getByRole('button', { name: /^While there was room .*changed/ }).click();
  await app.show('Brief');
  await expect(page.getByLabel('Width', { exact: true })).toHaveValue('333 mm');
});

test('a folder follows every change, keeps files that are not of Hosket, and is left when it is told so', async ({
  app,
  page,
}) => {
  // The browser's dialog cannot be answered from here: the same kind of folder out of its own file system stands in for the one chosen in it.
  await page.addInitScript(() => {
    Object.assign(window, {
      showDirectoryPicker: async () =>
        (await navigator.storage.getDirectory()).getDirectoryHandle('builds', { create: true }),
    });
  });
  const files = () =>
    page.evaluate(async () => {
      const folder = await (await navigator.storage.getDirectory()).getDirectoryHandle('builds', { create: true });
      const found: Record<string, string> = {};
      for await (const [name, handle] of folder.entries())
        found[name] = await (await (handle as FileSystemFileHandle).getFile()).text();
      return found;
    });
  await app.startOwn('Follow me');
  await page.evaluate(async () => {
    const folder = await (await navigator.storage.getDirectory()).getDirectoryHandle('builds', { create: true });
    const writing = await (await folder.getFileHandle('follow-me.hosket.json', { create: true })).createWritable();
    await writing.write('of somebody else');
    await writing.close();
  });
  await app.projects();
  const folder = page.getByTestId('folder');
  await folder.getByRole('button', { name: 'Let a folder follow' }).click();
  await expect(folder).toContainText('Folder “builds” follows: 2 files, last written');
  expect(Object.keys(await files()).sort()).toEqual([
    'follow-me-2.hosket.json',
    'follow-me.hosket.json',
    'harl-quarry.hosket.json',
  ]);
  await page.keyboard.press('Escape');
  await app.show('Brief');
  await app.write('Width', '355');
  await expect.poll(async () => (await files())['follow-me-2.hosket.json']).toContain('"widthMm": 355');
  await app.write('Name', 'Renamed');
  await expect
    .poll(async () => Object.keys(await files()).sort())
    .toEqual(['follow-me.hosket.json', 'harl-quarry.hosket.json', 'renamed.hosket.json']);
  expect((await files())['follow-me.hosket.json']).toBe('of somebody else');
  // After a reload it follows on by itself; then it is left.
  await page.reload();
  await app.write('Width', '366');
  await expect.poll(async () => (await files())['renamed.hosket.json']).toContain('"widthMm": 366');
  await app.projects();
  await folder.getByRole('button', { name: 'Stop following' }).click();
  await expect(folder).toContainText('A folder on your disk can follow');
  await page.keyboard.press('Escape');
  await app.write('Width', '377');
  await app.saved();
  await page.reload();
  await app.settled();
  expect((await files())['renamed.hosket.json']).toContain('"widthMm": 366');
});

test('a plan that takes long tells how far it is, can be stopped and begun anew, and is never half shown', async ({
  app,
  page,
}) => {
  const random = seeded(7);
  let project = startProject('Rings', '2027-03-01', 'ground');
  for (let k = 0; k < 400; k++) {
    const [x, y, r] = [20 + random() * 250, 20 + random() * 160, 3 + random() * 15];
    const ring = [
      [x - r, y],
      [x, y - r],
      [x + r, y],
      [x, y + r],
    ] as const;
    project = drawItem(project, 'contour', ring, Math.round(random() * 60), { closed: true }).project;
  }
  const file = `${tmpdir()}/${randomUUID()}.hosket.json`;
  await writeFile(file, writeProject(project));
  await app.open();
  await app.importFile(file);
  await expect(page).toHaveTitle('Rings, Hosket');
  await page.getByRole('progressbar', { name: /^Working out:/ }).waitFor();
  await page.getByRole('button', { name: 'Stop', exact: true }).click();
  await expect(page.getByTestId('plan-state')).toHaveText('stopped: figures are those before');
  await expect(page.getByRole('progressbar')).toHaveCount(0);
  await page.getByRole('button', { name: 'Work it out' }).click();
  await app.settled();
  await expect(page.getByRole('main')).toContainText('Heights: as drawn');
});
