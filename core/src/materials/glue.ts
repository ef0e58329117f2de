import type { Coefficient, Range } from '../units/index.ts';
import { coefficient } from './source.ts';

export type GlueName = 'white PVA' | 'quick PVA' | 'polyurethane' | 'contact spray' | 'hybrid grab';

/** How a glue hardens: by losing water, by taking up moisture, or at once when its solvent has flashed off. */
export type GlueDrying =
  | { kind: 'water'; solids: number }
  | { kind: 'misted moisture'; cureHours: Range }
  | { kind: 'moisture'; rateMmPerRootDay: number; beadHalfWidthMm: number }
  | { kind: 'flash'; cureHours: Range };

export interface GlueData {
  spread: Coefficient;
  lineMm: Coefficient;
  clampMinutes: Coefficient;
  drying: GlueDrying;
  note: string;
}

const spread = (low: number, likely: number, high: number) =>
  coefficient('glue spread, both faces counted once', low, likely, high, 'g/m2', 'trade', 'B');
const line = (low: number, likely: number, high: number) =>
  coefficient('glue line left in the joint', low, likely, high, 'mm', 'memory', 'C');
const clamp = (low: number, likely: number, high: number) =>
  coefficient('weighted down', low, likely, high, 'min', 'trade', 'B');

/** Glues for foam on foam, all foam-safe. Values of the trade, 20 C. */
export const glueData: Record<GlueName, GlueData> = {
  'white PVA': {
    spread: spread(100, 150, 250),
    lineMm: line(0.02, 0.05, 0.1),
    clampMinutes: clamp(720, 1440, 4320),
    drying: { kind: 'water', solids: 0.48 },
    note: 'Between two foam faces its water can only leave through the foam, so a wide joint takes days to weeks.',
  },
  'quick PVA': {
    spread: spread(100, 150, 220),
    lineMm: line(0.02, 0.05, 0.1),
    clampMinutes: clamp(240, 480, 1440),
    drying: { kind: 'water', solids: 0.525 },
    note: 'Grabs sooner than white PVA but must lose nearly as much water.',
  },
  polyurethane: {
    spread: spread(60, 100, 180),
    lineMm: line(0.1, 0.3, 0.8),
    clampMinutes: clamp(45, 120, 300),
    drying: { kind: 'misted moisture', cureHours: { low: 12, likely: 24, high: 48 } },
    note: 'Mist one face with water (about 10 g/m2): foam cannot supply it. It foams and lifts, so weigh the layers down. Gloves: isocyanate.',
  },
  'contact spray': {
    spread: spread(40, 80, 150),
    lineMm: line(0, 0.05, 0.1),
    clampMinutes: clamp(5, 10, 20),
    drying: { kind: 'flash', cureHours: { low: 12, likely: 24, high: 48 } },
    note: 'Only one labelled foam-safe. Extremely flammable: outdoors or well aired, no flame or spark.',
  },
  'hybrid grab': {
    spread: coefficient('glue spread in beads', 300, 600, 1200, 'g/m2', 'memory', 'C'),
    lineMm: line(0.3, 0.8, 1.5),
    clampMinutes: clamp(240, 720, 1440),
    drying: { kind: 'moisture', rateMmPerRootDay: 2.5, beadHalfWidthMm: 5 },
    note: 'Laid in beads with gaps between, so that air reaches each; cures from the outside of the bead inward.',
  },
};
