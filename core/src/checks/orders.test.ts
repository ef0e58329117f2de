import { describe, expect, it } from 'vitest';
import { type Coat, drawItem, newCoat, type Project, plan, readProject, startProject } from '../index.ts';
import { codes, dressed, found, grass, paint, seal, skin } from '../testing/dressed.ts';
import { circle, line, spot } from '../testing/solids.ts';

const soil = newCoat('soil', 'scatter', 'soil');
const powder = newCoat('powder', 'powder', 'weathering powder');
const wash = newCoat('wash', 'wash', 'wash', { colour: 'dark' });
const varnish = newCoat('varnish', 'varnish', 'matt varnish');
const late = newCoat('late', 'skin', 'plaster', { thicknessMm: 2 });
const second = newCoat('second', 'seal', 'gesso');
const spray = newCoat('spray', 'paint', 'acrylic', { tool: 'spray can', colour: 'grey' });

describe('what is finished is not covered again', () => {
  it.each([
    ['paint under plaster', [skin, seal, paint, late], 'coat-buried'],
    ['grass under plaster', [skin, seal, grass, late], 'coat-buried'],
    ['soil under plaster', [skin, seal, soil, late], 'coat-buried'],
    ['powder under plaster', [skin, seal, powder, late], 'coat-buried'],
    ['grass under a seal', [skin, seal, grass, second], 'coat-buried'],
    ['soil under a seal', [skin, seal, soil, second], 'coat-buried'],
    ['powder under a seal', [skin, seal, powder, second], 'coat-buried'],
    ['grass under a brushed varnish', [skin, seal, grass, varnish], 'coat-buried'],
    ['powder under a wash', [skin, seal, powder, wash], 'powder-under-wet'],
  ] as [string, Coat[], string][])('%s is told, and moving the coat mends it', (_, coats, code) => {
    const project = dressed(coats);
    const { mend, message } = found(project, code);
    expect(message).toContain('Meadow');
    expect(mend?.to).toBe(2);
  });

  it.each([
    ['paint under a varnish', [skin, seal, paint, varnish]],
    ['a wash, then powder', [skin, seal, paint, wash, powder]],
    ['a wanted second seal over paint', [skin, seal, paint, second]],
  ] as [string, Coat[]][])('%s is no fault', (_, coats) => {
    const said = codes(dressed(coats));
    for (const code of ['coat-buried', 'powder-under-wet', 'colour-under-seal']) expect(said).not.toContain(code);
  });
});

describe('what eats foam, and what does not', () => {
  it('an acrylic out of a can on unsealed foam is told; over gesso that was painted on it is not', () => {
    expect(codes(dressed([skin, spray]))).toContain('solvent-on-bare-foam');
    expect(codes(dressed([skin, { ...second, id: 'ground', operation: 'paint' }, spray]))).not.toContain(
      'solvent-on-bare-foam',
    );
  });

  it('walls of a box and a stack of cork are no foam', () => {
    const walled = dressed([skin, seal, paint], {});
    const start = dressed([skin, seal, paint]);
    const sky = { ...start.recipes[0], id: 'sky', name: 'Sky', coats: [spray] };
    const boxed: Project = {
      ...walled,
      recipes: [...walled.recipes, sky],
      surface: { ...walled.surface, walls: 'sky' },
    };
    expect(codes(boxed)).not.toContain('solvent-on-bare-foam');
    const cork = {
      ...start,
      sheets: start.sheets.map((sheet) => ({ ...sheet, material: 'cork' as const, count: 20 })),
    };
    const hot = (project: Project): Project => ({
      ...project,
      stacking: { ...project.stacking, glue: 'hot glue, high temperature' },
    });
    expect(codes(hot(cork))).not.toContain('glue-too-hot');
    expect(codes(hot(start))).toContain('glue-too-hot');
    expect(codes({ ...cork, recipes: [{ ...cork.recipes[0], coats: [skin, spray] }] })).not.toContain(
      'solvent-on-bare-foam',
    );
  });

  it.each(['super glue', 'solvent grab'] as const)(
    '%s on foam-cored card stops the work; on a foam of one’s own it warns',
    (glue) => {
      const start = dressed([skin, seal, paint]);
      const as = (material: 'card' | 'own'): Project => ({
        ...start,
        stacking: { ...start.stacking, glue },
        sheets: start.sheets.map((sheet) => ({
          ...sheet,
          material,
          own: material === 'own' ? { name: 'My foam', densityKgM3: 40, vapourResistance: 60 } : null,
        })) as Project['sheets'],
      });
      expect(found(as('card'), 'glue-eats-foam').severity).toBe('stop');
      expect(found(as('own'), 'glue-eats-foam').severity).toBe('warn');
    },
  );

  it('a glue that skins over before a large face is covered is told; in dots or beads, or on a small face, it is not', () => {
    const large = (glue: Project['stacking']['glue'], side: number): Project => {
      const start = dressed([skin, seal, paint]);
      return {
        ...start,
        base: { ...start.base, shape: { kind: 'rectangle', widthMm: side, depthMm: side } },
        marks: [
          line(30, [
            [-5, side / 2],
            [side + 5, side / 2],
          ]),
        ],
        sheets: start.sheets.map((sheet) => ({ ...sheet, widthMm: 1250, depthMm: 600, count: 4 })),
        stacking: { ...start.stacking, glue },
      };
    };
    // 500 mm square: 2500 cm² at half a minute a hundred are 12.5 min; quick PVA stays open for 5.
    expect(found(large('quick PVA', 500), 'glue-skins-over').message).toContain('about 13 min');
    expect(codes(large('quick PVA', 200))).not.toContain('glue-skins-over');
    expect(codes(large('hot glue', 500))).not.toContain('glue-skins-over');
  });
});

describe('lines that mean something else', () => {
  const flat = (points: [number, number][], change: object = {}) => ({ ...line(20, points), ...change });
  const drawn = (marks: Project['marks']) => dressed([skin, seal, paint], { marks });

  it('a smooth line whose points lie on one straight line does not cross itself, at any turn', () => {
    for (const turn of [0, 0.3, 0.7854, 1.2, 1.5708]) {
      const points = [0, 20, 25, 60, 90].map((s): [number, number] => [
        20 + s * Math.cos(turn),
        5 + s * Math.sin(turn),
      ]);
      expect(codes(drawn([flat(points, { smooth: true }) as Project['marks'][number]]))).not.toContain(
        'crosses-itself',
      );
    }
  });

  it('a crossing is told where it is', () => {
    const bow = flat([
      [10, 10],
      [150, 90],
      [150, 10],
      [10, 90],
    ]);
    expect(found(drawn([bow]), 'crosses-itself').message).toContain('near 80, 50 mm');
  });

  it('a closed contour partly off the base, a level outline without area, a giant spot, two lines that nearly touch', () => {
    expect(found(drawn([circle(150, 50, 30, 20)]), 'partly-off-the-base').severity).toBe('note');
    expect(
      codes(
        drawn([
          line(20, [
            [-20, 50],
            [180, 50],
          ]),
        ]),
      ),
    ).not.toContain('partly-off-the-base');
    const thin = {
      ...flat([
        [10, 50],
        [80, 50],
        [150, 50],
      ]),
      closed: true,
      level: true,
    };
    expect(codes(drawn([thin, circle(80, 50, 30, 10)]))).toContain('level-without-area');
    expect(found(drawn([circle(80, 50, 40, 10), spot(1000, 80, 50)]), 'very-high').message).toContain('1000 mm');
    const near = [
      line(20, [
        [-5, 50],
        [165, 50],
      ]),
      line(40, [
        [-5, 50.1],
        [165, 50.1],
      ]),
    ];
    expect(found(drawn(near), 'lines-nearly-touch').message).toContain('0.1 mm');
    expect(
      codes(
        drawn([
          line(20, [
            [-5, 50],
            [165, 50],
          ]),
          line(40, [
            [-5, 60],
            [165, 60],
          ]),
        ]),
      ),
    ).not.toContain('lines-nearly-touch');
  });

  it('guessed ground is told with its share, a lone contour as the slab that it makes', () => {
    expect(
      found(
        drawn([
          line(20, [
            [-5, 50],
            [165, 50],
          ]),
        ]),
        'ground-guessed',
      ).message,
    ).toMatch(/One contour alone makes a slab: (9\d|100) %/);
    expect(found(drawn([circle(80, 50, 40, 10), circle(80, 50, 30, 20)]), 'ground-guessed').message).toMatch(
      /\d+ % of the base/,
    );
    const said = [circle(80, 50, 40, 0), circle(80, 50, 30, 20), spot(26, 80, 50)];
    expect(codes(drawn(said))).not.toContain('ground-guessed');
  });
});

describe('stores', () => {
  it('a pack of 0.004 g is refused with its place, and one that comes to nothing in the unit of the need ends no plan', () => {
    const start = startProject('packs', '2027-03-01', 'ground');
    const pack = { id: 'p', material: 'compound', which: '', amount: 0.004, unit: 'g', price: 2, supplier: '' };
    const read = readProject(JSON.stringify({ ...start, stores: { ...start.stores, packs: [pack] } }));
    expect(read.ok).toBe(false);
    if (!read.ok) expect(JSON.stringify(read.fault)).toContain('packs[0].amount');
    // 0.1 ml of foliage weighs three thousandths of a gram.
    const foliage = newCoat('f', 'scatter', 'clump foliage');
    const tiny = {
      id: 'q',
      material: 'clump foliage',
      which: '',
      amount: 0.1,
      unit: 'ml' as const,
      price: 1,
      supplier: '',
    };
    const project = dressed([skin, seal, foliage]);
    const { shopping } = plan({ ...project, stores: { ...project.stores, packs: [tiny] } }).report;
    expect(shopping.find(({ material }) => material === 'clump foliage')?.short).toBeGreaterThan(0);
  });

  it('what stands open for years is told, and so is what cannot be counted', () => {
    const project = dressed([skin, seal, paint]);
    const item = {
      id: 'i',
      material: 'compound',
      which: '',
      amount: 500,
      unit: 'g' as const,
      opened: '2024-01-01',
      useBy: null,
      place: '',
    };
    const with_ = (change: object): Project => ({
      ...project,
      stores: { ...project.stores, items: [{ ...item, ...change }] },
    });
    expect(codes(with_({}))).toContain('opened-long-ago');
    expect(codes(with_({ opened: '2027-02-01' }))).not.toContain('opened-long-ago');
    expect(codes(with_({ unit: 'each', amount: 2 }))).toContain('stock-not-counted');
  });

  it('a limit of cost counts what must be bought in whole packs, and says both', () => {
    const project = dressed([skin, seal, paint]);
    const pack = {
      id: 'p',
      material: 'compound',
      which: '',
      amount: 5000,
      unit: 'g' as const,
      price: 40,
      supplier: '',
    };
    const dear = plan({
      ...project,
      stores: { ...project.stores, packs: [pack] },
      limits: { ...project.limits, cost: 20 },
    }).report;
    const limit = dear.limits.find(({ id }) => id === 'cost');
    // A few millilitres of it are used up, a whole bucket must be bought.
    expect(limit).toMatchObject({ kept: false });
    expect(limit?.why).toMatch(/^\d\.\d\d EUR used up, 40\.00 EUR to buy/);
  });
});

describe('a bench that carries a higher one', () => {
  it('has its own height in the levels: 20 mm less the skin, not 40', () => {
    const box = (inset: number): [number, number][] => [
      [inset, inset],
      [160 - inset, inset],
      [160 - inset, 100 - inset],
      [inset, 100 - inset],
    ];
    const bench = (heightMm: number, inset: number) => ({
      ...line(heightMm, box(inset)),
      id: `b${heightMm}`,
      closed: true,
      level: true,
    });
    const project = dressed([skin], { marks: [bench(20, 5), bench(40, 12), bench(60, 25)] });
    const { report } = plan(project);
    const levels = report.schools[0].levels;
    for (const [wanted, id] of [
      [20, 'b20'],
      [40, 'b40'],
      [60, 'b60'],
    ] as const)
      expect(levels.find(({ itemId }) => itemId === id)?.targetMm).toBeCloseTo(wanted - 2, 1);
  });

  it('so have a pad under a heap, a pit with an island in it, and every tread', () => {
    const start = dressed([skin], {
      marks: [
        line(30, [
          [-5, 50],
          [165, 50],
        ]),
      ],
    });
    const ring = (inset: number): [number, number][] => [
      [inset, inset],
      [160 - inset, inset],
      [160 - inset, 100 - inset],
      [inset, 100 - inset],
    ];
    let project = drawItem(start, 'pad', ring(10), 40, { smooth: false, heightMm: 40 }).project;
    project = drawItem(project, 'heap', ring(14), 40, { smooth: false }).project;
    const { levels } = plan(project).report.schools[0];
    // Only a rim of 4 mm of the pad is left flat.
    expect(levels.find(({ itemId }) => itemId === project.landforms[0].id)?.targetMm).toBeCloseTo(38, 0);
  });
});
