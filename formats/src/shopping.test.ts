import { readFileSync } from 'node:fs';
import {
  benchPages,
  benchSheet,
  listOfTile,
  type Paper,
  type Project,
  plan,
  readProject,
  type ShoppingList,
  sayBuy,
} from '@hosket/core';
import Papa from 'papaparse';
import { getDocument } from 'pdfjs-dist/legacy/build/pdf.mjs';
import { beforeAll, describe, expect, it } from 'vitest';
import { POINTS_PER_MM, writePdf } from './pdf.ts';
import { writeShoppingCsv } from './shoppingCsv.ts';

const read = readProject(readFileSync(new URL('../../samples/harl-quarry.hosket.json', import.meta.url), 'utf8'));
if (!read.ok) throw new Error(read.fault.message);
const quarry: Project = {
  ...read.value,
  materials: {
    added: [
      {
        id: 'dust',
        name: 'Dust; "grey", from the quarry',
        form: 'loose',
        values: {},
        facts: [],
        use: '',
        caution: '',
        packs: [{ amount: 500, unit: 'g' }],
      },
    ],
    values: [
      { material: 'dust', property: 'layerMm', low: 1, likely: 1, high: 1, note: '' },
      { material: 'dust', property: 'bulkKgPerL', low: 1, likely: 1, high: 1, note: '' },
    ],
  },
  recipes: read.value.recipes.map((recipe) => ({
    ...recipe,
    coats: recipe.coats.map((coat) => (coat.material === 'soil' ? { ...coat, material: 'dust' } : coat)),
  })),
  stores: {
    ...read.value.stores,
    items: [
      {
        id: 'a',
        material: 'matt medium',
        which: '',
        amount: 500,
        unit: 'ml',
        opened: null,
        useBy: null,
        place: 'shelf',
      },
    ],
    packs: [
      {
        id: 'p',
        material: 'compound',
        which: '',
        amount: 500,
        unit: 'g',
        price: 4.5,
        supplier: 'Corner, "by the mill"',
      },
    ],
  },
};
const worked = plan(quarry);
const { report } = worked;

describe('the shopping list as a table, read back by another reader', () => {
  const lines = (semicolons: boolean, gaps: ShoppingList['gaps'] = []) =>
    Papa.parse<Record<string, string>>(
      writeShoppingCsv(
        { ...listOfTile(quarry, report), gaps },
        listOfTile(quarry, report).shopping.map((line) => sayBuy(line, 'metric')),
        semicolons,
      ),
      { header: true, skipEmptyLines: true },
    );

  it.each([false, true])('everything needed is a line, quotes and separators kept; semicolons: %s', (semicolons) => {
    const { data, errors, meta } = lines(semicolons);
    expect(errors).toEqual([]);
    expect(meta.delimiter).toBe(semicolons ? ';' : ',');
    const { sheets } = listOfTile(quarry, report);
    expect(data.map(({ material }) => material)).toEqual([
      ...sheets.map(({ name }) => name),
      ...report.shopping.map(({ name }) => name),
      'Total, as far as it is priced',
    ]);
    const money = (text: string) => Number(text.replace(',', '.') || 0);
    const costs = data.slice(0, -1).map(({ cost }) => money(cost));
    expect(money(data[data.length - 1].cost)).toBeCloseTo(
      costs.reduce((all, cost) => all + cost, 0),
      1,
    );
    for (const { cost, currency } of data) expect(currency).toBe(cost ? quarry.currency : '');
    expect(data.map(({ material }) => material)).toContain('Dust; "grey", from the quarry');
    const compound = data.find(({ material }) => material === 'Cellulose-plaster compound');
    expect(compound).toMatchObject({ packs: '2 x 500 g', supplier: 'Corner, "by the mill"', cost: '9' });
  });

  it('decimal points between commas, decimal commas between semicolons, the same numbers', () => {
    const [plain, commas] = [false, true].map((semicolons) => lines(semicolons).data);
    const numbers = (rows: Record<string, string>[], comma: boolean) =>
      rows.slice(0, -1).map((row) => Number(row['needed, likely'].replace(comma ? ',' : '.', '.')));
    expect(numbers(plain, false)).toEqual(numbers(commas, true));
    expect(plain.some((row) => /\d\.\d/.test(row['needed, likely']))).toBe(true);
    expect(commas.some((row) => /\d,\d/.test(row['needed, likely']))).toBe(true);
  });

  it('foam that no sheet is known for has a line of its own, with what to do', () => {
    const message = 'Piece 2-1 lies nowhere; "none", it says.';
    const { data } = lines(true, [{ tile: 'Ford; east', message, remedy: 'Add sheets.' }]);
    expect(data.find(({ material }) => material === 'Foam for Ford; east')).toMatchObject({
      packs: `${message} Add sheets.`,
      cost: '',
    });
  });

  it('what is there is in the list with nothing to buy', () =>
    expect(lines(false).data.find(({ material }) => material.startsWith('Matt medium'))).toMatchObject({
      'in the cupboard': '500',
      'to buy': '0',
      packs: '',
    }));
});

describe('the bench sheet as PDF, read back with pdfjs-dist', () => {
  const face = (weight: number) =>
    new Uint8Array(
      readFileSync(
        new URL(
          `../../node_modules/@fontsource/spline-sans-mono/files/spline-sans-mono-latin-${weight}-normal.woff`,
          import.meta.url,
        ),
      ),
    );
  const printed = async (paper: Paper, largeType = false) => {
    const { grid, outline } = worked.ground;
    const sheet = benchSheet(quarry, report, { ground: grid, outline, zones: worked.zones }, 'metric');
    const pages = benchPages(sheet, paper, { largeType });
    const bytes = await writePdf(pages, 'Bench sheet', { plain: face(400), strong: face(600) });
    const file = await getDocument({ data: bytes, verbosity: 0 }).promise;
    const texts = await Promise.all(
      pages.map(async (_, k) => {
        const { items } = await (await file.getPage(k + 1)).getTextContent();
        return items
          .map((item) => ('str' in item ? item.str : ''))
          .join(' ')
          .replace(/\s+/g, ' ');
      }),
    );
    return { sheet, pages, file, texts };
  };
  let a4: Awaited<ReturnType<typeof printed>>;
  beforeAll(async () => {
    a4 = await printed(quarry.paper);
  });
  const squashed = (text: string) => text.replace(/\s+/g, '');
  const all = () => squashed(a4.texts.join(' '));

  it('has the size of its paper, one page of all of it first, and stages that share pages', async () => {
    const page = await a4.file.getPage(1);
    const [, , width, height] = page.view;
    expect(width / POINTS_PER_MM).toBeCloseTo(210, 1);
    expect(height / POINTS_PER_MM).toBeCloseTo(297, 1);
    for (const { title } of a4.sheet.stages)
      expect(a4.pages.filter((one) => one.title.split('; ').includes(title)).length, title).toBeGreaterThan(0);
    const [first] = a4.texts;
    expect(first.startsWith('Harl Quarry: the whole of it')).toBe(true);
    for (const { title, when } of a4.sheet.stages.flatMap(({ steps }) => steps))
      expect(squashed(first)).toContain(squashed(`${when}: ${title}`));
    for (const line of a4.sheet.summary) expect(squashed(first)).toContain(squashed(line));
    // No paper is wasted: there are fewer pages of work than stages.
    const work = a4.pages.filter(({ title }) => !/whole of it|Shopping list/.test(title));
    expect(work.length).toBeLessThan(a4.sheet.stages.length);
  });

  it('every step with every amount, its bowls, its waits and its cautions is on it', () => {
    for (const { steps } of a4.sheet.stages)
      for (const step of steps) {
        expect(all()).toContain(squashed(step.title));
        for (const text of [...step.amounts, step.batches, ...step.cautions])
          expect(all(), text).toContain(squashed(text));
        if (step.waits) expect(all()).toContain(squashed(step.waits));
      }
    expect(all()).toContain(squashed(a4.sheet.deferral));
  });

  it('the shopping list has everything that is needed, what is there apart', () => {
    const last = squashed(a4.texts.filter((_, k) => a4.pages[k].title === 'Shopping list').join(' '));
    for (const { name } of report.shopping) expect(last, name).toContain(squashed(name));
    expect(last.indexOf('Mattmedium')).toBeGreaterThan(last.indexOf('Inthecupboardalready'));
  });

  it('nothing is written beside the page, whatever the paper', async () => {
    for (const [size, largeType] of [
      ['A4', false],
      ['A3', false],
      ['Letter', false],
      ['A4', true],
      ['Letter', true],
    ] as const) {
      const { pages } = await printed({ ...quarry.paper, size }, largeType);
      for (const { words, strokes, widthMm, heightMm } of pages) {
        for (const { at, text, sizeMm } of words) {
          expect(at[0], text).toBeGreaterThan(5);
          expect(at[0] + text.length * sizeMm * 0.6, text).toBeLessThan(widthMm - 5);
          expect(at[1], text).toBeGreaterThan(5);
          expect(at[1] + sizeMm).toBeLessThan(heightMm);
        }
        for (const { points } of strokes)
          for (const [x, y] of points) {
            expect(x).toBeGreaterThan(5);
            expect(x).toBeLessThan(widthMm - 5);
            expect(y).toBeGreaterThan(5);
            expect(y).toBeLessThan(heightMm - 5);
          }
      }
    }
  });

  it('in large type amounts are set in 15 points, nothing that must be read at the bench in less than 12', async () => {
    const { pages } = await printed(quarry.paper, true);
    const steps = pages.filter(({ title }) => !title.includes('whole of it'));
    const sizes = steps.flatMap(({ words }) =>
      words.filter(({ at }) => at[1] > 10).map(({ sizeMm }) => sizeMm * POINTS_PER_MM),
    );
    expect(Math.min(...sizes)).toBeGreaterThan(11.3);
    expect(sizes.filter((size) => size > 14.5).length).toBeGreaterThan(sizes.length / 3);
  });
});
