import { spawnSync } from 'node:child_process';
import { readFileSync } from 'node:fs';
import { fileURLToPath } from 'node:url';
import { readProject } from '@hosket/core';
import { differences } from '../../core/src/testing/warmFresh.ts';
import { fuzzFiles } from './fuzzFiles.ts';
import { fuzzFormats } from './fuzzFormats.ts';

// npm run fuzz -- edits N [SEED]: N random edits of each sample; a planner that keeps what it knows against one that starts anew.
// npm run fuzz -- tabs N [SEED]: N steps of several tabs on one project: edits, kills, deletions, restores; nothing may be lost.
// npm run fuzz -- kills N [SEED]: N kills of the browser at random moments (it has to be built before: npm run build).
// npm run fuzz -- formats N [SEED]: N files of other formats alone.
// npm run fuzz -- --cases N [SEED]: N project files as nobody writes them, N/50 of them planned, and N/5 files of other formats.
const [what, many, seed = '1'] = process.argv.slice(2);
const count = Number(many);
if (
  !['edits', 'tabs', 'kills', 'formats', '--cases'].includes(what) ||
  !Number.isInteger(count) ||
  count < 1 ||
  !Number.isInteger(Number(seed))
) {
  console.error(`npm run fuzz -- edits N [SEED]     so many random edits of each sample, planned warm and anew
npm run fuzz -- tabs N [SEED]      so many steps of several tabs on one project
npm run fuzz -- kills N [SEED]     so many kills of the browser at random moments
npm run fuzz -- formats N [SEED]   so many files of other formats
npm run fuzz -- --cases N [SEED]   so many changed project files read, a fiftieth of them planned, and a fifth as many files of other formats`);
  process.exit(2);
}
const textOf = (path: string) => readFileSync(new URL(`../../${path}`, import.meta.url), 'utf8');
const samples = ['harl-quarry', 'vessa-terraces', 'tarrow-moor'].map((name) => textOf(`samples/${name}.hosket.json`));

if (what === 'edits') edits();
else if (what === 'tabs') run(['vitest', 'run', 'web/src/store/tabs.test.ts'], { HOSKET_TABS: `${count} ${seed}` });
else if (what === 'kills') run(['tsx', 'e2e/kills.ts', many, seed], {});
else if (what === 'formats') await otherFormats(count);
else await cases();

/** What needs a browser, or the tests' stand-in for one, runs in a process of its own. */
function run(words: string[], more: Record<string, string>): void {
  const root = fileURLToPath(new URL('../..', import.meta.url));
  const { status } = spawnSync('npx', words, { cwd: root, stdio: 'inherit', env: { ...process.env, ...more } });
  process.exitCode = status ?? 1;
}

function edits(): void {
  const projects = samples.map((text) => {
    const read = readProject(text);
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
  for (const { project, where, edits: made } of step.value)
    console.log(`${project}, after ${made.length} edits: ${where}\n  ${made.slice(-4).join('\n  ')}`);
  console.log(`${done} edits, ${step.value.length} of them planned otherwise than anew`);
  process.exitCode = step.value.length ? 1 : 0;
}

async function cases(): Promise<void> {
  const old = [1, 2, 3, 4, 5, 6, 7, 8].map((version) => textOf(`core/src/testing/version-${version}.hosket.json`));
  const documents = [...samples, ...samples, ...samples, ...old].map((text) => JSON.parse(text));
  const files = fuzzFiles(documents, count, Math.ceil(count / 50), Number(seed), console.log);
  console.log(
    `${files.read} project files read, ${files.refused} refused with place and remedy; ${files.planned} planned, the slowest in ${(files.slowestMs / 1000).toFixed(1)} s`,
  );
  await otherFormats(Math.ceil(count / 5), files.faults);
}

async function otherFormats(count: number, before: readonly string[] = []): Promise<void> {
  const formats = await fuzzFormats(count, Number(seed), console.log);
  const faults = [...before, ...formats.faults];
  for (const fault of faults.slice(0, 40)) console.log(`  ${fault}`);
  console.log(
    `${formats.read} files of other formats, ${formats.refused} refused; the slowest answer after ${(formats.slowestMs / 1000).toFixed(1)} s`,
  );
  console.log(`${faults.length} faults`);
  process.exitCode = faults.length ? 1 : 0;
}
