export { cuttingReport } from './cutting.ts';
export { movesReport } from './moves.ts';
export { type Land, reportOf, schoolReport } from './report.ts';
export {
  type BedReport,
  type CuttingReport,
  type LandformReport,
  type LayerReport,
  type MovesReport,
  type PieceReport,
  type PlanReport,
  type ProposalReport,
  planReportSchema,
  type SchoolReport,
  type StackReport,
  type StageReport,
  type WedgesReport,
  writePlan,
} from './schema.ts';
export { wedgesReport } from './wedges.ts';
export type { Worked } from './worked.ts';
