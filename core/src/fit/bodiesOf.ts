import { centroidOf, forEachCell, heightAt, ringArea } from '../geometry/index.ts';
import type { Ground } from '../ground/index.ts';
import type { LaidRead, LayerPlan, PasteMap } from '../layers/index.ts';
import { catalogueOf, stuffOf } from '../materials/index.ts';
import { type Project, runOf } from '../project/index.ts';
import type { StageTakeoff } from '../takeoff/index.ts';
import type { ZoneMap } from '../zones/index.ts';
import type { Body } from './balance.ts';
import type { Mass } from './mass.ts';

/** What the bodies are read from. */
interface Heavy {
  project: Project;
  ground: Ground;
  plan: LayerPlan;
  paste: PasteMap;
  zones: { zones: readonly { id: string | null }[]; map: ZoneMap };
  laid: readonly LaidRead[];
  takeoff: readonly StageTakeoff[];
  mass: Mass;
}

/** Sums of mass times place. */
function gather() {
  let [all, mx, my, mz] = [0, 0, 0, 0];
  return {
    add: (mass: number, x: number, y: number, z: number) => {
      all += mass;
      mx += mass * x;
      my += mass * y;
      mz += mass * z;
    },
    body: (massG: number): Body[] => (all > 0 && massG > 0 ? [{ massG, at: [mx / all, my / all, mz / all] }] : []),
  };
}

/**
 * The finished piece as bodies with their middles: board, foam and glue by layers as they are cut (what is carved off them after is not told apart), paste by its depth
 * cell by cell, coats by the zones they lie on, sides along the outline, laid-in things where they lie. Heights are over the underside of the board.
 */
export function bodiesOf({ project, ground, plan, paste, zones, laid, takeoff, mass }: Heavy): Body[] {
  const board = project.base.board.thicknessMm;
  const { grid, outline, coverage } = ground;
  const across = grid.columns - 1;
  const foam = gather();
  const catalogue = catalogueOf(project.materials);
  for (const layer of plan.layers) {
    const sheet = project.sheets.find(({ id }) => id === layer.sheetId) ?? { material: 'xps' as const, own: null };
    const density = stuffOf(sheet, catalogue).density.likely;
    for (const { outer, holes } of layer.pieces)
      for (const ring of [outer, ...holes]) {
        const [x, y] = centroidOf(ring);
        // Holes run the other way round, so that they count against it.
        foam.add(ringArea(ring) * layer.thicknessMm * density, x, y, board + (layer.bottomMm + layer.topMm) / 2);
      }
  }
  const skin = gather();
  const places = zones.zones.map(() => gather());
  forEachCell(grid, coverage, (cell, areaMm2, height, sx, sy) => {
    const x = grid.originMm[0] + ((cell % across) + 0.5) * grid.cellMm;
    const y = grid.originMm[1] + (Math.floor(cell / across) + 0.5) * grid.cellMm;
    const sloped = areaMm2 * Math.sqrt(1 + sx * sx + sy * sy);
    const depth = paste.depthMm[cell];
    if (depth > 0) skin.add(sloped * depth, x, y, board + Math.max(0, height - depth / 2));
    places[zones.map.zone[cell]]?.add(sloped, x, y, board + height);
  });
  const sides = gather();
  outline.forEach(([ax, ay], k) => {
    const [bx, by] = outline[(k + 1) % outline.length];
    const [x, y] = [(ax + bx) / 2, (ay + by) / 2];
    const tall = board + Math.max(0, heightAt(grid, x, y));
    sides.add(Math.hypot(bx - ax, by - ay) * tall, x, y, tall / 2);
  });
  const [bx, by] = centroidOf(outline);
  return [
    { massG: mass.boardG.likely, at: [bx, by, board / 2] },
    ...foam.body(mass.foamG.likely + mass.glueG.likely),
    ...skin.body(mass.pasteG.likely),
    ...takeoff
      .filter(({ stage, operation }) => operation !== null && stage !== 'skin')
      .flatMap(({ zones: on, dryG }) => {
        const all = on.reduce((sum, { areaMm2 }) => sum + areaMm2, 0);
        return on.flatMap(({ id, areaMm2 }) => {
          const at = zones.zones.findIndex((zone) => zone.id === id);
          return (places[at] ?? sides).body(all > 0 ? (dryG.likely * areaMm2) / all : 0);
        });
      }),
    ...laid.flatMap((read) => {
      const thing = project.laid.find(({ id }) => id === read.id);
      if (!thing) return [];
      const [x, y] = centroidOf(runOf(thing));
      const up = board + (read.undersideMm + read.topMm) / 2;
      return [{ massG: read.massG.likely, at: [x, y, up] as Body['at'] }];
    }),
  ];
}
