import type { Coefficient, Range } from '../units/index.ts';
import { coefficient } from './source.ts';

/** A thin coat: what a litre covers (true area), how long it takes, and its waits at 20 C and 50 %. */
export interface Coat {
  label: string;
  spread: Coefficient;
  /** Lost to brush and palette, %; null where the spread already counts it. */
  loss: Coefficient | null;
  minutesPer100Cm2: Coefficient;
  setUpMinutes: number;
  touchHours: Range;
  coatHours: Range;
  throughHours: Range;
}

const spread = (low: number, likely: number, high: number) =>
  coefficient('a litre covers', low, likely, high, 'm2/L', 'trade', 'B');
const pace = (low: number, likely: number, high: number) =>
  coefficient('hands-on', low, likely, high, 'min/100 cm2', 'memory', 'C');
const loss = coefficient('left on brush and palette', 5, 10, 20, '%', 'trade', 'C');
const around = (likely: number): Range => ({ low: likely * 0.6, likely, high: likely * 1.8 });

export const coats = {
  seal: {
    label: 'Seal coat, matt medium and black paint 1:1',
    spread: spread(3.5, 5.5, 8),
    loss,
    minutesPer100Cm2: pace(0.6, 1.2, 2.5),
    setUpMinutes: 4,
    touchHours: around(40 / 60),
    coatHours: around(1.5),
    throughHours: around(24),
  },
  base: {
    label: 'Base colour, acrylic by brush',
    spread: spread(6, 10, 15),
    loss,
    minutesPer100Cm2: pace(0.8, 1.5, 3.5),
    setUpMinutes: 4,
    touchHours: around(20 / 60),
    coatHours: around(45 / 60),
    throughHours: { low: 24, likely: 36, high: 72 },
  },
  dryBrush: {
    label: 'Dry-brush',
    spread: coefficient('a litre covers, wiping counted', 30, 80, 150, 'm2/L', 'memory', 'C'),
    loss: null,
    minutesPer100Cm2: pace(0.8, 2, 4),
    setUpMinutes: 3,
    touchHours: around(5 / 60),
    coatHours: around(10 / 60),
    throughHours: around(12),
  },
} satisfies Record<string, Coat>;

/** Least worth squeezing out of one colour, however small the base, ml. */
export const leastPerColour = coefficient('least of one colour', 2, 3, 6, 'ml', 'memory', 'C');
