import { describe, expect, it } from 'vitest';
import { drawItem, type Project, plan, startProject, usualSheet } from '../index.ts';
import { circle } from '../testing/solids.ts';

/** A flat-topped hill on a small board, with two kinds of sheet. */
const start = startProject('stack', '2027-03-01', 'ground');
const hill: Project = {
  ...start,
  base: { ...start.base, shape: { kind: 'rectangle', widthMm: 160, depthMm: 100 } },
  sections: [{ id: 'A', name: 'A', from: [0, 50], to: [160, 50] }],
  marks: [circle(80, 50, 40, 63, true)],
  sheets: [
    { ...usualSheet('twenty'), name: 'Twenty', count: 2, widthMm: 200, depthMm: 200 },
    { ...usualSheet('ten'), name: 'Ten', nominalMm: 10, count: 2, widthMm: 200, depthMm: 200 },
  ],
  stacking: { ...start.stacking, glueLineMm: 0 },
};
const found = (project: Project, code: string) => plan(project).report.findings.filter((f) => f.code === code);
const whole = (id: string) => ({ sheetIds: [id], sliceMm: null });

describe('what is said of stacks', () => {
  it('enough sheets: nothing', () => {
    const codes = plan(hill).report.findings.map(({ code }) => code);
    for (const code of ['stack-too-low', 'stock-short', 'hand-idle', 'pins-lost', 'limits-lost', 'level-off-joint'])
      expect(codes).not.toContain(code);
  });

  it('too little foam: how high it reaches, and how many square metres and sheets of what are missing', () => {
    const few = { ...hill, sheets: hill.sheets.map((sheet) => ({ ...sheet, count: 1, widthMm: 90, depthMm: 90 })) };
    const [low] = found(few, 'stack-too-low');
    expect(low.severity).toBe('stop');
    expect(low.message).toMatch(/mm above the highest stack these sheets make/);
    expect(low.message).toMatch(/Missing: 0\.\d{3} m² of T\w+ \(\d more sheets?\)/);
    expect(low.message).toContain('circle at 63');
  });

  it('low for another reason than too few sheets: that reason', () => {
    const inside = hill.sheets.map((sheet) => ({ ...sheet, limit: { kind: 'inside' as const, coverMm: 10 } }));
    expect(found({ ...hill, sheets: inside }, 'stack-too-low')[0].message).toContain('nothing may lie at the faces');
    const most = { ...hill.stacking.most, layers: 1 };
    const [limited] = found({ ...hill, stacking: { ...hill.stacking, most } }, 'stack-too-low');
    expect(limited.message).toContain('The limits that were set');
    const [short] = found({ ...hill, stack: { ...hill.stack, byHand: [whole('twenty')] } }, 'stack-too-low');
    expect(short.message).toContain('settled by hand');
  });

  it('by hand more than there is: what is short', () => {
    const byHand = ['twenty', 'twenty', 'twenty'].map(whole);
    const short = { ...hill, sheets: hill.sheets.map((sheet) => ({ ...sheet, count: 1, widthMm: 100, depthMm: 100 })) };
    const [lack] = found({ ...short, stack: { ...hill.stack, byHand } }, 'stock-short');
    expect(lack.place).toBe('Twenty');
    expect(lack.message).toMatch(/0\.\d{3} m² of Twenty \(\d more sheets?\) is missing/);
    const bought = short.sheets.map((sheet) => ({ ...sheet, buyable: true }));
    expect(found({ ...short, sheets: bought, stack: { ...hill.stack, byHand } }, 'stock-short')).toEqual([]);
  });

  it('layers by hand that reach nothing, or ask for what is gone', () => {
    const byHand = ['twenty', 'twenty', 'twenty', 'twenty', 'sold'].map(whole);
    const stack = { ...hill.stack, byHand };
    expect(found({ ...hill, stack }, 'hand-idle')).toHaveLength(1);
    expect(found({ ...hill, stack }, 'hand-unknown')).toHaveLength(1);
    expect(plan({ ...hill, stack }).report.stack.layers).toHaveLength(3);
  });

  it('a pin that nothing reaches, and limits that nothing keeps', () => {
    const pinned = [{ ...whole('ten'), fromMm: 7 }];
    expect(found({ ...hill, stack: { ...hill.stack, pinned } }, 'pins-lost')).toHaveLength(1);
    const most = { ...hill.stacking.most, layers: 1 };
    expect(found({ ...hill, stacking: { ...hill.stacking, most } }, 'limits-lost')).toEqual([]);
    const none = { ...most, carveL: 0, fillL: 0 };
    expect(found({ ...hill, stacking: { ...hill.stacking, most: none } }, 'limits-lost')).toHaveLength(1);
  });

  it('a level off its joint: the nearest joints, and the sheet that would reach it', () => {
    const corners: [number, number][] = [
      [60, 30],
      [100, 30],
      [100, 70],
      [60, 70],
    ];
    const dug = drawItem(hill, 'pad', corners, 0, { name: 'Yard', smooth: false, heightMm: 38 }).project;
    const onJoint = [{ itemId: dug.landforms[0].id, part: '' }];
    const asked = { ...dug, stack: { ...dug.stack, onJoint } };
    const [off] = found(asked, 'level-off-joint');
    expect(off.message).toContain('should fall on a joint at 35 mm of foam');
    expect(off.message).toContain('the nearest are 30 mm (5 mm short) and 40 mm (5 mm over)');
    expect(off.remedy).toContain('A sheet of 5 mm on the joint at 30 mm would reach it; so would a bench wire.');
    // With the wire, and a millimetre off it counting much, the stack is sliced to meet it.
    const wire = { kerfMm: 1, thinnestMm: 3 };
    const costs = { ...dug.stacking.costs, offMinPerMm: 500 };
    expect(found({ ...asked, stacking: { ...dug.stacking, wire, costs } }, 'level-off-joint')).toEqual([]);
  });

  it('an area of what is not there', () => {
    const areas = [{ id: 'a', name: 'Cliff', of: { kind: 'landform' as const, id: 'gone' }, school: null }];
    const [gone] = found({ ...hill, stacking: { ...hill.stacking, areas } }, 'area-gone');
    expect(gone.message).toContain('"Cliff"');
  });
});
