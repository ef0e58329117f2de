import { formatMeasure, type PlanReport, sayGradient, type UnitSystem } from '@hosket/core';
import { rule, table } from './table.ts';

/** Landforms, decks, laid-in things and low points as they stand on the screen. */
export function groundText(report: PlanReport, system: UnitSystem): string {
  const mm = (value: number) => formatMeasure('length', value, system);
  const ml = (value: number) => formatMeasure('volume', value, system);
  const place = ([x, y]: readonly [number, number]) => `${mm(x)} across, ${mm(y)} away`;
  const parts: string[] = [];
  if (report.landforms.length) {
    parts.push(rule('Landforms, in the order they are built'));
    parts.push(
      table([
        ['name', 'taken away', 'put on', 'steepest', 'from', 'to', 'gradient'],
        ...report.landforms.map((form) => [
          form.name,
          ml(form.cutMl),
          ml(form.fillMl),
          `${form.steepestDegrees.toFixed(0)} degrees`,
          form.fromMm === null ? '' : mm(form.fromMm),
          form.toMm === null ? '' : mm(form.toMm),
          form.limitPercent === null || form.gradientPercent === null
            ? ''
            : `${sayGradient(form.gradientPercent / 100)}, at most ${form.limitPercent} %`,
        ]),
      ]),
    );
  }
  for (const span of report.spans)
    for (const room of span.rooms)
      parts.push(`  ${span.name}: ${mm(room.roomMm)} of room over ${room.over} (${mm(span.wantedMm)} wanted)\n`);
  for (const thing of report.laid)
    parts.push(
      `  ${thing.name}: from ${mm(thing.undersideMm)} to ${mm(thing.topMm)}, ${formatMeasure('mass', thing.massG.likely, system)}\n`,
    );
  parts.push(rule('Places'));
  parts.push(`  highest: ${mm(report.ground.highestMm)} at ${place(report.ground.highestAt)}\n`);
  parts.push(`  lowest: ${mm(report.ground.lowestMm)} at ${place(report.ground.lowestAt)}\n`);
  for (const pool of report.ground.pools)
    parts.push(`  would hold ${ml(pool.volumeMl)}, ${mm(pool.depthMm)} deep, at ${place(pool.at)}\n`);
  return parts.join('');
}
