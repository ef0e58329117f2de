import { type Solved, solvedOf } from '../../ground/index.ts';
import { stage } from '../input.ts';

/** The ground through all lines and heights, at rest; begun from the last one. */
export const solved = stage({
  name: 'solved ground',
  needs: {},
  run: ({ input: { project, cell }, before, quick }) =>
    solvedOf(project, cell(project.base), before as Solved | undefined, quick),
  near: ({ near }) => near,
});
