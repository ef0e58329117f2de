export { createDrafter, DRAFT_NODES, type Draft } from './draft.ts';
export { createPlanner, type Drawn, type Plan, type Planner, plan, planWithMoves } from './plan.ts';
