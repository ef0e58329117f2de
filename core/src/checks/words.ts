import { decimals } from '../units/index.ts';

/** "1 in 12" for a gradient of 1/12. */
export const sayGradient = (gradient: number): string =>
  Math.abs(gradient) < 1e-4 ? 'level' : `1 in ${decimals(1 / Math.abs(gradient), Math.abs(gradient) > 0.1 ? 1 : 0)}`;
