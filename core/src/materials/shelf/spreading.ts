export const plasterCare =
  'Warms as it sets: never round a hand. Dust mask over the powder; leftovers set in the bowl, not in the drain.';
const spread = { paceMin: [1.5, 3, 6, 'C', 'memory'], lossPercent: [5, 10, 25, 'C'] } as const;
type Figures = [number, number, number, 'C', ('memory' | 'trade')?];
/** Spreading pace and loss shared by all that is spread; minutes to mix and wash for each bowl. */
export const spreading = (low = 5, likely = 8, high = 12) => ({
  paceMin: [...spread.paceMin] as Figures,
  lossPercent: [...spread.lossPercent] as Figures,
  setUpMin: [low, likely, high, 'C', 'memory'] as Figures,
});
export const ready = () => spreading(2, 3, 5);
export const c = (low: number, likely: number, high: number): Figures => [low, likely, high, 'C', 'memory'];
