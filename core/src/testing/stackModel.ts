import type { Hypsometry } from '../geometry/index.ts';
import { optionsOf, type StackModel, type StockClass, type Weights } from '../stack/index.ts';

/** A pool of dense foam, endless unless told otherwise. */
export const pool = (thicknessMm: number, ownedMm2 = 1e9, change: Partial<StockClass> = {}): StockClass => ({
  sheetIds: [`${thicknessMm}`],
  thicknessMm,
  thinnestMm: thicknessMm,
  densityKgM3: 32,
  densityLowKgM3: 25,
  densityHighKgM3: 45,
  ownedMm2,
  buyable: false,
  pricePerMm2: Number.POSITIVE_INFINITY,
  limit: { kind: 'anywhere' },
  ...change,
});

/** A choice over one curve in one way. */
export const modelOf = (
  curve: Hypsometry,
  alpha: number,
  pools: readonly StockClass[],
  change: Partial<StackModel> = {},
): StackModel => ({
  areas: [{ id: null, alpha, curve, inside: new Map(), outline: null }],
  highestMm: curve.highestMm,
  stock: pools,
  options: optionsOf(pools, change.wire ?? null),
  wire: null,
  glueLineMm: 0.1,
  boardless: false,
  leastStepMm: 3,
  mostFillMm: 15,
  pins: [],
  flats: [],
  levels: [],
  movePerLevelMin: 0,
  movePerMmMin: 0,
  pasteKgPerL: 0.95,
  cosAt: () => 1,
  ...change,
});

/** Repeatable numbers between 0 and 1 (Park and Miller's minimal standard). */
export function numbers(seed: number): () => number {
  let state = seed;
  return () => {
    state = (state * 16807) % 2147483647;
    return state / 2147483647;
  };
}

/** The costs that a new project begins with. */
export const usualWeights: Weights = {
  perLayer: 15,
  perOutlineM: 0,
  perGluedDm2: 0,
  carvePerM: 0,
  carvePerL: 30,
  fillPerL: 240,
  offPerMm: 4,
  perFlatDm2: 0,
  perKg: 0,
  perMoney: 4,
  perM2: 0,
};
