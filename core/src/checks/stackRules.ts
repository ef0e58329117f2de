import { areaAbove } from '../geometry/index.ts';
import { catalogueOf, stuffOf } from '../materials/index.ts';
import { fillPasteOf, type Project } from '../project/index.ts';
import type { Pool } from '../stack/index.ts';
import type { Finding, Rule } from './finding.ts';

const tenth = (value: number) => value.toFixed(1);
/** A summit smaller than this, 15 mm above the last layer, is not foam's business, mm2. */
const TIP_MM2 = 200;

const poolName = ({ sheets, materials }: Project, { sheetIds }: Pool): string => {
  const sheet = sheets.find(({ id }) => id === sheetIds[0]);
  return sheet ? sheet.name || stuffOf(sheet, catalogueOf(materials)).label : 'a kind of sheet';
};

/** "0.21 m2 of Dense foam 20: 2 more sheets". */
function lackOf(project: Project, pool: Pool, mm2: number): string {
  const sheet = project.sheets.find(({ id }) => id === pool.sheetIds[0]);
  const one = sheet ? (sheet.widthMm * sheet.depthMm * project.stacking.sheetYieldPercent) / 100 : mm2;
  const more = Math.ceil(mm2 / one - 1e-9);
  return `${(mm2 / 1e6).toFixed(3)} m² of ${poolName(project, pool)} (${more} more ${more === 1 ? 'sheet' : 'sheets'})`;
}

/** More than a thick coat of paste on top of the stack means that foam is missing there: how high, how much, and of what. */
export const stackTooLow: Rule = ({ project, target, layers, choice }) => {
  const missing = target.curve.highestMm - layers.topMm;
  const deepest = catalogueOf(project.materials).need(fillPasteOf(project), 'mostPerCoatMm').high;
  // A tip too small for another piece of foam is made of paste.
  if (missing <= deepest || areaAbove(target.curve, layers.topMm + deepest) < TIP_MM2) return [];
  const highest = layers.levels.find((level) => level.targetMm > layers.topMm);
  const where = highest
    ? `${highest.name || 'The highest mark'} (${tenth(highest.wantedMm)} mm)`
    : 'The highest ground';
  const lacks =
    choice.missing?.shortages.map(({ pool, mm2 }) => lackOf(project, choice.chosen.model.pools[pool], mm2)) ?? [];
  const because = lacks.length ? ` Missing: ${lacks.join(' and ')}.` : reasonFor(project, choice.chosen.model.pools);
  return [
    {
      code: 'stack-too-low',
      severity: 'stop',
      band: 'layers',
      place: where,
      message:
        project.sheets.some((sheet) => sheet.count > 0) || project.offcuts.length
          ? `${where} stands ${tenth(missing)} mm above the highest stack these sheets make (${tenth(layers.topMm)} mm of foam).${because}`
          : `There are no sheets, and foam is wanted up to ${tenth(target.curve.highestMm)} mm.${lacks.length ? ` That takes ${lacks.join(' and ')}.` : ''}`,
      remedy: 'Add sheets or more of a kind in Layers, or lower the ground.',
      ...(highest && { itemId: highest.itemId }),
    },
  ];
};

/** Why a stack stays low although no sheet is missing. */
function reasonFor({ stacking, stack }: Project, pools: readonly Pool[]): string {
  if (stack.byHand) return ' So it was settled by hand.';
  if (pools.length && pools.every(({ limit }) => limit.kind !== 'anywhere'))
    return ' Every kind there is may lie only inside or in some area, so nothing may lie at the faces.';
  const limited = Object.values(stacking.most).some((most) => most !== null);
  return limited ? ' The limits that were set, under "How it is built", allow no more.' : '';
}

/** A stack settled by hand may ask for more than there is. */
export const stockShort: Rule = ({ project, choice }) =>
  choice.chosen.shortages.map(({ pool, mm2 }): Finding => {
    const short = choice.chosen.model.pools[pool];
    return {
      code: 'stock-short',
      severity: 'stop',
      band: 'layers',
      place: poolName(project, short),
      message: `This stack takes more than the shed holds: ${lackOf(project, short, mm2)} is missing.`,
      remedy: 'Swap a layer for another kind, say that more can be bought, or let Hosket choose again.',
    };
  });

/** Layers written by hand that come to nothing. */
export const idleLayers: Rule = ({ choice }) => {
  const { idle, unknown } = choice.chosen;
  const found: Finding[] = [];
  if (idle.length)
    found.push({
      code: 'hand-idle',
      severity: 'warn',
      band: 'layers',
      place: 'Stack by hand',
      message: `${idle.length === 1 ? 'A layer' : `${idle.length} layers`} of the stack settled by hand ${idle.length === 1 ? 'lies' : 'lie'} above the ground, or cannot be cut from what may lie there, and ${idle.length === 1 ? 'was' : 'were'} left out.`,
      remedy: 'Take it out, or let Hosket choose again.',
    });
  if (unknown.length)
    found.push({
      code: 'hand-unknown',
      severity: 'warn',
      band: 'layers',
      place: 'Stack by hand',
      message: `${unknown.length === 1 ? 'A layer' : `${unknown.length} layers`} settled by hand ${unknown.length === 1 ? 'asks' : 'ask'} for sheets that are gone, that differ in thickness, or for a slice with no bench wire.`,
      remedy: 'Swap it for a kind that is there, or let Hosket choose again.',
    });
  return found;
};

/** Pinned layers and limits that no stack can keep. */
export const lostWishes: Rule = ({ choice }) => {
  const { pinsLost, limitsLost, exact } = choice.chosen;
  const found: Finding[] = [];
  if (pinsLost)
    found.push({
      code: 'pins-lost',
      severity: 'warn',
      band: 'layers',
      place: 'Pinned layers',
      message: 'No stack of these sheets holds every pinned layer where it lay, so the pins were left out of account.',
      remedy: 'Unpin a layer, or add a thickness that reaches it.',
    });
  if (limitsLost)
    found.push({
      code: 'limits-lost',
      severity: 'warn',
      band: 'layers',
      place: 'Limits of the stack',
      message: 'No stack of these sheets keeps all the limits that were set, so it was chosen without them.',
      remedy: 'Raise a limit under "How it is chosen", or add sheets.',
    });
  if (!exact)
    found.push({
      code: 'stack-not-proven',
      severity: 'note',
      band: 'layers',
      place: 'Choice of the stack',
      message: 'So many scarce kinds can be combined that not every stack was weighed: a cheaper one may exist.',
      remedy: 'Nothing need be done.',
    });
  return found;
};

/** No sheet is thinner, mm. */
const LEAST_SHEET_MM = 1;
/** A level off its joint by no more than this is on it, mm. */
const ON_JOINT_MM = 0.3;

/** A level that should fall on a joint and does not: what is the nearest, and which thickness would reach it. */
export const levelsOffJoint: Rule = ({ layers, choice, project }) =>
  layers.levels.flatMap((level): Finding[] => {
    const off = level.foamThereMm - level.targetMm;
    if (!level.onJoint || Math.abs(off) <= ON_JOINT_MM) return [];
    const near = choice.joints.find(({ itemId, part }) => itemId === level.itemId && part === level.part);
    const below = near ? level.targetMm - near.belowMm : 0;
    const above = near?.aboveMm == null ? null : near.aboveMm - level.targetMm;
    const reached = below <= ON_JOINT_MM || (above !== null && above <= ON_JOINT_MM);
    const glue = choice.chosen.model.glueLineMm;
    const thick = Math.max(0, below - glue);
    const { wire } = project.stacking;
    return [
      {
        code: 'level-off-joint',
        severity: 'warn',
        band: 'layers',
        place: level.name || level.itemId,
        message: reached
          ? `${level.name} should fall on a joint at ${tenth(level.targetMm)} mm of foam; the foam there stands at ${tenth(level.foamThereMm)} mm (${tenth(Math.abs(off))} mm ${off > 0 ? 'over' : 'under'}), though another stack has a joint there.`
          : `${level.name} should fall on a joint at ${tenth(level.targetMm)} mm of foam. No stack of these sheets has one there: the nearest are ${tenth(near?.belowMm ?? 0)} mm (${tenth(below)} mm short)${above === null ? ' and none above' : ` and ${tenth(near?.aboveMm ?? 0)} mm (${tenth(above)} mm over)`}.`,
        remedy: reached
          ? 'Let a millimetre off the joint count more, under "How it is chosen".'
          : thick >= LEAST_SHEET_MM
            ? `A sheet ${wire ? 'or slice ' : ''}of ${tenth(thick)} mm on the joint at ${tenth(near?.belowMm ?? 0)} mm would reach it${wire ? '' : '; so would a bench wire'}. Else ${level.instruction}.`
            : `Make the level ${tenth(below)} mm lower, or ${level.instruction}.`,
        ...(level.itemId && { itemId: level.itemId }),
      },
    ];
  });

/** Areas whose zone or landform is gone. */
export const emptyAreas: Rule = ({ project, zones }) =>
  project.stacking.areas.flatMap(({ name, of }): Finding[] => {
    const gone =
      of.kind === 'zone'
        ? !zones.some(({ id }) => id === of.id)
        : of.kind === 'landform' && !project.landforms.some(({ id }) => id === of.id);
    if (!gone) return [];
    return [
      {
        code: 'area-gone',
        severity: 'note',
        band: 'layers',
        place: name,
        message: `The ${of.kind === 'zone' ? 'zone' : 'landform'} of the area "${name}" is not on this base, so nothing is built by it.`,
        remedy: 'Choose another, or take the area out.',
      },
    ];
  });
