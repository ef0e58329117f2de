/** The trade-off front of stacks over several criteria: labels with dominance, thinned where they grow too many. */
import { scarcePools } from './cheapest.ts';
import type { Graph } from './graph.ts';
import { type Step, type Totals, totalsOf } from './model.ts';

/** What stacks are compared by: the less of each the better. */
export const criteria = ['layers', 'carveMl', 'fillMl', 'bought', 'offMm', 'massG', 'deepMm'] as const;
export type Criterion = (typeof criteria)[number];

/** One stack that can be built. `beaten`: another is no worse in anything, as far as a builder can see. */
export interface Candidate<Label> {
  label: Label;
  steps: Step[];
  totals: Totals;
  beaten: boolean;
}

export interface Front<Label> {
  candidates: Candidate<Label>[];
  /** Every stack was weighed: nothing that is not listed beats, or matches, what is. Else only the likeliest ones were. */
  complete: boolean;
}

/** A way of reaching a height: sums of what is compared, then mm2 of each scarce pool. */
interface Way {
  sums: number[];
  step: Step | null;
  before: Way | null;
}

/** Places of the sums in a way; the pools come after. */
const [LAYERS, CARVE, FILL, OFF, MASS, DEEP] = [0, 1, 2, 3, 4, 5];
const POOLS = 6;

/** So many ways are followed without dropping any; then so many with those dropped that are beaten; then each height keeps only a few, about so many in all. */
const ALL_WAYS = 4000;
const UNBEATEN_WAYS = 12000;
const FEW_WAYS = 60000;
/** Of a height that many ways reach only so many are drawn. */
const MOST_DRAWN = 500;

/** The trade-off front over the graphs of several schools: every stack worth having, and some (in small cases all) of those that are beaten. */
export function frontOf<Label>(graphs: readonly { label: Label; graph: Graph }[]): Front<Label> {
  let complete = true;
  const all = graphs.flatMap(({ label, graph }) => {
    const { ends, exact } = waysOf(graph);
    complete &&= exact;
    return ends.map((end) => ({ label, graph, ...end }));
  });
  // Only stacks that leave as little to deep paste as the stock allows.
  const leastLow = all.reduce((least, { tooLowMm }) => Math.min(least, tooLowMm), Number.POSITIVE_INFINITY);
  const ends = all
    .filter(({ tooLowMm }) => tooLowMm <= leastLow + 1e-6)
    .map(({ label, graph, way }): Candidate<Label> => {
      const steps = stepsOf(way);
      return { label, steps, totals: totalsOf(graph.model, steps), beaten: false };
    });
  markBeaten(ends);
  const unbeaten = ends.filter(({ beaten }) => !beaten);
  const beaten = ends.filter((end) => end.beaten);
  return {
    candidates: [...thinned(unbeaten, MOST_DRAWN), ...thinned(beaten, MOST_DRAWN)],
    complete: complete && unbeaten.length <= MOST_DRAWN,
  };
}

type WayEnd = { way: Way; tooLowMm: number };

function waysOf(graph: Graph): { ends: WayEnd[]; exact: boolean } {
  for (const [most, keep] of [
    [ALL_WAYS, Number.POSITIVE_INFINITY],
    [UNBEATEN_WAYS, UNBEATEN_WAYS],
  ] as const) {
    const ends = follow(graph, most, keep);
    if (ends) return { ends, exact: true };
  }
  const edges = graph.nodes.reduce((sum, node) => sum + node.edges.length, 0);
  const keep = Math.min(7, Math.max(2, Math.round(FEW_WAYS / edges)));
  return { ends: follow(graph, Number.POSITIVE_INFINITY, keep) ?? [], exact: false };
}

/** Follows ways from the board up; null when they are more than `most`. With a finite `keep`, beaten ways are dropped and a height keeps no more than that. */
function follow({ model, nodes }: Graph, most: number, keep: number): WayEnd[] | null {
  const scarce = scarcePools(model);
  const places = model.stock.map((_, k) => scarce.indexOf(k));
  const tops = scarce.map((k) => (model.stock[k].buyable ? Number.POSITIVE_INFINITY : model.stock[k].ownedMm2 + 1e-6));
  const ways: Way[][] = nodes.map(() => []);
  ways[0].push({ sums: Array<number>(POOLS + scarce.length).fill(0), step: null, before: null });
  const found: WayEnd[] = [];
  let count = 1;
  for (let n = 0; n < nodes.length; n++) {
    const { edges, end, mayEnd } = nodes[n];
    const here = ways[n].length > keep ? fewOf(ways[n], keep) : ways[n];
    for (const way of here) {
      if (mayEnd) found.push({ way, tooLowMm: end.tooLowMm });
      for (const { step, to } of edges) {
        const sums = grown(way.sums, step, places);
        if (tops.some((top, k) => sums[POOLS + k] > top)) continue;
        const next: Way = { sums, step, before: way };
        if (keep === Number.POSITIVE_INFINITY) ways[to].push(next);
        else if (!enter(ways[to], next)) continue;
        if (++count > most) return null;
      }
    }
    ways[n] = [];
  }
  return found;
}

function grown(before: readonly number[], step: Step, places: readonly number[]): number[] {
  const sums = before.slice();
  sums[LAYERS] += 1;
  sums[CARVE] += step.carveMl;
  sums[FILL] += step.fillMl;
  sums[OFF] += step.offMm;
  sums[MASS] += step.massG;
  sums[DEEP] = Math.max(sums[DEEP], step.deepMm);
  const { pools, perSheet } = step.option;
  for (let k = 0; k < pools.length; k++) {
    const place = places[pools[k]];
    if (place >= 0) sums[POOLS + place] += step.fromPoolMm2[k] / perSheet;
  }
  return sums;
}

/** Takes a way into a list of unbeaten ones, those that it beats out of it; false when it is beaten itself. */
function enter(list: Way[], next: Way): boolean {
  for (const other of list) if (noWorse(other.sums, next.sums)) return false;
  let kept = 0;
  for (const other of list) if (!noWorse(next.sums, other.sums)) list[kept++] = other;
  list.length = kept;
  list.push(next);
  return true;
}

function noWorse(a: readonly number[], b: readonly number[]): boolean {
  for (let k = 0; k < a.length; k++) if (a[k] > b[k] + 1e-9) return false;
  return true;
}

/** The likeliest of many ways. */
function fewOf(ways: readonly Way[], keep: number): Way[] {
  const bests: Way[] = [];
  const mixed = new Map<Way, number>(ways.map((way) => [way, 0]));
  for (let k = 0; k < ways[0].sums.length; k++) {
    let [best, most] = [ways[0], 1e-9];
    for (const way of ways) {
      if (way.sums[k] < best.sums[k]) best = way;
      if (way.sums[k] > most) most = way.sums[k];
    }
    if (k < POOLS) bests.push(best);
    for (const way of ways) mixed.set(way, (mixed.get(way) ?? 0) + way.sums[k] / most);
  }
  // First what is best in a plain mixture, then what is best in one thing, then the next best mixtures.
  const sorted = [...ways].sort((a, b) => (mixed.get(a) ?? 0) - (mixed.get(b) ?? 0));
  const chosen = new Set([sorted[0], ...bests, ...sorted]);
  return [...chosen].slice(0, keep);
}

function stepsOf(last: Way): Step[] {
  const steps: Step[] = [];
  for (let way: Way | null = last; way?.step; way = way.before) steps.unshift(way.step);
  return steps;
}

/** By how much values may differ and still count as alike: what a builder can see. */
const alike: Readonly<Record<Criterion, number>> = {
  layers: 0.5,
  carveMl: 0.1,
  fillMl: 0.1,
  bought: 0.005,
  offMm: 0.1,
  massG: 0.1,
  deepMm: 0.1,
};

/** Whether a is no worse than b in anything and better in something. */
export const beats = (a: Totals, b: Totals): boolean =>
  beatsIn(
    criteria.map((key) => a[key]),
    criteria.map((key) => b[key]),
    criteria.map((key) => alike[key]),
  );

function markBeaten<Label>(ends: Candidate<Label>[]): void {
  const rows = ends.map((end) => ({ end, values: criteria.map((key) => end.totals[key]) }));
  const tolerances = criteria.map((key) => alike[key]);
  // What beats another comes no later when sorted by layers, then by a sum of all the rest.
  const rest = (values: readonly number[]) => values.reduce((sum, value, k) => (k ? sum + value : 0), 0);
  rows.sort((a, b) => a.values[0] - b.values[0] || rest(a.values) - rest(b.values));
  const unbeaten: number[][] = [];
  for (const { end, values } of rows) {
    end.beaten = unbeaten.some((other) => matchesOrBeats(other, values, tolerances));
    if (!end.beaten) unbeaten.push(values);
  }
  // Within what can be seen a later one may still beat an earlier.
  const left = rows.filter(({ end }) => !end.beaten);
  for (const one of left)
    one.end.beaten = left.some(
      (other) => other !== one && !other.end.beaten && matchesOrBeats(other.values, one.values, tolerances),
    );
}

/** No worse in anything, as far as can be seen. */
const matchesOrBeats = (a: readonly number[], b: readonly number[], tolerances: readonly number[]): boolean =>
  a.every((value, k) => value <= b[k] + tolerances[k]);

function beatsIn(a: readonly number[], b: readonly number[], tolerances: readonly number[]): boolean {
  let better = false;
  for (let k = 0; k < a.length; k++) {
    if (a[k] > b[k] + tolerances[k]) return false;
    if (a[k] < b[k] - tolerances[k]) better = true;
  }
  return better;
}

/** Stacks nearer to one another than this, in shares of what all of them differ by, are not truly different. */
const TRULY_APART = 0.04;

/**
 * Up to `most` stacks that truly differ, by their places in the list: those of `first`, then again and again the one farthest from all that are
 * chosen, counted in each criterion by what all of them differ by.
 */
export function farApart(totals: readonly Totals[], first: readonly number[], most: number): number[] {
  const spans = criteria.map((key) => {
    const values = totals.map((each) => each[key]);
    return Math.max(...values) - Math.min(...values);
  });
  const apart = (a: Totals, b: Totals) =>
    criteria.reduce((far, key, k) => Math.max(far, spans[k] > 0 ? Math.abs(a[key] - b[key]) / spans[k] : 0), 0);
  const chosen = [...first];
  const nearest = totals.map((each) =>
    chosen.reduce((near, k) => Math.min(near, apart(each, totals[k])), Number.POSITIVE_INFINITY),
  );
  while (chosen.length < Math.min(most, totals.length)) {
    let next = 0;
    for (let k = 1; k < totals.length; k++) if (nearest[k] > nearest[next]) next = k;
    if (nearest[next] < TRULY_APART) break;
    chosen.push(next);
    for (let k = 0; k < totals.length; k++) nearest[k] = Math.min(nearest[k], apart(totals[k], totals[next]));
  }
  return chosen;
}

/** No more than `most` of them: the best in each criterion, then evenly from the least to the most filling. */
function thinned<Label>(all: readonly Candidate<Label>[], most: number): Candidate<Label>[] {
  if (all.length <= most) return [...all];
  const chosen = new Set(criteria.map((key) => all.reduce((a, b) => (b.totals[key] < a.totals[key] ? b : a))));
  const sorted = [...all].sort((a, b) => a.totals.fillMl - b.totals.fillMl || a.totals.carveMl - b.totals.carveMl);
  const left = most - chosen.size;
  for (let k = 0; k < left; k++) chosen.add(sorted[Math.floor((k * sorted.length) / left)]);
  return [...chosen];
}
