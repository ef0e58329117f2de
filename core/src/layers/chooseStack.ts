import { areaAbove, type Hypsometry, LEVEL_STEP_MM, outlineHeight, volumeAbove } from '../geometry/index.ts';

/** A kind of sheet in the shed, as the choice sees it. */
export interface SheetKind {
  id: string;
  /** Measured where it was measured, to the nearest LEVEL_STEP_MM. */
  thicknessMm: number;
  /** All sheets of the kind x the part of a sheet that becomes pieces, mm2. */
  availableMm2: number;
}

/** What a stack costs, in minutes at the bench: so much a layer, a litre carved and a litre filled. */
export interface StackCosts {
  perLayerMin: number;
  carveMinPerL: number;
  fillMinPerL: number;
}

export interface StackRule {
  /** Where between its bottom (0) and its top (1) a layer's outline follows the foam target. */
  alpha: number;
  glueLineMm: number;
  /** Another sheet is laid only where at least this much height is left. */
  leastStepMm: number;
  /** No more than this is left to paste above the last layer, when the sheets allow it. */
  mostFillMm: number;
  costs: StackCosts;
}

/** One layer: its sheet, where it lies, and the height at which its outline follows the target. */
export interface Step {
  kind: SheetKind;
  bottomMm: number;
  topMm: number;
  outlineAtMm: number;
  areaMm2: number;
  carveMl: number;
  fillMl: number;
}

export interface Stack {
  steps: Step[];
  /** Fill above the last layer, ml. */
  capMl: number;
  costMin: number;
}

/** Pieces smaller than this are not worth a layer. */
const LEAST_AREA_MM2 = 100;
const ML = 1000;

export const toStep = (mm: number): number => Math.round(mm / LEVEL_STEP_MM) * LEVEL_STEP_MM;

/**
 * One layer of `kind` on a stack that reaches `fromMm`. With A and V the target's area and volume above a height, c the outline's height:
 * carve = A(c)(top - c) - (V(c) - V(top)); fill = V(from) - V(c) - A(c)(c - from). Null when nothing worth cutting reaches it.
 */
export function layOn(curve: Hypsometry, kind: SheetKind, fromMm: number, rule: StackRule): Step | null {
  const bottomMm = fromMm + rule.glueLineMm;
  if (curve.highestMm - bottomMm < Math.max(rule.leastStepMm, 1e-9)) return null;
  const topMm = bottomMm + kind.thicknessMm;
  const outlineAtMm = bottomMm + rule.alpha * kind.thicknessMm;
  const areaMm2 = areaAbove(curve, outlineAtMm);
  if (areaMm2 < LEAST_AREA_MM2) return null;
  const above = volumeAbove(curve, outlineAtMm);
  return {
    kind,
    bottomMm,
    topMm,
    outlineAtMm,
    areaMm2,
    carveMl: (areaMm2 * (topMm - outlineAtMm) - (above - volumeAbove(curve, topMm))) / ML,
    fillMl: (volumeAbove(curve, fromMm) - above - areaMm2 * (outlineAtMm - fromMm)) / ML,
  };
}

export const stepCost = (step: Step, { costs }: StackRule): number =>
  costs.perLayerMin + (costs.carveMinPerL * step.carveMl + costs.fillMinPerL * step.fillMl) / 1000;

/** Weighs more than any minutes: a stack that leaves too much to paste is taken only when no other can be built. */
const TOO_LOW_MIN_PER_MM = 1e5;

/** What ending the stack at a height costs: the fill above it, and dearly every millimetre more than paste may be deep. */
export function endCost(curve: Hypsometry, heightMm: number, { costs, mostFillMm }: StackRule): number {
  const tooLow = Math.max(0, curve.highestMm - heightMm - mostFillMm);
  return (costs.fillMinPerL * volumeAbove(curve, heightMm)) / ML / 1000 + TOO_LOW_MIN_PER_MM * tooLow;
}

/** A way of reaching a height: its cost, what it takes from each scarce kind, and its last layer. */
interface Label {
  costMin: number;
  usedMm2: readonly number[];
  step: Step | null;
  before: Label | null;
}

/**
 * The cheapest stack of sheets under a foam target, for the stated cost: exact dynamic programming over the heights that stacks reach
 * (in steps of LEVEL_STEP_MM). Each height keeps every way of reaching it that no other way beats in both cost and use of scarce sheets,
 * so limited stocks are respected without losing the best answer. A stack that leaves more than `mostFillMm` to paste is taken only when
 * the sheets allow no other. The empty stack is a stack: then everything is fill.
 */
export function chooseStack(curve: Hypsometry, kinds: readonly SheetKind[], rule: StackRule): Stack {
  const whole = areaAbove(curve, 0);
  const usable = kinds.filter((kind) => kind.thicknessMm > 0 && kind.availableMm2 > 0);
  const mostLayers = (kind: SheetKind) => Math.ceil(curve.highestMm / kind.thicknessMm) + 1;
  const scarce = usable.map((kind) =>
    kind.availableMm2 < whole * mostLayers(kind) ? kind.availableMm2 : Number.POSITIVE_INFINITY,
  );
  const reached = new Map<number, Label[]>([
    [0, [{ costMin: 0, usedMm2: usable.map(() => 0), step: null, before: null }]],
  ]);
  const heights = [0];
  let best: Label | null = null;
  let bestTotal = Number.POSITIVE_INFINITY;
  while (heights.length) {
    const at = takeLowest(heights);
    const fromMm = at * LEVEL_STEP_MM;
    const labels = reached.get(at) ?? [];
    const end = endCost(curve, fromMm, rule);
    for (const label of labels)
      if (label.costMin + end < bestTotal - 1e-9) {
        bestTotal = label.costMin + end;
        best = label;
      }
    usable.forEach((kind, k) => {
      const step = layOn(curve, kind, fromMm, rule);
      if (!step) return;
      const to = Math.round(step.topMm / LEVEL_STEP_MM);
      for (const label of labels) {
        const used = label.usedMm2[k] + step.areaMm2;
        if (used > scarce[k] + 1e-6) continue;
        const usedMm2 = scarce[k] === Number.POSITIVE_INFINITY ? label.usedMm2 : label.usedMm2.with(k, used);
        const next: Label = { costMin: label.costMin + stepCost(step, rule), usedMm2, step, before: label };
        const others = reached.get(to);
        if (!others) {
          reached.set(to, [next]);
          heights.push(to);
        } else if (!others.some((other) => beats(other, next)))
          reached.set(to, [...others.filter((other) => !beats(next, other)), next]);
      }
    });
  }
  const steps: Step[] = [];
  for (let label = best; label?.step; label = label.before) steps.unshift(label.step);
  const topMm = steps.at(-1)?.topMm ?? 0;
  const capMl = volumeAbove(curve, topMm) / ML;
  return { steps, capMl, costMin: (best?.costMin ?? 0) + (rule.costs.fillMinPerL * capMl) / 1000 };
}

const beats = (a: Label, b: Label) =>
  a.costMin <= b.costMin + 1e-9 && a.usedMm2.every((used, k) => used <= b.usedMm2[k] + 1e-9);

function takeLowest(heights: number[]): number {
  let lowest = 0;
  for (let k = 1; k < heights.length; k++) if (heights[k] < heights[lowest]) lowest = k;
  return heights.splice(lowest, 1)[0];
}

/** The top of the foam at a place where the target stands at `targetMm`, before carving: the highest layer whose outline reaches there. */
export function foamTopAt(
  steps: readonly Pick<Step, 'outlineAtMm' | 'topMm'>[],
  targetMm: number,
): { topMm: number; layer: number } {
  let layer = 0;
  while (layer < steps.length && targetMm >= outlineHeight(steps[layer].outlineAtMm)) layer++;
  return { topMm: layer ? steps[layer - 1].topMm : 0, layer };
}
