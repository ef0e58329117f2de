export * from './base.ts';
export * from './edits.ts';
export * from './read.ts';
export * from './schema.ts';
export * from './start.ts';
