import { toEnd } from '../kernel/index.ts';
import { createPlanner } from '../planner/index.ts';
import type { Project } from '../project/index.ts';
import { randomEdit, seeded, valuesByKey } from './edits.ts';

/** Cells so coarse that a plan is quick: it is what is kept that is looked at, not the ground. */
const coarse = () => 8;

/** A plan in which a planner that kept what it knew is not the one worked out anew. */
export interface Difference {
  project: string;
  seed: number;
  /** The edits up to it, the last one of them the culprit. */
  edits: string[];
  where: string;
}

/**
 * Edits each project `count` times at random, one edit upon the other, and plans it with a planner that was warmed by all plans before (first
 * quickly, as a page does) and with a fresh one. The first plan of each project that is not equal to the last digit is told.
 */
export function* differences(
  projects: readonly Project[],
  count: number,
  seed: number,
): Generator<string, Difference[]> {
  const values = valuesByKey(projects);
  const found: Difference[] = [];
  for (const first of projects) {
    const random = seeded(seed);
    const warm = createPlanner(coarse);
    let project = first;
    const edits: string[] = [];
    toEnd(warm.run(project));
    for (let k = 0; k < count; k++) {
      const edit = randomEdit(project, values, random);
      project = edit.project;
      edits.push(edit.said);
      toEnd(warm.run(project, true));
      const kept = toEnd(warm.run(project));
      const anew = toEnd(createPlanner(coarse).run(project));
      const where = differing([kept.report, kept.check()], [anew.report, anew.check()], '');
      yield edit.said;
      if (where === null) continue;
      found.push({ project: first.name, seed, edits, where });
      break;
    }
  }
  return found;
}

/** The first place where two values differ, with both; null where they are equal. */
function differing(a: unknown, b: unknown, at: string): string | null {
  if (Object.is(a, b)) return null;
  if (typeof a !== 'object' || typeof b !== 'object' || a === null || b === null) return `${at}: ${a}, anew ${b}`;
  for (const key of new Set([...Object.keys(a), ...Object.keys(b)])) {
    const where = differing((a as Record<string, unknown>)[key], (b as Record<string, unknown>)[key], `${at}.${key}`);
    if (where !== null) return where;
  }
  return null;
}
