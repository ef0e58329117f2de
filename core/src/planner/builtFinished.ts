import type { Ground } from '../ground/index.ts';

/** What was built in foam, with the heights of ends as they are finished, `skinMm` higher: all that reads them asks for finished heights. */
export const builtFinished = (surface: Ground, skinMm: number): Ground => ({
  ...surface,
  built: surface.built.map((each) => ({
    ...each,
    ends: each.ends && { ...each.ends, fromMm: each.ends.fromMm + skinMm, toMm: each.ends.toMm + skinMm },
  })),
});
