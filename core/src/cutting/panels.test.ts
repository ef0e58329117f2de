import { describe, expect, it } from 'vitest';
import { polygonArea } from '../geometry/index.ts';
import { plan } from '../planner/index.ts';
import { drawItem, type Panel, type Project, panelShape, panelsFromBox, startProject } from '../project/index.ts';

const panel = (change: Partial<Panel> = {}): Panel => ({
  id: 'p',
  name: 'Backdrop',
  sheetId: 's10',
  widthMm: 200,
  heightMm: 100,
  openings: [],
  count: 1,
  ...change,
});
const areaOf = (one: Panel) => panelShape(one).reduce((sum, each) => sum + polygonArea(each), 0);

/** A slab of one sheet, and thin sheets of 600 x 300 mm to cut upright parts from. */
function bench(panels: Panel[], box: Project['envelope']['box'] = null): Project {
  const start = startProject('Upright', '2027-03-01');
  const sheets = [10, 20].map((nominalMm) => ({
    ...start.sheets[0],
    id: `s${nominalMm}`,
    name: `Foam ${nominalMm}`,
    nominalMm,
    measuredMm: null,
    widthMm: 600,
    depthMm: 300,
    count: 3,
  }));
  const base = { ...start.base, shape: { kind: 'rectangle' as const, widthMm: 200, depthMm: 150 } };
  const slab = drawItem({ ...start, base, sheets }, 'spot', [[100, 75]], 0, { heightMm: 20 }).project;
  return { ...slab, panels, envelope: { ...slab.envelope, box } };
}

describe('the shape of an upright part', () => {
  it('is its rectangle, its profile and its openings: areas by school geometry', () => {
    expect(areaOf(panel())).toBeCloseTo(20_000, 6);
    // A gable: 200 wide, 60 at the eaves, 100 at the ridge.
    const gable: Panel['top'] = [
      [0, 60],
      [100, 100],
      [200, 60],
    ];
    expect(areaOf(panel({ top: gable }))).toBeCloseTo(200 * 60 + (200 * 40) / 2, 6);
    // Corners drawn from right to left are the same edge.
    expect(areaOf(panel({ top: [...gable].reverse() }))).toBeCloseTo(200 * 60 + (200 * 40) / 2, 6);
    const window = { kind: 'rectangle' as const, at: [50, 50] as [number, number], widthMm: 30, heightMm: 20 };
    const eye = { kind: 'round' as const, at: [150, 50] as [number, number], widthMm: 40, heightMm: 40 };
    expect(areaOf(panel({ openings: [window] }))).toBeCloseTo(20_000 - 600, 6);
    expect(areaOf(panel({ openings: [window, eye] })) / (20_000 - 600 - 400 * Math.PI)).toBeCloseTo(1, 3);
  });

  it('a door runs over its lower edge; a slit from top to bottom parts it; one larger than itself leaves nothing', () => {
    const at = [100, 20] as [number, number];
    const door = panelShape(panel({ openings: [{ kind: 'rectangle', at, widthMm: 30, heightMm: 60 }] }));
    expect(door).toHaveLength(1);
    expect(door[0].holes).toEqual([]);
    expect(polygonArea(door[0])).toBeCloseTo(20_000 - 30 * 50, 6);
    const slit = panel({ openings: [{ kind: 'rectangle', at: [100, 50], widthMm: 10, heightMm: 200 }] });
    expect(panelShape(slit)).toHaveLength(2);
    const gone = panel({ openings: [{ kind: 'rectangle', at: [100, 50], widthMm: 400, heightMm: 200 }] });
    expect(panelShape(gone)).toEqual([]);
  });
});

describe('upright parts on the layout', () => {
  it('lie on sheets of their own kind, take them, and take time to cut', () => {
    const bare = plan(bench([])).report;
    const { report } = plan(bench([panel({ count: 2 })]));
    const upright = report.cutting.pieces.filter((piece) => piece.panel !== null);
    expect(upright.map(({ id, layer }) => [id, layer])).toEqual([
      ['W1-1', 0],
      ['W1-2', 0],
    ]);
    for (const { bed } of upright) expect(bed).not.toBeNull();
    const used = (some: typeof report) => some.stack.sheetsUsed.find(({ sheetId }) => sheetId === 's10')?.areaMm2 ?? 0;
    expect(used(report) - used(bare)).toBeCloseTo(40_000, 0);
    // The outline of each, marked and cut at the thin rate.
    const cut = (some: typeof report) => some.takeoff.find(({ stage }) => stage === 'cut')?.handsOn.likely ?? 0;
    expect(cut(report)).toBeGreaterThan(cut(bare));
    expect(report.findings.map(({ code }) => code)).toEqual(bare.findings.map(({ code }) => code));
  });

  it('one larger than its sheet is split by a seam, or told to fit nowhere', () => {
    const long = bench([panel({ widthMm: 900 })]);
    const { cutting } = plan(long).report;
    expect(cutting.pieces.filter((piece) => piece.panel).map(({ id }) => id)).toEqual(['W1a', 'W1b']);
    expect(cutting.pieces.filter((piece) => piece.panel).reduce((sum, { areaMm2 }) => sum + areaMm2, 0)).toBeCloseTo(
      90_000,
      -1,
    );
    const whole = plan({ ...long, cutting: { ...long.cutting, split: false } }).report;
    expect(whole.cutting.nowhere.map(({ piece }) => piece)).toEqual(['W1']);
  });

  it('those of the box come in its measures, each once; a part of a sheet that is gone is left out', () => {
    const box = { widthMm: 320, depthMm: 240, heightMm: 160, backMm: null, underMm: 10, backdrop: true, walls: true };
    const project = bench([], box);
    const parts = panelsFromBox(project);
    expect(parts.map(({ name, widthMm, heightMm }) => [name, widthMm, heightMm])).toEqual([
      ['Backdrop', 320, 160],
      ['Left wall', 240, 160],
      ['Right wall', 240, 160],
    ]);
    expect(new Set(parts.map(({ id }) => id)).size).toBe(3);
    expect(panelsFromBox({ ...project, panels: parts })).toEqual([]);
    expect(panelsFromBox({ ...project, panels: parts.slice(0, 1) })).toHaveLength(2);
    const { report } = plan(bench([panel({ sheetId: 'gone' })]));
    expect(report.cutting.pieces.every((piece) => piece.panel === null)).toBe(true);
  });
});
