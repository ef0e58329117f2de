export { type Bed, grown, laidOut, type NestPiece, type NestProblem, type Placed } from './problem.ts';
export { movePolygon } from './raster.ts';
export { compareScores, type Score, scorePlaced } from './score.ts';
export { createSearch, type Layout, type Search } from './search.ts';
export { type Turning, turnsOf } from './turns.ts';
