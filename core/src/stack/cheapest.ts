/** The cheapest stack: shortest path over the joints by labels with dominance, under limits on stock and totals. Costs in minutes. */
import { areaAbove } from '../geometry/index.ts';
import type { Graph, Node } from './graph.ts';
import { boughtFor, type End, type StackModel, type Step, totalsOf, usedOf } from './model.ts';

/** What counts how much, in minutes: a layer, a metre of its outline, a square decimetre of its glue, a metre of edge carved, a litre carved or filled, a millimetre off a joint, a kilogram, a unit of money, a square metre of sheet taken. */
export interface Weights {
  perLayer: number;
  perOutlineM: number;
  perGluedDm2: number;
  carvePerM: number;
  carvePerL: number;
  fillPerL: number;
  offPerMm: number;
  /** A square decimetre of flat ground that falls on no joint. */
  perFlatDm2: number;
  perKg: number;
  perMoney: number;
  perM2: number;
}

/** What a stack may come to at most; infinite where there is no limit. */
export interface Limits {
  layers: number;
  carveMl: number;
  fillMl: number;
  offMm: number;
  massG: number;
  bought: number;
}
export const noLimits: Limits = {
  layers: Number.POSITIVE_INFINITY,
  carveMl: Number.POSITIVE_INFINITY,
  fillMl: Number.POSITIVE_INFINITY,
  offMm: Number.POSITIVE_INFINITY,
  massG: Number.POSITIVE_INFINITY,
  bought: Number.POSITIVE_INFINITY,
};

export interface Found {
  steps: Step[];
  /** Minutes by the stated costs, whatever was searched for. */
  costMin: number;
  /** False where the search had to leave ways out of account. */
  exact: boolean;
  /** No stack keeps the limits, so they were left out of account. */
  limitsLost: boolean;
}

/** Weighs more than anything else: a stack that leaves too much to paste is taken only when no other can be built. */
export const TOO_LOW_PER_MM = 1e9;

/** A layer of which less is carved off has no edge to be brought to its slope, ml. */
const CARVED_ML = 1;

/** What a layer costs by its own size, and by the levels that are moved for it. */
const sizeCost = ({ outlineMm, areaMm2, carveMl, moveMin }: Step, weights: Weights): number =>
  (weights.perOutlineM * outlineMm + (carveMl > CARVED_ML ? weights.carvePerM * outlineMm : 0)) / 1000 +
  (weights.perGluedDm2 * areaMm2) / 1e4 +
  moveMin;

const stepCost = (step: Step, weights: Weights): number =>
  weights.perLayer +
  sizeCost(step, weights) +
  (weights.carvePerL * step.carveMl + weights.fillPerL * step.fillMl + weights.perKg * step.massG) / 1000 +
  weights.offPerMm * step.offMm +
  (weights.perFlatDm2 * step.flatMm2) / 1e4 +
  weights.perM2 * (usedMm2(step) / 1e6);

const usedMm2 = ({ fromPoolMm2, option }: Step) => fromPoolMm2.reduce((sum, area) => sum + area, 0) / option.perSheet;

const endCost = (end: End, weights: Weights): number =>
  (weights.fillPerL * end.fillMl + weights.perKg * end.massG) / 1000 +
  weights.offPerMm * end.offMm +
  (weights.perFlatDm2 * end.flatMm2) / 1e4 +
  TOO_LOW_PER_MM * end.tooLowMm;

/** Minutes that a whole stack costs, what is bought for it included. */
export function costOf(model: StackModel, steps: readonly Step[], weights: Weights): number {
  const { fillMl, massG, offMm, flatMm2, bought, carveMl } = totalsOf(model, steps);
  return (
    weights.perLayer * steps.length +
    (weights.carvePerL * carveMl + weights.fillPerL * fillMl + weights.perKg * massG) / 1000 +
    weights.offPerMm * offMm +
    (weights.perFlatDm2 * flatMm2) / 1e4 +
    weights.perMoney * bought +
    weights.perM2 * steps.reduce((sum, step) => sum + usedMm2(step) / 1e6, 0) +
    steps.reduce((sum, step) => sum + sizeCost(step, weights), 0)
  );
}

/** The least that is still to pay at each node, by steps and an end that are weighed alone; infinite where no end can be reached. */
function costToGo(nodes: readonly Node[], step: (step: Step) => number, end: (end: End) => number): Float64Array {
  const toGo = new Float64Array(nodes.length);
  for (let n = nodes.length - 1; n >= 0; n--) {
    let least = nodes[n].mayEnd ? end(nodes[n].end) : Number.POSITIVE_INFINITY;
    for (const edge of nodes[n].edges) least = Math.min(least, step(edge.step) + toGo[edge.to]);
    toGo[n] = least;
  }
  return toGo;
}

/**
 * The cheapest stack of a graph: exact. First as if stock were endless, by dynamic programming from the top down; where that takes more than there is, or breaks
 * a limit, by ways of reaching each height, of which one is dropped only when another is no dearer and uses no more of anything scarce, or when even
 * the cheapest way on from it is dearer than a stack already found.
 */
export function cheapest(graph: Graph, weights: Weights, limits: Limits = noLimits): Omit<Found, 'costMin'> {
  const { model, nodes } = graph;
  const toGo = costToGo(
    nodes,
    (step) => stepCost(step, weights),
    (end) => endCost(end, weights),
  );
  const free = followed(nodes, weights, toGo);
  if (nothingScarce(model, free, limits)) return { steps: free, exact: true, limitsLost: false };
  const kept = searched(graph, weights, limits, toGo);
  if (kept) return { ...kept, limitsLost: false };
  const unlimited = searched(graph, weights, noLimits, toGo);
  return { ...(unlimited ?? { steps: [], exact: true }), limitsLost: limits !== noLimits };
}

/** The way that always takes the cheapest step on. */
function followed(nodes: readonly Node[], weights: Weights, toGo: Float64Array): Step[] {
  const steps: Step[] = [];
  for (let n = 0; ; ) {
    const { edges, end, mayEnd } = nodes[n];
    let least = mayEnd ? endCost(end, weights) : Number.POSITIVE_INFINITY;
    let best: Node['edges'][number] | null = null;
    for (const edge of edges) {
      const cost = stepCost(edge.step, weights) + toGo[edge.to];
      if (cost < least - 1e-9) {
        least = cost;
        best = edge;
      }
    }
    if (!best) return steps;
    steps.push(best.step);
    n = best.to;
  }
}

function nothingScarce(model: StackModel, steps: readonly Step[], limits: Limits): boolean {
  const used = usedOf(steps, model.stock);
  if (used.some((mm2, k) => mm2 > model.stock[k].ownedMm2 + 1e-6)) return false;
  return limits === noLimits || keeps(model, steps, limits);
}

const limited = ['layers', 'carveMl', 'fillMl', 'offMm', 'massG', 'bought'] as const;
const keeps = (model: StackModel, steps: readonly Step[], limits: Limits): boolean => {
  const totals = totalsOf(model, steps);
  return limited.every((key) => totals[key] <= limits[key] + 1e-6);
};

/** A way of reaching a height. `used` holds mm2 of each pool, then what limits count. */
interface Way {
  cost: number;
  used: readonly number[];
  step: Step | null;
  before: Way | null;
}

/** The pools that could run out: all others hold more than any stack can take. */
export function scarcePools({ stock: pools, areas, highestMm, options }: StackModel): number[] {
  const whole = areas.reduce((sum, { curve }) => sum + areaAbove(curve, 0), 0);
  return pools.flatMap(({ ownedMm2 }, k) => {
    const thinnest = Math.min(...options.filter((option) => option.pools.includes(k)).map((o) => o.thicknessMm));
    const most = Math.ceil(highestMm / Math.max(1, thinnest)) + 1;
    return ownedMm2 < whole * most ? [k] : [];
  });
}

/** So many ways are followed with none of the likely ones dropped; beyond that each height keeps only the cheapest, about so many in all, and the answer is no longer called exact. */
const ALL_WAYS = 10000;
const FEW_WAYS = 40000;

function searched(
  graph: Graph,
  weights: Weights,
  limits: Limits,
  toGo: Float64Array,
): { steps: Step[]; exact: boolean } | null {
  const all = followedUp(graph, weights, limits, toGo, Number.POSITIVE_INFINITY);
  if (all !== 'too many') return all && { steps: all, exact: true };
  const edges = graph.nodes.reduce((sum, node) => sum + node.edges.length, 0);
  const few = followedUp(graph, weights, limits, toGo, Math.max(2, Math.round(FEW_WAYS / edges)));
  return few === 'too many' || !few ? null : { steps: few, exact: false };
}

/** The cheapest stack within stock and limits; null where there is none. With a finite `keep` each height keeps only so many ways. */
function followedUp(
  { model, nodes }: Graph,
  weights: Weights,
  limits: Limits,
  toGo: Float64Array,
  keep: number,
): Step[] | null | 'too many' {
  const scarce = scarcePools(model);
  const pools = scarce.map((k) => model.stock[k]);
  const placeOf = new Map(scarce.map((k, place) => [k, place]));
  const sums = limited.filter((key) => key !== 'bought' && limits[key] < Number.POSITIVE_INFINITY);
  const tops = [
    ...pools.map(({ ownedMm2, buyable }) => (buyable ? Number.POSITIVE_INFINITY : ownedMm2 + 1e-6)),
    ...sums.map((key) => limits[key] + 1e-6),
  ];
  const counted = sums.map((key) => (part: Step | End): number => {
    if (key === 'layers') return 'option' in part ? 1 : 0;
    return key === 'carveMl' ? ('carveMl' in part ? part.carveMl : 0) : part[key as 'fillMl' | 'offMm' | 'massG'];
  });
  // The least that is still to come of each thing that is limited.
  const least = counted.map((count) => costToGo(nodes, count, count));
  const bought = (used: readonly number[]) => boughtFor(used, pools);
  const ways: Way[][] = nodes.map(() => []);
  ways[0].push({ cost: 0, used: tops.map(() => 0), step: null, before: null });
  let best: Way | null = null;
  let bestCost = Number.POSITIVE_INFINITY;
  let count = 0;
  for (let n = 0; n < nodes.length; n++) {
    const { edges, end, mayEnd } = nodes[n];
    const here = ways[n].length > keep ? ways[n].sort((a, b) => a.cost - b.cost).slice(0, keep) : ways[n];
    for (const way of here) {
      const spent = way.cost + weights.perMoney * bought(way.used);
      if (spent + toGo[n] >= bestCost - 1e-9) continue;
      if (mayEnd && fits(way.used, end)) {
        const total = spent + endCost(end, weights);
        if (total < bestCost - 1e-9) {
          bestCost = total;
          best = way;
        }
      }
      for (const { step, to } of edges) {
        const used = [...way.used];
        step.option.pools.forEach((pool, k) => {
          const place = placeOf.get(pool);
          if (place !== undefined) used[place] += step.fromPoolMm2[k] / step.option.perSheet;
        });
        counted.forEach((count, k) => {
          used[pools.length + k] += count(step);
        });
        if (used.some((sum, k) => sum + (k < pools.length ? 0 : least[k - pools.length][to]) > tops[k])) continue;
        if (bought(used) > limits.bought + 1e-6) continue;
        const cost = way.cost + stepCost(step, weights);
        if (cost + weights.perMoney * bought(used) + toGo[to] >= bestCost - 1e-9) continue;
        const next: Way = { cost, used, step, before: way };
        if (ways[to].some((other) => beats(other, next))) continue;
        ways[to] = ways[to].filter((other) => !beats(next, other));
        ways[to].push(next);
        if (++count > ALL_WAYS && keep === Number.POSITIVE_INFINITY) return 'too many';
      }
    }
    ways[n] = [];
  }
  function fits(used: readonly number[], end: End): boolean {
    return counted.every((count, k) => used[pools.length + k] + count(end) <= tops[pools.length + k]);
  }
  if (!best) return null;
  const steps: Step[] = [];
  for (let way: Way | null = best; way?.step; way = way.before) steps.unshift(way.step);
  return steps;
}

const beats = (a: Way, b: Way) => a.cost <= b.cost + 1e-9 && a.used.every((used, k) => used <= b.used[k] + 1e-6);
