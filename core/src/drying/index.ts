export * from './air.ts';
export * from './waits.ts';
