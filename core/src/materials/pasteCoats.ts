/** More coats than these are no way to fill anything: the rule about deep paste says so. */
const MOST_COATS = 40;

/** In how many coats paste so deep is laid when none may be thicker than `mostMm`; one where nothing limits them. */
export const pasteCoats = (depthMm: number, mostMm: number): number =>
  mostMm > 0 ? Math.min(MOST_COATS, Math.max(1, Math.ceil(depthMm / mostMm - 1e-6))) : 1;
