export { createDrafter, DRAFT_NODES, type Draft } from './draft.ts';
export { createPlanner, type Drawn, type Plan, type Planner, type PlanProgress, plan, planWithMoves } from './plan.ts';
