export * from './ways.ts';
export { type SkinField, type Worn, type WornZone, wornOf } from './worn.ts';
