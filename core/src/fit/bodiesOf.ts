import { centroidOf, forEachCell, heightAt, outlineEdges, ringArea } from '../geometry/index.ts';
import type { Ground } from '../ground/index.ts';
import type { LaidRead, LayerPlan, PasteMap } from '../layers/index.ts';
import { catalogueOf, stuffOf } from '../materials/index.ts';
import { boardOutline, type Project, runOf, underMm } from '../project/index.ts';
import type { StageTakeoff } from '../takeoff/index.ts';
import type { ZoneMap } from '../zones/index.ts';
import type { Body } from './balance.ts';
import type { StoodThing } from './bodies.ts';
import type { Mass } from './mass.ts';
import { massOfThing } from './thingMass.ts';

type At = Body['at'];

/** The middles of what a piece is made of, mm to the right, to the back and over the underside of the board; null where there is none of it. */
export interface Middles {
  board: At;
  foam: At | null;
  skin: At | null;
  /** By zone. */
  zones: (At | null)[];
  sides: At | null;
}

/** Sums of weight times place. */
function gather() {
  let [all, mx, my, mz] = [0, 0, 0, 0];
  return {
    add: (weight: number, x: number, y: number, z: number) => {
      all += weight;
      mx += weight * x;
      my += weight * y;
      mz += weight * z;
    },
    middle: (): At | null => (all > 0 ? [mx / all, my / all, mz / all] : null),
  };
}

/**
 * Where the parts of the finished piece have their middles: foam by layers as they are cut (what is carved off them after is not told apart), paste by its depth cell by
 * cell, coats by the true surface of their zones, sides along the outline.
 */
export function middlesOf(
  project: Pick<Project, 'base' | 'sheets' | 'materials'>,
  { grid, outline, coverage }: Ground,
  layers: LayerPlan['layers'],
  paste: PasteMap,
  zones: ZoneMap,
): Middles {
  const board = underMm(project.base);
  const across = grid.columns - 1;
  const foam = gather();
  const catalogue = catalogueOf(project.materials);
  for (const layer of layers) {
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
  const places = paste.zones.map(gather);
  forEachCell(grid, coverage, (cell, areaMm2, height, sx, sy) => {
    const x = grid.originMm[0] + ((cell % across) + 0.5) * grid.cellMm;
    const y = grid.originMm[1] + (Math.floor(cell / across) + 0.5) * grid.cellMm;
    const sloped = areaMm2 * Math.sqrt(1 + sx * sx + sy * sy);
    const depth = paste.depthMm[cell];
    if (depth > 0) skin.add(sloped * depth, x, y, board + Math.max(0, height - depth / 2));
    places[zones.zone[cell]]?.add(sloped, x, y, board + height);
  });
  const sides = gather();
  for (const [[ax, ay], [bx, by]] of outlineEdges(outline)) {
    const [x, y] = [(ax + bx) / 2, (ay + by) / 2];
    const tall = board + Math.max(0, heightAt(grid, x, y));
    sides.add(Math.hypot(bx - ax, by - ay) * tall, x, y, tall / 2);
  }
  const [bx, by] = centroidOf(boardOutline(project.base) ?? outline);
  return {
    board: [bx, by, board - project.base.board.thicknessMm / 2],
    foam: foam.middle(),
    skin: skin.middle(),
    zones: places.map(({ middle }) => middle()),
    sides: sides.middle(),
  };
}

/** The finished piece as bodies: its middles with what each part weighs, coats on the zones they lie on, laid-in things where they lie, and what stands on it. */
export function bodiesOf(
  project: Project,
  middles: Middles,
  zones: readonly { id: string | null }[],
  laid: readonly LaidRead[],
  stood: readonly StoodThing[],
  takeoff: readonly StageTakeoff[],
  mass: Mass,
): Body[] {
  const body = (massG: number, at: At | null): Body[] => (at && massG > 0 ? [{ massG, at }] : []);
  const board = underMm(project.base);
  return [
    ...body(mass.boardG.likely, middles.board),
    ...body(mass.foamG.likely + mass.glueG.likely, middles.foam),
    ...body(mass.pasteG.likely, middles.skin),
    ...takeoff
      .filter(({ stage, operation }) => operation !== null && stage !== 'skin')
      .flatMap(({ zones: on, dryG }) => {
        const all = on.reduce((sum, { areaMm2 }) => sum + areaMm2, 0);
        return on.flatMap(({ id, areaMm2 }) => {
          const k = zones.findIndex((zone) => zone.id === id);
          return body(all > 0 ? (dryG.likely * areaMm2) / all : 0, k < 0 ? middles.sides : middles.zones[k]);
        });
      }),
    ...laid.flatMap((read) => {
      const thing = project.laid.find(({ id }) => id === read.id);
      if (!thing) return [];
      const [x, y] = centroidOf(runOf(thing));
      return body(read.massG.likely, [x, y, board + (read.undersideMm + read.topMm) / 2]);
    }),
    ...stood.flatMap(({ id, at: [x, y], bottomMm, topMm }) => {
      const thing = project.things.find((one) => one.id === id);
      return thing ? body(massOfThing(thing).likely, [x, y, board + (bottomMm + topMm) / 2]) : [];
    }),
  ];
}
