import { type Coefficient, exactly } from '../units/index.ts';
import type { Catalogue } from './catalogue.ts';
import { coefficient } from './source.ts';

export type FoamKind = 'xps' | 'eps' | 'card' | 'cork';

/** What a layer is cut from. */
export interface Foam {
  label: string;
  density: Coefficient;
  /** Vapour resistance factor mu: how many times harder than still air to pass. */
  vapourResistance: Coefficient;
}

/** The stuff of a sheet: one of the catalogue, or the builder's own with its own figures. */
export function stuffOf(
  {
    material,
    own,
  }: {
    material: FoamKind | 'own';
    own: { name: string; densityKgM3: number; vapourResistance: number } | null;
  },
  catalogue: Catalogue,
): Foam {
  if (material !== 'own')
    return {
      label: catalogue.material(material)?.name ?? material,
      density: catalogue.need(material, 'densityKgM3'),
      vapourResistance: catalogue.need(material, 'vapourResistance'),
    };
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

/** Boards that the catalogue knows by another name, since a sheet has theirs. */
const boardNames: Readonly<Record<string, string>> = {
  cork: 'cork board',
  card: 'card board',
  acrylic: 'acrylic sheet',
  other: 'other board',
};
/** Nothing weighs nothing and holds no damp back. */
const nothing: Coefficient = {
  name: 'no board',
  low: 0,
  likely: 0,
  high: 0,
  unit: 'kg/m3',
  source: { kind: 'yours', confidence: 'A', note: 'nothing there' },
};

/** Density and vapour resistance of a baseboard; the builder's own density where it has one. */
export function boardOf(
  { material, densityKgL }: { material: string; densityKgL?: number },
  catalogue: Catalogue,
): Omit<Foam, 'label'> {
  if (material === 'none') return { density: nothing, vapourResistance: { ...nothing, unit: '' } };
  const id = boardNames[material] ?? material;
  const density = catalogue.need(id, 'densityKgM3');
  return {
    density: densityKgL
      ? { ...density, ...exactly(1000 * densityKgL), source: { kind: 'yours', confidence: 'B', note: 'of this board' } }
      : density,
    vapourResistance: catalogue.need(id, 'vapourResistance'),
  };
}
