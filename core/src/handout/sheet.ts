import type { Grid, Point, Polygon, Ring } from '../geometry/index.ts';
import type { ZoneMap } from '../zones/index.ts';

/** One step as it is taken to the bench, in words. */
export interface SheetStep {
  id: string;
  title: string;
  /** "Mon 1 Mar 19:00, 46 min". */
  when: string;
  /** "Flats between rock, Beside water: 482 cm2". */
  where: string;
  /** "380 g (324–506) of it powder". */
  amounts: string[];
  /** "3 bowls of about 237 ml, each 190 g of powder and 146 ml of water". */
  batches: string;
  tools: string;
  /** "dry to the touch 2.1 h, ..." */
  waits: string;
  note: string;
  cautions: string[];
  /** What is ticked off: the step, or each of its coats. */
  ticks: string[];
  done: boolean;
  /** Places in the list of zones; empty where it is done on the whole stack. */
  zones: number[];
}

/** Steps of one stage, which share pages. */
export interface SheetStage {
  title: string;
  steps: SheetStep[];
}

/** A line of the shopping list, in words. */
export interface SheetPurchase {
  name: string;
  needed: string;
  stocked: string;
  /** "1 x 250 ml + 2 x 17 ml"; what no pack is known for says how much. */
  buy: string;
  cost: string;
  supplier: string;
  /** Nothing need be bought. */
  there: boolean;
}

/** Everything that goes to the bench on paper. */
export interface BenchSheet {
  project: string;
  /** "420 x 297 mm, 1:87". */
  base: string;
  /** What all of it comes to, a line each. */
  summary: string[];
  stages: SheetStage[];
  shopping: SheetPurchase[];
  /** "About 4 in 5 that nothing runs out; 23.40 EUR as far as it is priced." */
  shoppingNote: string;
  deferral: string;
  outline: Ring;
  ground: Grid;
  zones: ZoneMap;
  layers: readonly { bottomMm: number; topMm: number; pieces: readonly Polygon[] }[];
  section: { name: string; from: Point; to: Point };
}
