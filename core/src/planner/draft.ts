/** Coarse grounds and foam targets, good enough to follow a pointer, by two stages over a kernel of their own. */
import type { Grid } from '../geometry/index.ts';
import { type Solved, shapedOn, solvedOf } from '../ground/index.ts';
import { createKernel, readAsOne, toEnd } from '../kernel/index.ts';
import { boardFlats, evenSkin, foamTarget, skinOver } from '../layers/index.ts';
import { type Base, baseSize, drawnAlike, type Project, profilesAlike, skinMmOf } from '../project/index.ts';
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
function drawnAsOne(project: Project) {
  const heights = readAsOne(project, 'heights');
  const content = {
    base: readAsOne(project, 'base'),
    marks: readAsOne(project, 'marks'),
    landforms: readAsOne(project, 'landforms'),
    terrain: readAsOne(project, 'terrain'),
    tile: readAsOne(project, 'tile'),
  };
  const skinMm = () => skinMmOf(project);
  return {
    ...drawnAlike(heights, content, skinMm),
    profiles: profilesAlike(heights, readAsOne(project, 'profiles'), skinMm),
  };
}

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
  *run({ input: { project }, needs: { solved } }): Generator<undefined, Draft> {
    const surface = shapedOn(drawnAsOne(project), solved);
    const skinMm = skinMmOf(project);
    if (project.heights === 'ground') return { ground: surface, target: foamTarget(surface, skinMm) };
    return { ground: yield* skinOver(surface, evenSkin(skinMm), boardFlats(project, surface)), target: surface };
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
