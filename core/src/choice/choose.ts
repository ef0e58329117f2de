import { stackDryHours } from '../drying/index.ts';
import {
  limitsOf,
  modelFor,
  most95Guess,
  type Priced,
  pinnedOf,
  type StackGround,
  weightsOf,
  wishWeights,
} from '../layers/index.ts';
import { type HandLayer, type Project, type School, type Wish, wishes } from '../project/index.ts';
import {
  cheapest,
  costOf,
  type Found,
  farApart,
  frontOf,
  type Graph,
  graphOf,
  handOf,
  layByHand,
  missingFor,
  nearestJoints,
  type Shortage,
  type StackModel,
  type Step,
  shortagesOf,
  TOO_LOW_PER_MM,
  type Totals,
  totalsOf,
} from '../stack/index.ts';

/** A stack that could be built, by what it comes to. */
export interface Proposal {
  school: School;
  steps: Step[];
  layers: HandLayer[];
  totals: Totals;
  costMin: number;
  /** Hours of glue and paste alone, estimated from the curve of heights. */
  dryHours: number;
  /** What a builder may wish for that it is the best in. */
  names: Wish[];
  /** Another is no worse in anything, as far as a builder can see. */
  beaten: boolean;
  /** One of about a dozen that truly differ; the rest are there to be asked for. */
  shown: boolean;
}

/** The stack that is built, and how it was come by. */
export interface Chosen {
  school: School;
  model: StackModel;
  steps: Step[];
  costMin: number;
  byHand: boolean;
  /** The cheapest of the same school with nothing pinned and nothing by hand. */
  best: { steps: Step[]; totals: Totals; costMin: number };
  /** Written layers (from 0) that reach no ground, and such as cannot be cut any more. */
  idle: number[];
  unknown: number[];
  shortages: Shortage[];
  exact: boolean;
  limitsLost: boolean;
  pinsLost: boolean;
}

/** What could be built. */
export interface Offers {
  proposals: Proposal[];
  /** Whether every stack was weighed. */
  complete: boolean;
}

/** Every choice about stacks over one foam target. */
export interface Choice extends Offers {
  chosen: Chosen;
  bySchool: readonly SchoolChoice[];
  /** What the shed lacks for the cheapest stack, were there sheets enough; empty where the stack reaches high enough. */
  missing: { steps: Step[]; shortages: Shortage[] } | null;
  /** Levels that should fall on a joint, with the nearest joints that any stack of the school reaches. */
  joints: { itemId: string; part: string; belowMm: number; aboveMm: number | null }[];
}

/** One school with every stack that can be built in it. */
export interface Track {
  school: School;
  model: StackModel;
  graph: Graph;
}

/** The cheapest stack of a school. */
export interface SchoolChoice {
  school: School;
  model: StackModel;
  found: Found;
}

/** Every stack of a school. */
export function trackFor(project: Project, ground: StackGround, school: School): Track {
  const model = modelFor(project, ground, school);
  return { school, model, graph: graphOf(model, pinnedOf(project, model)) };
}

/** The cheapest stack of a school. */
export function cheapestOf(project: Priced, { school, model, graph }: Track): SchoolChoice {
  const weights = weightsOf(project);
  const found = cheapest(graph, weights, limitsOf(project.stacking));
  return { school, model, found: { ...found, costMin: costOf(model, found.steps, weights) } };
}

/** Chooses the stack that is built: among the cheapest ones of each school, or as the builder wished or wrote. */
export function chooseFor(
  project: Project,
  ground: StackGround,
  tracks: readonly Track[],
  bySchool: readonly SchoolChoice[],
  front: Offers,
  way: School,
): Choice {
  const weights = weightsOf(project);
  const chosen = chosenOf(project, tracks, bySchool, front.proposals, way);
  const low = totalsOf(chosen.model, chosen.steps).tooLowMm > 0 || chosen.shortages.length > 0;
  const { graph } = trackOf(tracks, chosen.school);
  return {
    ...front,
    chosen,
    bySchool,
    missing: low ? missingFor(chosen.model, weights) : null,
    joints: project.stack.onJoint.flatMap(({ itemId, part }) => {
      const level = ground.levels.find((place) => place.itemId === itemId && place.part === part);
      return level ? [{ itemId, part, ...nearestJoints(graph, level.targetMm) }] : [];
    }),
  };
}

/** The trade-off front of all schools, and the best for each wish. Yields between pieces of work. */
export function* offersOf(
  project: Project,
  ground: StackGround,
  tracks: readonly Track[],
  way: School,
): Generator<undefined, Offers> {
  const weights = weightsOf(project);
  const { candidates, complete } = frontOf(tracks.map(({ school, graph }) => ({ label: school, graph })));
  const proposals: Proposal[] = [];
  for (const { label, steps, totals, beaten } of candidates) {
    yield;
    const { model } = trackOf(tracks, label);
    proposals.push(proposalOf(project, ground, label, model, steps, totals, beaten, costOf(model, steps, weights)));
  }
  for (const wish of wishes) {
    yield;
    const best = wish === 'soonest dry' ? soonestOf(proposals) : wished(project, ground, tracks, wish, proposals, way);
    best?.names.push(wish);
  }
  markShown(proposals);
  return { proposals, complete };
}

/** About so many stacks are enough to choose from. */
const ENOUGH = 12;

/** Marks those that are best in something, and of the rest that are worth having some that truly differ. */
function markShown(proposals: readonly Proposal[]): void {
  const worth = proposals.filter(({ beaten, names }) => !beaten || names.length);
  const named = worth.flatMap(({ names }, k) => (names.length ? [k] : []));
  for (const k of farApart(
    worth.map(({ totals }) => totals),
    named,
    ENOUGH,
  ))
    worth[k].shown = true;
}

const trackOf = (tracks: readonly Track[], school: School): Track =>
  tracks.find((track) => track.school === school) ?? tracks[0];

function proposalOf(
  project: Project,
  { slopes }: StackGround,
  school: School,
  model: StackModel,
  steps: Step[],
  totals: Totals,
  beaten: boolean,
  costMin: number,
): Proposal {
  const glued = steps.map(({ option, areaMm2 }) => ({
    sheetId: model.stock[option.pools[0]].sheetIds[0],
    thicknessMm: option.thicknessMm,
    areaMm2,
    // As if each layer were two and a half times as long as wide.
    outlineMm: 4.4 * Math.sqrt(areaMm2),
  }));
  return {
    school,
    steps,
    layers: steps.map(({ option }) => handOf(option, model.stock)),
    totals,
    costMin,
    dryHours: stackDryHours(project, glued, most95Guess(slopes, steps)),
    names: [],
    beaten,
    shown: false,
  };
}

const soonestOf = (proposals: readonly Proposal[]): Proposal | null =>
  proposals.reduce<Proposal | null>(
    (best, next) =>
      !best ||
      next.dryHours < best.dryHours - 0.05 ||
      (next.dryHours < best.dryHours + 0.05 && next.costMin < best.costMin)
        ? next
        : best,
    null,
  );

/** The best of all schools for a wish: found exactly, and then among the listed ones, or listed with them. */
function wished(
  project: Project,
  ground: StackGround,
  tracks: readonly Track[],
  wish: Wish,
  proposals: Proposal[],
  way: School,
): Proposal | null {
  const weights = wishWeights(wish, project);
  if (!weights) return null;
  const own = wish === 'least cost' ? tracks.filter(({ school }) => school === way) : tracks;
  let best: { track: Track; steps: Step[]; cost: number } | null = null;
  for (const track of own) {
    const { steps } = cheapest(track.graph, weights, limitsOf(project.stacking));
    const totals = totalsOf(track.model, steps);
    const cost = costOf(track.model, steps, weights) + TOO_LOW_PER_MM * totals.tooLowMm;
    if (!best || cost < best.cost - 1e-9) best = { track, steps, cost };
  }
  if (!best) return null;
  const { track, steps } = best;
  const key = stepsKey(steps);
  const listed = proposals.find(({ school, steps: other }) => school === track.school && stepsKey(other) === key);
  if (listed) return listed;
  const costMin = costOf(track.model, steps, weightsOf(project));
  const added = proposalOf(
    project,
    ground,
    track.school,
    track.model,
    steps,
    totalsOf(track.model, steps),
    false,
    costMin,
  );
  proposals.push(added);
  return added;
}

const stepsKey = (steps: readonly Step[]): string =>
  steps.map(({ option }) => `${option.pools.join('+')}@${option.sliceMm ?? ''}`).join(' ');

function chosenOf(
  project: Project,
  tracks: readonly Track[],
  bySchool: Choice['bySchool'],
  proposals: readonly Proposal[],
  way: School,
): Chosen {
  const { stacking, stack } = project;
  const wished =
    stacking.wish === 'least cost' || stack.byHand
      ? null
      : (proposals.find(({ names }) => names.includes(stacking.wish)) ?? null);
  const school = wished?.school ?? way;
  const { model, graph } = trackOf(tracks, school);
  const weights = weightsOf(project);
  const mine = bySchool.find((each) => each.school === school) ?? bySchool[0];
  const free = stack.pinned.length ? cheapest(graphOf(model), weights, limitsOf(stacking)).steps : mine.found.steps;
  const hand = stack.byHand
    ? layByHand(model, stack.byHand)
    : { steps: wished?.steps ?? mine.found.steps, idle: [], unknown: [] };
  return {
    school,
    model,
    ...hand,
    costMin: costOf(model, hand.steps, weights),
    byHand: stack.byHand !== null,
    best: { steps: free, totals: totalsOf(model, free), costMin: costOf(model, free, weights) },
    shortages: shortagesOf(model, hand.steps),
    exact: mine.found.exact,
    limitsLost: mine.found.limitsLost,
    pinsLost: graph.pinsLost,
  };
}
