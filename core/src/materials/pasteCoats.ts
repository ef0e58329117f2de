/** Paste that is too deep for one coat: in how many it is laid, and how long a litre of it takes to fill. */
import type { Catalogue } from './catalogue.ts';
import { labour } from './labour.ts';

/** More coats than these are no way to fill anything: the rule about deep paste says so. */
const MOST_COATS = 40;

/** In how many coats paste so deep is laid when none may be thicker than `mostMm`; one where nothing limits them. */
export const pasteCoats = (depthMm: number, mostMm: number): number =>
  mostMm > 0 ? Math.min(MOST_COATS, Math.max(1, Math.ceil(depthMm / mostMm - 1e-6))) : 1;

/** Paste deeper than this is filled in by volume, mm. */
export const BY_VOLUME_MM = 5;

/**
 * Minutes at the bench for a litre of a paste laid as thick as it may be: spreading it by the ground it covers, what lies deeper than 5 mm by
 * its volume besides, and mixing and washing up for as many bowls as can be spread in the time that is sure.
 */
export function fillingMinPerL(catalogue: Catalogue, paste: string): number {
  const thickMm = catalogue.need(paste, 'mostPerCoatMm').likely || BY_VOLUME_MM;
  // A litre so thick covers a hundred times 100 cm2 for each millimetre that it is thinner than 100 mm.
  const spread = (100 / thickMm) * (catalogue.figure(paste, 'paceMin')?.likely ?? 0);
  const deep = Math.max(0, 1 - BY_VOLUME_MM / thickMm) * labour.fillDeep.likely;
  const sure = catalogue.figure(paste, 'workingMin')?.low ?? 0;
  const bowls = sure > 0 ? Math.max(1, (spread + deep) / sure) : 1;
  return spread + deep + bowls * (catalogue.figure(paste, 'setUpMin')?.likely ?? 0);
}

/** How many times as long as another a paste takes to fill a litre. */
export const fillingAgainst = (catalogue: Catalogue, paste: string, other: string): number =>
  paste === other ? 1 : fillingMinPerL(catalogue, paste) / fillingMinPerL(catalogue, other);
