import type { LayerPlan } from '../layers/index.ts';
import {
  boardVapourResistance,
  type Coat,
  coats,
  compound,
  fibres,
  glueData,
  soil,
  stuffOf,
} from '../materials/index.ts';
import type { Project } from '../project/index.ts';
import type { StageId } from '../takeoff/index.ts';
import { type Coefficient, exactly, product, type Range, scaleRange, sum } from '../units/index.ts';
import { depthFactor, dryingFactor, reactionFactor } from './air.ts';
import { type Barrier, jointHours, moistureHours } from './laws.ts';

/** After the hands leave it, hours until it is dry to the touch, may be coated or worked by the next operation, and is dry through. */
export interface Waits {
  touch: Range;
  coat: Range;
  through: Range;
  /** What the times follow from, in words. */
  reason: string;
}

/** How long one joint of the stack needs; joint 0 is on the board. */
export interface JointWait {
  joint: number;
  between: string;
  workable: Range;
  dry: Range;
}

const none: Waits = { touch: exactly(0), coat: exactly(0), through: exactly(0), reason: 'nothing to wait for' };

/** A layer as its glue sees it, and what else decides how the glue dries. */
export interface GluedLayer {
  sheetId: string;
  thicknessMm: number;
  areaMm2: number;
  outlineMm: number;
}
type JointBench = Pick<Project, 'stacking' | 'base' | 'sheets' | 'air'>;

/** Each joint's own time: water-based glue leaves through what lies above (and below, where the board breathes), so low joints take longest. */
export function jointWaits(project: JointBench, layers: readonly GluedLayer[]): JointWait[] {
  const glue = glueData[project.stacking.glue];
  const { board } = project.base;
  return layers.map((layer, k) => {
    const between = k === 0 ? 'board and layer 1' : `layers ${k} and ${k + 1}`;
    const drying = glue.drying;
    if (drying.kind === 'misted moisture' || drying.kind === 'flash') {
      const slower = drying.kind === 'flash' ? 1 : reactionFactor(project.air);
      return {
        joint: k,
        between,
        workable: scaleRange(glue.clampMinutes, slower / 60),
        dry: scaleRange(drying.cureHours, slower),
      };
    }
    if (drying.kind === 'moisture') {
      const hours = moistureHours(drying.beadHalfWidthMm, drying.rateMmPerRootDay, project.air);
      return {
        joint: k,
        between,
        workable: scaleRange(glue.clampMinutes, 1 / 60),
        dry: scaleRange({ low: 0.7, likely: 1, high: 1.6 }, hours),
      };
    }
    const barrier = (index: number): Barrier & { range: Coefficient } => {
      const { sheetId, thicknessMm } = layers[index];
      const { vapourResistance } = stuffOf(
        project.sheets.find(({ id }) => id === sheetId) ?? { material: 'xps', own: null },
      );
      return { thicknessMm, mu: vapourResistance.likely, range: vapourResistance };
    };
    const above = layers.slice(k).map((_, n) => barrier(k + n));
    const boardBarrier: Barrier = { thicknessMm: board.thicknessMm, mu: boardVapourResistance[board.material] };
    const below = board.airBelow ? [...layers.slice(0, k).map((_, n) => barrier(n)), boardBarrier] : null;
    const halfWidthMm = layer.outlineMm > 0 ? layer.areaMm2 / layer.outlineMm : 1000;
    const { handling, dry } = jointHours(
      { waterGm2: glue.spread.likely * (1 - drying.solids), above, below, halfWidthMm },
      project.air,
    );
    const mu = above[0].range;
    const spread = [
      { range: scaleRange(glue.spread, 1 / glue.spread.likely) },
      { range: scaleRange(mu, 1 / mu.likely) },
    ];
    return { joint: k, between, workable: product(handling, spread), dry: product(dry, spread) };
  });
}

const slowest = (ranges: readonly Range[]): Range => ranges.reduce((a, b) => (b.likely > a.likely ? b : a), exactly(0));

/** The waits after a stage, from the bench air and, for paste, from its real depth. */
export function waitsOf(stage: StageId, project: Project, plan: LayerPlan): Waits {
  const { air } = project;
  if (stage === 'cut' || stage === 'carve') return none;
  if (stage === 'glue') {
    const joints = jointWaits(project, plan.layers);
    const workable = slowest(joints.map((joint) => joint.workable));
    return {
      touch: workable,
      coat: workable,
      through: slowest(joints.map((joint) => joint.dry)),
      reason: `the slowest of ${joints.length} joints`,
    };
  }
  if (stage === 'skin') return pasteWaits(project, plan);
  if (stage === 'soil') return evaporating(soil, air, 'soil and fixative');
  if (stage === 'grass') {
    const { throughHours, openMinutes } = fibres[project.surface.grass.fibreMm];
    const dry = scaleRange(throughHours, dryingFactor(air));
    return { touch: scaleRange(openMinutes, 2 / 60), coat: dry, through: dry, reason: 'grass glue' };
  }
  return evaporating(
    stage === 'seal' ? coats.seal : stage === 'base' ? coats.base : coats.dryBrush,
    air,
    'a thin coat',
  );
}

function evaporating(
  coat: Pick<Coat, 'touchHours' | 'coatHours' | 'throughHours'>,
  air: Project['air'],
  what: string,
): Waits {
  const slower = dryingFactor(air);
  return {
    touch: scaleRange(coat.touchHours, slower),
    coat: scaleRange(coat.coatHours, slower),
    through: scaleRange(coat.throughHours, slower),
    reason: `${what} at ${slower.toFixed(2)} times the hours of 20 C and 50 %`,
  };
}

/** Sets in hours (colder air slows it a little), then dries by its depth: 95 % of it is no deeper than counted here. */
function pasteWaits(project: Project, plan: LayerPlan): Waits {
  const { air } = project;
  const depth = plan.paste.most95Mm;
  const slower = Math.min(1.3, Math.max(0.7, 1 + 0.03 * (20 - air.temperatureC)));
  const set = scaleRange(compound.setMinutes, slower / 60);
  return {
    touch: set,
    coat: set,
    through: pasteDryHours(depth, air),
    reason: `paste ${depth.toFixed(1)} mm deep (95 % of it no deeper)`,
  };
}

/** Hours until paste so deep is dry through: F a d + b d^2. */
function pasteDryHours(depthMm: number, air: Project['air']): Range {
  const first = product(dryingFactor(air) * depthMm, [{ range: compound.dryPerMm }]);
  const second = product(depthMm ** 2 * depthFactor(air), [{ range: compound.dryPerMm2 }]);
  return sum([first, second]);
}

/** Hours until glue and paste of a stack are dry through, before anyone has laid a hand on it: the slowest joint, or paste on joints that hold. */
export function stackDryHours(project: JointBench, layers: readonly GluedLayer[], pasteMm: number): number {
  const joints = jointWaits(project, layers);
  const hold = slowest(joints.map(({ workable }) => workable)).likely;
  const glue = slowest(joints.map(({ dry }) => dry)).likely;
  return Math.max(glue, hold + pasteDryHours(pasteMm, project.air).likely);
}
