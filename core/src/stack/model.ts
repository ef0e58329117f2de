/**
 * What a layer costs where it lies: areas and volumes from the curve of heights, for every class of stock. Areas in mm2, volumes in ml,
 * heights in mm.
 */
import { type Hypsometry, LEVEL_STEP_MM, type OutlineCurve, outlineHeight, outlineLength } from '../geometry/index.ts';
import { areaAboveMoved, type Carried, heightBefore, heightNow, volumeAboveMoved } from './carried.ts';
import type { Option, StockClass, Wire } from './stock.ts';

/** A part of the base that is built in one way. */
export interface AreaCurves {
  id: string | null;
  /** Where between its bottom (0) and its top (1) a layer's outline follows the foam target here. */
  alpha: number;
  curve: Hypsometry;
  /** The curve of the target less so much cover in every direction: where foam is that deep inside. */
  inside: ReadonlyMap<number, Hypsometry>;
  /** How long its outline is by height; null where no cost is by the metre. */
  outline: OutlineCurve | null;
}

/** Everything that the choice of a stack reads. Heights in mm above the board, areas mm2, volumes ml. */
export interface StackModel {
  areas: readonly AreaCurves[];
  highestMm: number;
  stock: readonly StockClass[];
  options: readonly Option[];
  wire: Wire | null;
  glueLineMm: number;
  /** Nothing is under the lowest layer, and no glue. */
  boardless: boolean;
  /** Another sheet is laid only where at least this much height is left. */
  leastStepMm: number;
  /** No more than this is left to paste above the last layer, when the sheets allow it. */
  mostFillMm: number;
  /** Heights that should fall on a joint, each in its area. */
  pins: readonly { heightMm: number; area: number }[];
  /** Flats by their height and area: each is to be carved or filled to its height unless it falls on a joint. */
  flats: readonly Flat[];
  /** Heights that something asks for, from the board up, where some of them may be moved; empty where none may. */
  levels: readonly GivenLevel[];
  /** Minutes that moving a level costs: once, and by the millimetre. */
  movePerLevelMin: number;
  movePerMmMin: number;
  pasteKgPerL: number;
  /** Cosine of the slope of the foam target at a height, in the mean. */
  cosAt: (heightMm: number) => number;
}

/** Ground that lies flat at a height of the target. */
export interface Flat {
  heightMm: number;
  areaMm2: number;
}

/** A flat this near to a joint is on it, mm. */
const ON_JOINT_MM = 0.3;

/** Area of the flats from one height up to another that do not fall on the joint at the lower one, mm2. */
function flatsOff({ flats }: StackModel, fromMm: number, toMm: number, carried: Carried | null): number {
  let sum = 0;
  for (const { heightMm, areaMm2 } of flats) {
    const now = carried ? heightNow(carried, heightMm) : heightMm;
    if (now >= fromMm + ON_JOINT_MM && now < toMm - ON_JOINT_MM) sum += areaMm2;
  }
  return sum;
}

/** A height that is asked for, and how far it may be moved (0: it stays). Those with one `together` move by the same. */
export interface GivenLevel {
  heightMm: number;
  downMm: number;
  upMm: number;
  together: number | null;
}

/** One layer: what it is cut from, where it lies, and the height at which its outline follows the target, area by area. */
export interface Step {
  option: Option;
  /** The joint it lies on; its glue line is between that and its bottom. */
  fromMm: number;
  bottomMm: number;
  topMm: number;
  outlineAtMm: number[];
  areaMm2: number;
  /** Length of its outline as the curves of heights have it; 0 where they have none. */
  outlineMm: number;
  /** What each of the option's pools gives to it, mm2 of its footprint. */
  fromPoolMm2: number[];
  carveMl: number;
  fillMl: number;
  /** How far levels that should fall on a joint lie off the foam here, added up. */
  offMm: number;
  /** Flats that lie between its joints and on neither, mm2. */
  flatMm2: number;
  /** Foam that stays, and the dry paste round it. */
  massG: number;
  /** Deepest paste round this layer, square to the surface, mm; the skin not counted. */
  deepMm: number;
  /** Levels that are moved for this stack, told where the first layer reaches them, and what moving them costs, minutes. */
  moves: readonly Move[];
  moveMin: number;
}

/** A level, by its place in the list of those that may be moved, and how far it goes up. */
export interface Move {
  level: number;
  byMm: number;
}

const NO_MOVES: readonly Move[] = [];

/** Pieces smaller than this are not worth a layer. */
const LEAST_AREA_MM2 = 100;
const ML = 1000;
const HAIR_MM = 1e-6;

/** The part of an area's footprint at which a pool may lie, mm2. */
function allowedMm2(
  { limit }: StockClass,
  area: AreaCurves,
  footprintMm2: number,
  topMm: number,
  carried: Carried | null,
): number {
  if (limit.kind === 'anywhere') return footprintMm2;
  if (limit.kind === 'area') return (area.id === limit.areaId) === limit.within ? footprintMm2 : 0;
  const inside = area.inside.get(limit.coverMm);
  return inside ? Math.min(footprintMm2, areaAboveMoved(carried, inside, topMm)) : 0;
}

/** A joint on which more than this share of the ground over it ends has a flat there. */
const FLAT_SHARE = 0.05;

/** Whether a flat ends on a joint: a layer that is carved back from the outline at its bottom is not to cover it again. */
function endsOn(curve: Hypsometry, jointMm: number, carried: Carried | null): boolean {
  const reached = areaAboveMoved(carried, curve, jointMm);
  return reached - areaAboveMoved(carried, curve, jointMm + LEVEL_STEP_MM) > FLAT_SHARE * reached;
}

/** The glue line over a joint at `fromMm`: none where nothing is under it. */
export const lineOn = ({ glueLineMm, boardless }: StackModel, fromMm: number): number =>
  boardless && fromMm < LEVEL_STEP_MM / 2 ? 0 : glueLineMm;

/**
 * One layer by an option on a joint at `fromMm`. With A and V an area's plan area and volume above a height, c its outline's height:
 * carve = A(c)(top - c) - (V(c) - V(top)); fill = V(from) - V(c) - A(c)(c - from); added up over the areas. Null when nothing worth cutting reaches it,
 * or when some of it could be cut from none of the option's pools. `carried`: where the target's heights lie now, as far as this layer reaches.
 */
export function layOn(model: StackModel, option: Option, fromMm: number, carried: Carried | null = null): Step | null {
  const bottomMm = fromMm + lineOn(model, fromMm);
  const topOfAllMm = carried ? heightNow(carried, model.highestMm) : model.highestMm;
  if (topOfAllMm - bottomMm < Math.max(model.leastStepMm, 1e-9)) return null;
  const { thicknessMm, pools } = option;
  const topMm = bottomMm + thicknessMm;
  const outlineAtMm: number[] = [];
  const fromPoolMm2: number[] = [];
  for (let k = 0; k < pools.length; k++) fromPoolMm2.push(0);
  let [areaMm2, outlineMm, uncovered, carve, fill, offMm, deepMm] = [0, 0, 0, 0, 0, 0, 0];
  // Plain loops: a choice lays tens of thousands of layers.
  for (const area of model.areas) {
    const { curve, alpha } = area;
    const c =
      alpha === 0 && endsOn(curve, bottomMm, carried) ? bottomMm + LEVEL_STEP_MM : bottomMm + alpha * thicknessMm;
    outlineAtMm.push(c);
    const footprint = areaAboveMoved(carried, curve, c);
    const above = volumeAboveMoved(carried, curve, c);
    areaMm2 += footprint;
    if (area.outline) outlineMm += outlineLength(area.outline, carried ? heightBefore(carried, c) : c);
    carve += footprint * (topMm - c) - (above - volumeAboveMoved(carried, curve, topMm));
    fill += volumeAboveMoved(carried, curve, fromMm) - above - footprint * (c - fromMm);
    const highestMm = carried ? heightNow(carried, curve.highestMm) : curve.highestMm;
    if (highestMm > fromMm) deepMm = Math.max(deepMm, Math.min(c, highestMm) - fromMm);
    // What is deeper inside lies within what is less deep: each pool takes what those before it left.
    let taken = 0;
    for (let k = 0; k < pools.length; k++) {
      const allowed = allowedMm2(model.stock[pools[k]], area, footprint, topMm, carried);
      fromPoolMm2[k] += Math.max(0, allowed - taken);
      taken = Math.max(taken, allowed);
    }
    uncovered += footprint - taken;
  }
  // Differences of volumes leave crumbs where there is nothing.
  if (carve < 0 && carve > -CRUMB_MM3) carve = 0;
  if (fill < 0 && fill > -CRUMB_MM3) fill = 0;
  if (areaMm2 < LEAST_AREA_MM2 || uncovered >= LEAST_AREA_MM2) return null;
  for (const pin of model.pins) {
    const heightMm = carried ? heightNow(carried, pin.heightMm) : pin.heightMm;
    if (heightMm > fromMm - HAIR_MM && heightMm < topMm - HAIR_MM)
      offMm += heightMm < outlineHeight(outlineAtMm[pin.area]) ? Math.max(0, heightMm - fromMm) : topMm - heightMm;
  }
  const outer = model.stock[pools[pools.length - 1]];
  let mass = (fill * model.pasteKgPerL - (carve * outer.densityKgM3) / 1000) / ML;
  for (let k = 0; k < pools.length; k++)
    mass += (fromPoolMm2[k] * thicknessMm * model.stock[pools[k]].densityKgM3) / 1e6;
  return {
    option,
    fromMm,
    bottomMm,
    topMm,
    outlineAtMm,
    areaMm2,
    outlineMm,
    fromPoolMm2,
    carveMl: carve / ML,
    fillMl: fill / ML,
    offMm,
    flatMm2: flatsOff(model, fromMm, topMm, carried),
    massG: mass,
    deepMm: deepMm * model.cosAt(fromMm + deepMm),
    moves: NO_MOVES,
    moveMin: 0,
  };
}

/** What is nearer to nothing than this is nothing, mm3. */
const CRUMB_MM3 = 0.1;

/** What ending the stack at a height leaves to paste, and by how much that is more than paste may be deep. */
export interface End {
  fillMl: number;
  offMm: number;
  flatMm2: number;
  massG: number;
  deepMm: number;
  tooLowMm: number;
}

export function endAt(model: StackModel, heightMm: number, carried: Carried | null = null): End {
  const fillMl = model.areas.reduce((sum, { curve }) => sum + volumeAboveMoved(carried, curve, heightMm), 0) / ML;
  const nowAt = (mm: number) => (carried ? heightNow(carried, mm) : mm);
  const left = Math.max(0, nowAt(model.highestMm) - heightMm);
  return {
    fillMl,
    offMm: model.pins.reduce((sum, pin) => {
      const pinMm = nowAt(pin.heightMm);
      return sum + (pinMm > heightMm - HAIR_MM ? pinMm - heightMm : 0);
    }, 0),
    flatMm2: flatsOff(model, heightMm, Number.POSITIVE_INFINITY, carried),
    massG: fillMl * model.pasteKgPerL,
    deepMm: left * model.cosAt(model.highestMm),
    tooLowMm: Math.max(0, left - model.mostFillMm),
  };
}

/** What a stack takes from each pool, mm2 of its sheets: a slice takes its share of a sheet. */
export function usedOf(steps: readonly Step[], pools: readonly StockClass[]): number[] {
  const used = pools.map(() => 0);
  for (const { option, fromPoolMm2 } of steps)
    option.pools.forEach((pool, k) => {
      used[pool] += fromPoolMm2[k] / option.perSheet;
    });
  return used;
}

/** Money for what the shed does not hold. */
export const boughtFor = (used: readonly number[], pools: readonly StockClass[]): number =>
  pools.reduce(
    (sum, { ownedMm2, buyable, pricePerMm2 }, k) =>
      buyable && used[k] > ownedMm2 ? sum + (used[k] - ownedMm2) * pricePerMm2 : sum,
    0,
  );

/** Where the levels lie when each is moved as the steps of a stack say; null where none is. */
export function carriedBy(levels: readonly GivenLevel[], steps: readonly Pick<Step, 'moves'>[]): Carried | null {
  const now = levels.map(({ heightMm }) => heightMm);
  let any = false;
  for (const { moves } of steps)
    for (const { level, byMm } of moves) {
      now[level] += byMm;
      any = true;
    }
  return any ? { was: [0, ...levels.map(({ heightMm }) => heightMm)], now: [0, ...now] } : null;
}

/** What a whole stack comes to. */
export interface Totals {
  layers: number;
  carveMl: number;
  fillMl: number;
  offMm: number;
  /** Flats that fall on no joint. */
  flatMm2: number;
  massG: number;
  deepMm: number;
  bought: number;
  tooLowMm: number;
  usedMm2: number[];
}

export function totalsOf(model: StackModel, steps: readonly Step[]): Totals {
  const end = endAt(model, steps.at(-1)?.topMm ?? 0, carriedBy(model.levels, steps));
  const sum = (pick: (part: Step | End) => number) => steps.reduce((total, step) => total + pick(step), pick(end));
  const usedMm2 = usedOf(steps, model.stock);
  return {
    layers: steps.length,
    carveMl: steps.reduce((total, step) => total + step.carveMl, 0),
    fillMl: sum((part) => part.fillMl),
    offMm: sum((part) => part.offMm),
    flatMm2: sum((part) => part.flatMm2),
    massG: sum((part) => part.massG),
    deepMm: Math.max(end.deepMm, ...steps.map((step) => step.deepMm)),
    bought: boughtFor(usedMm2, model.stock),
    tooLowMm: end.tooLowMm,
    usedMm2,
  };
}
