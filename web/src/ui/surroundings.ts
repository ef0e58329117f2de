import type { OwnValue, Property, UnitSystem } from '@hosket/core';
import { createContext, use } from 'react';

/** A figure of a material that the builder may correct. */
export interface FigureOf {
  material: string;
  property: Property;
}

/** What fields and figures are told by the page that they stand on: they know no store themselves. */
export interface Surroundings {
  units: UnitSystem;
  /** The stage whose view they stand in: some words mean something of their own there. */
  view?: string;
  /** Takes a figure of the builder's own, or the shipped one again; null where none can be corrected. */
  correct: ((figure: FigureOf, value: Omit<OwnValue, 'material' | 'property'> | null) => void) | null;
}

export const SurroundingsContext = createContext<Surroundings>({ units: 'metric', correct: null });

export const useUnits = (): UnitSystem => use(SurroundingsContext).units;
