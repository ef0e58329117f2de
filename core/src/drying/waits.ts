import { boardOf, catalogueOf, type GlueData, glueOf, pasteCoats, stuffOf } from '../materials/index.ts';
import { fillPasteOf, type Project } from '../project/index.ts';
import type { Drying } from '../takeoff/index.ts';
import { type Coefficient, decimals, exactly, product, type Range, scaleRange } from '../units/index.ts';
import { dryingFactor, reactionFactor } from './air.ts';
import { type Barrier, evaporationHours, jointHours, moistureHours } from './laws.ts';

/**
 * After the hands leave it, hours until it is dry to the touch, may be coated by something water-based (or worked on), by something with solvent, and is dry
 * through, so that resin may lie on it.
 */
export interface Waits {
  touch: Range;
  coat: Range;
  solvent: Range;
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

const none: Waits = {
  touch: exactly(0),
  coat: exactly(0),
  solvent: exactly(0),
  through: exactly(0),
  reason: 'nothing to wait for',
};

/** A layer as its glue sees it, and what else decides how the glue dries. */
export interface GluedLayer {
  sheetId: string;
  thicknessMm: number;
  areaMm2: number;
  outlineMm: number;
}
type JointBench = Pick<Project, 'stacking' | 'base' | 'sheets' | 'air' | 'materials' | 'recipes' | 'surface'>;

/** Each joint's own time: water-based glue leaves through what lies above (and below, where the board breathes), so low joints take longest. */
export function jointWaits(project: JointBench, layers: readonly GluedLayer[]): JointWait[] {
  const catalogue = catalogueOf(project.materials);
  const glue = glueOf(project.stacking.glue, catalogue);
  const { board } = project.base;
  // Without a board nothing is glued under the lowest layer.
  const first = board.material === 'none' ? 1 : 0;
  return layers.slice(first).map((layer, n) => {
    const k = n + first;
    const between = k === 0 ? 'board and layer 1' : `layers ${k} and ${k + 1}`;
    const drying = glue.drying;
    if (drying.kind === 'misted moisture' || drying.kind === 'flash') {
      const slower = drying.kind === 'flash' ? 1 : reactionFactor(project.air);
      return {
        joint: k,
        between,
        workable: workableHours(glue, project),
        dry: scaleRange(drying.cureHours, slower),
      };
    }
    if (drying.kind === 'moisture') {
      const hours = moistureHours(drying.beadHalfWidthMm, drying.rateMmPerRootDay, project.air);
      return {
        joint: k,
        between,
        workable: workableHours(glue, project),
        dry: scaleRange({ low: 0.7, likely: 1, high: 1.6 }, hours),
      };
    }
    const barrier = (index: number): Barrier & { range: Coefficient } => {
      const { sheetId, thicknessMm } = layers[index];
      const { vapourResistance } = stuffOf(
        project.sheets.find(({ id }) => id === sheetId) ?? { material: 'xps', own: null },
        catalogue,
      );
      return { thicknessMm, mu: vapourResistance.likely, range: vapourResistance };
    };
    const above = layers.slice(k).map((_, n) => barrier(k + n));
    const boardBarrier: Barrier = {
      thicknessMm: board.thicknessMm,
      mu: boardOf(board, catalogue).vapourResistance.likely,
    };
    const under = board.material === 'none' ? [] : [boardBarrier];
    const below = board.airBelow ? [...layers.slice(0, k).map((_, n) => barrier(n)), ...under] : null;
    const halfWidthMm = layer.outlineMm > 0 ? layer.areaMm2 / layer.outlineMm : 1000;
    const { spread } = glue.spreads[glue.spreads.length - 1];
    const { dry } = jointHours(
      { waterGm2: spread.likely * (1 - drying.solids), above, below, halfWidthMm },
      project.air,
    );
    const mu = above[0].range;
    const uncertain = [{ range: scaleRange(spread, 1 / spread.likely) }, { range: scaleRange(mu, 1 / mu.likely) }];
    return { joint: k, between, workable: workableHours(glue, project), dry: product(dry, uncertain) };
  });
}

/** Hours until what is glued may be worked on, wherever the joint lies. */
function workableHours(glue: GlueData, { stacking, air }: Pick<JointBench, 'stacking' | 'air'>): Range {
  switch (glue.drying.kind) {
    case 'misted moisture':
      return scaleRange(holdHours(glue, stacking.pressed), reactionFactor(air));
    case 'moisture':
      return scaleRange(glue.clampMinutes, 1 / 60);
    default:
      return holdHours(glue, stacking.pressed);
  }
}

/** Pinned, dowelled or weighted, a joint of slow water-based glue is worked on after 20 minutes to 2 hours (common practice, no source). */
const PRESSED_HOURS: Range = { low: 0.3, likely: 1, high: 2 };
/** A stack under weights in polyurethane, which foams and lifts, is left overnight (common practice, no source). */
const OVERNIGHT_HOURS: Range = { low: 8, likely: 12, high: 16 };

/** Hours until a joint holds, so that it may be carved, skinned and primed: not the same as dry. */
function holdHours({ clampMinutes, drying, heldByRim }: GlueData, pressed: boolean): Range {
  const alone = scaleRange(clampMinutes, 1 / 60);
  if (!pressed || heldByRim) return alone;
  if (drying.kind === 'misted moisture') return OVERNIGHT_HOURS;
  return drying.kind === 'water' && alone.likely > PRESSED_HOURS.likely ? PRESSED_HOURS : alone;
}

const slowest = (ranges: readonly Range[]): Range => ranges.reduce((a, b) => (b.likely > a.likely ? b : a), exactly(0));

/** The waits after a stage, from the bench air and, for paste, from its real depth. */
export function waitsOf(drying: Drying, project: JointBench, layers: readonly GluedLayer[]): Waits {
  const { air } = project;
  switch (drying.kind) {
    case 'none':
      return none;
    case 'joints': {
      const joints = jointWaits(project, layers);
      const workable = slowest(joints.map((joint) => joint.workable));
      const dry = slowest(joints.map((joint) => joint.dry));
      // What is buried dries on by itself: only what its moisture would spoil waits for that.
      const on = dry.likely > workable.likely ? `; glue inside dries for about ${Math.round(dry.likely)} h` : '';
      return {
        touch: workable,
        coat: workable,
        solvent: workable,
        through: workable,
        reason: `the slowest of ${joints.length} joints holds${on}`,
      };
    }
    case 'wedges': {
      const hold = workableHours(glueOf(project.stacking.glue, catalogueOf(project.materials)), project);
      return { touch: hold, coat: hold, solvent: hold, through: hold, reason: 'the glue under the wedges holds' };
    }
    case 'paste': {
      // What sets by itself takes little notice of the air; what must dry to be firm goes by it.
      const slower = drying.sets ? Math.min(1.3, Math.max(0.7, 1 + 0.03 * (20 - air.temperatureC))) : dryingFactor(air);
      const set = scaleRange(drying.setMin, slower / 60);
      const coats = coatsToDry(drying);
      const through = evaporationHours(drying.depthMm / coats, drying, air);
      return {
        touch: set,
        // What only dries takes no other coat before it has.
        coat: drying.sets ? set : through,
        solvent: through,
        through,
        reason: `paste ${decimals(drying.depthMm, 1)} mm deep (95 % of it no deeper)${coats > 1 ? `, in ${coats} coats that dry one after another` : ''}`,
      };
    }
    case 'hours': {
      const slower = drying.byAir ? dryingFactor(air) : 1;
      const coat = scaleRange(drying.coat, slower);
      const through = scaleRange(drying.through, slower);
      return {
        touch: scaleRange(drying.touch, slower),
        coat,
        solvent: larger(coat, scaleRange(through, SOLVENT_SHARE)),
        through,
        reason: `${drying.what} at ${decimals(slower, 2)} times the hours of 20 C and 50 %`,
      };
    }
  }
}

/** Solvent may go on a thin water-based coat when half of its drying is over (common practice, no source). */
const SOLVENT_SHARE = 0.5;
const larger = (a: Range, b: Range): Range => (b.likely > a.likely ? b : a);

/** In how many coats paste dries: what sets keeps its whole depth; what only dries is laid coat by coat, each when the one before is dry. */
const coatsToDry = ({
  sets,
  depthMm,
  mostPerCoatMm,
}: {
  sets: boolean;
  depthMm: number;
  mostPerCoatMm: number;
}): number => (sets ? 1 : pasteCoats(depthMm, mostPerCoatMm));

/** Hours until the paste of a stack is dry through, before anyone has laid a hand on it: on joints that hold, coat by coat where it only dries. */
export function stackDryHours(project: JointBench, layers: readonly GluedLayer[], pasteMm: number): number {
  const joints = jointWaits(project, layers);
  const hold = slowest(joints.map(({ workable }) => workable)).likely;
  const catalogue = catalogueOf(project.materials);
  const paste = fillPasteOf(project);
  const drying = {
    depthMm: pasteMm,
    mostPerCoatMm: catalogue.need(paste, 'mostPerCoatMm').likely,
    a: catalogue.need(paste, 'dryA'),
    b: catalogue.need(paste, 'dryB'),
    sets: catalogue.material(paste)?.facts.includes('sets') ?? false,
  };
  const coats = coatsToDry(drying);
  return hold + coats * evaporationHours(pasteMm / coats, drying, project.air).likely;
}
