import { readFileSync } from 'node:fs';
import { describe, expect, it } from 'vitest';
import { ringArea } from '../geometry/index.ts';
import {
  addItem,
  baseOutline,
  basePresets,
  changeItem,
  changeShape,
  freeId,
  type Mark,
  migrate,
  movePoint,
  PROJECT_VERSION,
  type Project,
  parseProject,
  readProject,
  removeItems,
  removePoint,
  shapeOfKind,
  splitStretch,
  startProject,
  writeProject,
} from './index.ts';

const project = startProject('Test', '2027-03-01', 'ground');
const fault = (text: string) => {
  const read = readProject(text);
  return read.ok ? null : read.fault;
};
const broken = (change: (document: unknown) => void) => {
  const document = JSON.parse(writeProject(withLine));
  change(document);
  return fault(JSON.stringify(document));
};
const contour: Mark = {
  kind: 'contour',
  id: 'c',
  name: 'C',
  heightMm: 10,
  closed: true,
  level: false,
  smooth: false,
  hidden: false,
  locked: false,
  points: [
    [0, 0],
    [10, 0],
    [10, 10],
  ],
};
const withLine: Project = addItem(project, contour);

describe('reading a project file', () => {
  it('what was written reads back the same, and writes the same text', () => {
    const read = readProject(writeProject(withLine));
    expect(read.ok && read.value).toEqual(withLine);
    expect(read.ok && writeProject(read.value)).toBe(writeProject(withLine));
    expect(readProject(`\uFEFF${writeProject(project)}`).ok).toBe(true);
  });

  it.each([
    ['', 'empty'],
    ['   \n', 'empty'],
    ['{"format": "hosket-pro', 'json'],
    ['[]', 'shape'],
    ['null', 'shape'],
    ['{"name": "x"}', 'format'],
    ['{"format": "hosket-project"}', 'version'],
    ['{"format": "hosket-project", "version": 99}', 'version'],
  ])('refuses %j with a reason and a remedy', (text, code) => {
    expect(fault(text)?.code).toBe(code);
    expect(fault(text)?.remedy).not.toBe('');
  });

  it('names the place and the reason of a wrong value', () => {
    const low = broken((document) => {
      (document as { marks: { heightMm: number }[] }).marks[0].heightMm = -4;
    });
    expect(low?.place).toBe('marks[0].heightMm');
    expect(low?.message).toContain('cannot be below');
    const time = broken((document) => {
      (document as Project).bench.week.monday = { from: '21:00', to: '19:00' };
    });
    expect(time?.place).toBe('bench.week.monday.to');
    const typo = broken((document) => {
      (document as Record<string, number>).skinn = 3;
    });
    expect(typo?.message).toContain('skinn');
    const twice = broken((document) => {
      const marks = (document as { marks: Mark[] }).marks;
      marks.push(marks[0]);
    });
    expect(twice?.message).toContain('same id');
    const two = broken((document) => {
      (document as { marks: { points: number[][] }[] }).marks[0].points.pop();
    });
    expect(two?.message).toContain('3 points');
  });

  it('a newer version says so', () =>
    expect(fault('{"format":"hosket-project","version":99}')?.message).toContain('version 99'));

  it('a file of an older version that lacks nearly everything is refused with the places, not with a fault of our own', () => {
    for (const version of [1, 2, 3, 4, 5, 6]) {
      const told = fault(JSON.stringify({ format: 'hosket-project', version, name: 4 }));
      expect(told?.message).toContain('name: Invalid input');
      expect(fault(JSON.stringify({ format: 'hosket-project', version, stacking: 'x' }))?.code).toBe('value');
    }
  });

  it('an older document is carried forward step by step', () => {
    const chain = {
      1: (d: Record<string, unknown>) => ({ ...d, a: 1 }),
      2: (d: Record<string, unknown>) => ({ ...d, b: (d.a as number) + 1 }),
    };
    const carried = migrate({ version: 1 }, chain, 3);
    expect(carried.ok && carried.value).toEqual({ version: 3, a: 1, b: 2 });
    expect(migrate({ version: 1 }, {}, 2).ok).toBe(false);
    expect(migrate({ version: 'one' }, chain, 3).ok).toBe(false);
  });

  it('a document of version 8 opens: nothing lost, weighted while the glue takes, dates kept 80 times in 100', () => {
    const text = readFileSync(new URL('../testing/version-8.hosket.json', import.meta.url), 'utf8');
    const read = readProject(text);
    if (!read.ok) throw new Error(read.fault.message);
    expect(read.value).toMatchObject({ ...JSON.parse(text), version: PROJECT_VERSION });
    expect([read.value.stacking.pressed, read.value.limits.sureOf]).toEqual([true, 80]);
    expect(readProject(writeProject(read.value))).toEqual(read);
  });

  it('a document of version 7 opens: nothing lost, an empty cupboard, nothing done or overruled, it stands on its board', () => {
    const text = readFileSync(new URL('../testing/version-7.hosket.json', import.meta.url), 'utf8');
    const read = readProject(text);
    if (!read.ok) throw new Error(read.fault.message);
    expect(read.value).toMatchObject({ ...JSON.parse(text), version: PROJECT_VERSION });
    expect(read.value.stores).toEqual({ items: [], packs: [], safety: 80, done: [] });
    expect(read.value.overruled).toEqual([]);
    expect(read.value.support).toMatchObject({ on: 'its board', leastTipDegrees: 15 });
    expect(readProject(writeProject(read.value))).toEqual(read);
  });

  it('a document of version 6 opens: nothing lost, its one surface a recipe that every zone wears', () => {
    const text = readFileSync(new URL('../testing/version-6.hosket.json', import.meta.url), 'utf8');
    const before = JSON.parse(text);
    const read = readProject(text);
    if (!read.ok) throw new Error(read.fault.message);
    const { surface: old, zones, patches, tiles, ...rest } = before;
    expect(read.value).toMatchObject({ ...rest, version: PROJECT_VERSION });
    expect(read.value.surface).toEqual({ recipe: 'usual', edges: null, walls: null });
    const worn = (list: object[]) => list.map((patch) => ({ ...patch, recipe: null }));
    expect(read.value.patches).toEqual(worn(patches));
    expect(read.value.tiles.map((tile) => tile.patches)).toEqual(
      tiles.map((tile: { patches: object[] }) => worn(tile.patches)),
    );
    expect(read.value.zones.rules).toEqual(
      zones.rules.map((rule: { when: object }) => ({ ...rule, recipe: null, when: { ...rule.when, edge: null } })),
    );
    const [{ coats, roughness }] = read.value.recipes;
    expect(roughness).toBe(old.roughness);
    expect(coats.map(({ operation, material, coats: times }) => [operation, material, times])).toEqual([
      ['skin', 'compound', 1],
      ['seal', 'seal coat', old.sealCoats],
      ['paint', 'acrylic', old.baseCoats],
      ['dry-brush', 'dry-brush', old.dryBrushTones],
      ['scatter', 'soil', 1],
      ['grass', `grass ${old.grass.fibreMm} mm`, 1],
    ]);
    expect(coats[0].thicknessMm).toBe(old.skinMm);
    expect(coats[5].sharePercent).toBe(old.grass.sharePercent);
    expect(coats[5].when.slope?.to).toBeCloseTo(old.grass.notSteeperDegrees, 1);
  });

  it('a surface of version 6 on which nothing lay has nothing but its skin; what was lost in bowls is the builder’s own figure', () => {
    const before = JSON.parse(readFileSync(new URL('../testing/version-6.hosket.json', import.meta.url), 'utf8'));
    const bare = {
      ...before.surface,
      skinMm: 2,
      lossPercent: 20,
      sealCoats: 0,
      baseCoats: 0,
      dryBrushTones: 0,
      soil: { ...before.surface.soil, layerMm: 0 },
      grass: { ...before.surface.grass, sharePercent: 0 },
    };
    const read = readProject(JSON.stringify({ ...before, surface: bare }));
    if (!read.ok) throw new Error(read.fault.message);
    expect(read.value.recipes[0].coats.map(({ operation, thicknessMm }) => [operation, thicknessMm])).toEqual([
      ['skin', 2],
    ]);
    expect(read.value.materials.values).toEqual([
      { material: 'compound', property: 'lossPercent', low: 10, likely: 20, high: 50, note: '' },
    ]);
  });

  it('a document of version 5 opens: nothing lost, nothing cut, sheets without a grain', () => {
    const text = readFileSync(new URL('../testing/version-5.hosket.json', import.meta.url), 'utf8');
    const read = readProject(text);
    if (!read.ok) throw new Error(read.fault.message);
    const { sheets, surface: _, ...rest } = JSON.parse(text);
    expect(read.value).toMatchObject({ ...rest, version: PROJECT_VERSION });
    expect(read.value.sheets).toEqual(sheets.map((sheet: object) => ({ ...sheet, grain: false })));
    expect(read.value.nest).toEqual({ key: '', places: [], ticked: [], done: [] });
    expect(read.value.cutting).toMatchObject({ tool: 'knife', gapMm: 2, split: true });
    expect(read.value.paper).toMatchObject({ size: 'A4', barMm: 100 });
  });

  it('a document of version 4 opens: nothing lost, solid layers, the cheapest stack, sheets that lie anywhere', () => {
    const text = readFileSync(new URL('../testing/version-4.hosket.json', import.meta.url), 'utf8');
    const read = readProject(text);
    if (!read.ok) throw new Error(read.fault.message);
    const before = JSON.parse(text);
    const { sheets, surface: _, ...rest } = before;
    expect(read.value).toMatchObject({ ...rest, version: PROJECT_VERSION });
    expect(read.value.sheets).toEqual(
      sheets.map((sheet: object) => ({
        ...sheet,
        own: null,
        tolerance: 'usual',
        buyable: false,
        place: '',
        limit: { kind: 'anywhere' },
        grain: false,
      })),
    );
    expect(read.value.stack).toEqual({ byHand: null, pinned: [], onJoint: [] });
    expect(read.value.stacking).toMatchObject({ wish: 'least cost', areas: [], hollow: { kind: 'solid' }, wire: null });
    expect(read.value.offcuts).toEqual([]);
  });

  it('a document of version 3 opens: nothing lost, one tile, and nothing hollowed out of it yet', () => {
    const text = readFileSync(new URL('../testing/version-3.hosket.json', import.meta.url), 'utf8');
    const read = readProject(text);
    if (!read.ok) throw new Error(read.fault.message);
    const before = JSON.parse(text);
    expect(read.value.version).toBe(PROJECT_VERSION);
    const { surface: _, ...rest } = before;
    expect(read.value).toMatchObject({ ...rest, version: PROJECT_VERSION });
    const { voids, patches, tiles, terrain, tile } = read.value;
    expect({ voids, patches, tiles, terrain }).toEqual({ voids: [], patches: [], tiles: [], terrain: null });
    expect(tile.place).toEqual({ column: 0, row: 0, turn: 0, riseMm: 0 });
  });

  it('a document of version 2 opens: nothing lost, and nothing stands on it or round it yet', () => {
    const text = readFileSync(new URL('../testing/version-2.hosket.json', import.meta.url), 'utf8');
    const read = readProject(text);
    if (!read.ok) throw new Error(read.fault.message);
    const before = JSON.parse(text);
    expect(read.value.version).toBe(PROJECT_VERSION);
    expect(read.value.landforms).toEqual(before.landforms);
    expect(read.value.laid.map(({ marginMm, ...thing }) => [marginMm, thing])).toEqual(
      before.laid.map((thing: object) => [0, thing]),
    );
    expect(read.value).toMatchObject({ things: [], envelope: { box: null, swingMm: null }, limits: { rules: [] } });
  });

  it('a document of version 1 opens: straight contours and spots, nothing lost', () => {
    const text = readFileSync(new URL('../testing/version-1.hosket.json', import.meta.url), 'utf8');
    const old = JSON.parse(text) as { marks: { id: string; heightMm: number; points?: number[][]; at?: number[] }[] };
    const read = readProject(text);
    if (!read.ok) throw new Error(read.fault.message);
    expect(read.value.version).toBe(PROJECT_VERSION);
    expect([read.value.landforms, read.value.laid]).toEqual([[], []]);
    expect(read.value.marks).toHaveLength(old.marks.length);
    read.value.marks.forEach((mark, k) => {
      const { id, heightMm, points, at } = old.marks[k];
      expect(mark).toMatchObject({ id, heightMm, points: points ?? [at], hidden: false, locked: false });
    });
    expect(readProject(writeProject(read.value))).toEqual(read);
  });

  it('takes no text where a project should be', () => expect(parseProject('hello').ok).toBe(false));
});

describe('bases', () => {
  // ISO 216 (from memory): A sizes halve, ratio 1 to root 2, whole millimetres rounded down; A0 is 1 m2. ANSI Y14.1: 8.5 x 11 and 11 x 17 in.
  it('paper sizes', () => {
    const size = (name: string) => basePresets.find((preset) => preset.name === name);
    let [long, short] = [1189, 841];
    for (let n = 1; n <= 5; n++) {
      [long, short] = [short, Math.floor(long / 2)];
      if (n >= 2) expect([size(`A${n}`)?.widthMm, size(`A${n}`)?.depthMm]).toEqual([long, short]);
    }
    expect(size('Letter')?.widthMm).toBeCloseTo(11 * 25.4, 9);
    expect(size('Letter')?.depthMm).toBeCloseTo(8.5 * 25.4, 9);
    expect(size('Tabloid')?.widthMm).toBeCloseTo(17 * 25.4, 9);
  });

  it('outlines run counter-clockwise and have the area of their shape', () => {
    expect(ringArea(baseOutline(project.base))).toBe(297 * 210);
    const oval = ringArea(baseOutline({ ...project.base, shape: { kind: 'oval', widthMm: 300, depthMm: 220 } }));
    expect(oval / (Math.PI * 150 * 110)).toBeCloseTo(1, 3);
  });
});

describe('edits leave the old project as it was', () => {
  const frozen = structuredClone(withLine);
  it('points are moved, split and taken out', () => {
    expect(movePoint(withLine, 'c', 1, [12, 3]).marks[0].points[1]).toEqual([12, 3]);
    expect(splitStretch(withLine, 'c', 2).marks[0].points[3]).toEqual([5, 5]);
    const four = splitStretch(withLine, 'c', 0);
    expect(removePoint(four, 'c', 0).marks[0].points).toHaveLength(3);
    expect(removePoint(withLine, 'c', 0).marks).toHaveLength(0);
    expect(changeItem(withLine, 'c', { heightMm: 17 }).marks[0]).toMatchObject({ heightMm: 17 });
    expect(removeItems(withLine, ['c']).marks).toEqual([]);
    expect(withLine).toEqual(frozen);
  });

  it('a smaller base keeps its section line on it, a larger one stretches a line that ran to the edge', () => {
    const smaller = changeShape(project, { kind: 'rectangle', widthMm: 200, depthMm: 90 });
    expect(smaller.sections[0]).toMatchObject({ from: [0, 90], to: [200, 90] });
    expect(changeShape(project, { kind: 'rectangle', widthMm: 400, depthMm: 210 }).sections[0].to).toEqual([400, 105]);
    expect(shapeOfKind(project.base, 'oval')).toEqual({ kind: 'oval', widthMm: 297, depthMm: 210 });
  });

  it('a free id is free', () => expect(freeId('c', [{ id: 'c-1' }, { id: 'c-3' }])).toBe('c-4'));
});
