export * from './amount.ts';
export * from './chance.ts';
export * from './measures.ts';
export { grams, inWords, mm, mm2, type Said, saidOf, sentence } from './quantity.ts';
export * from './readNumber.ts';
export * from './result.ts';
export * from './round.ts';
export * from './say.ts';
export * from './scales.ts';
