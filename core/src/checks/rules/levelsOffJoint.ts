import { levelName, sayWork } from '../../layers/index.ts';
import { mm } from '../../units/index.ts';
import type { Finding, Rule } from '../finding.ts';

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
    const name = levelName(project, level);
    const glue = choice.chosen.model.glueLineMm;
    const thick = Math.max(0, below - glue);
    const { wire } = project.stacking;
    return [
      {
        code: 'level-off-joint',
        severity: 'warn',
        band: 'layers',
        place: name,
        message: reached
          ? `${name} should fall on a joint at ${mm(level.targetMm)} of foam; the foam there stands at ${mm(level.foamThereMm)} (${mm(Math.abs(off))} ${off > 0 ? 'over' : 'under'}), though another stack has a joint there.`
          : `${name} should fall on a joint at ${mm(level.targetMm)} of foam. No stack of these sheets has one there: the nearest are ${mm(near?.belowMm ?? 0)} (${mm(below)} short)${above === null ? ' and none above' : ` and ${mm(near?.aboveMm ?? 0)} (${mm(above)} over)`}.`,
        remedy: reached
          ? 'Let a millimetre off the joint count more, under "How it is chosen".'
          : thick >= LEAST_SHEET_MM
            ? `A sheet ${wire ? 'or slice ' : ''}of ${mm(thick)} on the joint at ${mm(near?.belowMm ?? 0)} would reach it${wire ? '' : '; so would a bench wire'}. Else ${sayWork(level, mm)}.`
            : `Make the level ${mm(below)} lower, or ${sayWork(level, mm)}.`,
        ...(level.itemId && { itemId: level.itemId }),
      },
    ];
  });
