import { describe, expect, it } from 'vitest';
import { faultOfEdit } from '../reading/read.ts';
import { startProject } from '../start.ts';

const project = startProject('f', '2027-03-01', 'ground');

describe('whether an edit can be written and read again', () => {
  it('what can is let through, what was not changed is not looked at', () => {
    expect(faultOfEdit(project, { ...project, name: 'Another' })).toBeNull();
    const broken = { ...project, name: '' };
    expect(faultOfEdit(broken, { ...broken, notes: 'x' })).toBeNull();
  });

  it.each([
    ['name', { name: '' }],
    ['seed', { seed: -1 }],
    ['sheets[0].measuredMm', { sheets: [{ ...project.sheets[0], measuredMm: -3 }] }],
    ['air.humidityPercent', { air: { ...project.air, humidityPercent: 140 } }],
    ['recipes', { recipes: [] }],
  ] as const)('%s out of bounds is told by its place', (place, change) => {
    const fault = faultOfEdit(project, { ...project, ...(change as Partial<typeof project>) });
    expect(fault?.place).toBe(place);
    expect(fault?.message).toMatch(/^That does not go: /);
  });

  it('two of one id are refused', () => {
    const [recipe] = project.recipes;
    expect(faultOfEdit(project, { ...project, recipes: [recipe, recipe] })?.message).toContain('same id');
  });
});
