import { catalogueOf } from '../../materials/index.ts';
import { hadFor } from '../../takeoff/index.ts';
import type { Rule } from '../finding.ts';

const DAY_MIN = 1440;

/** A hot wire, and alcohol, spray, solvent or fibres, worked with on one day. */
export const flameNearAlcohol: Rule = ({ project, takeoff, days }) => {
  if (project.cutting.tool !== 'hot wire' && project.stacking.wire === null) return [];
  const catalogue = catalogueOf(project.materials);
  // Fibres in the air catch fire as vapour does.
  const flammable = takeoff.filter(
    ({ materials, operation }) =>
      operation === 'grass' ||
      hadFor(materials).some(({ material }) => catalogue.material(material)?.facts.includes('flammable')),
  );
  if (!flammable.length) return [];
  const daysOf = (step: string) =>
    new Set(
      days.tasks
        .filter(({ operation }) => days.operations.find(({ id }) => id === operation)?.step === step)
        .flatMap(({ sessions }) => sessions.map(({ from }) => Math.floor(from / DAY_MIN))),
    );
  const hot = new Set(['cut', 'carve'].flatMap((step) => [...daysOf(step)]));
  const clash = flammable.find(({ id }) => [...daysOf(id)].some((day) => hot.has(day)));
  const [{ id, title }] = clash ? [clash] : flammable;
  return [
    {
      code: 'flame-near-alcohol',
      severity: clash ? 'warn' : 'note',
      band: 'days',
      place: title,
      message: clash
        ? `${title} is flammable and falls on a day on which the hot wire is used.`
        : `The hot wire is used on this base, and ${title.toLowerCase()} is flammable.`,
      remedy: clash
        ? 'Do them on different days, or air the room well and put the wire away first. Never both at once.'
        : 'Never both at once: alcohol, spray and fibres only when wire, heat gun and torch are cold and put away.',
      step: id,
    },
  ];
};
