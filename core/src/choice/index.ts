export * from './choose.ts';
export { type Way, type WayFigures, wayOf } from './way.ts';
