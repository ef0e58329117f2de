export * from './coats.ts';
export * from './compound.ts';
export * from './cover.ts';
export * from './foam.ts';
export * from './glue.ts';
export * from './labour.ts';
export * from './laid.ts';
export * from './source.ts';
