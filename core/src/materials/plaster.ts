/** Constants of plaster that follow from stoichiometry: CaSO4.1/2H2O takes up 1.5 H2O (molar masses 145.15 and 18.015 g/mol). */
export const hydrationWater = (1.5 * 18.015) / 145.15;

/** True density of the hemihydrate, kg/L (mineral data, from memory). */
const hemihydrateKgPerL = 2.7;

/** Volume of wet plaster from 1 kg of powder with `waterPerPowder` kg of water, L: the powder's own volume and the water's. */
export const plasterYield = (waterPerPowder: number): number => 1 / hemihydrateKgPerL + waterPerPowder;

/** Water that must evaporate from a litre of wet plaster, kg. */
export const plasterFreeWater = (waterPerPowder: number): number =>
  (waterPerPowder - hydrationWater) / plasterYield(waterPerPowder);
