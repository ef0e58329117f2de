import type { TrueSurface } from '../geometry/index.ts';
import { fibreLoad, fibres, grassMinutesPer100Cm2, grassZoneMinutes, soil } from '../materials/index.ts';
import type { Project } from '../project/index.ts';
import { scaleRange, sum } from '../units/index.ts';
import { amountOf, lost, reworked, times } from './amounts.ts';
import { cm2, type StageTakeoff } from './stage.ts';

/** The part of the true surface no steeper than a limit, times the share that is covered. */
const coveredMm2 = (surface: TrueSurface, cover: { sharePercent: number; notSteeperDegrees: number }): number =>
  (surface.notSteeperMm2[Math.floor(cover.notSteeperDegrees)] * cover.sharePercent) / 100;

export function soilStage(project: Project, surface: TrueSurface): StageTakeoff | null {
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

export function grassStage(project: Project, surface: TrueSurface): StageTakeoff | null {
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
