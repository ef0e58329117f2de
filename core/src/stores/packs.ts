/** A pack in the unit of what is needed. */
export interface PackSize {
  amount: number;
  /** Null where it has no price. */
  price: number | null;
}

/** So many of each pack, in the order in which the packs were given. */
export interface Combination {
  counts: number[];
  packs: number;
  amount: number;
  /** Null where packs have no price. */
  cost: number | null;
}

/** Amounts are told apart to a hundredth of their unit. */
const GRAIN = 100;
/** Longer tables than this are not filled: what lies beyond is covered by the pack that is cheapest by amount. */
const MOST_CELLS = 400_000;

const divisor = (a: number, b: number): number => (b ? divisor(b, a % b) : a);

/**
 * The cheapest packs that cover an amount: least cost, then fewest packs. Where not all packs have a price, those without one are left aside; where none has, least is
 * left over. Exact (a covering knapsack by dynamic programming over the amount); null where there are no packs, or none that holds a hundredth of a
 * unit.
 */
export function cheapestPacks(needed: number, packs: readonly PackSize[]): Combination | null {
  if (!packs.length) return null;
  const priced = packs.some(({ price }) => price !== null);
  const usable = packs.flatMap(({ amount, price }, at) =>
    amount * GRAIN >= 0.5 && (price !== null || !priced)
      ? [{ at, grains: Math.round(amount * GRAIN), cost: price ?? amount }]
      : [],
  );
  if (!usable.length) return null;
  const counts = packs.map(() => 0);
  if (needed > 0) {
    const grain = usable.reduce((all, { grains }) => divisor(all, grains), 0) || 1;
    const sizes = usable.map(({ grains }) => grains / grain);
    let cells = Math.ceil((needed * GRAIN) / grain - 1e-7);
    const best = usable.reduce((a, b, k) => (b.cost / sizes[k] < usable[a].cost / sizes[a] ? k : a), 0);
    const beyond = Math.max(0, Math.floor((cells - MOST_CELLS) / sizes[best]));
    counts[usable[best].at] += beyond;
    cells -= beyond * sizes[best];
    for (const k of covering(
      cells,
      sizes,
      usable.map(({ cost }) => cost),
    ))
      counts[usable[k].at]++;
  }
  return told(counts, packs);
}

/** Packs that cover so many cells, one by one. */
function covering(cells: number, sizes: readonly number[], costs: readonly number[]): number[] {
  const cost = new Float64Array(cells + 1);
  const count = new Uint32Array(cells + 1);
  const last = new Uint16Array(cells + 1);
  for (let cell = 1; cell <= cells; cell++) {
    cost[cell] = Number.POSITIVE_INFINITY;
    for (let k = 0; k < sizes.length; k++) {
      const rest = Math.max(0, cell - sizes[k]);
      const all = cost[rest] + costs[k];
      const packs = count[rest] + 1;
      if (all > cost[cell] + 1e-9 || (all > cost[cell] - 1e-9 && packs >= count[cell])) continue;
      cost[cell] = all;
      count[cell] = packs;
      last[cell] = k;
    }
  }
  const taken: number[] = [];
  for (let cell = cells; cell > 0; cell = Math.max(0, cell - sizes[last[cell]])) taken.push(last[cell]);
  return taken;
}

function told(counts: number[], packs: readonly PackSize[]): Combination {
  const sum = (of: (pack: PackSize) => number) => counts.reduce((all, n, k) => all + n * of(packs[k]), 0);
  const unpriced = counts.some((n, k) => n > 0 && packs[k].price === null);
  return {
    counts,
    packs: counts.reduce((all, n) => all + n, 0),
    amount: sum(({ amount }) => amount),
    cost: unpriced || packs.every(({ price }) => price === null) ? null : sum(({ price }) => price ?? 0),
  };
}

/** What else would cover it: packs of one size alone, the cheapest (or least left over) first; `best` is not told again. */
export function otherPacks(needed: number, packs: readonly PackSize[], best: Combination): Combination[] {
  const priced = packs.some(({ price }) => price !== null);
  const alone = packs.flatMap(({ amount, price }, at) =>
    amount > 0 && (price !== null || !priced)
      ? [
          told(
            packs.map((_, k) => (k === at ? Math.max(1, Math.ceil(needed / amount - 1e-9)) : 0)),
            packs,
          ),
        ]
      : [],
  );
  return alone
    .filter(({ counts }) => counts.join() !== best.counts.join())
    .sort((a, b) => (a.cost ?? a.amount) - (b.cost ?? b.amount) || a.packs - b.packs);
}
