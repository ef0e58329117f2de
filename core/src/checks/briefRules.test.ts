import { describe, expect, it } from 'vitest';
import {
  changeTile,
  drawItem,
  type Finding,
  type ItemKind,
  type Point,
  type Project,
  plan,
  putProfile,
  startProject,
} from '../index.ts';

const slab = (change: Partial<Project['base']> = {}): Project => {
  const start = startProject('brief', '2027-03-01', 'ground');
  const base = { ...start.base, shape: { kind: 'rectangle' as const, widthMm: 200, depthMm: 100 }, ...change };
  const sections = [{ id: 'A', name: 'A', from: [0, 50] as [number, number], to: [200, 50] as [number, number] }];
  return drawItem({ ...start, base, sections }, 'spot', [[100, 50]], 20, { heightMm: 20 }).project;
};
const put = (project: Project, kind: ItemKind, points: Point[], change: object = {}): Project =>
  drawItem(project, kind, points, 20, { smooth: false, marginMm: 0, ...change }).project;
const said = (project: Project, code: string): Finding | undefined =>
  plan(project).report.findings.find((finding) => finding.code === code);

describe('what is said of the brief', () => {
  it.each([
    [220, false],
    [250, true],
  ])('a base of 200 x 100 mm, whose corners swing 223.6 mm wide, turns within %s mm: %s', (swingMm, fits) => {
    const finding = said({ ...slab(), envelope: { box: null, swingMm } }, 'swing-too-wide');
    expect(finding === undefined).toBe(fits);
    // Half of 223.607 less half of what is there.
    if (!fits) expect(finding?.message).toMatch(/^The base is 1\.8 mm /);
  });

  it.each([
    [120, 30, null],
    [104, 30, 'things-too-near'],
    [84, 0, 'things-collide'],
  ])('figures on feet of 20 mm at 70 and %s mm that want %s mm between them: %s', (x, marginMm, code) => {
    const one = put(slab(), 'figure', [[70, 50]], { footMm: 20, marginMm: marginMm / 2, name: 'Watch' });
    const both = put(one, 'figure', [[x, 50]], { footMm: 20, marginMm: marginMm / 2, name: 'Guide' });
    const met = plan(both).report.findings.filter((finding) =>
      ['things-too-near', 'things-collide'].includes(finding.code),
    );
    expect(met.map((finding) => finding.code)).toEqual(code ? [code] : []);
  });

  it.each([
    ['round', true],
    ['rectangle', false],
  ])('a profile on a side of a %s base does nothing: %s', (kind, useless) => {
    const shape =
      kind === 'round'
        ? { kind: 'round' as const, diameterMm: 120 }
        : { kind: 'rectangle' as const, widthMm: 120, depthMm: 120 };
    const profile = {
      id: 'lane',
      name: 'Lane',
      points: [
        [0, 10],
        [120, 10],
      ] as [number, number][],
      features: [],
    };
    const project = putProfile(slab({ shape }), profile);
    const worn = changeTile(project, project.tile.id, {
      sides: { ...project.tile.sides, right: { profileId: 'lane', flipped: false } },
    });
    expect(said(worn, 'profile-on-a-curve') !== undefined).toBe(useless);
  });
});
