import { tileSides } from '../../project/index.ts';
import type { Rule } from '../finding.ts';
import { inBrief } from '../setWords.ts';

/** Profiles hold to straight sides. */
export const bentSides: Rule = ({ project }) =>
  project.base.shape.kind !== 'rectangle' && tileSides.some((side) => project.tile.sides[side])
    ? [
        inBrief(
          project.tile.name,
          'profile-on-a-curve',
          `${project.tile.name} has profiles, but its base is no rectangle: they do nothing.`,
          'Make the base a rectangle, or take the profiles off its sides.',
        ),
      ]
    : [];
