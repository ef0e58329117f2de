import type { Coefficient, Range } from '../units/index.ts';
import type { Catalogue } from './catalogue.ts';

export type GlueName =
  | 'white PVA'
  | 'quick PVA'
  | 'polyurethane'
  | 'contact spray'
  | 'hybrid grab'
  | 'foam-safe super glue'
  | 'hot glue'
  | 'sealant'
  | 'quick rim, slow middle'
  | 'super glue'
  | 'solvent grab'
  | 'hot glue, high temperature';

/** How a glue hardens: by losing water, by taking up moisture, or at once when it has cooled or its solvent has flashed off. */
export type GlueDrying =
  | { kind: 'water'; solids: number }
  | { kind: 'misted moisture'; cureHours: Range }
  | { kind: 'moisture'; rateMmPerRootDay: number; beadHalfWidthMm: number }
  | { kind: 'flash'; cureHours: Range };

export interface GlueData {
  /** In the order in which they go on, each with its part of the joint. */
  spreads: { material: string; name: string; share: number; spread: Coefficient }[];
  lineMm: Coefficient;
  /** Until the joint may be worked on: where it is pressed only, the glue that grabs first. */
  clampMinutes: Coefficient;
  /** Of the glue that is dry last. */
  drying: GlueDrying;
  /** A quick glue round the rim holds the joint while the rest dries. */
  heldByRim: boolean;
  note: string;
}

/** Of a joint glued with two glues, the part that the quick one takes (common practice, no source). */
const RIM_SHARE = 0.25;
const RIM: GlueName = 'hot glue';
const MIDDLE: GlueName = 'white PVA';

/** Mm of bead cured through in the root of a day at 23 C and 50 %. */
const moistureRates: Partial<Record<GlueName, number>> = { 'hybrid grab': 2.5, sealant: 2.7 };
const BEAD_HALF_WIDTH_MM = 5;

/** A glue for foam on foam with its figures from the catalogue. */
export function glueOf(name: GlueName, catalogue: Catalogue): GlueData {
  if (name === 'quick rim, slow middle') {
    const rim = glueOf(RIM, catalogue);
    const middle = glueOf(MIDDLE, catalogue);
    return {
      ...middle,
      spreads: [
        ...rim.spreads.map((part) => ({ ...part, share: RIM_SHARE })),
        ...middle.spreads.map((part) => ({ ...part, share: 1 - RIM_SHARE })),
      ],
      lineMm: rim.lineMm,
      clampMinutes: rim.clampMinutes,
      heldByRim: true,
      note: 'Quick glue round the rim to go on working, slow glue in the middle for strength.',
    };
  }
  const material = catalogue.material(name);
  return {
    spreads: [{ material: name, name: material?.name ?? name, share: 1, spread: catalogue.need(name, 'spreadGPerM2') }],
    lineMm: catalogue.need(name, 'lineMm'),
    clampMinutes: catalogue.need(name, 'clampMin'),
    drying: dryingOf(name, catalogue),
    heldByRim: false,
    note: [material?.use, material?.caution].filter(Boolean).join(' '),
  };
}

function dryingOf(name: GlueName, catalogue: Catalogue): GlueDrying {
  const rateMmPerRootDay = moistureRates[name];
  if (rateMmPerRootDay) return { kind: 'moisture', rateMmPerRootDay, beadHalfWidthMm: BEAD_HALF_WIDTH_MM };
  const solids = catalogue.figure(name, 'solidsPercent');
  if (solids && catalogue.material(name)?.facts.includes('water-based'))
    return { kind: 'water', solids: solids.likely / 100 };
  const cureHours = catalogue.need(name, 'cureH');
  return { kind: name === 'polyurethane' ? 'misted moisture' : 'flash', cureHours };
}
