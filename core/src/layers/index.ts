export * from './layers.ts';
export type { Level } from './levels.ts';
export * from './section.ts';
