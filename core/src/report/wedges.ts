/** Wedges of offcut in the steps against paste, as data. */
import type { Wedge } from '../layers/index.ts';
import type { WedgesReport } from './schema.ts';
import type { Worked } from './worked.ts';

/** `on`: how wedges are wanted, null where paste fills; `now` is the plan as it is, `instead` the one with the other. */
export function wedgesReport(
  on: WedgesReport['on'],
  list: readonly Wedge[],
  now: Worked,
  instead: Worked,
): WedgesReport {
  const figures = ({ plan, wedges, takeoff, days }: Worked) => {
    const done = takeoff.filter(({ stage, id }) => stage === 'skin' || id === 'wedges');
    return {
      fillMl: Math.max(0, plan.fillMl - (wedges?.foamMl ?? 0)),
      foamMl: wedges?.foamMl ?? 0,
      massG: done.reduce((sum, { dryG }) => sum + dryG.likely, 0),
      handsOnMin: days.handsOnMin,
      dryAt: days.finish?.likely ?? null,
    };
  };
  return { on, list: [...list], now: figures(now), instead: figures(instead) };
}
