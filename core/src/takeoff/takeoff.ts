import type { TrueSurface } from '../geometry/index.ts';
import type { LayerPlan } from '../layers/index.ts';
import {
  type Coat,
  coats,
  coefficient,
  compound,
  fibreLoad,
  fibres,
  foams,
  glueData,
  grassMinutesPer100Cm2,
  grassZoneMinutes,
  labour,
  leastPerColour,
  skillFactor,
  soil,
} from '../materials/index.ts';
import type { Project } from '../project/index.ts';
import { type Amount, atLeast, scaleRange, sum } from '../units/index.ts';
import { amountOf, lost, measured, over, reworked, times } from './amounts.ts';

export type StageId = 'cut' | 'glue' | 'carve' | 'skin' | 'seal' | 'base' | 'dry-brush' | 'soil' | 'grass';

/** What one stage of the work needs: the surface it covers, each material, and the builder's time. */
export interface StageTakeoff {
  stage: StageId;
  title: string;
  areaMm2: number;
  materials: { name: string; amount: Amount }[];
  handsOn: Amount;
  batches: Batches | null;
  coats: number;
  note: string;
}

/** Compound is mixed in bowls no larger than can be spread before they set. */
export interface Batches {
  count: number;
  mlEach: number;
  why: string;
}

const cm2 = (name: string, areaMm2: number) => ({ name, value: areaMm2 / 100, unit: 'cm2' });

/** Amounts for the default recipe over one stack, in working order. Stages set to nothing are left out. */
export function takeoffOf(project: Project, surface: TrueSurface, skinMl: number, plan: LayerPlan): StageTakeoff[] {
  const pace = skillFactor[project.bench.skill];
  const stages = [
    ...(plan.layers.length ? [cutting(project, plan), gluing(project, plan), carving(plan)] : []),
    skin(project, surface, skinMl, plan),
    ...thinCoats(project, surface),
    soilStage(project, surface),
    grassStage(project, surface),
  ];
  return stages
    .filter((stage): stage is StageTakeoff => stage !== null)
    .map((stage) =>
      pace === 1
        ? stage
        : {
            ...stage,
            handsOn: reworked(
              stage.handsOn,
              scaleRange(stage.handsOn, pace),
              `x ${pace} for a ${project.bench.skill} builder`,
            ),
          },
    );
}

function cutting(project: Project, plan: LayerPlan): StageTakeoff {
  const outlineM = plan.layers.reduce((total, layer) => total + layer.outlineMm, 0) / 1000;
  const thickM =
    plan.layers.filter((layer) => layer.thicknessMm > 10).reduce((total, layer) => total + layer.outlineMm, 0) / 1000;
  const parts = [
    amountOf('min', outlineM, 'outline x marking out', [], [times(labour.markOut)]),
    amountOf('min', outlineM - thickM, 'thin outline x cutting', [], [times(labour.cutThin)]),
    amountOf('min', thickM, 'thick outline x cutting', [], [times(labour.cutThick)]),
  ];
  return {
    stage: 'cut',
    title: 'Cut the layers',
    areaMm2: plan.layers.reduce((total, layer) => total + layer.areaMm2, 0),
    materials: plan.sheetsUsed.map(({ sheetId, areaMm2, sheets }) => {
      const sheet = project.sheets.find((candidate) => candidate.id === sheetId);
      return {
        name: `${sheet?.name || foams[sheet?.material ?? 'xps'].label}, ${sheet?.measuredMm ?? sheet?.nominalMm} mm`,
        amount: measured('each', sheets, 'area of the pieces / (sheet area x yield), rounded up', [
          cm2('pieces', areaMm2),
          { name: 'yield of a sheet', value: project.stacking.sheetYieldPercent, unit: '%' },
        ]),
      };
    }),
    handsOn: {
      ...sum(parts),
      unit: 'min',
      working: {
        expression: 'outline x marking out + outline x cutting',
        inputs: [
          { name: 'outline', value: outlineM, unit: 'm' },
          { name: 'of it thicker than 10 mm', value: thickM, unit: 'm' },
        ],
        coefficients: [labour.markOut, labour.cutThin, labour.cutThick],
      },
    },
    batches: null,
    coats: 1,
    note: 'Fresh blade, metal rule, cut away from the holding hand.',
  };
}

/** Joint k is the face on which layer k + 1 lies; joint 0 is the board. Its area is that of the layer laid on it. */
function gluing(project: Project, plan: LayerPlan): StageTakeoff {
  const glue = glueData[project.stacking.glue];
  const areaMm2 = plan.layers.reduce((total, layer) => total + layer.areaMm2, 0);
  const perArea = amountOf('min', areaMm2 / 1e4, '', [], [times(labour.glueArea)]);
  const perLayer = amountOf('min', plan.layers.length, '', [], [times(labour.glueLayer)]);
  return {
    stage: 'glue',
    title: `Glue the layers, ${project.stacking.glue}`,
    areaMm2,
    materials: [
      {
        name: `Joint glue, ${project.stacking.glue}`,
        amount: amountOf(
          'g',
          areaMm2 / 1e6,
          'joint area x spread',
          [cm2('joints, board included', areaMm2)],
          [times(glue.spread)],
        ),
      },
    ],
    handsOn: {
      ...sum([perArea, perLayer]),
      unit: 'min',
      working: {
        expression: 'layers x gluing + joint area x spreading',
        inputs: [{ name: 'layers', value: plan.layers.length, unit: '' }, cm2('joints', areaMm2)],
        coefficients: [labour.glueLayer, labour.glueArea],
      },
    },
    batches: null,
    coats: plan.layers.length,
    note: glue.note,
  };
}

function carving(plan: LayerPlan): StageTakeoff | null {
  if (plan.carveMl < 0.5) return null;
  return {
    stage: 'carve',
    title: 'Carve back to the line',
    areaMm2: plan.layers.reduce((total, layer) => total + layer.areaMm2, 0),
    materials: [],
    handsOn: amountOf(
      'min',
      plan.carveMl / 1000,
      'foam carved off x carving',
      [{ name: 'foam carved off', value: plan.carveMl / 1000, unit: 'L' }],
      [times(labour.carve)],
    ),
    batches: null,
    coats: 1,
    note: 'Dust mask when rasping or sanding; hot wire only outdoors or extracted, with an organic-vapour mask.',
  };
}

function skin(project: Project, surface: TrueSurface, skinMl: number, plan: LayerPlan): StageTakeoff | null {
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

function thinCoats(project: Project, surface: TrueSurface): (StageTakeoff | null)[] {
  const { sealCoats, baseCoats, dryBrushTones } = project.surface;
  return [
    thinCoat('seal', coats.seal, sealCoats, project, surface, 'Only over dry joints and dry paste.'),
    thinCoat('base', coats.base, baseCoats, project, surface, ''),
    thinCoat(
      'dry-brush',
      coats.dryBrush,
      dryBrushTones,
      project,
      surface,
      'Each tone lighter and drier on the brush than the last.',
    ),
  ];
}

function thinCoat(
  stage: StageId,
  coat: Coat,
  count: number,
  project: Project,
  surface: TrueSurface,
  note: string,
): StageTakeoff | null {
  if (count === 0) return null;
  const rough = coefficient(
    'roughness of the surface',
    1.1,
    project.surface.roughness,
    Math.max(1.6, project.surface.roughness),
    '-',
    'memory',
    'C',
  );
  rough.low = Math.min(rough.low, rough.likely);
  const withLoss = coat.loss ? [lost(coat.loss)] : [];
  const roughness = coat.loss ? [times(rough)] : [];
  const inputs = [
    cm2('true surface', surface.trueMm2),
    { name: stage === 'dry-brush' ? 'tones' : 'coats', value: count, unit: '' },
  ];
  const words = coat.loss ? 'true surface x roughness x coats / spread / (1 - loss)' : 'true surface x tones / spread';
  const paint = amountOf('ml', (surface.trueMm2 / 1e6) * 1000 * count, words, inputs, [
    ...roughness,
    over(coat.spread),
    ...withLoss,
  ]);
  const colours = stage === 'dry-brush' ? count : 1;
  const least = scaleRange(leastPerColour, colours);
  const enough =
    paint.likely < least.likely
      ? reworked(paint, atLeast(paint, least), `but at least ${leastPerColour.likely} ml of a colour`)
      : paint;
  const minutes = amountOf('min', (surface.trueMm2 / 1e4) * count, 'true surface x coats x pace', inputs, [
    times(coat.minutesPer100Cm2),
  ]);
  const half =
    stage === 'seal'
      ? [{ name: 'of it paint, half', amount: reworked(enough, scaleRange(enough, 0.5), 'half of it') }]
      : [];
  return {
    stage,
    title: count > 1 ? `${coat.label}, ${count} ${stage === 'dry-brush' ? 'tones' : 'coats'}` : coat.label,
    areaMm2: surface.trueMm2,
    materials: [{ name: coat.label, amount: enough }, ...half],
    handsOn: reworked(
      minutes,
      {
        low: minutes.low + coat.setUpMinutes,
        likely: minutes.likely + coat.setUpMinutes,
        high: minutes.high + coat.setUpMinutes,
      },
      `and ${coat.setUpMinutes} min to set up`,
    ),
    batches: null,
    coats: count,
    note,
  };
}

/** The part of the true surface no steeper than a limit, times the share that is covered. */
export const coveredMm2 = (surface: TrueSurface, cover: { sharePercent: number; notSteeperDegrees: number }): number =>
  (surface.notSteeperMm2[Math.floor(cover.notSteeperDegrees)] * cover.sharePercent) / 100;

function soilStage(project: Project, surface: TrueSurface): StageTakeoff | null {
  const { soil: choice } = project.surface;
  const areaMm2 = coveredMm2(surface, choice);
  if (areaMm2 < 1 || choice.layerMm === 0) return null;
  const hundreds = areaMm2 / 1e4;
  const inputs = [cm2('covered', areaMm2), { name: 'layer', value: choice.layerMm, unit: 'mm' }];
  const earth = amountOf('g', hundreds * 10 * choice.layerMm, 'covered x layer x loose density / (1 - spilt)', inputs, [
    times(soil.layerSpread),
    times(soil.bulkKgPerL),
    lost(soil.spill),
  ]);
  const wet = (name: string, of: typeof soil.baseGlue) => ({
    name,
    amount: amountOf('ml', hundreds, 'covered x amount', [cm2('covered', areaMm2)], [times(of)]),
  });
  const fixative = wet('Fixative, 1 medium to 3 water', soil.fixative);
  return {
    stage: 'soil',
    title: 'Soil, fixed',
    areaMm2,
    materials: [
      { name: 'Sifted dry soil', amount: earth },
      wet('Thinned medium under it', soil.baseGlue),
      wet('Alcohol mist', soil.alcohol),
      fixative,
      {
        name: 'of it medium',
        amount: reworked(fixative.amount, scaleRange(fixative.amount, soil.mediumShare), 'a quarter of it'),
      },
    ],
    handsOn: amountOf('min', hundreds, 'covered x pace', [cm2('covered', areaMm2)], [times(soil.minutesPer100Cm2)]),
    batches: null,
    coats: 1,
    note: 'Alcohol and any flame, hot wire or spark never at the same time.',
  };
}

function grassStage(project: Project, surface: TrueSurface): StageTakeoff | null {
  const { grass: choice } = project.surface;
  const areaMm2 = coveredMm2(surface, choice);
  if (areaMm2 < 1) return null;
  const fibre = fibres[choice.fibreMm];
  const hundreds = areaMm2 / 1e4;
  const inputs = [cm2('covered', areaMm2)];
  const kept = amountOf('g', hundreds, 'covered x fibres kept', inputs, [times(fibre.kept)]);
  const minutes = sum([amountOf('min', hundreds, '', [], [times(grassMinutesPer100Cm2)]), grassZoneMinutes]);
  return {
    stage: 'grass',
    title: `Static grass, ${choice.fibreMm} mm`,
    areaMm2,
    materials: [
      { name: 'Fibres kept', amount: kept },
      {
        name: 'Fibres to load',
        amount: amountOf('g', hundreds, 'covered x fibres kept x load', inputs, [times(fibre.kept), times(fibreLoad)]),
      },
      { name: 'Grass glue', amount: amountOf('ml', hundreds, 'covered x glue', inputs, [times(fibre.glue)]) },
    ],
    handsOn: {
      ...minutes,
      unit: 'min',
      working: {
        expression: 'a zone + covered x pace',
        inputs,
        coefficients: [grassZoneMinutes, grassMinutesPer100Cm2],
      },
    },
    batches: null,
    coats: 1,
    note: `Glue in patches: it skins over in about ${fibre.openMinutes.likely} min. Clip the earth of the applicator; keep it from wet alcohol, pacemakers and electronics.`,
  };
}
