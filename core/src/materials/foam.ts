import type { Coefficient } from '../units/index.ts';
import { coefficient } from './source.ts';

export type FoamKind = 'xps' | 'eps';

interface Foam {
  label: string;
  density: Coefficient;
  /** Vapour resistance factor mu: how many times harder than still air to pass. */
  vapourResistance: Coefficient;
}

export const foams: Record<FoamKind, Foam> = {
  xps: {
    label: 'Dense foam (extruded)',
    density: coefficient(
      'density, dense extruded foam',
      25,
      32,
      45,
      'kg/m3',
      'memory',
      'B',
      'building board; ASTM C578 type minima about 19 to 48, from memory',
    ),
    vapourResistance: coefficient(
      'vapour resistance, extruded foam',
      80,
      100,
      200,
      '-',
      'memory',
      'B',
      'EN ISO 10456 tabulates 150 (from memory); without its skin about 100',
    ),
  },
  eps: {
    label: 'Bead foam (expanded)',
    density: coefficient(
      'density, expanded bead foam',
      10,
      15,
      18,
      'kg/m3',
      'memory',
      'B',
      'light board, EN 13163 (from memory)',
    ),
    vapourResistance: coefficient(
      'vapour resistance, bead foam',
      20,
      40,
      100,
      '-',
      'memory',
      'B',
      'EN ISO 10456 tabulates 60 (from memory); light grades lower',
    ),
  },
};

/** Usual thickness tolerance when the builder states none, plus or minus mm: measured by rule 0.2; craft sheet to 6 mm 0.3; board 2 (EN 13164 T1 below 50 mm, from memory). */
export function usualToleranceMm(nominalMm: number, measured: boolean): number {
  if (measured) return 0.2;
  return nominalMm <= 6 ? 0.3 : nominalMm < 50 ? 2 : 2.5;
}

/** Density of baseboards, kg/m3 (common practice, no source). */
export const boardDensity = {
  fibreboard: coefficient('density, fibreboard', 650, 750, 850, 'kg/m3', 'trade', 'B'),
  plywood: coefficient('density, plywood', 450, 600, 700, 'kg/m3', 'trade', 'B'),
  hardboard: coefficient('density, hardboard', 850, 950, 1050, 'kg/m3', 'trade', 'B'),
  cork: coefficient('density, cork sheet', 120, 180, 250, 'kg/m3', 'trade', 'B'),
  'foam-cored card': coefficient('density, foam-cored card', 60, 90, 140, 'kg/m3', 'trade', 'B'),
} as const;

/** Vapour resistance factor of baseboards (EN ISO 10456 and memory). */
export const boardVapourResistance: Record<string, number> = {
  fibreboard: 15,
  plywood: 90,
  hardboard: 30,
  cork: 10,
  'foam-cored card': 60,
};
