import { readFileSync } from 'node:fs';
import { describe, expect, it } from 'vitest';
import { heightAt } from '../geometry/index.ts';
import { drawItem, type Project, readProject, startProject, terraced } from '../project/index.ts';
import { plan } from './plan.ts';

/** A cone in rings of 10 mm, on a base of its own. */
function hill(): Project {
  let project = startProject('Hill', '2027-03-01');
  for (const [k, radius] of [95, 75, 55, 35, 15].entries()) {
    const ring = Array.from({ length: 36 }, (_, n): [number, number] => [
      148 + radius * Math.cos((n * Math.PI) / 18),
      105 + radius * Math.sin((n * Math.PI) / 18),
    ]);
    project = drawItem(project, 'contour', ring, 10 + 10 * k, { smooth: true }).project;
  }
  return project;
}

describe('ground as a staircase of its layers', () => {
  it('lies at the joints, has nothing to carve or fill, and is built of the same layers', () => {
    const smooth = plan(hill());
    const { layers } = smooth.report.stack;
    expect(layers.length).toBeGreaterThan(1);
    const stepped = plan(terraced(hill(), layers));
    const { stack } = stepped.report;
    expect(stack.layers.map(({ topMm }) => topMm)).toEqual(layers.map(({ topMm }) => topMm));
    expect(smooth.report.stack.carveMl + smooth.report.stack.fillMl).toBeGreaterThan(100);
    // What the lattice makes of the walls.
    expect(stack.carveMl + stack.fillMl).toBeLessThan(0.03 * stack.foamLeftMl);
    for (const [k, { areaMm2 }] of stack.layers.entries()) expect(areaMm2 / layers[k].areaMm2).toBeCloseTo(1, 1);
    expect(heightAt(stepped.target.grid, 148, 105)).toBeCloseTo(stack.topMm, 3);
    expect(heightAt(stepped.target.grid, 148, 105 - 85)).toBeCloseTo(layers[0].topMm, 3);
    expect(heightAt(stepped.target.grid, 5, 5)).toBeCloseTo(0, 3);
  });

  it('keeps ways and waters, and a hollow stays a hollow', () => {
    const read = readProject(
      readFileSync(new URL('../../../samples/harl-quarry.hosket.json', import.meta.url), 'utf8'),
    );
    if (!read.ok) throw new Error(read.fault.message);
    const { layers } = plan(read.value).report.stack;
    const stepped = terraced(read.value, layers);
    expect(stepped.marks).toEqual([]);
    const kinds = (project: Project) =>
      project.landforms.map(({ kind }) => kind).filter((kind) => kind === 'way' || kind === 'pit' || kind === 'basin');
    expect(kinds(stepped)).toEqual(kinds(read.value));
    const ids = stepped.landforms.map(({ id }) => id);
    expect(new Set(ids).size).toBe(ids.length);
  });

  it('leaves the hollow of a ring wall open', () => {
    let project = startProject('Ring wall', '2027-03-01');
    for (const [radius, height] of [
      [100, 5],
      [80, 35],
      [60, 35],
      [35, 5],
    ]) {
      const ring = Array.from({ length: 36 }, (_, n): [number, number] => [
        148 + radius * Math.cos((n * Math.PI) / 18),
        105 + radius * Math.sin((n * Math.PI) / 18),
      ]);
      project = drawItem(project, 'contour', ring, height, { smooth: true }).project;
    }
    const { layers } = plan(project).report.stack;
    expect(layers.at(-1)?.pieces[0].holes).toHaveLength(1);
    const stepped = terraced(project, layers);
    expect(stepped.landforms.filter(({ name }) => name.startsWith('Hollow'))).not.toHaveLength(0);
    const { grid } = plan(stepped).target;
    expect(heightAt(grid, 148 + 70, 105)).toBeCloseTo(layers.at(-1)?.topMm ?? 0, 3);
    expect(heightAt(grid, 148, 105)).toBeLessThan(layers[1].bottomMm + 0.1);
  });
});
