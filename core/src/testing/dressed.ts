import { type Coat, type Finding, newCoat, type Project, plan, startProject } from '../index.ts';
import { circle } from './solids.ts';

/** A small hill of 25 mm, its only zone dressed with these coats. */
export function dressed(coats: Coat[], change: Partial<Project> = {}): Project {
  const start = startProject('dressed', '2027-03-01', 'ground');
  return {
    ...start,
    base: { ...start.base, shape: { kind: 'rectangle', widthMm: 160, depthMm: 100 } },
    sections: [{ id: 'A', name: 'A', from: [0, 50], to: [160, 50] }],
    marks: [circle(80, 50, 40, 25)],
    recipes: [{ ...start.recipes[0], name: 'Meadow', coats }],
    ...change,
  };
}

export const skin = newCoat('skin', 'skin', 'compound', { thicknessMm: 2 });
export const seal = newCoat('seal', 'seal', 'seal coat');
export const paint = newCoat('paint', 'paint', 'acrylic', { colour: 'earth' });
export const grass = newCoat('grass', 'grass', 'grass 2 mm');

export const findings = (project: Project): Finding[] => plan(project).report.findings;
export const codes = (project: Project): string[] => findings(project).map(({ code }) => code);
export function found(project: Project, code: string): Finding {
  const one = findings(project).find((finding) => finding.code === code);
  if (!one) throw new Error(`${code} was not found in ${codes(project).join(', ')}`);
  return one;
}
