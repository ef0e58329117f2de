/** Sheets and offcuts as classes of stock, and the options to lay a layer from them: whole, in pairs, sliced by wire. */
import { LEVEL_STEP_MM, ringArea } from '../geometry/index.ts';
import { catalogueOf, stuffOf } from '../materials/index.ts';
import {
  type HandLayer,
  type Offcut,
  type Project,
  type Sheet,
  type SheetLimit,
  sheetMm,
  slicesOf,
} from '../project/index.ts';

/** Sheets that serve alike in a stack: one stuff, one thickness, and the same places where they may lie; offcuts are among them. */
export interface StockClass {
  /** The kinds of sheet in it, in the order of the project. */
  sheetIds: string[];
  /** Measured where it was measured, to the nearest LEVEL_STEP_MM: what a layer of it raises the stack by. */
  thicknessMm: number;
  /** The thinnest of its sheets as measured, which its slices must come out of. */
  thinnestMm: number;
  densityKgM3: number;
  densityLowKgM3: number;
  densityHighKgM3: number;
  /** What the shed holds of it, offcuts included, x the part of a sheet that becomes pieces, mm2. */
  ownedMm2: number;
  /** Whether more can be bought, and what a square millimetre of pieces costs then. */
  buyable: boolean;
  pricePerMm2: number;
  limit: SheetLimit;
}

/** A way of making a layer: one thickness, cut from a pool or from several (each place takes the first that may lie there). */
export interface Option {
  /** Places in the list of pools. */
  pools: number[];
  /** Sliced to its thickness; null is a whole sheet. */
  sliceMm: number | null;
  /** How many such layers one sheet gives. */
  perSheet: number;
  thicknessMm: number;
}

/** A bench wire: what each of its cuts takes, and the thinnest slice it makes. */
export interface Wire {
  kerfMm: number;
  thinnestMm: number;
}

export const toStep = (mm: number): number => Math.round(mm / LEVEL_STEP_MM) * LEVEL_STEP_MM;

export const thicknessOf = (sheet: Pick<Sheet, 'measuredMm' | 'nominalMm'>): number => toStep(sheetMm(sheet));

export const offcutArea = ({ outline }: Offcut): number =>
  outline.kind === 'rectangle' ? outline.widthMm * outline.depthMm : Math.abs(ringArea(outline.points));

/** Where no price is known a sheet counts as one unit of money, so that fewer are bought all the same. */
const UNPRICED = 1;

type Shed = Pick<Project, 'sheets' | 'offcuts' | 'stacking' | 'nest' | 'materials'>;

/** The stock as the choice sees it. */
export function stockClassesOf({ sheets, offcuts, stacking, nest, materials }: Shed): StockClass[] {
  const share = stacking.sheetYieldPercent / 100;
  const pools = new Map<string, StockClass>();
  for (const sheet of sheets) {
    const key = JSON.stringify([sheet.material, sheet.own, thicknessOf(sheet), sheet.limit]);
    const one = sheet.widthMm * sheet.depthMm * share;
    const own = offcuts.filter(({ sheetId }) => sheetId === sheet.id).reduce((sum, cut) => sum + offcutArea(cut), 0);
    // What is cut already is still foam for this stack, though no longer in the shed.
    const cut = nest.done.filter(({ sheetId }) => sheetId === sheet.id).reduce((sum, bed) => sum + bed.usedMm2, 0);
    const ownedMm2 = sheet.count * one + (own + cut) * share;
    const price = sheet.buyable ? (sheet.price ?? UNPRICED) / one : Number.POSITIVE_INFINITY;
    const pool = pools.get(key);
    if (!pool) {
      const { density } = stuffOf(sheet, catalogueOf(materials));
      pools.set(key, {
        sheetIds: [sheet.id],
        thicknessMm: thicknessOf(sheet),
        thinnestMm: sheetMm(sheet),
        densityKgM3: density.likely,
        densityLowKgM3: density.low,
        densityHighKgM3: density.high,
        ownedMm2,
        buyable: sheet.buyable,
        pricePerMm2: price,
        limit: sheet.limit,
      });
      continue;
    }
    pool.sheetIds.push(sheet.id);
    pool.thinnestMm = Math.min(pool.thinnestMm, sheetMm(sheet));
    pool.ownedMm2 += ownedMm2;
    pool.buyable ||= sheet.buyable;
    pool.pricePerMm2 = Math.min(pool.pricePerMm2, price);
  }
  return [...pools.values()].filter((pool) => pool.thicknessMm > 0);
}

/** More kinds than this are not laid side by side in one layer. */
const MOST_IN_LAYER = 3;
/** A sheet is sliced into so many equal parts at most. */
const MOST_SLICES = 4;

/** Every way of making a layer from the pools, apart from slices that are cut to land on a height. */
export function optionsOf(pools: readonly StockClass[], wire: Wire | null): Option[] {
  const options: Option[] = [];
  const orders = (chosen: number[]) => {
    const { thicknessMm } = pools[chosen[0] ?? 0] ?? { thicknessMm: 0 };
    if (chosen.length) options.push({ pools: chosen, sliceMm: null, perSheet: 1, thicknessMm });
    // What may lie anywhere leaves no place to those that come after it.
    const last = chosen.at(-1);
    if (chosen.length === MOST_IN_LAYER || (last !== undefined && pools[last].limit.kind === 'anywhere')) return;
    pools.forEach((pool, k) => {
      if (chosen.includes(k) || (chosen.length && Math.abs(pool.thicknessMm - thicknessMm) > 1e-6)) return;
      orders([...chosen, k]);
    });
  };
  orders([]);
  if (wire)
    pools.forEach((pool, k) => {
      for (let parts = 2; parts <= MOST_SLICES; parts++) {
        const slice = sliceOf(pool, k, (pool.thinnestMm - (parts - 1) * wire.kerfMm) / parts, wire);
        if (slice) options.push(slice);
      }
    });
  return options;
}

/** A slice of a pool's sheets, `sliceMm` thick or a hair less; null where the wire cannot cut it. */
export function sliceOf(pool: StockClass, index: number, sliceMm: number, wire: Wire): Option | null {
  // Never thicker than asked for: the parts of a sheet must not add up to more than it.
  const thicknessMm = Math.floor(sliceMm / LEVEL_STEP_MM + 1e-6) * LEVEL_STEP_MM;
  if (thicknessMm < wire.thinnestMm || thicknessMm > pool.thinnestMm - wire.kerfMm) return null;
  if (pool.limit.kind !== 'anywhere') return null;
  const perSheet = slicesOf(pool.thinnestMm, thicknessMm, wire.kerfMm);
  return { pools: [index], sliceMm: thicknessMm, perSheet, thicknessMm };
}

/** The option that a layer settled by hand asks for; null where a kind is gone, the kinds differ in thickness, or there is no wire for its slice. */
export function optionFor(
  { sheetIds, sliceMm }: HandLayer,
  pools: readonly StockClass[],
  wire: Wire | null,
): Option | null {
  const found = sheetIds.map((id) => pools.findIndex((pool) => pool.sheetIds.includes(id)));
  if (found.includes(-1)) return null;
  const chosen = [...new Set(found)];
  const [first] = chosen;
  const { thicknessMm } = pools[first];
  if (chosen.some((k) => Math.abs(pools[k].thicknessMm - thicknessMm) > 1e-6)) return null;
  if (sliceMm === null) return { pools: chosen, sliceMm: null, perSheet: 1, thicknessMm };
  return wire && chosen.length === 1 ? sliceOf(pools[first], first, sliceMm, wire) : null;
}

/** What a layer is made of, as a project keeps it. */
export const handOf = (option: Option, pools: readonly StockClass[]): HandLayer => ({
  sheetIds: option.pools.map((k) => pools[k].sheetIds[0]),
  sliceMm: option.sliceMm,
});

/** Everything that a layer may be cut from, as a project would write it down. */
export function layerKinds(project: Shed): HandLayer[] {
  const pools = stockClassesOf(project);
  return optionsOf(pools, project.stacking.wire).map((option) => handOf(option, pools));
}
