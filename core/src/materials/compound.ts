import { coefficient } from './source.ts';

/** Cellulose-plaster modelling compound: a powder stirred into water that sets, then dries. */
export const compound = {
  yieldLPerKg: coefficient('compound from 1 kg of powder', 1.0, 1.25, 1.45, 'L/kg', 'trade', 'B'),
  /** Dry, of the volume it had when wet: 1.186 kg from each kg of powder, over its yield. */
  dryKgPerL: coefficient('compound, dry', 0.82, 0.95, 1.19, 'kg/L', 'memory', 'C'),
  powderKgPerL: coefficient('powder, loose', 0.55, 0.65, 0.8, 'kg/L', 'memory', 'C'),
  powderPartsToWater: coefficient('powder to water by volume', 1.5, 2, 3, 'parts', 'trade', 'B'),
  mostPerCoatMm: coefficient('thickest coat', 2, 8, 15, 'mm', 'trade', 'B'),
  workingMinutes: coefficient('working time', 20, 30, 60, 'min', 'trade', 'B'),
  setMinutes: coefficient('set', 45, 120, 240, 'min', 'trade', 'B'),
  /** Drying hours = F a d + b d^2. */
  dryPerMm: coefficient('first-stage drying a', 4, 6.4, 11, 'h/mm', 'memory', 'C'),
  dryPerMm2: coefficient('second-stage drying b', 0.2, 0.3, 0.45, 'h/mm2', 'memory', 'C'),
  spreadMinPer100Cm2: coefficient('spreading', 1.5, 3, 6, 'min/100 cm2', 'memory', 'C'),
  loss: coefficient('left in bowl and on tools', 5, 10, 25, '%', 'trade', 'C'),
};

/** Constants of plaster that follow from stoichiometry: CaSO4.1/2H2O takes up 1.5 H2O (molar masses 145.15 and 18.015 g/mol). */
export const hydrationWater = (1.5 * 18.015) / 145.15;

/** True density of the hemihydrate, kg/L (mineral data, from memory). */
const hemihydrateKgPerL = 2.7;

/** Volume of wet plaster from 1 kg of powder with `waterPerPowder` kg of water, L: the powder's own volume and the water's. */
export const plasterYield = (waterPerPowder: number): number => 1 / hemihydrateKgPerL + waterPerPowder;

/** Water that must evaporate from a litre of wet plaster, kg. */
export const plasterFreeWater = (waterPerPowder: number): number =>
  (waterPerPowder - hydrationWater) / plasterYield(waterPerPowder);
