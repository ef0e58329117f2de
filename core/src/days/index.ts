export { wallClock } from './calendar.ts';
export * from './days.ts';
export type { Operation, Task } from './schedule.ts';
