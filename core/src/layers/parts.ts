/** What parts of a layer are cut from, where sheets may lie only in places. */
import {
  cutRings,
  fitsSheet,
  footprints,
  type Grid,
  meetRings,
  nestRings,
  type Polygon,
  polygonArea,
  type Ring,
  ringsOf,
  withValues,
} from '../geometry/index.ts';
import type { Sheet } from '../project/index.ts';
import type { Step, StockClass } from '../stack/index.ts';
import type { AreaMap } from './areas.ts';
import { deepInside } from './deepInside.ts';

/** What a layer is cut from in one part of it. */
export interface LayerPart {
  sheetIds: string[];
  areaMm2: number;
  pieces: Polygon[];
}

export const areaOf = (pieces: readonly Polygon[]) => pieces.reduce((sum, piece) => sum + polygonArea(piece), 0);

/** Whether a piece can be cut whole from one of the sheets of its part. */
export const fitsOne = (piece: Polygon, { sheetIds }: LayerPart, sheets: readonly Sheet[]): boolean =>
  sheets.some(({ id, widthMm, depthMm }) => sheetIds.includes(id) && fitsSheet(piece.outer, widthMm, depthMm));

/** A layer's pieces by what they are cut from: each place takes the first kind that may lie there. */
export function partsOf(
  sheets: readonly Sheet[],
  target: Grid,
  outline: Ring,
  map: AreaMap,
  pools: readonly StockClass[],
  { option, topMm }: Step,
  pieces: Polygon[],
): LayerPart[] {
  const part = (pool: StockClass, cut: Polygon[]): LayerPart => ({
    sheetIds: pool.sheetIds.filter((id) => sheets.some((sheet) => sheet.id === id)),
    areaMm2: areaOf(cut),
    pieces: cut,
  });
  if (option.pools.length === 1) return [part(pools[option.pools[0]], pieces)];
  let left: Ring[] = ringsOf(pieces);
  return option.pools.flatMap((k) => {
    const region = regionOf(pools[k], target, outline, map, topMm);
    const mine = region ? meetRings(left, region) : left;
    left = region ? cutRings(left, region) : [];
    const cut = nestRings(mine).filter((piece) => polygonArea(piece) > 1);
    return cut.length ? [part(pools[k], cut)] : [];
  });
}

/** Where a pool may lie at a layer; null is everywhere. */
function regionOf({ limit }: StockClass, target: Grid, outline: Ring, map: AreaMap, topMm: number): Ring[] | null {
  if (limit.kind === 'anywhere') return null;
  if (limit.kind === 'inside') return ringsOf(footprints(deepInside(target, limit.coverMm, outline), [topMm])[0]);
  const area = map.areas.findIndex((candidate) => candidate?.id === limit.areaId);
  if (area < 0 || !map.inside) return limit.within ? [] : null;
  const within = Float64Array.from(map.inside[area], (mm) => (limit.within ? mm : -mm));
  return ringsOf(footprints(withValues(target, within), [0])[0]);
}
