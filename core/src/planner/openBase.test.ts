import { describe, expect, it } from 'vitest';
import { polygonArea } from '../geometry/index.ts';
import { type Project, readProject, startProject, writeProject } from '../project/index.ts';
import { sidesOf } from '../templates/profiles.ts';
import { plan } from './plan.ts';

type Opening = NonNullable<Project['base']['opening']>;
const round: Opening = { kind: 'round', at: [150, 150], widthMm: 100, depthMm: 100 };
const oblong: Opening = { kind: 'oblong', at: [120, 140], widthMm: 90, depthMm: 60 };

/** A round base of 300 mm, level at 20 mm of bare foam. */
function slab(opening?: Opening, more: Partial<Project> = {}): Project {
  const project = startProject('n', '2027-03-01');
  const spot = {
    kind: 'spot' as const,
    id: 's',
    name: '',
    points: [[30, 150] as [number, number]],
    heightMm: 20,
    hidden: false,
    locked: false,
  };
  return {
    ...project,
    base: { ...project.base, shape: { kind: 'round', diameterMm: 300 }, ...(opening && { opening }) },
    marks: [spot],
    ...more,
  };
}
const chosen = ({ report }: ReturnType<typeof plan>) => {
  const school = report.schools.find(({ school }) => school === report.stack.school);
  if (!school) throw new Error('no school');
  return school;
};
/** Of 96 corners. */
const discArea = (r: number) => 48 * r * r * Math.sin((2 * Math.PI) / 96);

describe('a base that is open in the middle', () => {
  const whole = plan(slab());
  const areas = { round: discArea(50), oblong: 90 * 60 };

  it.each([
    ['round', round],
    ['oblong', oblong],
  ] as const)('%s: ground, foam, skin and board lack what stood there, at every layer', (kind, opening) => {
    const open = plan(slab(opening));
    const gone = areas[kind];
    expect(open.ground.surface.planMm2).toBeCloseTo(whole.ground.surface.planMm2 - gone, 0);
    // The skin over the foam is part of the ground: 20 mm and its thickness.
    const perMm2 = whole.ground.volumeMl / whole.ground.surface.planMm2;
    expect(open.ground.volumeMl).toBeCloseTo(whole.ground.volumeMl - gone * perMm2, 1);
    for (const layer of chosen(open).layers) {
      const before = chosen(whole).layers.find(({ index }) => index === layer.index);
      expect(layer.pieces).toHaveLength(1);
      expect(layer.pieces[0].holes).toHaveLength(1);
      const area = (pieces: typeof layer.pieces) => pieces.reduce((sum, piece) => sum + polygonArea(piece), 0);
      expect(Math.abs(area(before?.pieces ?? []) - area(layer.pieces) - gone)).toBeLessThan(2);
    }
    const { mass } = open.report;
    const board = whole.report.mass.boardG.likely / whole.ground.surface.planMm2;
    expect(mass.boardG.likely).toBeCloseTo(whole.report.mass.boardG.likely - gone * board, 0);
  });

  it('has sides round its opening too, to be faced and with profiles', () => {
    const sides = ({ report }: typeof whole) => {
      const found = report.dressed.find(({ name }) => name === 'Edges of the base');
      if (!found) throw new Error('no sides');
      return found;
    };
    const [open, plain] = [sides(plan(slab(oblong))), sides(whole)];
    expect(open.lengthM).toBeCloseTo(plain.lengthM + 0.3, 3);
    expect(open.trueMm2 / open.lengthM).toBeCloseTo(plain.trueMm2 / plain.lengthM, 0);
    const names = sidesOf(plan(slab(oblong)).ground.outline).map(({ name }) => name);
    expect(names).toHaveLength(5);
    expect(names.slice(1).every((name) => name.startsWith('opening, '))).toBe(true);
    expect(sidesOf(plan(slab(round)).ground.outline).map(({ name }) => name)).toEqual(['rim', 'opening, rim']);
  });

  it('what stands in the opening stands on nothing, and is told', () => {
    const spot = slab(round).marks[0];
    const off = plan(slab(round, { marks: [spot, { ...spot, id: 't', points: [[150, 150]] }] }));
    expect(off.report.findings.map(({ code }) => code)).toContain('off-the-base');
  });

  it('an opening that reaches the edge is left out, and that is told', () => {
    for (const [x, widthMm] of [
      [40, 100],
      [150, 300],
      [150, 297],
      [400, 50],
    ]) {
      const out = plan(slab({ ...round, at: [x, 150], widthMm }));
      expect(out.report.findings.map(({ code }) => code)).toContain('opening-reaches-the-edge');
      expect(out.ground.surface.planMm2).toBeCloseTo(whole.ground.surface.planMm2, 3);
    }
    expect(plan(slab(round)).report.findings.map(({ code }) => code)).not.toContain('opening-reaches-the-edge');
  });

  it('tips over its outer edge, and weighs about the middle of what is there', () => {
    const { balance } = plan(slab({ ...oblong, at: [90, 150] })).report;
    expect(balance?.at[0]).toBeGreaterThan(150);
    expect(whole.report.balance?.at[0]).toBeCloseTo(150, 1);
  });

  it('survives the file', () => {
    const read = readProject(writeProject(slab(oblong)));
    expect(read.ok && read.value.base.opening).toEqual(oblong);
  });
});
