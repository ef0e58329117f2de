/** From ground and shed to the model in which stacks are chosen: curves of heights by area, stock, weights, limits. */
import {
  forEachCellIn,
  type Grid,
  type Hypsometry,
  hypsometryIn,
  LEVEL_STEP_MM,
  levelStep,
  type OutlineCurve,
  outlineCurveIn,
} from '../geometry/index.ts';
import type { Ground } from '../ground/index.ts';
import { catalogueOf, fillingAgainst, glueOf } from '../materials/index.ts';
import { fillPasteOf, type Project, type School, type Wish } from '../project/index.ts';
import {
  type Flat,
  type Limits,
  noLimits,
  optionFor,
  optionsOf,
  type Pinned,
  type StackModel,
  stockClassesOf,
  toStep,
  type Weights,
} from '../stack/index.ts';
import { type AreaMap, areaAt } from './areas.ts';
import { deepInside } from './deepInside.ts';
import type { LevelPlace } from './levels.ts';
import type { Target } from './target.ts';

/** The paste that figures for filling are stated for. */
const COMPOUND = 'compound';

/** Outline at the bottom of a layer, half way up it, or at its top. */
const alphaOf: Record<School, number> = { 'carve back': 0, halfway: 0.5, 'build up': 1 };

/** Who draws bare foam counts sheets: glue lines no thicker than this are within the cut (common practice, no source), mm. */
const COUNTED_AS_NONE_MM = 0.5;

/** How thick a glue line is counted: as the builder set it, else as usual for the glue. */
function glueLineMmOf({ heights, stacking, materials }: Pick<Project, 'heights' | 'stacking' | 'materials'>): number {
  const usual = glueOf(stacking.glue, catalogueOf(materials)).lineMm.likely;
  return stacking.glueLineMm ?? (heights === 'foam' && usual <= COUNTED_AS_NONE_MM ? 0 : usual);
}

/** What stacks are chosen from, apart from the school: made once for a target. */
export interface StackGround {
  target: Target;
  map: AreaMap;
  curves: Hypsometry[];
  /** Curves of what lies deep inside, by cover and area. */
  inside: Map<number, Hypsometry[]>;
  levels: LevelPlace[];
  slopes: Slopes;
  /** By area; null where no cost is by the metre. */
  outlines: OutlineCurve[] | null;
}

export function* stackGround(
  project: Pick<Project, 'sheets' | 'stacking'>,
  ground: Ground,
  target: Target,
  map: AreaMap,
  levels: LevelPlace[],
): Generator<undefined, StackGround> {
  const curves: Hypsometry[] = [];
  if (map.node) for (const share of map.coverage) curves.push(yield* hypsometryIn(target.grid, share));
  else curves.push(target.curve);
  yield;
  const inside = new Map<number, Hypsometry[]>();
  for (const { limit } of project.sheets)
    if (limit.kind === 'inside' && !inside.has(limit.coverMm)) {
      const deep = deepInside(target.grid, limit.coverMm, ground.outline);
      yield;
      const under: Hypsometry[] = [];
      for (const share of map.coverage) under.push(yield* hypsometryIn(deep, share));
      inside.set(limit.coverMm, under);
    }
  const { outlineMinPerM, carveMinPerM } = project.stacking.costs;
  const outlines: OutlineCurve[] | null = outlineMinPerM > 0 || carveMinPerM > 0 ? [] : null;
  if (outlines)
    for (const [k, share] of map.coverage.entries()) {
      const here = (x: number, y: number) => areaAt(map, target.grid, x, y) === k;
      outlines.push(yield* outlineCurveIn(target.grid, share, ground.outline, here));
    }
  yield;
  const slopes = yield* slopesOf(ground.grid, target.grid, map);
  return { target, map, curves, inside, levels, slopes, outlines };
}

type Shed = Pick<
  Project,
  'heights' | 'base' | 'sheets' | 'offcuts' | 'stacking' | 'stack' | 'nest' | 'materials' | 'recipes' | 'surface'
>;

/** A step that is usually worth a sheet, mm. */
const USUAL_STEP_MM = 3;

/** How much may be left to paste over the last layer: one coat; to who lays thinner steps than usual, no more than three of those. */
const mostFillMm = (leastStepMm: number, coatMm: number): number =>
  leastStepMm < USUAL_STEP_MM ? Math.min(coatMm, Math.max(1, 3 * leastStepMm)) : coatMm;

/** The choice of one school: areas that have a school of their own keep it. */
export function modelFor(project: Shed, ground: StackGround, school: School): StackModel {
  const { stacking, stack } = project;
  const pools = stockClassesOf(project);
  const catalogue = catalogueOf(project.materials);
  const paste = fillPasteOf(project);
  return {
    areas: ground.map.areas.map((area, k) => ({
      id: area?.id ?? null,
      alpha: alphaOf[area?.school ?? school],
      curve: ground.curves[k],
      inside: new Map([...ground.inside].map(([coverMm, curves]) => [coverMm, curves[k]])),
      outline: ground.outlines?.[k] ?? null,
    })),
    highestMm: ground.target.curve.highestMm,
    stock: pools,
    options: optionsOf(pools, stacking.wire),
    wire: stacking.wire,
    glueLineMm: toStep(glueLineMmOf(project)),
    boardless: project.base.board.material === 'none',
    leastStepMm: stacking.leastStepMm,
    mostFillMm: mostFillMm(stacking.leastStepMm, catalogue.need(paste, 'mostPerCoatMm').high),
    pins: ground.levels
      .filter(({ itemId, part }) => stack.onJoint.some((pin) => pin.itemId === itemId && pin.part === part))
      .map(({ targetMm, area }) => ({ heightMm: targetMm, area })),
    flats: flatsOf(ground),
    levels: [],
    movePerLevelMin: stacking.costs.perMoveMin,
    movePerMmMin: stacking.costs.moveMinPerMm,
    pasteKgPerL: catalogue.need(paste, 'dryKgPerL').likely,
    cosAt: ground.slopes.cosAt,
  };
}

/** A flat is where the area at a height goes down by more than this from one step of the curve to the next but one, mm2. */
const LEAST_FLAT_MM2 = 100;

/** The flats of a target, at heights that something asks for: what the area loses there beyond what a slope would. */
function flatsOf({ curves, levels }: Pick<StackGround, 'curves' | 'levels'>): Flat[] {
  const flats = new Map<string, Flat>();
  for (const { targetMm, area } of levels) {
    const step = levelStep(targetMm);
    const { areaMm2: above } = curves[area];
    const at = (k: number) => above[Math.max(0, k)] ?? 0;
    const flat = at(step) - at(step + 2) - (at(step - 2) - at(step));
    if (step > 0 && flat > LEAST_FLAT_MM2)
      flats.set(`${step} ${area}`, { heightMm: step * LEVEL_STEP_MM, areaMm2: flat });
  }
  return [...flats.values()];
}

/** Layers that the builder pinned, as far as there are still sheets for them. */
export const pinnedOf = ({ stack, stacking }: Shed, { stock: pools }: StackModel): Pinned[] =>
  stack.pinned.flatMap((layer) => {
    const option = optionFor(layer, pools, stacking.wire);
    return option ? [{ option, fromMm: layer.fromMm }] : [];
  });

/** What is priced by: the stated costs, and the paste that fills. */
export type Priced = Pick<Project, 'stacking' | 'materials' | 'recipes' | 'surface'>;

/** Minutes that a litre of the paste that fills is counted with: as stated, and where that is for plaster compound, as much as this one differs from it. */
export function fillMinPerLOf(project: Priced): number {
  const { fillMinPerL, fillByPaste } = project.stacking.costs;
  return fillByPaste
    ? fillMinPerL * fillingAgainst(catalogueOf(project.materials), fillPasteOf(project), COMPOUND)
    : fillMinPerL;
}

/** The stated costs; a litre of paste counts its minutes and its money. */
export function weightsOf(project: Priced): Weights {
  const { costs, pastePerL } = project.stacking;
  return {
    perLayer: costs.perLayerMin,
    perOutlineM: costs.outlineMinPerM,
    perGluedDm2: costs.gluedMinPerDm2,
    carvePerM: costs.carveMinPerM,
    carvePerL: costs.carveMinPerL,
    fillPerL: fillMinPerLOf(project) + costs.minPerMoney * (pastePerL ?? 0),
    offPerMm: costs.offMinPerMm,
    perFlatDm2: costs.flatMinPerDm2,
    perKg: costs.minPerKg,
    perMoney: costs.minPerMoney,
    perM2: 0,
  };
}

/** So many minutes for what is wished for: the stated costs decide only between stacks that are alike in it. */
const ABOVE_ALL = 1e6;

/** The weights under which the cheapest stack is what is wished for; null for what cannot be had by weights. */
export function wishWeights(wish: Wish, project: Priced): Weights | null {
  const weights = weightsOf(project);
  switch (wish) {
    case 'least cost':
      return weights;
    case 'fewest layers':
      return { ...weights, perLayer: weights.perLayer + ABOVE_ALL };
    case 'least carving':
      return { ...weights, carvePerL: weights.carvePerL + ABOVE_ALL };
    case 'least paste':
      return { ...weights, fillPerL: weights.fillPerL + ABOVE_ALL };
    case 'least bought':
      // Nothing bought, then as little as can be taken from the shed.
      return { ...weights, perMoney: weights.perMoney + ABOVE_ALL, perM2: ABOVE_ALL };
    case 'lightest':
      return { ...weights, perKg: weights.perKg + ABOVE_ALL };
    case 'soonest dry':
      return null;
  }
}

export function limitsOf({ most }: Project['stacking']): Limits {
  const or = (value: number | null, times = 1) => (value === null ? Number.POSITIVE_INFINITY : value * times);
  const limits: Limits = {
    layers: or(most.layers),
    carveMl: or(most.carveL, 1000),
    fillMl: or(most.fillL, 1000),
    bought: or(most.bought),
    massG: or(most.weightG),
    offMm: or(most.offMm),
  };
  return Object.values(limits).every((value) => value === Number.POSITIVE_INFINITY) ? noLimits : limits;
}

/** The true surface of a target by height and area, for reading how deep paste lies without going over the base again. */
export interface Slopes {
  binMm: number;
  /** By area and bin: plan area and true area, mm2. */
  planMm2: Float64Array[];
  trueMm2: Float64Array[];
  /** By area and bin: volume of the skin over it, mm3. */
  skinMm3: Float64Array[];
  cosAt: (heightMm: number) => number;
}

const BIN_MM = 0.5;

function* slopesOf(ground: Grid, target: Grid, map: AreaMap): Generator<undefined, Slopes> {
  let highest = 0;
  for (const z of target.values) if (z > highest) highest = z;
  const bins = Math.ceil(highest / BIN_MM) + 1;
  const planMm2 = map.areas.map(() => new Float64Array(bins));
  const trueMm2 = map.areas.map(() => new Float64Array(bins));
  const skinMm3 = map.areas.map(() => new Float64Array(bins));
  const across = target.columns - 1;
  for (const [a, coverage] of map.coverage.entries())
    yield* forEachCellIn(target, coverage, (cell, area, height, slopeX, slopeY) => {
      const bin = Math.max(0, Math.min(bins - 1, Math.floor(height / BIN_MM)));
      planMm2[a][bin] += area;
      const corner = Math.floor(cell / across) * target.columns + (cell % across);
      skinMm3[a][bin] += area * (ground.values[corner] - target.values[corner]);
      trueMm2[a][bin] += area * Math.sqrt(1 + slopeX ** 2 + slopeY ** 2);
    });
  const sum = (by: readonly Float64Array[], bin: number) => by.reduce((total, list) => total + list[bin], 0);
  const cosAt = (heightMm: number) => {
    const bin = Math.max(0, Math.min(bins - 1, Math.floor(heightMm / BIN_MM)));
    const sloped = sum(trueMm2, bin);
    return sloped > 0 ? sum(planMm2, bin) / sloped : 1;
  };
  return { binMm: BIN_MM, planMm2, trueMm2, skinMm3, cosAt };
}
