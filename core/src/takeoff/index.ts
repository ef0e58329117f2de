export type { StageId, StageTakeoff } from './stage.ts';
export * from './takeoff.ts';
