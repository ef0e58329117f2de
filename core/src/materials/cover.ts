import type { Coefficient, Range } from '../units/index.ts';
import { coefficient } from './source.ts';

const per100 = (name: string, low: number, likely: number, high: number, unit: string) =>
  coefficient(name, low, likely, high, `${unit}/100 cm2`, 'memory', 'C');

/** Sifted dried soil on thinned medium, wetted with alcohol, then fixed with 1 part medium to 3 parts water. */
export const soil = {
  bulkKgPerL: coefficient('soil, loose', 1.0, 1.2, 1.4, 'kg/L', 'memory', 'B'),
  /** Soil lies between half and twice the layer asked for. */
  layerSpread: coefficient('evenness of the layer', 0.6, 1, 1.6, '-', 'memory', 'C'),
  baseGlue: per100('glue under it', 1, 2, 3, 'ml'),
  alcohol: per100('alcohol mist', 1, 1.5, 3, 'ml'),
  fixative: per100('fixative 1:3', 3, 5, 9, 'ml'),
  mediumShare: 0.25,
  spill: coefficient('spilt and not recovered', 5, 15, 30, '%', 'trade', 'C'),
  minutesPer100Cm2: coefficient('hands-on', 1, 2.5, 5, 'min/100 cm2', 'memory', 'C'),
  /** A couple of hours before grass may go on, by the trade; dry through much later. */
  coatHours: { low: 1.5, likely: 2, high: 4 } as Range,
  touchHours: { low: 1, likely: 1.5, high: 3 } as Range,
  throughHours: { low: 8, likely: 16, high: 30 } as Range,
};

interface Fibre {
  kept: Coefficient;
  glue: Coefficient;
  openMinutes: Coefficient;
  throughHours: Range;
}

const fibre = (kept: Range3, glue: Range3, open: Range3, dry: Range3): Fibre => ({
  kept: per100('fibres kept', ...kept, 'g'),
  glue: per100('grass glue', ...glue, 'ml'),
  openMinutes: coefficient('glue stays open', ...open, 'min', 'memory', 'C'),
  throughHours: { low: dry[0], likely: dry[1], high: dry[2] },
});
type Range3 = [number, number, number];

/** Static grass by fibre length, mm. */
export const fibres: Record<2 | 4 | 6 | 12, Fibre> = {
  2: fibre([0.45, 0.8, 1.4], [1.5, 2.5, 4], [8, 15, 25], [6, 12, 24]),
  4: fibre([0.7, 1.2, 2.0], [2, 3, 5], [8, 15, 25], [8, 12, 24]),
  6: fibre([0.7, 1.4, 2.4], [2.5, 4, 6], [10, 15, 30], [8, 16, 24]),
  12: fibre([0.8, 1.6, 2.7], [3.5, 5, 8], [10, 15, 30], [12, 24, 48]),
};

/** What is loaded into the applicator, against what is kept; the rest is tipped off and used again. */
export const fibreLoad = coefficient('load, against kept', 1.5, 2, 3, '-', 'memory', 'C');
export const grassMinutesPer100Cm2 = coefficient('hands-on', 0.8, 1.5, 3, 'min/100 cm2', 'memory', 'C');
export const grassZoneMinutes = coefficient('a zone, whatever its size', 3, 6, 10, 'min', 'memory', 'C');
