import { describe, expect, it } from 'vitest';
import { faultOfEdit, startProject } from '../index.ts';
import { fieldLimits } from './fieldLimits.ts';

describe('limits of fields, from the schema', () => {
  it('are those at which an edit is refused', () => {
    const project = startProject('limits', '2027-03-01', 'ground');
    const { least, most } = fieldLimits('sheets.count');
    const counted = (count: number) => ({ ...project, sheets: [{ ...project.sheets[0], count }] });
    expect(faultOfEdit(project, counted(least))).toBeNull();
    expect(faultOfEdit(project, counted(most))).toBeNull();
    expect(faultOfEdit(project, counted(least - 1))).not.toBeNull();
    expect(faultOfEdit(project, counted(most + 1))).not.toBeNull();
  });

  it('are found through lists, alternatives and what may be left open', () => {
    expect(fieldLimits('base.shape.sides')).toEqual({ least: 3, most: 24 });
    expect(fieldLimits('limits.rules.check.leastPercent')).toEqual({ least: 0, most: 100 });
    expect(fieldLimits('sheets.toleranceMm')).toEqual({ least: 0, most: 20 });
    expect(fieldLimits('sheets.price')).toEqual({ least: 0, most: 1e6 });
  });

  it('are asked for by a path that is there', () => {
    expect(() => fieldLimits('sheets.cuont')).toThrow('sheets.cuont');
    expect(() => fieldLimits('sheets.name')).toThrow();
  });
});
