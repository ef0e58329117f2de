import type { Seam } from '../cutting/index.ts';
import type { Grid, Point, Polygon, Ring } from '../geometry/index.ts';

/** What templates are drawn from: parts of a plan. Places in mm on the base. */
export interface TemplateSource {
  ground: Grid;
  outline: Ring;
  layers: readonly TemplateLayer[];
  pieces: readonly TemplatePiece[];
  seams: readonly Pick<Seam, 'layer' | 'points'>[];
  /** Outlines of voids and laid-in things, and the layers that they cut into. */
  rooms: readonly { name: string; layers: readonly number[]; rings: readonly Ring[] }[];
}

export interface TemplateLayer {
  index: number;
  bottomMm: number;
  topMm: number;
  thicknessMm: number;
  pieces: readonly Polygon[];
  dowels: readonly Point[];
  /** What is to be done in it before it is glued. */
  works: readonly string[];
}

export interface TemplatePiece {
  id: string;
  /** 0 for an upright part. */
  layer: number;
  panel: string | null;
  thicknessMm: number;
  outline: Polygon;
  /** The sheet or offcut it is cut from; empty where it lies nowhere. */
  bedName: string;
}
