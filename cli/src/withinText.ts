import { formatMeasure, type PlanReport, type UnitSystem } from '@hosket/core';
import { rule, table } from './table.ts';

/** What is hollowed out of the ground, what covers it, and how the tiles of a set meet: as the screen shows them. */
export function withinText({ voids, zones, set }: PlanReport, system: UnitSystem): string {
  const mm = (value: number) => formatMeasure('length', value, system);
  const place = ([x, y]: readonly [number, number]) => `${mm(x)} across, ${mm(y)} away`;
  const parts: string[] = [];
  if (voids.length) {
    parts.push(rule('Hollows'));
    for (const { name, floorMm, roofMm, volumeMl, thinnestMm, openings, ends } of voids) {
      if (floorMm === null || roofMm === null) {
        parts.push(`  ${name}: not in the ground\n`);
        continue;
      }
      const roof = thinnestMm === null ? '' : `, roof at least ${mm(thinnestMm)}`;
      parts.push(
        `  ${name}: from ${mm(floorMm)} to ${mm(roofMm)}, ${formatMeasure('volume', volumeMl, system)}${roof}\n`,
      );
      for (const { at, acrossMm } of openings) parts.push(`    opens ${mm(acrossMm)} across at ${place(at)}\n`);
      if (ends.length) parts.push(`    ends ${ends.map(({ where }) => where).join(' and ')}\n`);
    }
  }
  parts.push(rule('What covers what'));
  parts.push(
    table([
      ['zone', 'cover', 'of the base', 'along the slope'],
      ...zones
        .filter(({ planMm2 }) => planMm2 > 0)
        .map(({ name, cover, percent, trueMm2 }) => [
          name,
          cover,
          `${percent.toFixed(1)} %`,
          formatMeasure('area', trueMm2, system, 0),
        ]),
    ]),
  );
  if (set.tiles.length > 1) {
    parts.push(rule('Tiles'));
    for (const { aName, aSide, bName, bSide, mostMm, meets } of set.joints)
      parts.push(`  ${aName} ${aSide}, ${bName} ${bSide}: ${meets ? 'meet' : `a step of ${mm(mostMm)}`}\n`);
    for (const { belowName, aboveName, roomMm, tallestMm } of set.storeys)
      parts.push(`  ${belowName} under ${aboveName}: ${mm(tallestMm)} tall in ${mm(roomMm)}\n`);
  }
  return parts.join('');
}
