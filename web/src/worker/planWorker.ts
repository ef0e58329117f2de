import { createPlanner, type Grid, parseProject } from '@hosket/core';
import { z } from 'zod';
import type { PlanAnswer, PlanRequest } from './messages.ts';

z.config({ jitless: true });

const planner = createPlanner();
let newest = 0;
let sentGround: unknown;
let sentTarget: unknown;

/** Lets waiting messages in, so that a newer request is seen between pieces of work. */
const breath = () =>
  new Promise<void>((resolve) => {
    const { port1, port2 } = new MessageChannel();
    port1.onmessage = () => {
      port1.close();
      resolve();
    };
    port2.postMessage(null);
  });

const copyOf = (grid: Grid): Grid => ({ ...grid, values: grid.values.slice() });

function answer(message: PlanAnswer, transfer: Transferable[] = []): void {
  self.postMessage(message, { transfer });
}

self.onmessage = async ({ data }: MessageEvent<PlanRequest>) => {
  const { ticket } = data;
  newest = ticket;
  try {
    const read = parseProject(data.project);
    if (!read.ok) return answer({ ticket, kind: 'failed', why: `${read.fault.message} ${read.fault.remedy}` });
    const run = planner.run(read.value);
    for (;;) {
      const step = run.next();
      if (step.done) {
        const { report, ground, target } = step.value;
        const fresh = ground !== sentGround || target !== sentTarget;
        sentGround = ground;
        sentTarget = target;
        const fields = fresh
          ? { ground: copyOf(ground.grid), target: copyOf(target.grid), outline: ground.outline }
          : null;
        return answer(
          { ticket, kind: 'plan', report, fields },
          fields ? [fields.ground.values.buffer as ArrayBuffer, fields.target.values.buffer as ArrayBuffer] : [],
        );
      }
      await breath();
      if (ticket !== newest) return;
    }
  } catch (error) {
    answer({ ticket, kind: 'failed', why: (error as Error).message });
  }
};
