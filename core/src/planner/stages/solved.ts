import { type Solved, solvedOf } from '../../ground/index.ts';
import { drawnAlike, skinMmOf } from '../../project/index.ts';
import { stage } from '../input.ts';

/** The surface through all lines and heights, at rest; begun from the last one. */
export const solved = stage({
  name: 'solved ground',
  needs: {},
  run: ({ input: { project, cell }, before, quick }) => {
    const { base, marks, landforms, terrain } = project;
    const drawn = drawnAlike(project.heights, { base, marks, landforms, terrain }, () => skinMmOf(project));
    return solvedOf(drawn, cell(base), before as Solved | undefined, quick);
  },
  near: ({ near }) => near,
});
