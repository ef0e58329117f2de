import { drawItem, type Project, startProject } from '@hosket/core';
import { describe, expect, it } from 'vitest';
import { isTyped, typedMeasure, typedPoint } from '../handling/typed.ts';
import { snapPoint } from './snap.ts';

describe('numbers written while dragging', () => {
  it('a measure in the builder’s units, or in any that are written', () => {
    expect(typedMeasure('12.5', 'metric')).toBe(12.5);
    expect(typedMeasure('1/2', 'imperial')).toBeCloseTo(12.7, 6);
    expect(typedMeasure('2 cm', 'imperial')).toBeCloseTo(20, 6);
    expect(typedMeasure('', 'metric')).toBeNull();
    expect(typedMeasure('up', 'metric')).toBeNull();
  });

  it('two are a place, one is so far on the way the drag has taken', () => {
    expect(typedPoint('120; 45', [0, 0], [1, 1], 'metric')).toEqual([120, 45]);
    expect(typedPoint('120 45.5', [0, 0], [1, 1], 'metric')).toEqual([120, 45.5]);
    expect(typedPoint('1 1/2; 2', [0, 0], [1, 1], 'imperial')?.[0]).toBeCloseTo(38.1, 6);
    expect(typedPoint('10', [5, 5], [5, 80], 'metric')).toEqual([5, 15]);
    expect(typedPoint('10', [5, 5], [5, 5], 'metric')).toBeNull();
    expect(typedPoint('10;', [5, 5], [9, 9], 'metric')).toBeNull();
    expect(typedPoint('1; 2; 3', [5, 5], [9, 9], 'metric')).toBeNull();
  });

  it('takes the keys of numbers, not those that steer', () => {
    for (const key of ['7', '.', ',', ';', '-', '/', ' ', 'm', '"']) expect(isTyped(key)).toBe(true);
    for (const key of ['Enter', 'Tab', 'ArrowUp', 'Backspace', 'Shift', '#']) expect(isTyped(key)).toBe(false);
  });
});

describe('what a dragged point takes hold of', () => {
  const start = startProject('snap', '2027-03-01', 'ground');
  const base: Project = {
    ...start,
    base: { ...start.base, shape: { kind: 'rectangle', widthMm: 200, depthMm: 100 } },
  };
  const { project, id } = drawItem(
    base,
    'pad',
    [
      [40, 30],
      [80, 30],
      [80, 60],
      [40, 60],
    ],
    20,
    { name: 'Loading bank', smooth: false },
  );

  it('a corner before an edge, an edge before the grid; each is named', () => {
    expect(snapPoint(project, [81, 31], 3, [])).toEqual({ at: [80, 30], what: 'corner of Loading bank' });
    expect(snapPoint(project, [61, 31], 3, [])).toEqual({ at: [61, 30], what: 'edge of Loading bank' });
    expect(snapPoint(project, [199, 1.5], 3, [])).toEqual({ at: [200, 0], what: 'corner of the base' });
    expect(snapPoint(project, [120, 98.5], 3, [])).toEqual({ at: [120, 100], what: 'edge of the base' });
    expect(snapPoint(project, [120.8, 70.5], 3, [])).toEqual({ at: [120, 70], what: 'grid of 5 mm' });
    expect(snapPoint(project, [122.4, 72.6], 3, [])).toEqual({ at: [122.4, 72.6], what: null });
  });

  it('nothing that is hidden or is moved itself; the nearer the plan, the finer the grid', () => {
    expect(snapPoint(project, [81, 31], 3, [id]).what).toBe('grid of 5 mm');
    const hidden = { ...project, landforms: project.landforms.map((form) => ({ ...form, hidden: true })) };
    expect(snapPoint(hidden, [81, 31], 3, []).what).toBe('grid of 5 mm');
    expect(snapPoint(project, [120.1, 70.1], 20, []).what).toBe('grid of 1 mm');
  });
});
