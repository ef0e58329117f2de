import { readFileSync } from 'node:fs';
import { describe, expect, it } from 'vitest';
import { lineLength, type Point } from '../geometry/index.ts';
import { plan } from '../planner/index.ts';
import { type Project, readProject } from '../project/index.ts';
import { templateSource } from '../sets/index.ts';
import { clipStroke, type Page, wordsWide } from './page.ts';
import { paperSize } from './paper.ts';
import { withinPiece } from './pieceDrawings.ts';
import { sidesOf } from './profiles.ts';
import { type TemplateKind, templateKinds, templatePages } from './templates.ts';

const sample = (name: string): Project => {
  const read = readProject(readFileSync(new URL(`../../../samples/${name}.hosket.json`, import.meta.url), 'utf8'));
  if (!read.ok) throw new Error(read.fault.message);
  return read.value;
};
const made = (name: string, change: (project: Project) => Project = (project) => project) => {
  const project = change(sample(name));
  const { report, ground } = plan(project);
  const source = templateSource(project, report, ground.grid, ground.outline);
  return {
    project,
    report,
    ground,
    pages: (kinds: readonly TemplateKind[], paper: Partial<Project['paper']> = {}) =>
      templatePages({ ...project, paper: { ...project.paper, ...paper } }, source, kinds),
  };
};
const quarry = made('harl-quarry');
const vessa = made('vessa-terraces');

const MARGIN_MM = 6;
/** The level line at the foot of a page, over its white margin. */
const barOf = (page: Page): number => {
  const bar = page.strokes.find(
    ({ pen, points }) => pen === 'mark' && points.length === 2 && points.every(([, y]) => y === MARGIN_MM + 3),
  );
  return bar ? bar.points[1][0] - bar.points[0][0] : Number.NaN;
};

describe('paper', () => {
  it('has the sizes of ISO 216, and of Letter', () => {
    const of = (size: Project['paper']['size']) => paperSize({ ...quarry.project.paper, size });
    expect(of('A4')).toEqual({ widthMm: 210, heightMm: 297 });
    expect(of('A3')).toEqual({ widthMm: 297, heightMm: 420 });
    expect(of('Letter')).toEqual({ widthMm: 215.9, heightMm: 279.4 });
    // A0 is a square metre with sides 1 : root 2; each size halves the one before, rounded down.
    let [w, h] = [841, 1189];
    for (let n = 0; n < 4; n++) [w, h] = [Math.floor(h / 2), w];
    expect(of('A4')).toEqual({ widthMm: w, heightMm: h });
  });
});

describe('pages', () => {
  it('every page has its bar, and nothing reaches into the white margin', () => {
    for (const page of quarry.pages(templateKinds)) {
      expect(barOf(page)).toBeCloseTo(100, 9);
      for (const { points } of page.strokes)
        for (const [x, y] of points) {
          expect(x).toBeGreaterThan(6 - 5);
          expect(x).toBeLessThan(page.widthMm - 6 + 5);
          expect(y).toBeGreaterThan(0);
          expect(y).toBeLessThan(page.heightMm);
        }
    }
  });

  it('no line of words runs off its page, however long the names of sheets and however small the paper', () => {
    const name = 'Dense foam of twenty millimetres from the back of the upper shelf in the shed';
    const long = made('harl-quarry', (project) => ({
      ...project,
      sheets: project.sheets.map((sheet) => ({ ...sheet, name: `${name} ${sheet.id}` })),
      cutting: { ...project.cutting, offsetKerf: true, tool: 'hot wire' },
    }));
    const small = { size: 'own', widthMm: 120, heightMm: 170 } as const;
    let widest = 0;
    for (const page of [...long.pages(['guide', 'contours']), ...long.pages(['pieces', 'guide'], small)])
      for (const { at, text, sizeMm, align, home } of page.words) {
        // A label stays with its piece.
        if (home) continue;
        const right = at[0] + wordsWide(text, sizeMm) / (align === 'middle' ? 2 : 1);
        widest = Math.max(widest, right / page.widthMm);
        expect(right, text).toBeLessThan(page.widthMm);
      }
    expect(widest).toBeGreaterThan(0.9);
  });

  it('paper that is too narrow for the bar has half of it, and says so', () => {
    const narrow = { size: 'own', widthMm: 90, heightMm: 140 } as const;
    const pages = quarry.pages(['guide'], narrow);
    expect(pages.length).toBeGreaterThan(0);
    for (const page of pages) {
      expect(page.widthMm < 112 ? 50 : 100).toBeCloseTo(barOf(page), 9);
      expect(page.words.some(({ text }) => text.startsWith(page.widthMm < 112 ? '50 mm, half' : '100 mm:'))).toBe(true);
    }
  });

  it('a bar that measured 98 mm makes everything larger by 100 / 98', () => {
    const cutLength = (barMm: number) =>
      quarry
        .pages(['pieces'], { size: 'own', widthMm: 900, heightMm: 900, barMm })
        .flatMap(({ strokes }) => strokes.filter(({ pen }) => pen === 'cut' || pen === 'hole'))
        .reduce((sum, { points, closed }) => sum + lineLength(points, closed), 0);
    const pieces = quarry.report.cutting.pieces.reduce((sum, piece) => sum + piece.outlineMm, 0);
    expect(cutLength(100)).toBeCloseTo(pieces, 3);
    expect(cutLength(98) / cutLength(100)).toBeCloseTo(100 / 98, 9);
    expect(barOf(quarry.pages(['guide'], { barMm: 98 })[0])).toBeCloseTo(1e4 / 98, 9);
  });

  it('pages laid over each other by their marks give the whole outline again', () => {
    const whole = quarry.pages(['pieces'], { size: 'own', widthMm: 900, heightMm: 900 });
    const tiles = quarry.pages(['pieces']).filter(({ title }) => title.startsWith('Piece 1-1 '));
    expect(tiles).toHaveLength(4);
    // Where a mark lies on two pages tells how they lie to each other.
    const markOf = (page: Page, name: string) => {
      const word = page.words.find(({ text }) => text === name);
      const near = page.strokes
        .filter(
          ({ pen, points }) => pen === 'mark' && points.length === 2 && Math.abs(lineLength(points, false) - 8) < 1e-6,
        )
        .map(({ points: [a, b] }) => [(a[0] + b[0]) / 2, (a[1] + b[1]) / 2] as const)
        .sort(
          (a, b) =>
            Math.hypot(a[0] - (word?.at[0] ?? 0), a[1] - (word?.at[1] ?? 0)) -
            Math.hypot(b[0] - (word?.at[0] ?? 0), b[1] - (word?.at[1] ?? 0)),
        );
      return word ? near[0] : null;
    };
    const names = (page: Page) =>
      page.words.map(({ text }) => text).filter((text) => /^[A-Z]\d[A-Z]\d\.\d$/.test(text));
    const [first, ...others] = tiles;
    const placed = new Map<Page, Point>([[first, [0, 0]]]);
    for (let round = 0; round < 3; round++)
      for (const page of others) {
        if (placed.has(page)) continue;
        for (const [known, [dx, dy]] of placed) {
          const shared = names(page).find((name) => names(known).includes(name));
          const [a, b] = shared ? [markOf(known, shared), markOf(page, shared)] : [null, null];
          if (a && b) {
            placed.set(page, [dx + a[0] - b[0], dy + a[1] - b[1]]);
            break;
          }
        }
      }
    expect(placed.size).toBe(4);
    const corners = (pages: [Page, Point][]) =>
      pages.flatMap(([page, [dx, dy]]) =>
        page.strokes
          .filter(({ pen }) => pen === 'cut')
          .flatMap(({ points }) => points.map(([x, y]): Point => [x + dx, y + dy])),
      );
    const taped = corners([...placed]);
    const size = (points: Point[]) =>
      [0, 1].map((k) => Math.max(...points.map((p) => p[k])) - Math.min(...points.map((p) => p[k])));
    const one = whole.find(({ title }) => title.includes('1-1')) as Page;
    const label = one.title.startsWith('Piece 1-1');
    if (label) expect(size(taped)).toEqual(size(corners([[one, [0, 0]]])).map((v) => expect.closeTo(v, 6)));
    expect(size(taped)[0]).toBeCloseTo(420, 0);
    expect(size(taped)[1]).toBeCloseTo(297, 0);
  });

  it('words stand on one page only, and a label stays together', () => {
    const pages = quarry.pages(['pieces']).filter(({ title }) => title.startsWith('Piece 2-1 '));
    const on = (text: string) => pages.filter(({ words }) => words.some((word) => word.text === text));
    expect(on('2-1')).toHaveLength(1);
    expect(on('layer 2 · this side up')).toEqual(on('2-1'));
  });

  it('a piece says what it is: label, layer, sheet, which way up; the next outline, its pins and voids are drawn on it', () => {
    const pages = vessa.pages(['pieces'], { size: 'own', widthMm: 500, heightMm: 500 });
    const words = pages.flatMap((page) => page.words.map(({ text }) => text));
    for (const piece of vessa.report.cutting.pieces) expect(words).toContain(piece.id);
    expect(words).toContain('layer 1 · this side up');
    expect(words.some((text) => text.startsWith('Dense foam 30, sheet 1'))).toBe(true);
    const pens = new Set(pages.flatMap((page) => page.strokes.map(({ pen }) => pen)));
    for (const pen of ['cut', 'next', 'pin', 'void'] as const) expect(pens).toContain(pen);
  });

  it('a stacking guide has a page a layer, and says that it is no template', () => {
    const pages = quarry.pages(['guide']);
    expect(pages).toHaveLength(quarry.report.stack.layers.length);
    for (const page of pages) expect(page.words.some(({ text }) => /1 : [\d.]+; not a template/.test(text))).toBe(true);
  });
});

describe('profiles', () => {
  it('sides of a rectangle run from left to right as seen from outside; an oval has one rim', () => {
    const sides = sidesOf(quarry.ground.outline);
    expect(sides.map(({ name }) => name).sort()).toEqual(['back', 'front', 'left', 'right']);
    const side = (name: string) => sides.find((each) => each.name === name)?.points.map((p) => [...p]);
    expect(side('front')?.[0]).toEqual([0, 0]);
    expect(side('back')?.[0]).toEqual([420, 297]);
    expect(side('left')?.[0]).toEqual([0, 297]);
    expect(sidesOf(vessa.ground.outline).map(({ name }) => name)).toEqual(['rim']);
  });

  it('a profile is as long as its side and as high as the ground along it; every saved section has one', () => {
    const pages = quarry.pages(['profiles'], { size: 'own', widthMm: 900, heightMm: 400 });
    expect(pages.map(({ title }) => title)).toEqual([
      ...['front', 'right', 'back', 'left'].map((name) => `Profile, ${name}`),
      ...quarry.project.sections.map(({ name, id }) => `Section ${name || id}`),
    ]);
    const cut = pages[0].strokes.find(({ pen }) => pen === 'cut')?.points ?? [];
    const [x0, x1] = [Math.min(...cut.map(([x]) => x)), Math.max(...cut.map(([x]) => x))];
    expect(x1 - x0).toBeCloseTo(420, 6);
    const { grid } = quarry.ground;
    let highest = 0;
    for (let i = 0; i < grid.columns; i++) highest = Math.max(highest, grid.values[i]);
    const [y0, y1] = [Math.min(...cut.map(([, y]) => y)), Math.max(...cut.map(([, y]) => y))];
    expect(y1 - y0).toBeCloseTo(highest, 1);
  });
});

describe('lines on a page', () => {
  it('are cut at its edges and stay whole inside', () => {
    const square: Point[] = [
      [0, 0],
      [10, 0],
      [10, 10],
      [0, 10],
    ];
    const stroke = { pen: 'cut' as const, points: square, closed: true };
    expect(clipStroke(stroke, [-1, -1, 11, 11])).toEqual([stroke]);
    const half = clipStroke(stroke, [-1, -1, 5, 11]);
    expect(half.reduce((sum, { points }) => sum + lineLength(points, false), 0)).toBeCloseTo(20, 9);
    expect(clipStroke(stroke, [20, 20, 30, 30])).toEqual([]);
  });

  it('of the next layer are drawn only where they lie on the piece', () => {
    const piece = {
      outer: [
        [0, 0],
        [10, 0],
        [10, 10],
        [0, 10],
      ] as Point[],
      holes: [],
    };
    const runs = withinPiece(
      piece,
      [
        [-10, 5],
        [20, 5],
      ],
      false,
    );
    const long = runs.reduce((sum, run) => sum + lineLength(run, false), 0);
    expect(long).toBeGreaterThan(8);
    expect(long).toBeLessThan(12.1);
  });
});
