export { bedName, type StockBed } from './beds.ts';
export { type Cutting, cutLineOf, cuttingOf, type LaidBed, type LaidPiece, type NestJob } from './cutting.ts';
export { type Clash, clashesOn } from './judge.ts';
export { placesOf, withLayout } from './keep.ts';
export type { Neck } from './neck.ts';
export type { Nowhere } from './nowhere.ts';
export type { CutPiece, Dropped, Seam } from './piece.ts';
export { STRAIGHTENED_MM } from './pieces.ts';
export { kerfMmOf, paceOf, type ToolMinutes, toolLimits } from './tools.ts';
