import { type Finding, findingsOf } from '../checks/index.ts';
import type { Cutting } from '../cutting/index.ts';
import { cellOf, type Ground } from '../ground/index.ts';
import { createKernel, type StageTime, stagesUnder, toEnd } from '../kernel/index.ts';
import type { AreaMap, Target } from '../layers/index.ts';
import type { Base, HandLayer, Project, School } from '../project/index.ts';
import type { MovesReport, PlanReport, SchoolReport } from '../report/index.ts';
import type { ZoneMap } from '../zones/index.ts';
import { type Input, stage } from './input.ts';
import { areas } from './stages/areas.ts';
import { cutting } from './stages/cutting.ts';
import { ground } from './stages/ground.ts';
import { moved } from './stages/moves.ts';
import { chosenPaste } from './stages/paste.ts';
import { report } from './stages/report.ts';
import { target } from './stages/target.ts';
import { weighed } from './stages/weighed.ts';
import { zoneAreas } from './stages/zones.ts';

/** Everything worked out from a project: the report, and the fields that drawings are made from. */
export interface Plan {
  report: PlanReport;
  /** What the rules have to say, worked out once more. */
  check: () => Finding[];
  ground: Ground;
  target: Target;
  /** Which zone lies where. */
  zones: ZoneMap;
  /** How deep paste lies, by cell, mm. */
  pasteMm: Float32Array;
  /** Which part of the base is built in which way. */
  areas: AreaMap;
  /** How the layers are cut: pieces, and how they lie on sheets. */
  cutting: Cutting;
  /** Takes another stack of the same ground to its days and money. */
  weigh: (school: School, layers: readonly HandLayer[]) => SchoolReport | null;
  /** Not the last word: the ground is not quite at rest, or schools and low points are still those from before; run again for the exact plan. */
  near: boolean;
}

/** What can be drawn before the stack is chosen. */
export type Drawn = Pick<Plan, 'ground' | 'target' | 'zones'>;

const drawn = stage({
  name: 'drawing',
  needs: { ground, zones: zoneAreas, target },
  run: ({ needs }): Drawn => ({ ground: needs.ground, target: needs.target, zones: needs.zones.map }),
});

/** All that a plan holds, brought together. */
const whole = stage({
  name: 'plan',
  needs: { ground, target, report, zones: zoneAreas, paste: chosenPaste, areas, cutting },
  run: ({ needs }) => needs,
});

const ALL_STAGES = stagesUnder(whole);

export interface Planner {
  /**
   * Runs the stages that something changed for. A `quick` run may answer with a plan that is `near`. Yields between pieces of work, so that a newer edit can break an older run
   * off; once it yields what can be drawn already.
   */
  run: (project: Project, quick?: boolean) => Generator<Drawn | undefined, Plan>;
  /** What bringing levels onto joints would save, worked out when it is asked for: null where none may be moved. */
  moves: (project: Project) => Generator<undefined, MovesReport | null>;
  /** What became of each stage in the last run. */
  times: () => readonly StageTime[];
  /** How far the run is that is under way: the stage that works now, and how many of all are ready. */
  progress: () => PlanProgress;
}

export interface PlanProgress {
  stage: string;
  ready: number;
  of: number;
}

/** Plans projects one after another and keeps what does not change. `cell` gives the cell of the ground's lattice, mm; `clock` the time, ms. */
export function createPlanner(cell: (base: Base) => number = cellOf, clock?: () => number): Planner {
  const kernel = createKernel<Input>(clock);
  let earlier: readonly StageTime[] = [];
  return {
    *run(project, quick = false) {
      const input = { project, cell };
      earlier = [];
      const first = yield* kernel.get(drawn, input, quick);
      earlier = kernel.times();
      yield first.value;
      const { value, near } = yield* kernel.get(whole, input, quick);
      return {
        report: value.report.report,
        check: () => findingsOf(value.report.view),
        ground: value.ground,
        target: value.target,
        zones: value.zones.map,
        pasteMm: value.paste.depthMm,
        areas: value.areas,
        cutting: value.cutting,
        weigh: (school, written) => toEnd(kernel.get(weighed(school, written), input)).value,
        near: near || first.near,
      };
    },
    *moves(project) {
      return (yield* kernel.get(moved, { project, cell })).value;
    },
    progress: () => {
      const ready = new Set([...earlier, ...kernel.times()].map(({ name }) => name)).size;
      return { stage: kernel.underWay(), ready: Math.min(ready, ALL_STAGES), of: ALL_STAGES };
    },
    times: () => {
      const seen = new Set(earlier.map(({ name }) => name));
      return [...earlier, ...kernel.times().filter(({ name }) => !seen.has(name))];
    },
  };
}

/** The plan of a project, worked out from nothing. The same project always gives the same plan. */
export const plan = (project: Project): Plan => toEnd(createPlanner().run(project));

/** The same with what bringing levels onto joints would save. */
export function planWithMoves(project: Project): Plan {
  const planner = createPlanner();
  const made = toEnd(planner.run(project));
  return { ...made, report: { ...made.report, moves: toEnd(planner.moves(project)) } };
}
