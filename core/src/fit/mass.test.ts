import { describe, expect, it } from 'vitest';
import { newCoat } from '../project/index.ts';
import { frustumGround, frustumProject } from '../testing/frustum.ts';
import { stacked, taken } from '../testing/stacked.ts';
import { massOf } from './mass.ts';

describe('a body of foam and plaster, weighed by hand', () => {
  const start = frustumProject();
  const [recipe] = start.recipes;
  const project = {
    ...start,
    stacking: { ...start.stacking, glue: 'white PVA' as const, glueLineMm: 0 },
    recipes: [{ ...recipe, coats: [newCoat('skin', 'skin', 'plaster', { thicknessMm: 3 })] }],
  };
  const ground = frustumGround();
  const { plan, land } = stacked(project, ground, 'halfway');
  const { stages, skinMl } = taken(project, plan, land);
  const mass = massOf(project, ground.surface.planMm2, plan, [], stages);

  it('foam: what is left of it at 32 g a litre', () => {
    // Extruded building board, 32 kg/m3.
    expect(mass.foamG.likely).toBeCloseTo((plan.foamLeftMl / 1000) * 32, 6);
  });

  it('plaster: 1.186 kg of gypsum from each kilogram of powder, which makes 1.02 L', () => {
    // By stoichiometry: hemihydrate binds 0.186 of water; 1/2.70 + 0.65 = 1.02 L of paste a kilogram at 0.65 of water.
    const byHand = (plan.fillMl + skinMl) * (1.186 / (1 / 2.7 + 0.65));
    expect(Math.abs(mass.pasteG.likely / byHand - 1)).toBeLessThan(0.01);
  });

  it('glue: its solids stay, 48 % of 150 g/m2 of joint', () => {
    const joints = plan.layers.reduce((sum, { contactMm2 }) => sum + contactMm2, 0);
    expect(mass.glueG.likely).toBeCloseTo((joints / 1e6) * 150 * 0.48, 6);
    expect(mass.totalG.likely).toBeCloseTo(
      mass.boardG.likely + mass.foamG.likely + mass.glueG.likely + mass.pasteG.likely,
      6,
    );
  });
});
