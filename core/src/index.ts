/** The face of the core: what the command line, the browser and the benches may use. */
export type { Finding } from './checks/index.ts';
export { wallClock } from './days/index.ts';
export { type Grid, heightAt, isolines, type Point, type Ring } from './geometry/index.ts';
export { type SectionSample, sayWork, sectionAlong } from './layers/index.ts';
export { createPlanner, type Plan, plan } from './plan.ts';
export * from './project/index.ts';
export { type LayerReport, type PlanReport, planReportSchema, type SchoolReport, type StageReport } from './report.ts';
export * from './units/index.ts';
