import type { TrueSurface } from '../geometry/index.ts';
import { type Coat, coats, coefficient, leastPerColour } from '../materials/index.ts';
import type { Project } from '../project/index.ts';
import { atLeast, scaleRange } from '../units/index.ts';
import { amountOf, lost, over, reworked, times } from './amounts.ts';
import { cm2, type StageId, type StageTakeoff } from './stage.ts';

/** Seal, base colour and dry-brush over the true surface. */
export function thinCoats(project: Project, surface: TrueSurface): (StageTakeoff | null)[] {
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
