export * from './layers.ts';
export { type Level, sayWork } from './levels.ts';
export * from './section.ts';
