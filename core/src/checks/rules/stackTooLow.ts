import { areaAbove } from '../../geometry/index.ts';
import { levelName } from '../../layers/index.ts';
import { catalogueOf } from '../../materials/index.ts';
import { fillPasteOf, type Project } from '../../project/index.ts';
import type { StockClass } from '../../stack/index.ts';
import { mm } from '../../units/index.ts';
import type { Rule } from '../finding.ts';
import { lackOf } from '../stackWords.ts';

/** A summit smaller than this, 15 mm above the last layer, is not foam's business, mm2. */
const TIP_MM2 = 200;

/** Why a stack stays low although no sheet is missing. */
function reasonFor({ stacking, stack }: Project, pools: readonly StockClass[]): string {
  if (stack.byHand) return ' So it was settled by hand.';
  if (pools.length && pools.every(({ limit }) => limit.kind !== 'anywhere'))
    return ' Every kind there is may lie only inside or in some area, so nothing may lie at the faces.';
  const limited = Object.values(stacking.most).some((most) => most !== null);
  return limited ? ' The limits that were set, under "How it is built", allow no more.' : '';
}

/** More than a thick coat of paste on top of the stack means that foam is missing there: how high, how much, and of what. */
export const stackTooLow: Rule = ({ project, target, layers, choice }) => {
  const missing = target.curve.highestMm - layers.topMm;
  const deepest = catalogueOf(project.materials).need(fillPasteOf(project), 'mostPerCoatMm').high;
  // A tip too small for another piece of foam is made of paste.
  if (missing <= deepest || areaAbove(target.curve, layers.topMm + deepest) < TIP_MM2) return [];
  const highest = layers.levels.find((level) => level.targetMm > layers.topMm);
  const where = highest ? `${levelName(project, highest)} (${mm(highest.wantedMm)})` : 'The highest ground';
  const lacks =
    choice.missing?.shortages.map(({ pool, mm2 }) => lackOf(project, choice.chosen.model.stock[pool], mm2)) ?? [];
  const because = lacks.length ? ` Missing: ${lacks.join(' and ')}.` : reasonFor(project, choice.chosen.model.stock);
  return [
    {
      code: 'stack-too-low',
      severity: 'stop',
      band: 'layers',
      place: where,
      message:
        project.sheets.some((sheet) => sheet.count > 0) || project.offcuts.length
          ? `${where} stands ${mm(missing)} above the highest stack these sheets make (${mm(layers.topMm)} of foam).${because}`
          : `There are no sheets, and foam is wanted up to ${mm(target.curve.highestMm)}.${lacks.length ? ` That takes ${lacks.join(' and ')}.` : ''}`,
      remedy: 'Add sheets or more of a kind in Layers, or lower the ground.',
      ...(highest && { itemId: highest.itemId }),
    },
  ];
};
