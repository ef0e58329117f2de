/**
 * What work at the bench takes, for three kinds of bench and five tools to carve with, in minutes: where a builder's own figures begin (common
 * practice, no source).
 */

import type { Project } from './schemas/schema.ts';
import type { CarvingTool } from './schemas/stackingSchema.ts';

type Costs = Project['stacking']['costs'];

/**
 * Minutes a litre that comes off, a metre of edge brought to its slope, a square decimetre of flat brought level. A wire or a hot knife goes
 * along the edge, whatever comes off.
 */
const carvingBy: Readonly<Record<CarvingTool, Pick<Costs, 'carveMinPerL' | 'carveMinPerM' | 'flatMinPerDm2'>>> = {
  knife: { carveMinPerL: 45, carveMinPerM: 3, flatMinPerDm2: 8 },
  rasp: { carveMinPerL: 30, carveMinPerM: 2, flatMinPerDm2: 5 },
  'hot wire': { carveMinPerL: 6, carveMinPerM: 3, flatMinPerDm2: 3 },
  'hot knife': { carveMinPerL: 15, carveMinPerM: 2, flatMinPerDm2: 6 },
  sander: { carveMinPerL: 20, carveMinPerM: 1, flatMinPerDm2: 2 },
};

export const benches = ['kitchen table', 'hobby bench', 'workshop'] as const;
export type BenchKind = (typeof benches)[number];

/** What a layer takes: once, by the metre cut, by the square decimetre glued; and what the carving is done with. */
const layerAt: Readonly<
  Record<BenchKind, Pick<Costs, 'perLayerMin' | 'outlineMinPerM' | 'gluedMinPerDm2' | 'fillMinPerL' | 'tool'>>
> = {
  'kitchen table': { perLayerMin: 4, outlineMinPerM: 7, gluedMinPerDm2: 0.5, fillMinPerL: 240, tool: 'knife' },
  'hobby bench': { perLayerMin: 4, outlineMinPerM: 5, gluedMinPerDm2: 0.4, fillMinPerL: 240, tool: 'rasp' },
  workshop: { perLayerMin: 3, outlineMinPerM: 2, gluedMinPerDm2: 0.3, fillMinPerL: 200, tool: 'hot wire' },
};

/** The costs with another tool in hand. */
export const costsWith = (costs: Costs, tool: CarvingTool): Costs => ({ ...costs, tool, ...carvingBy[tool] });

/** The costs as they are usual at a kind of bench; what is no matter of the bench stays. */
export const costsAt = (costs: Costs, bench: BenchKind): Costs =>
  costsWith({ ...costs, ...layerAt[bench] }, layerAt[bench].tool);

/** The kind of bench whose figures these are; null for the builder's own. */
export const benchOf = (costs: Costs): BenchKind | null =>
  benches.find((bench) => {
    const usual = costsAt(costs, bench);
    return (Object.keys(usual) as (keyof Costs)[]).every((key) => usual[key] === costs[key]);
  }) ?? null;
