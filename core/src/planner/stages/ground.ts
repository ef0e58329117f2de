import { finishedGround } from '../../ground/index.ts';
import { stage } from '../input.ts';
import { solved } from './solved.ts';

/** The solved ground with its landforms built on, measured. */
export const ground = stage({
  name: 'ground',
  needs: { solved },
  run: ({ input: { project }, needs }) => finishedGround(project, needs.solved),
});
