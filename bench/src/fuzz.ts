import { readFileSync } from 'node:fs';
import { readProject } from '@hosket/core';
import { differences } from '../../core/src/testing/warmFresh.ts';

// npm run fuzz -- edits N [SEED]: N random edits of each sample; a planner that keeps what it knows against one that starts anew.
const [what, many, seed = '1'] = process.argv.slice(2);
const count = Number(many);
if (what !== 'edits' || !Number.isInteger(count) || count < 1 || !Number.isInteger(Number(seed))) {
  console.error('npm run fuzz -- edits N [SEED]   so many random edits of each sample, planned warm and anew');
  process.exit(2);
}
const projects = ['harl-quarry', 'vessa-terraces', 'tarrow-moor'].map((name) => {
  const read = readProject(readFileSync(new URL(`../../samples/${name}.hosket.json`, import.meta.url), 'utf8'));
  if (!read.ok) throw new Error(read.fault.message);
  return read.value;
});
const run = differences(projects, count, Number(seed));
let done = 0;
let step = run.next();
for (; !step.done; step = run.next()) {
  done++;
  if (done % 20 === 0) console.log(`${done} edits, the last one ${step.value}`);
}
for (const { project, where, edits } of step.value)
  console.log(`${project}, after ${edits.length} edits: ${where}\n  ${edits.slice(-4).join('\n  ')}`);
console.log(`${done} edits, ${step.value.length} of them planned otherwise than anew`);
process.exitCode = step.value.length ? 1 : 0;
