/** Coarse grounds and foam targets, good enough to follow a pointer, by two stages over a kernel of their own. */
import type { Grid } from '../geometry/index.ts';
import { type Solved, shapedOn, solvedOf } from '../ground/index.ts';
import { createKernel, readAsOne, toEnd } from '../kernel/index.ts';
import { foamTarget } from '../layers/index.ts';
import { type Base, baseSize, type Project, skinMmOf } from '../project/index.ts';
import { type Input, stage } from './input.ts';

/** A coarse ground and foam target, good enough to follow a pointer. */
export interface Draft {
  ground: Grid;
  target: Grid;
}

const draftCell = (nodes: number) => (base: Base) => {
  const { widthMm, depthMm } = baseSize(base);
  return Math.max(0.5, Math.ceil(2 * Math.sqrt((widthMm * depthMm) / nodes)) / 2);
};

/** A draft has about this many nodes, whatever the base, unless asked for otherwise. */
export const DRAFT_NODES = 2600;

/** Read thirty times a second, and all of it: noting it point by point would take half as long as the draft itself. */
const drawnAsOne = (project: Project) => ({
  base: readAsOne(project, 'base'),
  marks: readAsOne(project, 'marks'),
  landforms: readAsOne(project, 'landforms'),
  terrain: readAsOne(project, 'terrain'),
});

const solvedDraft = stage({
  name: 'solved draft',
  needs: {},
  run: ({ input: { project, cell }, before }) => {
    const drawn = drawnAsOne(project);
    return solvedOf(drawn, cell(drawn.base), before as Solved | undefined, true);
  },
});

const draft = stage({
  name: 'draft',
  needs: { solved: solvedDraft },
  run: ({ input: { project }, needs: { solved } }): Draft => {
    const tile = readAsOne(project, 'tile');
    const ground = shapedOn({ ...drawnAsOne(project), tile, profiles: readAsOne(project, 'profiles') }, solved);
    return { ground, target: foamTarget(ground, skinMmOf(project)) };
  },
});

/** Works out drafts one after another; the solved lines are kept, so that a landform that is dragged costs only its own building. */
export function createDrafter(): (project: Project, nodes?: number) => Draft {
  const kernel = createKernel<Input>();
  const cells = new Map<number, Input['cell']>();
  return (project, nodes = DRAFT_NODES) => {
    const cell = cells.get(nodes) ?? draftCell(nodes);
    cells.set(nodes, cell);
    return toEnd(kernel.get(draft, { project, cell }, true)).value;
  };
}
