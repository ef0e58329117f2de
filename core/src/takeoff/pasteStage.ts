import type { TrueSurface } from '../geometry/index.ts';
import type { LayerPlan } from '../layers/index.ts';
import { coefficient, compound } from '../materials/index.ts';
import type { Project } from '../project/index.ts';
import { amountOf, lost, over, reworked, times } from './amounts.ts';
import { cm2, type StageTakeoff } from './stage.ts';

/** Fill and skin in one compound, in bowls that can be spread before they set and coats no thicker than it allows. */
export function skin(project: Project, surface: TrueSurface, skinMl: number, plan: LayerPlan): StageTakeoff | null {
  const netMl = plan.fillMl + skinMl;
  if (netMl < 0.5) return null;
  const loss = coefficient(
    compound.loss.name,
    project.surface.lossPercent / 2,
    project.surface.lossPercent,
    Math.min(90, project.surface.lossPercent * 2.5),
    '%',
    'trade',
    'C',
  );
  const inputs = [
    { name: 'fill under the skin', value: plan.fillMl, unit: 'ml' },
    { name: 'skin', value: skinMl, unit: 'ml' },
  ];
  const mixed = amountOf('ml', netMl, '(fill + skin) / (1 - loss)', inputs, [lost(loss)]);
  const powder = amountOf('g', netMl, '(fill + skin) / (1 - loss) / yield', inputs, [
    lost(loss),
    over(compound.yieldLPerKg),
  ]);
  const water = amountOf('ml', netMl, 'powder / loose density / parts', inputs, [
    lost(loss),
    over(compound.yieldLPerKg),
    over(compound.powderKgPerL),
    over(compound.powderPartsToWater),
  ]);
  const spread = amountOf(
    'min',
    surface.trueMm2 / 1e4,
    'true surface x spreading',
    [cm2('true surface', surface.trueMm2)],
    [times(compound.spreadMinPer100Cm2)],
  );
  const coatCount = Math.max(1, Math.ceil(plan.paste.most95Mm / compound.mostPerCoatMm.likely - 1e-6));
  const sure = compound.workingMinutes.low;
  const byTime = Math.max(1, Math.ceil(spread.likely / sure - 1e-6));
  const count = Math.max(byTime, coatCount);
  return {
    stage: 'skin',
    title: 'Fill and skin, cellulose-plaster compound',
    areaMm2: surface.trueMm2,
    materials: [
      { name: 'Compound, mixed', amount: mixed },
      { name: 'of it powder', amount: powder },
      { name: 'of it water', amount: water },
    ],
    handsOn: reworked(
      spread,
      { low: spread.low + 5 * count, likely: spread.likely + 8 * count, high: spread.high + 12 * count },
      `and about 8 min to mix and wash for each of ${count} ${count === 1 ? 'bowl' : 'bowls'}`,
    ),
    batches: {
      count,
      mlEach: mixed.likely / count,
      why: `${Math.round(spread.likely)} min of spreading against ${sure} min of sure working time${coatCount > 1 ? `; ${coatCount} coats of at most ${compound.mostPerCoatMm.likely} mm` : ''}`,
    },
    coats: coatCount,
    note: 'Plaster warms as it sets: never round a hand. Dust mask over the powder; leftovers set in the bowl, not in the drain.',
  };
}
