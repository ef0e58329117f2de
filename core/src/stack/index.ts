export * from './cheapest.ts';
export * from './front.ts';
export * from './graph.ts';
export * from './hand.ts';
export * from './model.ts';
export * from './shortage.ts';
export * from './stock.ts';
