export { type SmallDrawing, smallPlan, smallSection } from './drawings.ts';
export { benchPages } from './pages.ts';
export type { BenchSheet, SheetPurchase, SheetStage, SheetStep } from './sheet.ts';
