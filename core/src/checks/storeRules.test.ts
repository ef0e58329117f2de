import { describe, expect, it } from 'vitest';
import { type DoneStep, type Project, plan, type StoreItem, startProject } from '../index.ts';
import { circle } from '../testing/solids.ts';

const start = startProject('stores', '2027-03-01', 'ground');
const board: Project = {
  ...start,
  base: { ...start.base, shape: { kind: 'rectangle', widthMm: 160, depthMm: 100 } },
  sections: [{ id: 'A', name: 'A', from: [0, 50], to: [160, 50] }],
  marks: [circle(80, 50, 40, 25)],
};
const withStores = (change: Partial<Project['stores']>): Project => ({
  ...board,
  stores: { ...board.stores, ...change },
});
const done = (step: string, on: string): DoneStep => ({
  tile: start.tile.id,
  step,
  title: step,
  on,
  used: [],
  taken: [],
});
const findings = (project: Project) => plan(project).report.findings;
const codes = (project: Project) => findings(project).map(({ code }) => code);
const found = (project: Project, code: string) => {
  const one = findings(project).find((finding) => finding.code === code);
  if (!one) throw new Error(`${code} was not found in ${codes(project).join(', ')}`);
  return one;
};
const report = plan(board).report;
const step = (stage: string) => {
  const one = report.takeoff.find((each) => each.stage === stage);
  if (!one) throw new Error(`no ${stage}`);
  return one.id;
};

describe('what was done, and when', () => {
  const [skin, seal, colour] = [step('skin'), step('seal'), step('colour')];

  it('a seal over wet joints and paste, on the day the builder gave', () => {
    const hasty = withStores({
      done: [done('cut', '2027-03-01'), done('glue', '2027-03-01'), done(skin, '2027-03-02'), done(seal, '2027-03-02')],
    });
    const { message, place } = found(hasty, 'sealed-wet');
    expect(message).toMatch(/was done on 2027-03-02; .* of 2027-03-0\d wants about \d+ (h|days)/);
    expect(place).toContain('Seal');
    const patient = withStores({
      done: [done('cut', '2027-03-01'), done('glue', '2027-03-01'), done(skin, '2027-03-03'), done(seal, '2027-05-01')],
    });
    expect(codes(patient)).not.toContain('sealed-wet');
  });

  it('colour too soon over a seal; nothing said of what is a day apart and dries in an hour', () => {
    const list = [done('glue', '2027-03-01'), done(skin, '2027-03-03'), done(seal, '2027-05-01')];
    expect(codes(withStores({ done: [...list, done(colour, '2027-05-02')] }))).not.toContain('coated-too-soon');
  });

  it('a step done before what must come before it', () => {
    const { message } = found(withStores({ done: [done(seal, '2027-05-01')] }), 'done-out-of-order');
    expect(message).toContain('is marked done, but not what comes before it');
    expect(codes(board)).not.toContain('done-out-of-order');
  });

  it('the skin over cables that are not laid', () => {
    const cable = {
      kind: 'cable' as const,
      id: 'c',
      name: 'Lead',
      hidden: false,
      locked: false,
      points: [
        [0, 50],
        [80, 50],
      ] as [number, number][],
      boreMm: 4,
      fromMm: 8,
      toMm: 8,
      roofLeastMm: 3,
      smooth: false,
    };
    const wired = { ...board, voids: [cable as unknown as Project['voids'][number]] };
    expect(plan(wired).report.takeoff.map(({ id }) => id)).toContain('voids');
    const shut = {
      ...wired,
      stores: {
        ...wired.stores,
        done: [done('glue', '2027-03-01'), done('carve', '2027-03-02'), done(skin, '2027-03-04')],
      },
    };
    expect(found(shut, 'done-out-of-order').remedy).toContain('before the skin');
  });

  it('a step that is done needs nothing more', () => {
    const needed = (project: Project) => plan(project).report.shopping.map(({ material }) => material);
    expect(needed(board)).toContain('compound');
    expect(needed(withStores({ done: [done(skin, '2027-03-03')] }))).not.toContain('compound');
  });
});

describe('the cupboard', () => {
  const jar = (change: Partial<StoreItem>): StoreItem => ({
    id: 'j',
    material: 'compound',
    which: '',
    amount: 5000,
    unit: 'g',
    opened: null,
    useBy: null,
    place: '',
    ...change,
  });

  it('enough is passed, too little is told with what is missing', () => {
    expect(codes(withStores({ items: [jar({})] }))).not.toContain('stock-runs-short');
    const { message, remedy, place } = found(withStores({ items: [jar({ amount: 5 })] }), 'stock-runs-short');
    expect(place).toBe('Cellulose-plaster compound');
    expect(message).toContain('5.0 g in the cupboard');
    expect(remedy).toMatch(/^Buy \d+ g more/);
  });

  it('what is past its date by the day it is needed', () => {
    expect(codes(withStores({ items: [jar({ useBy: '2027-02-01' })] }))).toContain('past-its-date');
    expect(codes(withStores({ items: [jar({ useBy: '2029-01-01' })] }))).not.toContain('past-its-date');
  });
});

describe('how it stands', () => {
  it('falls off a plinth that is too narrow; more than that, it would not stand at all', () => {
    const on = (widthMm: number, leastTipDegrees = 15): Project => ({
      ...board,
      support: { ...board.support, on: 'a plinth', plinth: { widthMm, depthMm: 90 }, leastTipDegrees },
    });
    expect(codes(on(120))).not.toContain('tips-over');
    const narrow = found(on(2), 'tips-over');
    expect(narrow.severity).toBe('warn');
    expect(narrow.message).toMatch(/Tilted \d°/);
    const aside: Project = { ...on(4), marks: [circle(115, 50, 44, 4), circle(115, 50, 30, 60)] };
    expect(found(aside, 'tips-over').severity).toBe('stop');
  });

  it('hooks under the centre of gravity', () => {
    const wall = (upMm: number): Project => ({
      ...board,
      support: { ...board.support, on: 'a wall', hooks: { apartMm: 100, upMm } },
    });
    expect(found(wall(20), 'hooks-too-low').message).toContain('under the centre of gravity');
    expect(codes(wall(90))).not.toContain('hooks-too-low');
  });
});
