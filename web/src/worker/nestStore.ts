import {
  compareScores,
  keepLayout,
  laidOut,
  type NestJob,
  type Placed,
  placesOf,
  polygonArea,
  ringSize,
  type Score,
  scorePlaced,
} from '@hosket/core';
import { create } from 'zustand';
import { edit, projectStore } from '../store/projectStore.ts';
import type { NestAnswer, NestRequest } from './nestWorker.ts';
import { usePlan } from './planStore.ts';

/** A job's layout, and what it comes to. */
interface JobBest {
  placed: readonly Placed[];
  score: Score;
}

interface NestState {
  running: boolean;
  /** By job, the best so far. */
  bests: readonly JobBest[];
  jobs: readonly NestJob[];
  tries: number;
  seconds: number;
  /** When it last got better, seconds from the start, and how often it has. */
  betterAt: number;
  better: number;
  /** How much of the sheets in use the pieces cover, percent, by seconds. */
  curve: readonly { seconds: number; percent: number }[];
  /** How the last search ended, in words. */
  ended: string;
}

const idle: NestState = {
  running: false,
  bests: [],
  jobs: [],
  tries: 0,
  seconds: 0,
  betterAt: 0,
  better: 0,
  curve: [],
  ended: '',
};

/** The search for a layout: what it has found, while it goes on. */
export const useNest = create<NestState>(() => idle);

/** As many at once: each with a seed of its own. */
const WORKERS = 2;
const SEED_APART = 1_000_003;
/** A search that still gets better is ended all the same after so many times the builder's patience. */
const MOST_PATIENCE = 15;

let workers: Worker[] = [];
let clock: ReturnType<typeof setInterval> | undefined;
let key = '';

/** How much of the sheets and offcuts in use the pieces cover, percent of what lies left of the last piece: remainders beyond it are not wasted. */
function coverOf(jobs: readonly NestJob[], bests: readonly JobBest[]): number {
  let pieces = 0;
  let beds = 0;
  jobs.forEach(({ problem }, k) => {
    const { placed } = bests[k];
    for (const bed of new Set(placed.map((place) => place.bed))) {
      const here = placed.filter((place) => place.bed === bed);
      const shapes = here.map((place) => laidOut(problem.pieces[place.piece], place));
      const reach = Math.max(...shapes.flatMap(({ outer }) => outer.map(([x]) => x)));
      const size = ringSize(problem.beds[bed].outline);
      beds += Math.min(size.widthMm, reach) * size.depthMm;
      for (const shape of shapes) pieces += polygonArea(shape);
    }
  });
  return beds > 0 ? Math.min(100, (100 * pieces) / beds) : 0;
}

/** Looks for a better layout of what is to be cut, from the one that is there. */
export function startNesting(): void {
  const { project } = projectStore.getState();
  const { jobs, report } = usePlan.getState();
  if (!project || !report || workers.length) return;
  key = report.cutting.key;
  const bests = jobs.map(({ problem, pieceIds, bedIds }): JobBest => {
    const placed = report.cutting.beds.flatMap((bed) =>
      bedIds.includes(bed.id)
        ? bed.pieces.flatMap(({ piece, turnDegrees, xMm, yMm }) =>
            pieceIds.includes(piece)
              ? [{ piece: pieceIds.indexOf(piece), bed: bedIds.indexOf(bed.id), turn: turnDegrees, xMm, yMm }]
              : [],
          )
        : [],
    );
    // A layout with a clash is no layout: anything is better.
    const clashes = report.cutting.clashes.some(({ piece }) => pieceIds.includes(piece));
    const score = scorePlaced(problem, placed);
    return { placed, score: clashes ? { ...score, leftOverMm2: Number.POSITIVE_INFINITY } : score };
  });
  const begun = performance.now();
  const triesOf = Array.from({ length: WORKERS }, () => 0);
  useNest.setState({ ...idle, running: true, jobs, bests, curve: [{ seconds: 0, percent: coverOf(jobs, bests) }] });
  workers = triesOf.map((_, n) => {
    const worker = new Worker(new URL('./nestWorker.ts', import.meta.url), { type: 'module' });
    worker.onmessage = ({ data }: MessageEvent<NestAnswer>) => {
      triesOf[n] = data.tries;
      const tries = triesOf.reduce((sum, each) => sum + each, 0);
      const seconds = (performance.now() - begun) / 1000;
      const now = useNest.getState();
      let better = 0;
      const next = now.bests.map((best, k): JobBest => {
        const layout = data.layouts[k];
        if (!layout || compareScores(layout.score, best.score) >= 0) return best;
        better++;
        return layout;
      });
      if (!better) return useNest.setState({ tries, seconds });
      useNest.setState({
        tries,
        seconds,
        bests: next,
        better: now.better + better,
        betterAt: seconds,
        curve: [...now.curve, { seconds, percent: coverOf(jobs, next) }],
      });
    };
    worker.onerror = () => stopNesting('The search stopped by itself.');
    worker.postMessage({
      problems: jobs.map(({ problem }) => problem),
      seed: project.cutting.search.seed + n * SEED_APART,
    } satisfies NestRequest);
    return worker;
  });
  const patience = project.cutting.search.patienceSeconds;
  clock = setInterval(() => {
    const { betterAt, tries } = useNest.getState();
    const seconds = (performance.now() - begun) / 1000;
    // Patience begins with the first tries: on a busy machine a search may need a while to get going.
    useNest.setState(tries ? { seconds } : { seconds, betterAt: seconds });
    if (usePlan.getState().report?.cutting.key !== key && !usePlan.getState().behind)
      return stopNesting('What is to be cut has changed, so the search was given up.');
    if (seconds - betterAt > patience) stopNesting(`Nothing better was found for ${patience} seconds.`);
    else if (seconds > patience * MOST_PATIENCE) stopNesting('It was getting better too slowly.');
  }, 250);
}

/** Ends the search and keeps the best of it. */
export function stopNesting(why = 'Stopped.'): void {
  for (const worker of workers) worker.terminate();
  workers = [];
  clearInterval(clock);
  const { bests, jobs, better, running } = useNest.getState();
  if (!running) return;
  const same = usePlan.getState().report?.cutting.key === key;
  useNest.setState({ running: false, bests: [], ended: why });
  // Even a layout that is no better is kept: the builder has asked for it, and it will not be laid anew.
  if (same && (better || !usePlan.getState().report?.cutting.kept)) {
    edit((project) =>
      keepLayout(
        project,
        key,
        jobs.flatMap((job, k) => placesOf(job, bests[k].placed)),
      ),
    );
  }
}
