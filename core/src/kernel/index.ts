export { createKernel, type Kernel, type StageTime, stagesUnder } from './kernel.ts';
export { readAsOne } from './reading.ts';
export * from './run.ts';
export { shared } from './share.ts';
export { type Given, type Stage, stagesOf } from './stage.ts';
