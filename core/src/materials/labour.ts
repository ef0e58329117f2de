import { coefficient } from './source.ts';

const pace = (name: string, low: number, likely: number, high: number, unit: string) =>
  coefficient(name, low, likely, high, unit, 'memory', 'C');

/** Hands-on minutes of one practised builder, drying not counted. */
export const labour = {
  markOut: pace('marking out', 1, 2, 4, 'min/m'),
  cutThin: pace('cutting by knife, to 10 mm', 1.5, 3, 6, 'min/m'),
  cutThick: pace('cutting by knife, thicker', 3, 6, 12, 'min/m'),
  glueLayer: pace('gluing a layer', 2, 4, 8, 'min'),
  glueArea: pace('spreading glue', 0.3, 0.5, 1, 'min/100 cm2'),
  carve: pace('carving', 12, 30, 70, 'min/L'),
};

/** Against a practised builder. */
export const skillFactor = { 'first-timer': 1.6, practised: 1, experienced: 0.8 } as const;
