import { createPlanner, type Grid, type Plan, type Project, parseProject, suggestedZones } from '@hosket/core';
import { z } from 'zod';
import { breath } from './breath.ts';
import type { PlanAnswer, PlanRequest } from './messages.ts';

z.config({ jitless: true });

const planner = createPlanner();
let newest = 0;
let sentGround: unknown;
let sentTarget: unknown;
let sentZones: unknown;
let sentAreas: unknown;
let sentPaste: unknown;
let sentCutting: unknown;

const copyOf = (grid: Grid): Grid => ({ ...grid, values: grid.values.slice() });

function answer(message: PlanAnswer, transfer: Transferable[] = []): void {
  self.postMessage(message, { transfer });
}

/** One run to its end; null when a newer request has come meanwhile. */
async function runFor(ticket: number, project: Project, quick: boolean): Promise<Plan | null> {
  const run = planner.run(project, quick);
  for (;;) {
    const step = run.next();
    if (step.done) return step.value;
    await breath();
    if (ticket !== newest) return null;
  }
}

function answerWith(ticket: number, { report, ground, target, zones, pasteMm, areas, cutting, near }: Plan): void {
  const jobs = cutting === sentCutting ? null : cutting.jobs;
  sentCutting = cutting;
  const fresh =
    ground !== sentGround ||
    target !== sentTarget ||
    zones !== sentZones ||
    areas !== sentAreas ||
    pasteMm !== sentPaste;
  sentGround = ground;
  sentTarget = target;
  sentZones = zones;
  sentAreas = areas;
  sentPaste = pasteMm;
  const fields = fresh
    ? {
        ground: copyOf(ground.grid),
        target: copyOf(target.grid),
        guessed: ground.guessed,
        outline: ground.outline,
        zones,
        pasteMm,
        areas: areas.node,
      }
    : null;
  answer(
    { ticket, kind: 'plan', report, fields, jobs, near },
    fields ? [fields.ground.values.buffer as ArrayBuffer, fields.target.values.buffer as ArrayBuffer] : [],
  );
}

self.onmessage = async ({ data }: MessageEvent<PlanRequest>) => {
  const { ticket } = data;
  newest = ticket;
  try {
    const read = parseProject(data.project);
    if (!read.ok) return answer({ ticket, kind: 'failed', why: `${read.fault.message} ${read.fault.remedy}` });
    if (data.suggest) {
      const exact = await runFor(ticket, read.value, false);
      if (!exact) return;
      // A plan under way was given up for this.
      answerWith(ticket, exact);
      answer({ ticket, kind: 'suggestion', suggestion: suggestedZones(read.value, exact.ground) });
      return;
    }
    if (data.weigh) {
      const exact = await runFor(ticket, read.value, false);
      if (!exact) return;
      const reports = data.weigh.map(({ school, layers }) => exact.weigh(school, layers));
      answerWith(ticket, exact);
      answer({ ticket, kind: 'weighed', weighed: { asked: data.weigh, reports } });
      return;
    }
    // First what a change near by comes to; then, where that was taken up from the ground before, the exact plan.
    const quick = await runFor(ticket, read.value, true);
    if (!quick) return;
    answerWith(ticket, quick);
    const exact = quick.near ? await runFor(ticket, read.value, false) : null;
    if (exact) answerWith(ticket, exact);
  } catch (error) {
    answer({ ticket, kind: 'failed', why: (error as Error).message });
  }
};
