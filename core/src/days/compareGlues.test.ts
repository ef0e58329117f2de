import { describe, expect, it } from 'vitest';
import { frustumGround, frustumProject } from '../testing/frustum.ts';
import { stacked } from '../testing/stacked.ts';
import { compareGlues } from './compareGlues.ts';

describe('glues side by side', () => {
  const project = frustumProject();
  const { plan } = stacked(project, frustumGround(2), 'halfway');
  const of = Object.fromEntries(compareGlues(project, plan.layers).map((read) => [read.glue, read]));
  const grams = (glue: string) => of[glue].materials.reduce((sum, { amount }) => sum + amount.likely, 0);

  it('white PVA takes weeks in the lower joint, polyurethane a night, hot glue minutes', () => {
    expect(of['white PVA'].dry.likely).toBeGreaterThan(14 * 24);
    expect(of.polyurethane.dry.likely).toBeLessThan(48);
    expect(of['hot glue'].dry.likely).toBeLessThan(1);
  });

  it('a quick rim holds at once while the middle dries as slowly as ever, and less of it is needed', () => {
    const pair = of['quick rim, slow middle'];
    expect(pair.hold.likely).toBe(of['hot glue'].hold.likely);
    expect(pair.dry.likely).toBe(of['white PVA'].dry.likely);
    expect(pair.materials).toHaveLength(2);
    expect(grams('quick rim, slow middle')).toBeCloseTo(0.25 * grams('hot glue') + 0.75 * grams('white PVA'), 9);
  });

  it('all schools of joints are there; no layers, nothing to compare', () => {
    expect(Object.keys(of)).toHaveLength(12);
    for (const { note } of Object.values(of)) expect(note.length).toBeGreaterThan(10);
    expect(compareGlues(project, [])).toEqual([]);
  });
});
