import { coefficient } from './source.ts';

const pace = (name: string, low: number, likely: number, high: number, unit: string) =>
  coefficient(name, low, likely, high, unit, 'memory', 'C');

/** Hands-on minutes of one practised builder, drying not counted. */
export const labour = {
  markOut: pace('marking out', 1, 2, 4, 'min/m'),
  cutThin: pace('cutting by knife, to 10 mm', 1.5, 3, 6, 'min/m'),
  cutThick: pace('cutting by knife, thicker', 3, 6, 12, 'min/m'),
  cutWire: pace('cutting by hot wire', 1, 2, 4, 'min/m'),
  cutSaw: pace('cutting by fine saw', 2, 4, 8, 'min/m'),
  glueLayer: pace('gluing a layer', 2, 4, 8, 'min'),
  glueArea: pace('spreading glue', 0.3, 0.5, 1, 'min/100 cm2'),
  carve: pace('carving', 12, 30, 70, 'min/L'),
  wedge: pace('cutting, trying and gluing a wedge of foam', 4, 8, 16, 'min/m'),
  fillDeep: pace('filling by volume, deeper than 5 mm', 60, 120, 240, 'min/L'),
  cable: pace('laying a cable', 4, 8, 15, 'min/m'),
  bay: pace('fitting a bay, or pulling a cable in', 4, 8, 20, 'min'),
};

/** Against a practised builder. */
export const skillFactor = { 'first-timer': 1.6, practised: 1, experienced: 0.8 } as const;

/** What a tool takes away along its cut, mm. */
export const kerfOf = {
  knife: coefficient(
    'kerf of a sharp knife',
    0,
    0,
    0.3,
    'mm',
    'trade',
    'B',
    'common practice, no source: it parts, and takes nothing away',
  ),
  'hot wire': coefficient(
    'kerf of a hot wire',
    0.5,
    1,
    2,
    'mm',
    'trade',
    'B',
    'common practice, no source: wire of 0.2 to 0.4 mm with what melts back; slow or hot gives 2 to 4',
  ),
  'fine saw': coefficient(
    'kerf of a fine saw',
    0.8,
    1.2,
    2,
    'mm',
    'trade',
    'B',
    'common practice, no source: the set of its teeth',
  ),
} as const;
