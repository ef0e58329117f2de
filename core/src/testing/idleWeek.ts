import type { Project } from '../project/index.ts';

/** A week in which nobody comes to the bench. */
export const idleWeek: Project['bench']['week'] = {
  monday: null,
  tuesday: null,
  wednesday: null,
  thursday: null,
  friday: null,
  saturday: null,
  sunday: null,
};
