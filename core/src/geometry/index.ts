export * from './clip.ts';
export * from './coverage.ts';
export * from './curve.ts';
export * from './grid.ts';
export * from './hypsometry.ts';
export * from './isolines.ts';
export * from './rings.ts';
export * from './surface.ts';
