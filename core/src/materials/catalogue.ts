import type { Coefficient, Range } from '../units/index.ts';
import type { Form, Material, OwnMaterials, OwnValue } from './materialSchema.ts';
import { type Property, properties } from './properties.ts';
import { boards, foams, laidIn } from './shelf/bodies.ts';
import { looseCovers } from './shelf/covers.ts';
import { gluesOnShelf } from './shelf/glues.ts';
import { liquids } from './shelf/liquids.ts';
import { paints, powders } from './shelf/paints.ts';
import { plies } from './shelf/plies.ts';
import { powderPastes } from './shelf/powderPastes.ts';
import { readyPastes } from './shelf/readyPastes.ts';
import { notes } from './shelf/row.ts';
import { countedThings, edgings, fibresOnShelf } from './shelf/things.ts';

/** Everything that Hosket knows without being told. */
export const shippedMaterials: readonly Material[] = [
  ...foams,
  ...boards,
  ...gluesOnShelf,
  ...powderPastes,
  ...readyPastes,
  ...plies,
  ...paints,
  ...powders,
  ...looseCovers,
  ...fibresOnShelf,
  ...edgings,
  ...countedThings,
  ...laidIn,
  ...liquids,
];

export const noMaterials = (): OwnMaterials => ({ added: [], values: [] });

/** The shipped materials with what the builder added and changed. */
export interface Catalogue {
  materials: readonly Material[];
  /** Null where nobody knows such a material. */
  material: (id: string) => Material | null;
  /** A figure, the builder's own before the shipped one; null where the material has none. */
  figure: (id: string, property: Property) => Coefficient | null;
  /** A figure that every material of its form has. Throws where it is missing. */
  need: (id: string, property: Property) => Coefficient;
  /** The figures without which a material cannot be worked with, and that it has not. */
  missing: (id: string) => Property[];
}

/** What amounts and waits of each form cannot do without; anything else may be left open. */
const needed: Partial<Record<Form, readonly Property[]>> = {
  foam: ['densityKgM3', 'vapourResistance'],
  paste: ['mostPerCoatMm', 'setMin', 'dryA', 'dryB', 'dryKgPerL'],
  ply: ['plyMm', 'plyPasteGPerM2', 'touchH', 'coatH', 'throughH'],
  thin: ['spreadM2PerL'],
  loose: ['layerMm', 'bulkKgPerL'],
  fibre: ['keptG', 'glueMl', 'patchCm2', 'openMin'],
  panel: ['layerMm', 'densityKgM3'],
};
/** These may be nothing at all. */
const mayBeZero: readonly Property[] = ['plyPasteGPerM2'];

const known = new WeakMap<OwnMaterials, Catalogue>();

export function catalogueOf(own: OwnMaterials): Catalogue {
  const before = known.get(own);
  if (before) return before;
  const made = build(own);
  known.set(own, made);
  return made;
}

function build(own: OwnMaterials): Catalogue {
  const materials = [...shippedMaterials, ...own.added.filter(({ id }) => !shippedIds.has(id))];
  const byId = new Map(materials.map((material) => [material.id, material]));
  const changed = new Map(own.values.map((value) => [`${value.material} ${value.property}`, value]));
  const found = new Map<string, Coefficient | null>();
  const figure = (id: string, property: Property): Coefficient | null => {
    const key = `${id} ${property}`;
    const before = found.get(key);
    if (before !== undefined) return before;
    const material = byId.get(id);
    const made = material ? coefficientFor(material, property, changed.get(key)) : null;
    found.set(key, made);
    return made;
  };
  return {
    materials,
    material: (id) => byId.get(id) ?? null,
    figure,
    need: (id, property) => {
      const value = figure(id, property);
      if (!value) throw new Error(`${id} has no ${properties[property].name}`);
      return value;
    },
    missing: (id) =>
      (needed[byId.get(id)?.form ?? 'laid'] ?? []).filter((property) => {
        const value = figure(id, property);
        return !value || (value.likely <= 0 && !mayBeZero.includes(property));
      }),
  };
}

const shippedIds = new Set(shippedMaterials.map(({ id }) => id));

const rangeOf = ({ low, likely, high }: Range): Range => ({ low, likely, high });

function coefficientFor(material: Material, property: Property, yours: OwnValue | undefined): Coefficient | null {
  const shipped = material.values[property];
  if (!shipped && !yours) return null;
  const { name, unit } = properties[property];
  const words = { name: `${material.name}: ${name}`, unit, of: { material: material.id, property } };
  if (!yours) return shipped ? { ...rangeOf(shipped), ...words, source: shipped.source } : null;
  return {
    ...rangeOf(yours),
    ...words,
    source: { kind: 'yours', confidence: 'B', note: yours.note || notes.yours },
    ...(shipped && { shipped: rangeOf(shipped) }),
  };
}

/** The catalogue before anyone has changed it. */
export const shippedCatalogue: Catalogue = build(noMaterials());
