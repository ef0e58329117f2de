export { foamTarget } from './foamTarget.ts';
export { type LaidRead, layIn } from './laidIn.ts';
export * from './layers.ts';
export { type Level, sayWork } from './levels.ts';
export * from './section.ts';
