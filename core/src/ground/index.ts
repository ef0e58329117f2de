export * from './forms/compose.ts';
export { type Room, readSpans, type SpanRead } from './forms/spans.ts';
export { nearestOn } from './forms/water.ts';
export * from './ground.ts';
export * from './holds.ts';
export * from './places.ts';
export * from './pools.ts';
export * from './shapeLines.ts';
