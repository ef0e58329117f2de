/** Project files as nobody writes them, read and planned: what falls over, what takes too long, what gives figures that are none. */
import { createPlanner, type Project, readProject } from '@hosket/core';
import { seeded } from '../../core/src/testing/edits.ts';
import { mutated, wrongNumbers } from '../../core/src/testing/mutate.ts';

type Document = Parameters<typeof mutated>[0];

/** No plan may take longer, ms. */
const LONGEST_MS = 10_000;

export interface FilesSummary {
  read: number;
  refused: number;
  planned: number;
  slowestMs: number;
  faults: string[];
}

/** Reads so many changed files, and plans some of those that are taken. */
export function fuzzFiles(
  documents: readonly Document[],
  reads: number,
  plans: number,
  seed: number,
  tell: (text: string) => void,
): FilesSummary {
  const random = seeded(seed);
  const summary: FilesSummary = { read: 0, refused: 0, planned: 0, slowestMs: 0, faults: [] };
  const every = Math.max(1, Math.floor(reads / Math.max(1, 4 * plans)));
  for (let n = 0; n < reads; n++) {
    const text = JSON.stringify(mutated(documents[n % documents.length], random, n % 4 === 0)) ?? '';
    summary.read++;
    try {
      const read = readProject(text);
      if (!read.ok) {
        summary.refused++;
        if (!read.fault.place || !read.fault.message || !read.fault.remedy)
          summary.faults.push(`file ${n}: refused without place or remedy`);
      } else if (n % 4 === 0 && n % every === 0 && summary.planned < plans) planOne(read.value, n, summary);
    } catch (error) {
      summary.faults.push(`file ${n}: ${(error as Error).message}`);
    }
    if (n % 5000 === 4999) tell(`${n + 1} files, ${summary.refused} refused, ${summary.planned} planned`);
  }
  return summary;
}

function planOne(project: Project, n: number, summary: FilesSummary): void {
  summary.planned++;
  const since = performance.now();
  const run = createPlanner().run(project);
  let step = run.next();
  while (!step.done && performance.now() - since < LONGEST_MS) step = run.next();
  const ms = performance.now() - since;
  summary.slowestMs = Math.max(summary.slowestMs, ms);
  if (!step.done) summary.faults.push(`file ${n}: not planned within ${LONGEST_MS / 1000} s`);
  else {
    const wrong = wrongNumbers(step.value.report);
    if (wrong.length) summary.faults.push(`file ${n}: ${wrong.slice(0, 3).join(', ')}`);
  }
}
