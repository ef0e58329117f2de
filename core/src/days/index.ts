export { wallClock } from './calendar.ts';
export { compareGlues } from './compareGlues.ts';
export { type ComparedSurface, compareWays, type WayRead } from './compareWays.ts';
export * from './days.ts';
export type { Operation, Task } from './schedule.ts';
