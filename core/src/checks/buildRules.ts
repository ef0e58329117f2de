import { catalogueOf, glueOf, properties } from '../materials/index.ts';
import { operationWords } from '../project/index.ts';
import type { Rule } from './finding.ts';

const tenth = (value: number) => value.toFixed(1);

/** More coats than this of one paste are a sign that foam is missing. */
const MANY_COATS = 3;

export const pasteTooDeep: Rule = ({ takeoff }) =>
  takeoff
    .filter(({ stage, coats, drying }) => stage === 'skin' && drying.kind === 'paste' && coats > MANY_COATS)
    .map(({ coats, drying, zones, title }) => ({
      code: 'paste-deep',
      severity: 'warn',
      band: 'surface',
      place: zones.map(({ name }) => name).join(', '),
      message: `${title} lies ${drying.kind === 'paste' ? tenth(drying.depthMm) : ''} mm deep: ${coats} coats, each set before the next, and a long drying.`,
      remedy: 'Carve back instead of building up, glue offcuts into the steps, or take a paste that may lie thicker.',
    }));

/** Coats that are left out of the take-off: of nothing that is known, with figures missing, or not done with such a material. */
export const coatsLeftOut: Rule = ({ project, zones }) => {
  const catalogue = catalogueOf(project.materials);
  const worn = new Set(zones.filter(({ percent }) => percent > 0).map(({ recipe }) => recipe));
  return project.recipes
    .filter(({ id }) => worn.has(id) || id === project.surface.edges || id === project.surface.walls)
    .flatMap((recipe) =>
      recipe.coats.flatMap(({ operation, material }) => {
        const known = catalogue.material(material);
        const missing = catalogue.missing(material).map((property) => properties[property].name);
        const fits = known && operationWords[operation].forms.includes(known.form);
        if (fits && !missing.length) return [];
        const why = !known
          ? `${material} is not in the catalogue`
          : !fits
            ? `${operationWords[operation].title} is not done with ${known.name}`
            : `${known.name} lacks ${missing.join(', ')}`;
        return [
          {
            code: 'coat-left-out',
            severity: 'warn' as const,
            band: 'surface' as const,
            place: recipe.name,
            message: `A coat of ${recipe.name} is left out of the amounts: ${why}.`,
            remedy: 'Choose another material for it, or give the figures under Materials.',
          },
        ];
      }),
    );
};

export const slowJoints: Rule = ({ joints, project }) => {
  const slowest = joints.reduce((a, b) => (b.dry.likely > a.dry.likely ? b : a), {
    joint: 0,
    between: '',
    dry: { likely: 0 },
  });
  const days = slowest.dry.likely / 24;
  if (days < 5) return [];
  const byWater = glueOf(project.stacking.glue, catalogueOf(project.materials)).drying.kind === 'water';
  return [
    {
      code: 'joint-slow',
      severity: 'warn',
      band: 'layers',
      place: `Joint ${slowest.joint}, ${slowest.between}`,
      message: `${project.stacking.glue} between ${slowest.between} needs about ${Math.round(days)} days${byWater ? ': its water can only leave through the foam' : ' in this air'}.`,
      remedy: byWater
        ? 'Polyurethane or foam-safe contact spray would hold by the next day; or let the spread glue go tacky before pressing.'
        : 'Work in a warmer, drier room, or use foam-safe contact spray.',
    },
  ];
};

export const benchAir: Rule = ({ project: { air } }) => [
  ...(air.temperatureC < 10
    ? [
        {
          code: 'air-cold',
          severity: 'warn' as const,
          band: 'brief' as const,
          place: 'Bench air',
          message: `At ${air.temperatureC} °C glue and paste hardly dry, and water-based paint may not form a film.`,
          remedy: 'Work and dry in a warmer room.',
        },
      ]
    : []),
  ...(air.humidityPercent > 85
    ? [
        {
          code: 'air-damp',
          severity: 'warn' as const,
          band: 'brief' as const,
          place: 'Bench air',
          message: `At ${air.humidityPercent} % humidity drying all but stalls; the times shown are rough.`,
          remedy: 'Air the room or run a dehumidifier.',
        },
      ]
    : []),
];

export const noBenchHours: Rule = ({ days }) =>
  days.finish
    ? []
    : [
        {
          code: 'no-bench-hours',
          severity: 'stop',
          band: 'days',
          place: 'Bench hours',
          message: 'There are no bench hours in the week (or far too few), so no day can be named.',
          remedy: 'Set hours for at least one weekday in Days.',
        },
      ];
