export * from './choose.ts';
