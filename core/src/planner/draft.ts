import type { Grid } from '../geometry/index.ts';
import { type Solved, shapedOn, solvedOf } from '../ground/index.ts';
import { toEnd } from '../kernel/index.ts';
import { foamTarget } from '../layers/index.ts';
import { baseSize, type Project, skinMmOf } from '../project/index.ts';

/** A coarse ground and foam target, good enough to follow a pointer. */
export interface Draft {
  ground: Grid;
  target: Grid;
}

const draftCell = (widthMm: number, depthMm: number, nodes: number) =>
  Math.max(0.5, Math.ceil(2 * Math.sqrt((widthMm * depthMm) / nodes)) / 2);

/** A draft has about this many nodes, whatever the base, unless asked for otherwise. */
export const DRAFT_NODES = 2600;

/**
 * Works out drafts one after another, keeping the solved lines so that a landform that is dragged costs only its own building. Not by the
 * kernel's stages: noting what is read, point by point, takes it 3 to 6 ms, half a draft.
 */
export function createDrafter(): (project: Project, nodes?: number) => Draft {
  let solved: Solved | undefined;
  return (project, nodes = DRAFT_NODES) => {
    const { widthMm, depthMm } = baseSize(project.base);
    const run = solvedOf(project, draftCell(widthMm, depthMm, nodes), solved, true);
    solved = toEnd(run);
    const grid = shapedOn(project, solved);
    return { ground: grid, target: foamTarget(grid, skinMmOf(project)) };
  };
}
