import { footprints, type Grid, gridOver, type Ring, ringsOf, sampleFormula } from '../geometry/index.ts';
import { voidShape } from '../ground/index.ts';
import { sayRoomWork } from '../layers/index.ts';
import { discOf, holeName, type Project, runOf, type Void } from '../project/index.ts';
import type { PlanReport } from '../report/index.ts';
import type { TemplateSource } from '../templates/index.ts';

/** What templates are drawn from: the plan as data, with the lattice of its ground and the outline of the base. */
export function templateSource(project: Project, report: PlanReport, ground: Grid, outline: Ring): TemplateSource {
  const { cutting, stack } = report;
  const bedName = (piece: string) =>
    cutting.beds.find(({ pieces }) => pieces.some((laid) => laid.piece === piece))?.name;
  const away = (piece: string) =>
    project.nest.done.find(({ pieces }) => pieces.some((cut) => cut.piece === piece))?.name;
  const layersOf = (roomId: string) =>
    stack.layers.filter(({ works }) => works.some((work) => work.roomId === roomId)).map(({ index }) => index);
  return {
    ground,
    outline,
    layers: stack.layers.map((layer) => ({ ...layer, works: layer.works.map((work) => sayRoomWork(work)) })),
    pieces: cutting.pieces.map((piece) => ({ ...piece, bedName: bedName(piece.id) ?? away(piece.id) ?? '' })),
    seams: cutting.seams,
    rooms: [
      ...project.voids.map((hollow) => ({
        name: hollow.name,
        layers: layersOf(hollow.id),
        rings: outlineOf(hollow),
      })),
      ...project.laid.map((thing) => ({
        name: thing.name,
        layers: layersOf(thing.id),
        rings: [runOf(thing)],
      })),
      ...(project.base.board.holes ?? [])
        .filter(({ upMm }) => upMm > 0)
        .map(({ id, at, acrossMm }) => ({
          name: holeName(project.base, id) ?? id,
          layers: layersOf(id),
          rings: [discOf(at, acrossMm)],
        })),
    ],
  };
}

/** The plan of a void, from how far inside it places lie; read every millimetre. */
function outlineOf(hollow: Void): Ring[] {
  const { box, within } = voidShape(hollow);
  const [x0, y0, x1, y1] = box;
  const lattice: Grid = { ...gridOver(x1 - x0 + 4, y1 - y0 + 4, 1), originMm: [x0 - 2, y0 - 2] };
  return ringsOf(
    footprints(
      sampleFormula(lattice, (x, y) => within(x, y).insideMm),
      [0],
    )[0],
  );
}
