import { type Catalogue, shippedCatalogue } from './catalogue.ts';

/** One part of a mix: of the catalogue (water from the tap too), and in which colour. */
export interface MixPart {
  material: string;
  name: string;
  parts: number;
  which?: string;
  /** A powder that goes in dry: measured loose, it fills less. */
  dry?: boolean;
}

/** A mix by parts of volume; `drops` is what a litre of it gets besides. */
export interface Mix {
  id: string;
  name: string;
  parts: readonly MixPart[];
  /** Drops of something in 100 ml of the mix. */
  drops?: { material: string; name: string; per100Ml: number };
  note: string;
}

const part = (material: string, name: string, parts: number, which?: string): MixPart => ({
  material,
  name,
  parts,
  ...(which && { which }),
});
const powder = (material: string, name: string, parts: number): MixPart => ({
  ...part(material, name, parts),
  dry: true,
});

/** Mixes of the trade (common practice, no source). */
export const mixes: readonly Mix[] = [
  {
    id: 'fixative',
    name: 'Fixative 1:3',
    parts: [part('matt medium', 'matt medium', 1), part('water', 'water', 3)],
    drops: { material: 'soap', name: 'washing-up liquid', per100Ml: 1 },
    note: 'Wet the cover with alcohol or water first, then let it run in.',
  },
  {
    id: 'seal coat',
    name: 'Seal coat 1:1',
    parts: [part('acrylic', 'paint', 1, 'black'), part('matt medium', 'matt medium', 1)],
    note: 'Over dry joints and dry paste.',
  },
  {
    id: 'PVA seal',
    name: 'PVA seal 1:1',
    parts: [part('white PVA', 'PVA', 1), part('water', 'water', 1)],
    note: 'Two thin coats rather than one.',
  },
  {
    id: 'tissue',
    name: 'Tissue glue 1:1',
    parts: [part('white PVA', 'PVA', 1), part('water', 'water', 1)],
    note: 'Brush it under and over each ply.',
  },
  {
    id: 'ground mix',
    name: 'Ground mix',
    parts: [
      part('compound', 'compound, mixed', 4),
      part('soil', 'sifted soil', 2),
      part('white PVA', 'PVA', 1),
      part('acrylic', 'earth paint', 1, 'earth'),
    ],
    note: 'Stiff enough to stand where it is pushed.',
  },
  {
    id: 'moss paste',
    name: 'Moss paste',
    parts: [
      part('fine turf', 'ground foam', 3),
      part('white PVA', 'PVA', 2),
      part('acrylic', 'green paint', 1, 'green'),
    ],
    note: 'Crumbly: add foam until it no longer shines.',
  },
  {
    id: 'mud paste',
    name: 'Mud paste',
    parts: [part('soil', 'sifted soil', 4), part('matt medium', 'matt medium', 3), powder('plaster', 'plaster', 1)],
    note: 'As stiff as porridge; gloss where it is to stay wet.',
  },
  {
    id: 'snow paste',
    name: 'Snow 1:1',
    parts: [powder('snow powder', 'snow powder', 1), part('white PVA', 'PVA', 1)],
    note: 'Stir it fluffy; a little white paint keeps it from yellowing.',
  },
];

export const mixOf = (id: string): Mix | null => mixes.find((mix) => mix.id === id) ?? null;

/** Usual kitchen measures, ml: a drop is a twentieth. */
const TEASPOON_ML = 5;
const DROP_ML = 0.05;

/** Parts a mix by what is known of it. */
export interface Measured {
  name: string;
  ml: number;
  g: number;
  teaspoons: number;
  drops: number;
}

/** What of a mix is given: one of its parts by its place, or the whole. */
export type Given = number | 'whole';

/**
 * All parts of a mix from one of them or from the whole, ml. What is wet fills the voids of what is loose first (`bowlShare`). Mass from the
 * density, loose where that is how it is measured.
 */
export function measuredOut(mix: Mix, given: Given, ml: number, catalogue: Catalogue = shippedCatalogue): Measured[] {
  const all = mix.parts.reduce((sum, { parts }) => sum + parts, 0);
  /** All parts as they are measured out: more than the bowl holds in the end. */
  const wholeMl = given === 'whole' ? ml / bowlShare(mix, catalogue) : (ml * all) / mix.parts[given].parts;
  const measure = (material: string, name: string, partMl: number): Measured => ({
    name,
    ml: partMl,
    g: partMl * kgPerL(material, catalogue),
    teaspoons: partMl / TEASPOON_ML,
    drops: partMl / DROP_ML,
  });
  return [
    ...mix.parts.map(({ material, name, parts }) => measure(material, name, (wholeMl * parts) / all)),
    ...(mix.drops ? [measure(mix.drops.material, mix.drops.name, (mix.drops.per100Ml * DROP_ML * wholeMl) / 100)] : []),
  ];
}

/** Density of grains and powders without their voids, kg/L: minerals, and what is light when loose (foam, leaves, wood). From memory. */
const GRAIN_KG_PER_L = { mineral: 2.6, light: 1.1 };
/** What is heavier than this when loose is mineral, kg/L. */
const MINERAL_FROM = 0.5;

/**
 * What comes out of the bowl, as a share of all parts as they were measured out. Grains and powders have voids, which what is wet fills first:
 * the bowl holds whichever is more, the loose parts with their voids or their solid with all that is wet.
 */
export function bowlShare(mix: Mix, catalogue: Catalogue = shippedCatalogue): number {
  let [loose, solid, wet] = [0, 0, 0];
  for (const { material, parts, dry } of mix.parts) {
    const bulk = dry ? catalogue.figure(material, 'powderKgPerL') : null;
    const kg = (bulk ?? catalogue.figure(material, 'bulkKgPerL'))?.likely;
    if (kg === undefined || (!dry && catalogue.material(material)?.form !== 'loose')) wet += parts;
    else {
      loose += parts;
      solid += parts * Math.min(1, kg / (kg >= MINERAL_FROM ? GRAIN_KG_PER_L.mineral : GRAIN_KG_PER_L.light));
    }
  }
  return Math.max(loose, solid + wet) / (loose + wet);
}

/** Density of a material as it is measured out: loose, or as it is used. */
export function kgPerL(material: string, catalogue: Catalogue): number {
  const known =
    catalogue.figure(material, 'bulkKgPerL') ??
    catalogue.figure(material, 'wetKgPerL') ??
    catalogue.figure(material, 'powderKgPerL');
  return known?.likely ?? 1;
}
