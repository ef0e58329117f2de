import { readFileSync } from 'node:fs';
import fc from 'fast-check';
import { describe, expect, it } from 'vitest';
import { areaAbove, forEachCell, heightAt } from '../geometry/index.ts';
import {
  askables,
  changeItem,
  createPlanner,
  drawItem,
  type Mark,
  type PlanReport,
  type Project,
  plan,
  planReportSchema,
  readProject,
  sectionAlong,
  shapeOfKind,
  startProject,
  type ZoneRule,
} from '../index.ts';
import { toEnd } from '../kernel/index.ts';
import { foamTopAt } from '../layers/index.ts';
import { idleWeek } from '../testing/idleWeek.ts';
import { circle, line } from '../testing/solids.ts';

const demoText = readFileSync(new URL('../../../samples/harl-quarry.hosket.json', import.meta.url), 'utf8');
const demo = (() => {
  const read = readProject(demoText);
  if (!read.ok) throw new Error(read.fault.message);
  return read.value;
})();

const small = (marks: Mark[], change: Partial<Project> = {}): Project => {
  const start = startProject('small', '2027-03-01', 'ground');
  return {
    ...start,
    base: { ...start.base, shape: { kind: 'rectangle', widthMm: 100, depthMm: 80 } },
    sections: [{ id: 'A', name: 'A', from: [0, 40], to: [100, 40] }],
    marks,
    ...change,
  };
};
/** A hill with a pad beside it. */
const padded = () =>
  drawItem(
    small([circle(45, 40, 24, 47)]),
    'pad',
    [
      [60, 20],
      [90, 20],
      [90, 60],
      [60, 60],
    ],
    20,
  ).project;

const chosen = (project: Project) => {
  const { report } = plan(project);
  return report.schools.find(({ school }) => school === report.chosen)!;
};

/** Recipes with a skin of another thickness. */
const skinned = ({ recipes }: Project, thicknessMm: number): Project['recipes'] =>
  recipes.map((recipe) => ({
    ...recipe,
    coats: recipe.coats.map((coat) => (coat.operation === 'skin' ? { ...coat, thicknessMm } : coat)),
  }));

describe('what always holds', () => {
  const projects = fc
    .record({
      a: fc.integer({ min: 5, max: 70 }),
      b: fc.integer({ min: 0, max: 50 }),
      r: fc.integer({ min: 10, max: 30 }),
      skinMm: fc.constantFrom(0, 1, 2.5, 4),
      thick: fc.constantFrom(10, 12.7, 19.05, 20, 30),
      measuredMm: fc.constantFrom(null, 9.6, 19.4),
      glue: fc.constantFrom('white PVA' as const, 'polyurethane' as const, 'hybrid grab' as const),
      oval: fc.boolean(),
    })
    .map(({ a, b, r, skinMm, thick, measuredMm, glue, oval }) => {
      const project = small([
        circle(45, 40, r, a, a % 2 === 0),
        line(b, [
          [92, -2],
          [88, 82],
        ]),
      ]);
      return {
        ...project,
        base: {
          ...project.base,
          shape: oval ? shapeOfKind(project.base, 'oval') : project.base.shape,
        },
        sheets: [{ ...project.sheets[0], nominalMm: thick, measuredMm }],
        recipes: skinned(project, skinMm),
        stacking: { ...project.stacking, glue },
      };
    });

  it('foam left + glue + fill = foam target, + skin = ground; nothing carved when building up; heights never below the board', () => {
    fc.assert(
      fc.property(projects, (project) => {
        const { report, ground, target } = toEnd(createPlanner(() => 1.5).run(project));
        for (const school of report.schools) {
          expect(Math.abs(school.foamLeftMl + school.glueLineMl + school.fillMl - report.target.volumeMl)).toBeLessThan(
            1e-6 * (1 + report.target.volumeMl),
          );
          expect(school.foamLeftMl).toBeCloseTo(school.foamCutMl - school.carveMl, 9);
          expect(school.carveMl).toBeGreaterThan(-1e-6);
          expect(school.paste.most95Mm).toBeLessThanOrEqual(school.paste.deepestMm + 1e-9);
        }
        expect(report.target.volumeMl + report.target.skinMl).toBeCloseTo(report.ground.volumeMl, 6);
        expect(report.target.skinMl).toBeGreaterThan(-1e-9);
        expect(Math.abs(report.schools[2].carveMl)).toBeLessThan(1e-6);
        expect(report.ground.lowestMm).toBeGreaterThanOrEqual(0);
        let above = 0;
        for (let n = 0; n < ground.grid.values.length; n++)
          above = Math.max(above, target.grid.values[n] - ground.grid.values[n]);
        expect(above).toBeLessThan(1e-9);
      }),
      { numRuns: 15 },
    );
  });

  it('carve and fill, counted a second way cell by cell', () => {
    const project = small([
      circle(45, 40, 24, 47),
      circle(45, 40, 12, 61),
      line(9, [
        [97, -2],
        [97, 82],
      ]),
    ]);
    const { report, ground, target } = plan(project);
    for (const school of report.schools) {
      let carve = 0;
      let fill = 0;
      forEachCell(target.grid, ground.coverage, (_cell, area, height) => {
        const t = Math.max(0, height);
        const { topMm } = foamTopAt(school.layers, height);
        carve += area * Math.max(0, topMm - t);
        fill += area * Math.max(0, t - topMm);
      });
      // One height a cell against exact triangles, and the glue lines counted as fill: observed within 1 %.
      expect(Math.abs(carve / 1000 - school.carveMl)).toBeLessThan(0.01 * school.carveMl + 0.3);
      expect(Math.abs(fill / 1000 - school.fillMl)).toBeLessThan(0.02 * school.fillMl + 0.4);
    }
    expect(areaAbove(target.curve, 0)).toBeLessThanOrEqual(report.ground.planMm2 + 1e-6);
  });

  it('the same project always gives the same plan, to the last digit, also on a planner that has seen others', () => {
    const project = small([
      circle(45, 40, 24, 47),
      line(9, [
        [97, -2],
        [97, 82],
      ]),
    ]);
    const first = JSON.stringify(plan(project).report);
    expect(JSON.stringify(plan(structuredClone(project)).report)).toBe(first);
    const planner = createPlanner();
    toEnd(planner.run(small([circle(50, 40, 20, 30)])));
    toEnd(planner.run({ ...project, recipes: skinned(project, 1) }));
    expect(JSON.stringify(toEnd(planner.run(project)).report)).toBe(first);
  });

  it('a quick plan has the chosen school right and says that it is not the last word; the exact one is that of a fresh start', () => {
    const project = padded();
    const raised = changeItem(project, project.landforms[0].id, { heightMm: 31 });
    const planner = createPlanner();
    toEnd(planner.run(project));
    const quick = toEnd(planner.run(raised, true));
    const exact = toEnd(planner.run(raised));
    expect([quick.near, exact.near]).toEqual([true, false]);
    expect(JSON.stringify(exact.report)).toBe(JSON.stringify(plan(raised).report));
    const of = (report: PlanReport) => report.schools.find(({ school }) => school === report.chosen);
    expect(of(quick.report)).toEqual(of(exact.report));
    // Pieces are laid on sheets only when the ground is at rest.
    const after = ({ takeoff }: PlanReport) => takeoff.filter(({ stage }) => stage !== 'cut');
    expect(after(quick.report)).toEqual(after(exact.report));
    expect(quick.ground.grid.values).toEqual(exact.ground.grid.values);
    // The first plan of all has nothing to leave as it was.
    expect(toEnd(createPlanner().run(raised, true)).near).toBe(false);
  });

  it('areas that are zones do not lag behind a quick plan', () => {
    const hill = padded();
    const when = Object.fromEntries(askables.map((what) => [what, null])) as ZoneRule['when'];
    const steep = {
      id: 'steep',
      name: 'Steep',
      cover: 'rock' as const,
      recipe: null,
      when: { ...when, slope: { from: 35, to: null } },
    };
    const project: Project = {
      ...hill,
      zones: { rules: [steep], rest: 'grass' },
      stacking: {
        ...hill.stacking,
        areas: [{ id: 'a', name: 'Steep', of: { kind: 'zone', id: 'steep' }, school: 'carve back' }],
      },
    };
    const raised = changeItem(project, project.landforms[0].id, { heightMm: 31 });
    const planner = createPlanner();
    toEnd(planner.run(project));
    const quick = toEnd(planner.run(raised, true));
    const fresh = plan(raised);
    expect(quick.report.stack.layers).toEqual(fresh.report.stack.layers);
    expect(JSON.stringify(toEnd(planner.run(raised)).report)).toBe(JSON.stringify(fresh.report));
  });

  it('a coverage figure alone does not work the ground out again', () => {
    const planner = createPlanner();
    const project = small([circle(45, 40, 24, 47)]);
    const before = toEnd(planner.run(project));
    const after = toEnd(
      planner.run({ ...project, recipes: project.recipes.map((recipe) => ({ ...recipe, roughness: 1.6 })) }),
    );
    expect(after.ground).toBe(before.ground);
    expect(after.target).toBe(before.target);
    expect(after.report.takeoff.find(({ stage }) => stage === 'seal')).not.toEqual(
      before.report.takeoff.find(({ stage }) => stage === 'seal'),
    );
  });
});

describe('coats that cannot be worked out', () => {
  it('are told with the reason, and stop nothing', () => {
    const project = small([circle(45, 40, 24, 47)]);
    const [recipe] = project.recipes;
    const [skin, seal, ...rest] = recipe.coats;
    const broken = [skin, { ...seal, material: 'compound' }, { ...rest[0], material: 'gone' }, ...rest.slice(1)];
    const { report } = plan({ ...project, recipes: [{ ...recipe, coats: broken }] });
    const told = report.findings.filter(({ code }) => code === 'coat-left-out').map(({ message }) => message);
    expect(told).toEqual([expect.stringContaining('gone is not in the catalogue')]);
    expect(report.takeoff.some(({ operation }) => operation === 'grass')).toBe(true);
    const wrong = plan({ ...project, recipes: [{ ...recipe, coats: [skin, { ...seal, material: 'soil' }] }] }).report;
    expect(wrong.findings.map(({ message }) => message).join()).toContain('Seal is not done with Sifted dried soil');
  });
});

describe('the demo, Harl Quarry', () => {
  const before = plan(demo).report;

  it('is sound, fits its schema, and nothing stands against it', () => {
    expect(planReportSchema.safeParse(before).success).toBe(true);
    // Notes are no objections: bowls to mix apart, footprints to mask.
    expect(before.findings.filter(({ severity }) => severity !== 'note')).toEqual([]);
    expect(before.finish).not.toBeNull();
  });

  it('no bench sits on a joint: the planner has something to decide at every level', () => {
    const school = before.schools.find(({ school: name }) => name === before.chosen)!;
    const benches = school.levels.filter(({ name }) => name.startsWith('Bench'));
    expect(benches).toHaveLength(5);
    for (const bench of benches) expect(bench.work).not.toBe('flush');
  });

  it('the schools differ by days, by how deep the paste lies', () => {
    const [back, half, up] = before.schools.map(({ pasteDryHours }) => pasteDryHours.likely);
    expect(half - back).toBeGreaterThan(24);
    expect(up - half).toBeGreaterThan(24);
  });

  it('raising a bench by 7 mm changes stack, carve, fill, compound and finish', () => {
    const after = plan(changeItem(demo, 'bench-3', { heightMm: 50 })).report;
    const pick = (report: typeof before) => {
      const school = report.schools.find(({ school: name }) => name === report.chosen)!;
      return [
        school.layers.map(({ sheetId }) => sheetId).join(),
        school.carveMl,
        school.fillMl,
        report.takeoff.find(({ stage }) => stage === 'skin')!.materials[0].amount.likely,
        report.finish!.likely,
      ];
    };
    const later = pick(after);
    for (const [k, value] of pick(before).entries()) expect(later[k]).not.toEqual(value);
  });

  it('the section agrees with ground, target and stack', () => {
    const { ground, target, report } = plan(demo);
    const { layers } = report.schools[1];
    const samples = sectionAlong(ground.grid, target.grid, layers, null, ground.outline, [0, 170], [420, 96], 2);
    expect(samples[0].onBase && samples[samples.length - 1].onBase).toBe(true);
    for (const sample of samples) {
      const x = (sample.alongMm / Math.hypot(420, 74)) * 420;
      expect(sample.groundMm).toBeCloseTo(heightAt(ground.grid, x, 170 - (x * 74) / 420), 6);
      expect(sample.targetMm).toBeLessThanOrEqual(sample.groundMm + 1e-9);
      expect(sample.foamMm).toBe(sample.layer ? layers[sample.layer - 1].topMm : 0);
    }
  });
});

describe('findings', () => {
  const codes = (project: Project) => plan(project).report.findings.map(({ code }) => code);
  const hill = [circle(50, 40, 25, 60, true)];

  it('nothing drawn, no sheets, too few, none of a size', () => {
    expect(codes(small([]))).toEqual(['nothing-drawn']);
    expect(codes(small(hill, { sheets: [] }))).toContain('stack-too-low');
    const low = plan(
      small(hill, {
        sheets: [{ ...startProject('s', '2027-03-01', 'ground').sheets[0], widthMm: 80, depthMm: 100, count: 1 }],
      }),
    ).report.findings.find(({ code }) => code === 'stack-too-low');
    expect(low?.severity).toBe('stop');
    expect(low?.message).toMatch(/circle at 60 \(60 mm\) stands \d+(\.\d)? mm above the highest stack/);
    const tiny = small(hill, {
      sheets: [{ ...startProject('s', '2027-03-01', 'ground').sheets[0], widthMm: 60, depthMm: 60, count: 40 }],
    });
    // Seams make small sheets do; without them a piece lies nowhere, and is told by how much.
    expect(codes(tiny)).not.toContain('piece-nowhere');
    const unsplit = plan({ ...tiny, cutting: { ...tiny.cutting, split: false } }).report.findings;
    expect(unsplit.find(({ code }) => code === 'piece-nowhere')?.message).toMatch(
      /^Piece 1-1 fits nowhere: it is [\d.]+ mm too long and [\d.]+ mm too wide for /,
    );
  });

  it('crossing lines, a mark off the base, a spot that cannot be met, a tiny line', () => {
    expect(codes(small([circle(40, 40, 20, 30), circle(60, 40, 20, 40)]))).toContain('lines-cross');
    expect(codes(small([...hill, circle(500, 40, 20, 30)]))).toContain('off-the-base');
    expect(
      codes(
        small([
          ...hill,
          { kind: 'spot', id: 's', name: 'S', heightMm: 20, hidden: false, locked: false, points: [[50, 40]] },
        ]),
      ),
    ).toContain('spot-missed');
    expect(
      codes(
        small([
          ...hill,
          line(10, [
            [5, 5],
            [5.5, 5],
          ]),
        ]),
      ),
    ).toContain('tiny-line');
  });

  it('slow joints, deep paste, bad air, no hours', () => {
    const start = small(hill);
    const pva = plan({ ...start, stacking: { ...start.stacking, glue: 'white PVA', school: 'carve back' } }).report;
    expect(pva.findings.find(({ code }) => code === 'joint-slow')?.remedy).toContain('Polyurethane');
    const cold = plan({ ...start, air: { temperatureC: -5, humidityPercent: 60, airSpeedMs: 0.1 } }).report;
    expect(cold.findings.find(({ code }) => code === 'joint-slow')?.remedy).toContain('warmer');
    expect(codes({ ...start, sheets: [] })).toContain('paste-deep');
    expect(codes({ ...start, air: { temperatureC: 5, humidityPercent: 92, airSpeedMs: 0.1 } })).toEqual(
      expect.arrayContaining(['air-cold', 'air-damp']),
    );
    const idle = plan({ ...start, bench: { ...start.bench, week: idleWeek } }).report;
    expect(idle.finish).toBeNull();
    expect(idle.findings.map(({ code }) => code)).toContain('no-bench-hours');
  });

  it('what stops the work comes first', () => {
    const found = plan(small([circle(40, 40, 20, 60), circle(60, 40, 20, 40)], { sheets: [] })).report.findings;
    expect(found[0].severity).toBe('stop');
    expect(chosen(small(hill)).layers.length).toBeGreaterThan(1);
  });
});
