export { createKernel, type Kernel, type StageTime } from './kernel.ts';
export * from './run.ts';
export { type Given, type Stage, stagesOf } from './stage.ts';
