import type { Project } from '../schemas/schema.ts';
import type { HandLayer, PinnedLayer } from '../schemas/stackingSchema.ts';

/** Edits of a stack by hand. `written` is the stack as it stands, from the board up; layers count from 1. */

export const settleByHand = (project: Project, written: readonly HandLayer[]): Project => ({
  ...project,
  stack: { ...project.stack, byHand: [...written] },
});

/** Leaves the choice to Hosket again; what is pinned stays. */
export const chooseAgain = (project: Project): Project => ({ ...project, stack: { ...project.stack, byHand: null } });

/** Another layer under layer `index`; one more than there are puts it on top. */
export const insertLayer = (
  project: Project,
  written: readonly HandLayer[],
  index: number,
  layer: HandLayer,
): Project => settleByHand(project, written.toSpliced(index - 1, 0, layer));

export const swapLayer = (project: Project, written: readonly HandLayer[], index: number, layer: HandLayer): Project =>
  settleByHand(project, written.with(index - 1, layer));

export const removeLayer = (project: Project, written: readonly HandLayer[], index: number): Project =>
  settleByHand(project, written.toSpliced(index - 1, 1));

/** Layer `index` changes places with the one above it (1) or below it (-1). */
export function moveLayer(project: Project, written: readonly HandLayer[], index: number, by: 1 | -1): Project {
  const other = index - 1 + by;
  if (other < 0 || other >= written.length) return project;
  const next = [...written];
  [next[index - 1], next[other]] = [next[other], next[index - 1]];
  return settleByHand(project, next);
}

const samePin = (a: PinnedLayer, b: PinnedLayer): boolean =>
  Math.abs(a.fromMm - b.fromMm) < 0.03 && a.sliceMm === b.sliceMm && a.sheetIds.join() === b.sheetIds.join();

/** Pins a layer where it lies, or lets it go again. */
export function togglePin(project: Project, pin: PinnedLayer): Project {
  const { pinned } = project.stack;
  const next = pinned.some((other) => samePin(other, pin))
    ? pinned.filter((other) => !samePin(other, pin))
    : [...pinned, pin];
  return { ...project, stack: { ...project.stack, pinned: next } };
}

/** Asks that a level fall on a joint, or no longer. */
export function toggleOnJoint(project: Project, itemId: string, part: string): Project {
  const { onJoint } = project.stack;
  const is = (level: { itemId: string; part: string }) => level.itemId === itemId && level.part === part;
  const next = onJoint.some(is) ? onJoint.filter((level) => !is(level)) : [...onJoint, { itemId, part }];
  return { ...project, stack: { ...project.stack, onJoint: next } };
}

/** Takes an area away; sheets that were kept to it, or out of it, may lie anywhere again. */
export const removeArea = (project: Project, areaId: string): Project => ({
  ...project,
  stacking: { ...project.stacking, areas: project.stacking.areas.filter(({ id }) => id !== areaId) },
  sheets: project.sheets.map((sheet) =>
    sheet.limit.kind === 'area' && sheet.limit.areaId === areaId ? { ...sheet, limit: { kind: 'anywhere' } } : sheet,
  ),
});
