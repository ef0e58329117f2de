import type { Sheet } from './schemas/sheetSchema.ts';

type Thick = Pick<Sheet, 'measuredMm' | 'nominalMm'>;

/** How thick a sheet is, mm: as it was measured, or else as it is sold. */
export const sheetMm = ({ measuredMm, nominalMm }: Thick): number => measuredMm ?? nominalMm;

/** How many slices of `sliceMm` a wire that takes `kerfMm` cuts from a sheet that thick; at least one. */
export const slicesOf = (thickMm: number, sliceMm: number, kerfMm: number): number =>
  Math.max(1, Math.floor((thickMm + kerfMm) / (sliceMm + kerfMm) + 1e-9));
