export * from './choose.ts';
export * from './moves.ts';
export { type Way, type WayFigures, wayOf } from './way.ts';
