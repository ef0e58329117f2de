import { describe, expect, it } from 'vitest';
import type { Coat, Project, Recipe } from '../project/index.ts';
import { everywhere, newCoat } from '../project/index.ts';
import { frustumGround, frustumProject } from '../testing/frustum.ts';
import { stacked, taken } from '../testing/stacked.ts';
import type { StageTakeoff } from './index.ts';

/** The amounts of the square frustum, halfway, worked out by hand: "amounts" of the closed-form example. */
const ground = frustumGround();
const start = frustumProject();

const flat = { ...everywhere(), slope: { from: null, to: 0.01 } };
const usual = start.recipes[0];
const wearing = (coats: Coat[], more: Partial<Recipe> = {}): Project => ({
  ...start,
  stacking: { ...start.stacking, glue: 'white PVA', glueLineMm: 0 },
  recipes: [{ ...usual, coats, ...more }],
});
const worked = (project: Project) => {
  const { plan, land } = stacked(project, ground, 'halfway');
  return { plan, ...taken(project, plan, land) };
};
const example = wearing([
  newCoat('skin', 'skin', 'compound', { thicknessMm: 3 }),
  newCoat('seal', 'seal', 'seal coat'),
  newCoat('grass', 'grass', 'grass 2 mm', { when: flat }),
]);
const { stages, paste, plan, skinMl } = worked(example);

const find = (list: readonly StageTakeoff[], start: string) => {
  const found = list.find(({ id, stage }) => id.startsWith(start) || stage === start);
  if (!found) throw new Error(`no step ${start} in ${list.map(({ id }) => id).join(', ')}`);
  return found;
};
const amount = (step: StageTakeoff, name: string) => {
  const found = step.materials.find((material) => material.name.includes(name));
  if (!found) throw new Error(`no ${name} in ${step.materials.map((material) => material.name).join(', ')}`);
  return found.amount;
};
const near = (value: number, expected: number, share = 0.006) =>
  expect(Math.abs(value / expected - 1)).toBeLessThan(share);

describe('the frustum halfway', () => {
  it('joints: 774.4 cm2, white PVA 11.6 g (7.7 to 19.4)', () => {
    const glue = find(stages, 'glue');
    near(glue.areaMm2 / 100, 774.4);
    const spread = amount(glue, 'Joint glue');
    near(spread.likely, 11.6);
    near(spread.low, 7.75);
    near(spread.high, 19.36);
  });

  it('compound: 373.7 ml mixed, 299 g of powder, 230 ml of water', () => {
    const skin = find(stages, 'skin');
    near(amount(skin, 'mixed').likely, 373.7);
    near(amount(skin, 'of it powder').likely, 299);
    near(amount(skin, 'of it water').likely, 230);
  });

  it('never one bowl: 21.6 min for the ground and 11 for what lies deep, against 20 min: two of about 187 ml with 150 g of powder each', () => {
    const { batches, coats } = find(stages, 'skin');
    expect(batches?.count).toBe(2);
    near(batches?.mlEach ?? 0, 187);
    expect(batches?.why).toContain('33 min');
    expect(batches?.recipe[0]).toMatch(/^1(49|50) g of powder$/);
    expect(coats).toBe(2);
  });

  it('seal 18.9 ml, half of it paint', () => {
    const seal = find(stages, 'seal');
    near(amount(seal, 'Seal coat').likely, 18.9);
    near(amount(seal, 'of it paint').likely, 18.9 / 2);
  });

  it('grass on the flat top of 64 cm2: 0.51 g kept, 1.0 g loaded, 1.6 ml of glue', () => {
    const grass = find(stages, 'grass');
    // The flat is read from whole cells of no slope.
    near(grass.areaMm2 / 100, 64, 0.015);
    near(amount(grass, 'kept').likely, 0.51, 0.015);
    near(amount(grass, 'load').likely, 1.02, 0.015);
    near(amount(grass, 'Grass glue').likely, 1.6, 0.015);
  });

  it('volumes of paste by zone are those of the solids', () => {
    const fill = paste.zones.reduce((sum, { fillMl }) => sum + fillMl, 0);
    const skin = paste.zones.reduce((sum, zone) => sum + zone.skinMl, 0);
    expect(fill).toBeCloseTo(plan.fillMl, 9);
    expect(skin).toBeCloseTo(skinMl, 9);
    near(skin, 207.3);
    near(fill, 129.1);
    near(paste.zones[0].deepestMm, 10.8, 0.03);
  });

  it('every amount keeps its working, low <= likely <= high', () => {
    for (const { materials, handsOn } of stages)
      for (const { low, likely, high, working } of [...materials.map((material) => material.amount), handsOn]) {
        expect(low).toBeLessThanOrEqual(likely + 1e-9);
        expect(likely).toBeLessThanOrEqual(high + 1e-9);
        expect(working.expression).not.toBe('');
        for (const coefficient of working.coefficients) expect(coefficient.source.note).not.toBe('');
      }
  });
});

describe('coats of a recipe', () => {
  const step = (coat: Coat, more: Partial<Recipe> = {}) =>
    find(worked(wearing([newCoat('skin', 'skin', 'compound', { thicknessMm: 3 }), coat], more)).stages, coat.operation);

  // ISO 4618 spreading rate: 10 x volume solids (%) / dry film (um); 35 % and 60 um are 5.83 m2/L, at R 1.4 and 10 % loss 3.75 m2/L of ground.
  it('a litre of 35 % solids at 60 um covers 5.8 m2 in theory and 3.75 m2 of a ground of roughness 1.4', () => {
    const theory = (10 * 35) / 60;
    const paint = wearing([newCoat('seal', 'seal', 'seal coat')], { roughness: 1.4 });
    const seal = find(
      worked({
        ...paint,
        materials: {
          added: [],
          values: [
            {
              material: 'seal coat',
              property: 'spreadM2PerL',
              low: theory,
              likely: theory,
              high: theory,
              note: 'theory',
            },
          ],
        },
      }).stages,
      'seal',
    );
    const litres = amount(seal, 'Seal coat').likely / 1000;
    near(ground.surface.trueMm2 / 1e6 / litres, 3.75, 0.002);
  });

  it('a small base still needs the least of a colour; several tones are one pot', () => {
    const dry = step(newCoat('d', 'dry-brush', 'dry-brush', { coats: 3 }));
    expect(dry.materials[0].amount.likely).toBe(3);
    expect(dry.materials[0].amount.working.expression).toContain('at least 3 ml');
  });

  it('two coats take twice one, a half of the ground half of it', () => {
    const one = step(newCoat('s', 'seal', 'gesso')).materials[0].amount.likely;
    near(step(newCoat('s', 'seal', 'gesso', { coats: 2 })).materials[0].amount.likely, 2 * one, 1e-9);
    near(step(newCoat('s', 'seal', 'gesso', { sharePercent: 50 })).materials[0].amount.likely, one / 2, 1e-9);
  });

  it('a first-timer takes 1.6 times the minutes, and more bowls', () => {
    const slow = { ...example, bench: { ...example.bench, skill: 'first-timer' as const } };
    const skin = find(worked(slow).stages, 'skin');
    const seal = find(worked(slow).stages, 'seal');
    near(seal.handsOn.likely / find(stages, 'seal').handsOn.likely, 1.6, 1e-9);
    expect(skin.batches?.count).toBe(3);
    expect(skin.batches?.why).toContain('53 min');
  });

  it('a wash is mostly water: one part of paint in eleven', () => {
    const wash = step(newCoat('w', 'wash', 'wash', { coats: 3, thinParts: 10 }));
    const paint = amount(wash, 'Wash').likely;
    near(amount(wash, 'Water').likely, 7.5 * paint, 1e-9);
    near(amount(wash, 'Matt medium').likely, 2.5 * paint, 1e-9);
  });

  it('soil by the layer: 1 mm over 100 cm2 is 10 ml, and 12 g', () => {
    const soil = step(newCoat('s', 'scatter', 'soil', { thicknessMm: 1 }));
    near(amount(soil, 'soil').likely, ((ground.surface.trueMm2 / 1e4) * 12) / 0.85, 1e-6);
    near(
      amount(soil, 'of both').likely,
      amount(soil, 'Fixative').likely / 4 + amount(soil, 'Thinned medium').likely / 2,
      1e-9,
    );
  });

  it('moss paste is stirred from its parts, and each bowl says of what', () => {
    const moss = step(newCoat('m', 'spread', 'moss paste', { thicknessMm: 2 }));
    const whole = amount(moss, 'Moss');
    // 3 parts of foam are a tenth solid: with 3 wet parts 3.3 in the bowl of the 6 that were measured out.
    near(amount(moss, 'of it PVA').likely, (2 * whole.likely) / 3.3, 1e-9);
    near(amount(moss, 'of it ground foam').likely, (3 * whole.likely) / 3.3, 1e-9);
    expect(moss.batches?.recipe).toHaveLength(3);
    // 2 mm over the true surface, 15 % spilt; no powder is weighed out.
    near(whole.likely, (ground.surface.trueMm2 * 2) / 1000 / 0.85, 1e-6);
  });

  it('tufts stand by their density until they keep no distance', () => {
    const area = ground.surface.trueMm2;
    const free = step(newCoat('t', 'plant', 'tuft', { per100Cm2: 6, apartMm: 5 }));
    expect(free.materials[0].amount.likely).toBe(Math.round((area / 1e4) * 6));
    const full = step(newCoat('t', 'plant', 'tuft', { per100Cm2: 200, apartMm: 20 }));
    expect(full.materials[0].amount.likely).toBeLessThan(area / (Math.PI * 10 ** 2));
    expect(full.materials[0].amount.working.expression).toContain('distance');
  });

  it('what is set to nothing, or is made of something unknown, is left out', () => {
    const { stages: few } = worked(
      wearing([
        newCoat('skin', 'skin', 'compound', { thicknessMm: 3 }),
        newCoat('a', 'grass', 'grass 4 mm', { sharePercent: 0 }),
        newCoat('b', 'paint', 'nobody knows it'),
        newCoat('c', 'grass', 'acrylic'),
      ]),
    );
    expect(few.map(({ id }) => id)).toEqual(['cut', 'glue', 'carve', 'skin-compound']);
  });

  it('an own paste without its drying figures is left out, and the steps are filled with another', () => {
    const own = {
      id: 'mine',
      name: 'Mine',
      form: 'paste' as const,
      values: {},
      facts: [],
      use: '',
      caution: '',
      packs: [],
    };
    const bare = wearing([newCoat('skin', 'skin', 'mine', { thicknessMm: 3 })]);
    const { stages: list } = worked({ ...bare, materials: { added: [own], values: [] } });
    expect(list.map(({ id }) => id)).toEqual(['cut', 'glue', 'carve', 'skin-compound']);
  });

  it('a recipe without paste still has its steps filled, with the paste of the project', () => {
    const bare = worked(wearing([newCoat('seal', 'seal', 'gesso')]));
    expect(bare.plan.fillMl).toBeGreaterThan(10);
    near(amount(find(bare.stages, 'skin'), 'mixed').likely * 0.9, bare.plan.fillMl, 1e-6);
  });

  it('texture paste shrinks: a quarter more goes on, in thinner coats, than compound', () => {
    const compound = find(worked(wearing([newCoat('k', 'skin', 'compound', { thicknessMm: 2 })])).stages, 'skin');
    const texture = find(worked(wearing([newCoat('k', 'skin', 'texture paste', { thicknessMm: 2 })])).stages, 'skin');
    near(texture.materials[0].amount.likely / compound.materials[0].amount.likely, 1 / 0.75, 1e-6);
    expect(texture.coats).toBeGreaterThan(compound.coats);
    expect(texture.materials).toHaveLength(1);
    expect(amount(compound, 'of it powder').likely).toBeGreaterThan(50);
  });

  it('plies count for the skin they make, and what lies under them fills the steps first', () => {
    const { stages: shell } = worked(
      wearing([newCoat('f', 'skin', 'compound', { thicknessMm: 1 }), newCoat('t', 'skin', 'tissue', { coats: 4 })]),
    );
    const tissue = find(shell, 'skin-tissue');
    near(tissue.materials[0].amount.likely, (4 * 17 * ground.surface.trueMm2) / 1e6, 1e-6);
    expect(tissue.coats).toBe(4);
    expect(tissue.after).toEqual([
      { id: 'skin-compound', wait: 'coat' },
      { id: 'glue', wait: 'coat' },
      { id: 'carve', wait: 'touch' },
    ]);
  });
});

describe('what waits for what', () => {
  it('paste dries through before the seal, joints only have to hold, paint only until it may be coated', () => {
    const { stages: chain } = worked(
      wearing([
        newCoat('k', 'skin', 'compound', { thicknessMm: 3 }),
        newCoat('s', 'seal', 'seal coat'),
        newCoat('p', 'paint', 'acrylic'),
        newCoat('o', 'wash', 'oil wash'),
      ]),
    );
    expect(find(chain, 'seal').after).toEqual([
      { id: 'skin-compound', wait: 'through' },
      { id: 'glue', wait: 'coat' },
    ]);
    expect(find(chain, 'paint').after).toEqual([{ id: 'seal-seal-coat', wait: 'coat' }]);
    expect(find(chain, 'wash').after).toEqual([{ id: 'paint-acrylic', wait: 'solvent' }]);
  });
});
