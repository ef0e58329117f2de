import { describe, expect, it } from 'vitest';
import {
  chooseAgain,
  insertLayer,
  moveLayer,
  removeArea,
  removeLayer,
  startProject,
  swapLayer,
  toggleOnJoint,
  togglePin,
} from '../index.ts';

const project = startProject('by hand', '2027-03-01', 'ground');
const layer = (id: string) => ({ sheetIds: [id], sliceMm: null });
const written = ['a', 'b', 'c'].map(layer);
const order = (next: typeof project) => next.stack.byHand?.map(({ sheetIds }) => sheetIds[0]).join('');

describe('a stack by hand', () => {
  it('is written down from the stack as it stands, layers counted from 1', () => {
    expect(order(insertLayer(project, written, 1, layer('x')))).toBe('xabc');
    expect(order(insertLayer(project, written, 4, layer('x')))).toBe('abcx');
    expect(order(swapLayer(project, written, 2, layer('x')))).toBe('axc');
    expect(order(removeLayer(project, written, 3))).toBe('ab');
    expect(order(moveLayer(project, written, 1, 1))).toBe('bac');
    expect(order(moveLayer(project, written, 3, -1))).toBe('acb');
    expect(moveLayer(project, written, 3, 1)).toBe(project);
    expect(chooseAgain(removeLayer(project, written, 3)).stack).toEqual(project.stack);
  });

  it('an area goes with the limits of sheets that were kept to it', () => {
    const areas = [{ id: 'cliff', name: 'Cliff', of: { kind: 'steeper' as const, degrees: 45 }, school: null }];
    const limit = { kind: 'area' as const, areaId: 'cliff', within: true };
    const sheets = [{ ...project.sheets[0], limit }];
    const gone = removeArea({ ...project, sheets, stacking: { ...project.stacking, areas } }, 'cliff');
    expect(gone).toEqual(project);
  });

  it('pins and levels are set and let go', () => {
    const pin = { ...layer('a'), fromMm: 20 };
    const pinned = togglePin(project, pin);
    expect(pinned.stack.pinned).toEqual([pin]);
    expect(togglePin(pinned, { ...pin, fromMm: 20.01 }).stack.pinned).toEqual([]);
    expect(togglePin(pinned, { ...pin, fromMm: 30 }).stack.pinned).toHaveLength(2);
    const asked = toggleOnJoint(project, 'yard', '');
    expect(toggleOnJoint(asked, 'way', 'start').stack.onJoint).toHaveLength(2);
    expect(toggleOnJoint(asked, 'yard', '').stack.onJoint).toEqual([]);
  });
});
