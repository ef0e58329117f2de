import './workerSetup.ts';
import {
  createPlanner,
  type Drawn,
  type Grid,
  type Plan,
  type PlanReport,
  type Project,
  parseProject,
  type School,
  suggestedZones,
} from '@hosket/core';
import { breath } from './breath.ts';
import type { Fields, PlanAnswer, PlanRequest } from './messages.ts';
import { patchOf } from './patch.ts';

const planner = createPlanner(undefined, () => performance.now());
/** The newest request that nobody has begun to work on. */
let waiting: PlanRequest | null = null;
let working = false;

let sent: { [K in 'ground' | 'target' | 'zones' | 'areas' | 'paste' | 'cutting']?: unknown } = {};

/** The report that was sent last: of the next only what has changed is sent. */
let reported: PlanReport | null = null;

const copyOf = (grid: Grid): Grid => ({ ...grid, values: grid.values.slice() });

function answer(message: PlanAnswer, transfer: Transferable[] = []): void {
  self.postMessage(message, { transfer });
}

/** What is copied for the page may be handed over. */
const handedOver = ({ ground, target }: Pick<Fields, 'ground' | 'target'>): Transferable[] => [
  ground.values.buffer as ArrayBuffer,
  target.values.buffer as ArrayBuffer,
];

/** The ground, its drawing and its section come before the rest is worked out. */
function answerDrawn(ticket: number, { ground, target, zones }: Drawn): void {
  if (ground === sent.ground && target === sent.target && zones === sent.zones) return;
  sent = { ...sent, ground, target, zones };
  const drawn = {
    ground: copyOf(ground.grid),
    target: copyOf(target.grid),
    guessed: ground.guessed,
    outline: ground.outline,
    zones,
  };
  answer({ ticket, kind: 'drawn', drawn }, handedOver(drawn));
}

function answerWith(ticket: number, { report, ground, target, zones, pasteMm, areas, cutting, near }: Plan): void {
  const jobs = cutting === sent.cutting ? null : cutting.jobs;
  const fresh = areas !== sent.areas || pasteMm !== sent.paste;
  sent = { ground, target, zones, areas, paste: pasteMm, cutting };
  const rest = fresh ? { pasteMm, areas: areas.node } : null;
  const patch = patchOf(reported, report);
  reported = report;
  answer({ ticket, kind: 'plan', report: patch, rest, jobs, near, stages: planner.times() });
}

/** How far a long run has come is told so often, ms. */
const TELL_EVERY_MS = 700;

/** One run to its end; where it may be broken off, null when a newer request has come meanwhile. */
async function runFor(ticket: number, project: Project, quick: boolean): Promise<Plan | null> {
  const run = planner.run(project, quick);
  let told = performance.now();
  for (;;) {
    const step = run.next();
    if (step.done) return step.value;
    if (step.value) answerDrawn(ticket, step.value);
    if (performance.now() - told > TELL_EVERY_MS) {
      told = performance.now();
      answer({ ticket, kind: 'progress', progress: planner.progress() });
    }
    await breath();
    // A quick run is always taken to its end: whoever holds a key sees figures follow.
    if (waiting && !quick) return null;
  }
}

async function answerTo({ ticket, project, suggest, weigh }: PlanRequest): Promise<void> {
  const read = parseProject(project);
  if (!read.ok) return answer({ ticket, kind: 'failed', why: `${read.fault.message} ${read.fault.remedy}` });
  if (suggest || weigh) {
    const exact = await runFor(ticket, read.value, false);
    if (!exact) return;
    // A plan under way was given up for this.
    answerWith(ticket, exact);
    if (suggest) answer({ ticket, kind: 'suggestion', suggestion: suggestedZones(read.value, exact.ground) });
    if (weigh) answer({ ticket, kind: 'weighed', weighed: { asked: weigh, reports: weigh.map(weighedBy(exact)) } });
    return;
  }
  // First what a change near by comes to; then, where that was taken up from the ground before, the exact plan.
  const quick = await runFor(ticket, read.value, true);
  if (!quick) return;
  answerWith(ticket, quick);
  const exact = quick.near && !waiting ? await runFor(ticket, read.value, false) : quick;
  if (!exact) return;
  if (exact !== quick) answerWith(ticket, exact);
  if (!waiting) await answerMoves(ticket, read.value);
}

/** What bringing levels onto joints would save comes last: it is a plan of its own. */
async function answerMoves(ticket: number, project: Project): Promise<void> {
  const run = planner.moves(project);
  for (let step = run.next(); ; step = run.next()) {
    if (step.done) return answer({ ticket, kind: 'moves', moves: step.value });
    await breath();
    if (waiting) return;
  }
}

const weighedBy =
  ({ weigh }: Plan) =>
  ({ school, layers }: { school: School; layers: Parameters<Plan['weigh']>[1] }) =>
    weigh(school, layers);

self.onmessage = async ({ data }: MessageEvent<PlanRequest>) => {
  waiting = data;
  if (working) return;
  working = true;
  while (waiting) {
    const request: PlanRequest = waiting;
    waiting = null;
    try {
      await answerTo(request);
    } catch (error) {
      answer({ ticket: request.ticket, kind: 'failed', why: (error as Error).message });
    }
  }
  working = false;
};
