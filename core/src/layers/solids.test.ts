import { readFileSync } from 'node:fs';
import { describe, expect, it } from 'vitest';
import { gridOver } from '../geometry/index.ts';
import { groundOf, measuredGround, thinnedTo, voidShape } from '../ground/index.ts';
import { toEnd } from '../kernel/index.ts';
import { type Project, readProject } from '../project/index.ts';
import { solids } from '../testing/manifold.ts';
import { stacked } from '../testing/stacked.ts';

/** A sample with a ground of so few nodes that solids can be built from it. */
function sample(name: string) {
  const read = readProject(readFileSync(new URL(`../../../samples/${name}.hosket.json`, import.meta.url), 'utf8'));
  if (!read.ok) throw new Error(read.fault.message);
  const fine = toEnd(groundOf(read.value));
  return {
    project: read.value,
    ground: toEnd(measuredGround(fine.outline, thinnedTo(34000, fine.grid), fine.built, null)),
  };
}

type Hollow = Project['stacking']['hollow'];
const solid: Hollow = { kind: 'solid', wallMm: 25, ribs: null };
const rings: Hollow = { kind: 'rings', wallMm: 18, ribs: { everyMm: 70, widthMm: 15 } };
const core: Hollow = { kind: 'core', wallMm: 15, ribs: null };

/** Every solid is built with `manifold-3d` from the outlines and the field of heights alone. */
describe.each([
  ['harl-quarry', solid],
  ['harl-quarry', rings],
  ['harl-quarry', core],
  ['vessa-terraces', solid],
  ['vessa-terraces', rings],
  ['tarrow-moor', solid],
] as const)('%s, %j', (name, hollow) => {
  it('every layer rebuilt as a solid has the foam that is left of it; foam, fill, rooms and skin make the ground', async () => {
    const { plate, under, room } = await solids();
    const { project: drawn, ground } = sample(name);
    const project = { ...drawn, stacking: { ...drawn.stacking, hollow } };
    const { plan, land } = stacked(project, ground);
    const target = under(land.target.grid, ground.outline);
    const voids = project.voids.map((hollowed) => {
      const shape = voidShape(hollowed);
      const [x0, y0, x1, y1] = shape.box;
      const window = { ...gridOver(x1 - x0 + 4, y1 - y0 + 4, 0.5), originMm: [x0 - 2, y0 - 2] as const };
      return room(window, shape.within, 0, ground.highestMm);
    });
    const things = land.rooms.filter(({ kind }) => !['cave', 'tunnel', 'cable', 'bay', 'chamber'].includes(kind));
    const boxes = things.map((thing) => {
      const item = project.laid.find(({ id }) => id === thing.id);
      const [low, high] = [thing.floorMm[0], thing.roofMm[0]];
      return plate([{ outer: item?.points ?? [], holes: [] }], low, high);
    });
    let left = 0;
    for (const layer of plan.layers) {
      const cut = plate(layer.pieces, layer.bottomMm, layer.topMm);
      // Outlines cut corners of cells that the curve of heights does not: a quarter of a per cent on cells of 2 mm.
      expect(Math.abs(cut.volume() / 1000 - layer.cutMl)).toBeLessThan(0.004 * layer.cutMl + 0.2);
      let rest = cut.intersect(target);
      let roomMl = 0;
      for (const gone of [...voids, ...boxes]) {
        roomMl += rest.intersect(gone).volume() / 1000;
        rest = rest.subtract(gone);
      }
      const restMl = rest.volume() / 1000;
      left += restMl;
      // Rooms are counted node by node, 1 or 2 mm apart here: good to a part of their rim.
      expect(Math.abs(restMl - layer.foamLeftMl), `layer ${layer.index}`).toBeLessThan(
        0.003 * layer.foamLeftMl + 0.15 * roomMl + 0.6,
      );
    }
    expect(Math.abs(left - plan.foamLeftMl)).toBeLessThan(0.004 * plan.foamLeftMl + 4);
    const targetMl = target.volume() / 1000;
    const roomInFoam = plan.rooms.leftMl.reduce((sum, ml) => sum + ml, 0) + plan.rooms.fillMl + plan.rooms.glueMl;
    const parts = plan.foamLeftMl + plan.cutOutMl + plan.glueLineMl + plan.fillMl + roomInFoam;
    expect(parts / targetMl).toBeCloseTo(1, 2.5);
    const groundMl = under(ground.grid, ground.outline).volume() / 1000;
    const skinMl = ground.volumeMl - land.target.volumeMl;
    expect(Math.abs(targetMl + skinMl - groundMl)).toBeLessThan(0.002 * groundMl);
    if (hollow.kind !== 'solid') expect(plan.cutOutMl).toBeGreaterThan(20);
  });
});
