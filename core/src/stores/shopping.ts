import { catalogueOf, inUnit, offeredAs, servesFor } from '../materials/index.ts';
import type { Project, Safety } from '../project/index.ts';
import type { Range } from '../units/index.ts';
import type { Need } from './needs.ts';
import { type Combination, cheapestPacks, otherPacks } from './packs.ts';

/** Standard normal deviates of the safety levels (any table of the normal distribution). */
const deviate: Readonly<Record<Safety, number>> = { 50: 0, 80: 0.8416, 90: 1.2816, 95: 1.6449 };
/** Low and high of a range lie at 5 and 95 percent. */
const ONE_IN_TWENTY = 1.6449;

/**
 * How much is enough for some independent amounts together with such safety. One amount is half of a normal distribution below its likely value and half of a wider one
 * above; of several, means and variances add (most high values lie farther off than the low ones, so the mean of the sum lies over the sum of what is likely).
 */
export function enoughOf(parts: readonly Range[], safety: Safety): number {
  const z = deviate[safety];
  const spreads = parts.map(({ low, likely, high }) => ({
    likely,
    down: (likely - low) / ONE_IN_TWENTY,
    up: (high - likely) / ONE_IN_TWENTY,
  }));
  if (spreads.length === 1) return spreads[0].likely + z * spreads[0].up;
  let mean = 0;
  let variance = 0;
  for (const { likely, down, up } of spreads) {
    const shift = (up - down) / Math.sqrt(2 * Math.PI);
    mean += likely + shift;
    variance += (up ** 2 + down ** 2) / 2 - shift ** 2;
  }
  return mean + z * Math.sqrt(variance);
}

/** A pack on offer, in its own unit. */
export interface Offer {
  amount: number;
  unit: Need['unit'];
  price: number | null;
  supplier: string;
  /** The builder's own; else a usual size, without a price. */
  own: boolean;
}

/** Packs to buy: so many of each offer. */
export interface Purchase extends Omit<Combination, 'counts'> {
  of: { offer: Offer; count: number }[];
}

export interface ShoppingLine extends Need {
  /** Likely, and at the safety that is asked for. */
  likely: number;
  wanted: number;
  inStock: number;
  /** Stored, but past its date by the day it is needed. */
  pastDate: number;
  short: number;
  buy: Purchase | null;
  others: Purchase[];
  /** What will be over when all is done, as likely as not. */
  left: number;
}

type Shop = Pick<Project, 'materials' | 'stores'>;

/** Everything that is on offer for a need: the builder's packs first, then the usual sizes that he has not priced. */
function offersFor({ materials, stores }: Shop, need: Need): Offer[] {
  const own = stores.packs
    .filter((pack) => offeredAs(pack, need))
    .map(({ amount, unit, price, supplier }): Offer => ({ amount, unit, price, supplier, own: true }));
  const usual = (catalogueOf(materials).material(need.material)?.packs ?? [])
    .filter(({ amount, unit }) => !own.some((pack) => pack.amount === amount && pack.unit === unit))
    .map(({ amount, unit }): Offer => ({ amount, unit, price: null, supplier: '', own: false }));
  return [...own, ...usual];
}

/**
 * Needs less what is in the cupboard, and the packs that cover the rest. What is past its date by the last day on which it is needed does not count. A need that no pack
 * is known for stays in the list with its amount: nothing is left out.
 */
export function shoppingOf(project: Shop, needs: readonly Need[]): ShoppingLine[] {
  const catalogue = catalogueOf(project.materials);
  const { items, safety } = project.stores;
  // One jar may serve two needs (a grade and another grade): the share that one takes the other does not have.
  const taken = new Map<string, number>();
  return needs.map((need) => {
    const day = need.steps.reduce((last, { by }) => (by > last ? by : last), '');
    const wanted = enoughOf(need.parts, safety);
    let inStock = 0;
    let pastDate = 0;
    for (const item of items) {
      if (!servesFor(item, need, catalogue)) continue;
      const there = inUnit(item.amount, item.unit, need.unit, item.material, catalogue);
      if (there === null) continue;
      if (item.useBy !== null && day && item.useBy < day) pastDate += there;
      else {
        const free = there * (1 - (taken.get(item.id) ?? 0));
        const use = Math.min(free, Math.max(0, wanted - inStock));
        if (there > 0) taken.set(item.id, (taken.get(item.id) ?? 0) + use / there);
        inStock += free;
      }
    }
    const short = Math.max(0, wanted - inStock);
    const offers = offersFor(project, need);
    const sizes = offers.flatMap((offer) => {
      const amount = inUnit(offer.amount, offer.unit, need.unit, need.material, catalogue);
      return amount === null ? [] : [{ offer, size: { amount, price: offer.price } }];
    });
    const packs = sizes.map(({ size }) => size);
    const bought = ({ counts, ...rest }: Combination): Purchase => ({
      ...rest,
      of: counts.flatMap((count, k) => (count ? [{ offer: sizes[k].offer, count }] : [])),
    });
    const best = short > 1e-9 ? cheapestPacks(short, packs) : null;
    return {
      ...need,
      likely: need.amount.likely,
      wanted,
      inStock,
      pastDate,
      short,
      buy: best && bought(best),
      others: best ? otherPacks(short, packs, best).map(bought) : [],
      left: inStock + (best?.amount ?? 0) - need.amount.likely,
    };
  });
}
