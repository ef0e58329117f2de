export * from './takeoff.ts';
