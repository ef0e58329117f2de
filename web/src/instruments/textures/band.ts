export type Tint = readonly [number, number, number];

/** One step of a tint scale: everything up to `upTo` (degrees or mm) that no step before it takes. */
export interface Band {
  upTo: number;
  tint: Tint;
  /** Lightness of a place of the picture, by its column and row; plain where it has none. */
  grain?: (column: number, row: number) => number;
}
