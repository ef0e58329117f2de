import type { Project } from './schemas/schema.ts';

/** Nothing laid by hand, nothing cut. */
export const untouchedNest = (): Project['nest'] => ({ key: '', places: [], ticked: [], done: [] });

/** Whole sheets of a kind that are cut up already; slices of one sheet count once (all that was taken of it stands at the first). */
export const sheetsCutUp = ({ done }: Project['nest'], sheetId: string): number =>
  done.filter((bed) => bed.sheetId === sheetId && !bed.fromOffcut && bed.usedMm2 > 0).length;

export const usualCutting = (): Project['cutting'] => ({
  tool: 'knife',
  kerfMm: null,
  offsetKerf: false,
  sliverMm2: 100,
  turning: { kind: 'free' },
  gapMm: 2,
  marginMm: 0,
  split: true,
  seam: { kind: 'straight', apartMm: 40 },
  search: { seed: 1, patienceSeconds: 8 },
});

export const usualPaper = (): Project['paper'] => ({
  size: 'A4',
  widthMm: 297,
  heightMm: 420,
  marginMm: 6,
  overlapMm: 10,
  barMm: 100,
});
