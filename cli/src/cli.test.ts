import { spawnSync } from 'node:child_process';
import { mkdtempSync, readFileSync, writeFileSync } from 'node:fs';
import { tmpdir } from 'node:os';
import { join } from 'node:path';
import { fileURLToPath } from 'node:url';
import { changeItem, plan, planReportSchema, planWithMoves, readProject, writeProject } from '@hosket/core';
import { describe, expect, it } from 'vitest';
import { run } from './run.ts';

const root = fileURLToPath(new URL('../..', import.meta.url));
const demo = join(root, 'samples/harl-quarry.hosket.json');
const folder = mkdtempSync(join(tmpdir(), 'hosket-'));

/** Carries words out as the command does, without a process of its own: what the command itself adds is tried below. */
async function hosket(...words: string[]) {
  let [stdout, stderr] = ['', ''];
  const { exit } = await run(words, { out: (text) => (stdout += text), err: (text) => (stderr += text) });
  return { status: exit, stdout, stderr };
}

/** Runs the real command as a person or script would. */
function started(...words: string[]) {
  const { status, stdout, stderr } = spawnSync(process.execPath, [join(root, 'scripts/hosket.mjs'), ...words], {
    cwd: root,
    encoding: 'utf8',
    maxBuffer: 1e8,
  });
  return { status, stdout, stderr };
}

function file(name: string, text: string): string {
  const path = join(folder, name);
  writeFileSync(path, text);
  return path;
}

const project = (() => {
  const read = readProject(readFileSync(demo, 'utf8'));
  if (!read.ok) throw new Error(read.fault.message);
  return read.value;
})();

describe('hosket nest and hosket templates', () => {
  it('nest writes a project whose layout is kept; the same file and tries give the same one', async () => {
    const out = [join(folder, 'a.hosket.json'), join(folder, 'b.hosket.json')];
    for (const path of out) expect((await hosket('nest', demo, '--tries', '30', '--out', path)).status).toBe(0);
    const [a, b] = out.map((path) => readFileSync(path, 'utf8'));
    expect(a).toBe(b);
    const read = readProject(a);
    expect(read.ok && read.value.nest.places.length).toBe(5);
    expect(read.ok && plan(read.value).report.cutting).toMatchObject({ kept: true, clashes: [], nowhere: [] });
  });

  it('templates writes a PDF', async () => {
    const out = join(folder, 't.pdf');
    expect((await hosket('templates', demo, '--out', out)).status).toBe(0);
    expect(readFileSync(out, 'latin1').slice(0, 5)).toBe('%PDF-');
  });

  it('without a file to write, a wrong number of tries, or where nothing can be written: says so', async () => {
    expect(await hosket('nest', demo)).toMatchObject({ status: 2, stderr: expect.stringContaining('needs --out') });
    expect((await hosket('nest', demo, '--out', 'x', '--tries', 'many')).stderr).toContain(
      '--tries takes a whole number',
    );
    expect(await hosket('templates', demo, '--out', join(folder, 'none', 't.pdf'))).toMatchObject({
      status: 3,
      stderr: expect.stringContaining('Give a path that can be written'),
    });
  });
});

describe('hosket plan', () => {
  it('prints heights, stack, amounts, waits and finish', async () => {
    const { status, stdout, stderr } = await hosket('plan', demo);
    expect(stderr).toBe('');
    expect(status).toBe(0);
    for (const part of [
      'Heights',
      'Stack, halfway',
      'The three schools',
      'Cutting',
      'hot wire',
      'Amounts',
      'Waits',
      'Finish',
      'Bench 3',
      'Haul road',
      'of room over Flooded pit',
      'would hold',
      'carve',
      'joint 1',
    ])
      expect(stdout).toContain(part);
  });

  it('--json prints the whole plan, planWithMoves, the same as the core works out', async () => {
    const { status, stdout } = await hosket('plan', demo, '--json');
    expect(status).toBe(0);
    const printed = JSON.parse(stdout);
    expect(planReportSchema.safeParse(printed).success).toBe(true);
    expect(printed).toEqual(JSON.parse(JSON.stringify(planWithMoves(project).report)));
  });

  it('--imperial speaks inches', async () =>
    expect((await hosket('plan', demo, '--imperial')).stdout).toMatch(/16\.535 in x 11\.693 in/));

  it('a contour above the highest reachable stack: the plan is printed, the reason named, exit 1', async () => {
    const high = file(
      'high.hosket.json',
      writeProject({
        ...changeItem(project, 'bench-5', { heightMm: 400 }),
        sheets: [{ ...project.sheets[0], count: 1 }],
      }),
    );
    const { status, stdout } = await hosket('plan', high);
    expect(status).toBe(1);
    expect(stdout).toMatch(/stop: .*above the highest stack these sheets make/);
    expect(stdout).toContain('Finish');
  });
});

describe('what cannot be planned', () => {
  it.each([
    ['a file that does not exist', join(folder, 'nowhere.json'), 3, 'there is no such file'],
    ['a folder', folder, 3, 'that is a folder'],
    ['an empty file', file('empty.json', ''), 4, 'The file is empty'],
    ['a file cut short', file('cut.json', readFileSync(demo, 'utf8').slice(0, 900)), 4, 'not readable JSON'],
    [
      'a base of no size',
      file('none.json', readFileSync(demo, 'utf8').replace('"widthMm": 420', '"widthMm": 0')),
      4,
      'base.shape.widthMm',
    ],
    [
      'a negative height',
      file('low.json', readFileSync(demo, 'utf8').replace('"heightMm": 17', '"heightMm": -17')),
      4,
      'landforms[4].heightMm',
    ],
  ])('%s', async (_what, path, exit, words) => {
    for (const command of ['plan', 'check']) {
      const { status, stdout, stderr } = await hosket(command, path);
      expect(status).toBe(exit);
      expect(stderr).toContain(words);
      expect(stdout).toBe('');
    }
  });

  it.each([[['paint', demo]], [['plan']], [['plan', demo, 'more']], [['plan', '--colour', demo]]])(
    'wrong use: %j',
    async (words) => {
      expect((await hosket(...words)).status).toBe(2);
    },
  );
});

describe('the command itself', () => {
  it('is started, writes, and ends with its code', () => {
    const { status, stdout, stderr } = started('plan', demo, '--json');
    expect({ status, stderr }).toEqual({ status: 0, stderr: '' });
    expect(JSON.parse(stdout)).toEqual(JSON.parse(JSON.stringify(planWithMoves(project).report)));
    expect(started('plan', join(folder, 'nowhere.json'))).toMatchObject({
      status: 3,
      stdout: '',
      stderr: expect.stringContaining('there is no such file'),
    });
    expect(started('paint', demo).status).toBe(2);
  });
});

it('hosket stages lists every stage, and which an edit left alone', async () => {
  const { status, stdout } = await hosket('stages', demo);
  expect(status).toBe(0);
  expect(stdout).toMatch(/^ +solved ground +ran +[\d.]+ +[\d.]+ +ran/m);
  expect(stdout).toMatch(/^ +shed +ran +[\d.]+ +[\d.]+ +kept .* kept/m);
  expect(stdout).toMatch(/^ +other stacks +ran +[\d.]+ +[\d.]+ +left .* ran/m);
});

describe('the other samples', () => {
  const sample = (name: string) => fileURLToPath(new URL(`../../samples/${name}.hosket.json`, import.meta.url));

  it('Vessa Terraces: its hollows with their ends, and what covers what', async () => {
    const { status, stdout } = await hosket('plan', sample('vessa-terraces'));
    expect(status).toBe(0);
    expect(stdout).toMatch(/Cistern: from 27 mm to 34 mm/);
    expect(stdout).toContain('ends at the surface and in a void');
    expect(stdout).toMatch(/Threshing floor +paving +0\.\d %/);
  });

  it('Tarrow Moor: all its edges meet', async () => {
    const { status, stdout } = await hosket('plan', sample('tarrow-moor'));
    expect(status).toBe(0);
    expect(stdout).toContain('Peat cuttings right, Lane end left: meet');
    expect(stdout).toContain('Lane end right, Clapper left: meet');
  });
});

it('hosket check says what stands against a plan', async () => {
  expect(await hosket('check', demo)).toMatchObject({
    status: 0,
    stdout: expect.stringContaining('a sound project, 22 drawn'),
  });
  const idle = file('idle.json', writeProject({ ...project, marks: [], landforms: [], laid: [], sheets: [] }));
  expect((await hosket('check', idle)).stdout).toContain('note: Ground: No heights are drawn yet');
});

describe('hosket sheet and hosket shopping', () => {
  it('sheet writes a PDF, and needs a file to write', async () => {
    const out = join(folder, 's.pdf');
    expect((await hosket('sheet', demo, '--out', out)).status).toBe(0);
    expect(readFileSync(out, 'latin1').slice(0, 5)).toBe('%PDF-');
    expect(await hosket('sheet', demo)).toMatchObject({
      status: 2,
      stderr: expect.stringContaining('sheet needs --out'),
    });
  });

  it('shopping has the numbers of the plan, planWithMoves, with semicolons and decimal commas where they are wanted', async () => {
    const { shopping } = plan(project).report;
    const plain = (await hosket('shopping', demo)).stdout.trim().split('\r\n');
    expect(plain).toHaveLength(1 + 2 + shopping.length + 1);
    const compound = shopping.find(({ material }) => material === 'compound');
    const line = plain.find((one) => one.startsWith('Cellulose-plaster compound,'));
    expect(line?.split(',')[3]).toBe(String(Math.round((compound?.likely ?? 0) * 100) / 100));
    expect((await hosket('shopping', demo, '--semicolons')).stdout).toMatch(/^Cellulose-plaster compound;;g;\d+,\d+;/m);
  });

  it('for a set: one list for all its tiles, with plan, planWithMoves, shopping and the bench sheet alike', async () => {
    const moor = join(root, 'samples/tarrow-moor.hosket.json');
    const csv = (await hosket('shopping', moor)).stdout;
    expect(csv).toMatch(/^Fibreboard,6 mm,each,3,3,0,3,3,/m);
    const text = (await hosket('plan', moor)).stdout;
    expect(text).toContain('Shopping list for 3 tiles, 80 % sure to be enough');
    expect(text).toMatch(/Fibreboard: 6 mm +3 +3 /);
  });

  it('what the builder ignores is said with his reason, and stops nothing', async () => {
    const wrong = {
      ...project,
      recipes: project.recipes.map((recipe) => ({ ...recipe, coats: [...recipe.coats].reverse() })),
      overruled: [{ code: 'seal-under-paste', place: project.recipes[0].name, note: 'a trial' }],
    };
    const { stdout, status } = await hosket('check', file('overruled.hosket.json', writeProject(wrong)));
    expect(status).toBe(0);
    expect(stdout).toMatch(/ignored: Earth and grass: .*\(a trial\)/);
    expect(stdout).toMatch(/warn: Earth and grass: .*Colour before grass/);
  });
});
