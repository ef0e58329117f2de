import { readFileSync } from 'node:fs';
import { describe, expect, it } from 'vitest';
import { heightAt } from '../geometry/index.ts';
import { groundOf } from '../ground/index.ts';
import { toEnd } from '../kernel/index.ts';
import { baseSize, changeItem, type Project, readProject } from '../project/index.ts';
import { createDrafter } from './draft.ts';

function sample(name: string): Project {
  const read = readProject(readFileSync(new URL(`../../../samples/${name}.hosket.json`, import.meta.url), 'utf8'));
  if (!read.ok) throw new Error(read.fault.message);
  return read.value;
}
const harl = sample('harl-quarry');

describe('what follows a pointer', () => {
  const draft = createDrafter();
  const first = draft(harl);

  it('is near the ground of the plan: a tenth of the height off at no more than one place in twenty', () => {
    const { grid } = toEnd(groundOf(harl, 2));
    const { widthMm, depthMm } = baseSize(harl.base);
    const off: number[] = [];
    for (let x = 5; x < widthMm; x += 7)
      for (let y = 5; y < depthMm; y += 7) off.push(Math.abs(heightAt(first.ground, x, y) - heightAt(grid, x, y)));
    off.sort((a, b) => a - b);
    expect(off[Math.floor(off.length / 2)]).toBeLessThan(0.6);
    expect(off[Math.floor(0.95 * off.length)]).toBeLessThan(8);
    expect(off[off.length - 1]).toBeGreaterThan(0);
  });

  it('is the same for what draws nothing, and another when something moves or is asked for finer', () => {
    expect(draft({ ...structuredClone(harl), notes: 'Other words' })).toBe(first);
    const raised = draft(changeItem(harl, 'bank', { heightMm: 36 }));
    expect(heightAt(raised.ground, 380, 27) - heightAt(first.ground, 380, 27)).toBeCloseTo(5, 1);
    // Back again: what was kept of the way leaves no trace.
    expect(draft(harl).ground.values).toEqual(first.ground.values);
    expect(draft(harl, 8000).ground.columns).toBeGreaterThan(first.ground.columns);
  });
});
