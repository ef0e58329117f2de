import type { Coefficient } from '../units/index.ts';
import { coefficient } from './source.ts';

export type FoamKind = 'xps' | 'eps' | 'card' | 'cork';

/** What a layer is cut from. */
export interface Foam {
  label: string;
  density: Coefficient;
  /** Vapour resistance factor mu: how many times harder than still air to pass. */
  vapourResistance: Coefficient;
}

const foams: Record<FoamKind, Foam> = {
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
  card: {
    label: 'Foam-cored card',
    density: coefficient('density, foam-cored card', 60, 90, 140, 'kg/m3', 'trade', 'B'),
    vapourResistance: coefficient('vapour resistance, foam-cored card', 30, 60, 120, '-', 'memory', 'C'),
  },
  cork: {
    label: 'Cork sheet',
    density: coefficient('density, cork sheet', 120, 180, 250, 'kg/m3', 'trade', 'B'),
    vapourResistance: coefficient('vapour resistance, cork sheet', 5, 10, 20, '-', 'memory', 'C'),
  },
};

/** The stuff of a sheet: one of the usual ones, or the builder's own with its own figures. */
export function stuffOf({
  material,
  own,
}: {
  material: FoamKind | 'own';
  own: { name: string; densityKgM3: number; vapourResistance: number } | null;
}): Foam {
  if (material !== 'own') return foams[material];
  const { name, densityKgM3, vapourResistance } = own ?? { name: 'Own stuff', densityKgM3: 40, vapourResistance: 60 };
  const yours = (what: string, value: number, unit: string) =>
    coefficient(`${what}, ${name}`, value, value, value, unit, 'yours', 'B', 'as you gave it');
  return {
    label: name || 'Own stuff',
    density: yours('density', densityKgM3, 'kg/m3'),
    vapourResistance: yours('vapour resistance', vapourResistance, '-'),
  };
}

/** How much thinner and thicker than its nominal thickness a sheet may be, mm. */
export interface Tolerance {
  minusMm: number;
  plusMm: number;
}
const either = (mm: number): Tolerance => ({ minusMm: mm, plusMm: mm });

/** A thickness that was measured is known as well as a rule or caliper reads, mm. */
const MEASURED_MM = 0.2;

/**
 * Thickness tolerance by class, plus and minus mm (EN 13164 for extruded, EN 13163 for expanded foam, both from memory; the numbers of EN 13163 turned round in
 * 2012: what is in brackets is the millimetres). `usual` takes craft sheet to 6 mm as 0.3 and board as EN 13164 T1. A sheet that was measured is known to 0.2 mm,
 * whatever its class; the builder's own figure always counts.
 */
export function toleranceOf(tolerance: string, ownMm: number | null, nominalMm: number, measured: boolean): Tolerance {
  if (tolerance === 'own' && ownMm !== null) return either(ownMm);
  if (measured) return either(MEASURED_MM);
  switch (tolerance) {
    case 'EN 13164 T2':
      return either(1.5);
    case 'EN 13164 T3':
    case 'EN 13163 T(1)':
    case 'EN 13163 T2, before 2012':
      return either(1);
    case 'EN 13163 T(2)':
    case 'EN 13163 T1, before 2012':
      return either(2);
    case 'EN 13164 T1':
      return extrudedT1(nominalMm);
    default:
      return nominalMm <= 6 ? either(0.3) : extrudedT1(nominalMm);
  }
}

/** Below 50 mm -2/+2, to 120 mm -2/+3, above -2/+6. */
const extrudedT1 = (nominalMm: number): Tolerance => ({
  minusMm: 2,
  plusMm: nominalMm < 50 ? 2 : nominalMm <= 120 ? 3 : 6,
});

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
