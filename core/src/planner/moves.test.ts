import { describe, expect, it } from 'vitest';
import { costsAt, drawItem, moveItems, type Project, startProject } from '../project/index.ts';
import { plan, planWithMoves } from './plan.ts';

/** A bench of a height on an A4 base, its give, and sheets of 20 mm; carved back, as new projects are. */
function bench(heightMm: number, give: { downMm: number; upMm: number } | undefined): Project {
  const start = startProject('One bench', '2027-03-01');
  const { project } = drawItem(
    start,
    'pad',
    [
      [30, 30],
      [260, 30],
      [260, 180],
      [30, 180],
    ],
    heightMm,
    { heightMm, bankDegrees: 90, give },
  );
  return { ...project, stacking: { ...project.stacking, school: 'carve back' } };
}

describe('a level that may be moved', () => {
  it('is proposed on the joint of the sheet, with what it saves; accepted, nothing is left to carve off its flat', () => {
    const project = bench(18.2, { downMm: 3, upMm: 3 });
    const { moves } = planWithMoves(project).report;
    expect(moves?.moves).toMatchObject([{ name: 'Pad 1', fromMm: 18.2, toMm: 20 }]);
    if (!moves?.solved) throw new Error('not solved');
    const { before, after } = moves.solved;
    // 230 x 150 mm, 1.8 mm off it.
    expect(before.carveMl - after.carveMl).toBeGreaterThan(0.9 * 23 * 15 * 0.18);
    const accepted = moveItems(project, [{ itemId: moves.moves[0].itemId, byMm: moves.moves[0].byMm }]);
    expect(accepted.landforms[0]).toMatchObject({ heightMm: 20 });
    const then = plan(accepted).report;
    expect(then.stack.totals.carveMl).toBeCloseTo(after.carveMl, 6);
    expect(then.stack.levels[0]).toMatchObject({ work: 'flush' });
    expect(then.stack.totals.flatMm2).toBe(0);
    expect(planWithMoves(accepted).report.moves?.moves).toEqual([]);
  });

  it('without give stays, and nothing is said; where it would not be worth its minutes, nothing is moved', () => {
    expect(planWithMoves(bench(18.2, undefined)).report.moves).toBeNull();
    const dear = bench(18.2, { downMm: 3, upMm: 3 });
    const costs = { ...dear.stacking.costs, perMoveMin: 500 };
    expect(planWithMoves({ ...dear, stacking: { ...dear.stacking, costs } }).report.moves?.moves).toEqual([]);
  });

  it('goes no further than it may', () => {
    expect(planWithMoves(bench(18.2, { downMm: 3, upMm: 1.7 })).report.moves?.moves).toEqual([]);
  });
});

describe('what a layer costs', () => {
  const costs = costsAt(startProject('n', '2027-03-01').stacking.costs, 'hobby bench');
  /** A slab of a size and one sheet of 20 mm. */
  const slab = (widthMm: number, depthMm: number) => {
    const start = startProject('Slab', '2027-03-01');
    const base = { ...start.base, shape: { kind: 'rectangle' as const, widthMm: 420, depthMm: 297 } };
    const [x, y] = [60, 40];
    const { project } = drawItem(
      { ...start, base, stacking: { ...start.stacking, school: 'carve back', costs } },
      'pad',
      [
        [x, y],
        [x + widthMm, y],
        [x + widthMm, y + depthMm],
        [x, y + depthMm],
      ],
      20,
      { bankDegrees: 90 },
    );
    return plan(project).report.stack;
  };

  // By hand, from the figures of a hobby bench: 4 min, 5 min/m, 0.4 min/dm2.
  it.each([
    [50, 50, 4 + 5 * 0.2 + 0.4 * 0.25],
    [100, 100, 4 + 5 * 0.4 + 0.4 * 1],
    [200, 50, 4 + 5 * 0.5 + 0.4 * 1],
    [200, 150, 4 + 5 * 0.7 + 0.4 * 3],
    [300, 200, 4 + 5 * 1.0 + 0.4 * 6],
  ])('is by its outline and area: %i x %i mm', (widthMm, depthMm, minutes) => {
    const stack = slab(widthMm, depthMm);
    expect(stack.layers).toHaveLength(1);
    // What the lattice makes of the walls is carved and filled a little; the slab is the rest.
    const { carveMl, fillMl } = stack.totals;
    const edge = carveMl > 1 ? costs.carveMinPerM * ((2 * (widthMm + depthMm)) / 1000) : 0;
    const rest = (costs.carveMinPerL * carveMl + costs.fillMinPerL * fillMl) / 1000;
    expect(stack.costMin - rest - edge).toBeGreaterThan(0.97 * minutes);
    expect(stack.costMin - rest - edge).toBeLessThan(1.06 * minutes);
  });

  it('where the plan chooses the way, no way would be cheaper by more than five minutes with its own moves, its days priced', () => {
    const give = { downMm: 3, upMm: 3 };
    for (const heightMm of [18.2, 26, 47.5, 52]) {
      const of = (school: Project['stacking']['school']) => {
        const project = bench(heightMm, give);
        const { report } = planWithMoves({ ...project, stacking: { ...project.stacking, school } });
        const { moves, finish } = report;
        if (!moves || !finish) throw new Error('no moves');
        const days = (at: string) => Date.parse(`${at}Z`) / 86_400_000;
        const built = report.schools.find((each) => each.school === moves.school);
        const dryAt = built?.finish?.likely ?? finish.likely;
        return moves.model.after.costMin + project.stacking.costs.minPerDay * days(dryAt);
      };
      const open = of(null);
      for (const school of ['carve back', 'halfway', 'build up'] as const)
        expect(open).toBeLessThan(of(school) + 5.001);
    }
  });
});
