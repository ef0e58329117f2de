import { formatMeasure, limitIn, type PlanReport, type UnitSystem } from '@hosket/core';
import { rule, table } from './table.ts';

/** What stands on the ground, the room there is, the weight, the frame, limits and rules: as the Brief shows them. */
export function fitText({ fit, judgements, mass, frame, limits }: PlanReport, system: UnitSystem): string {
  const mm = (value: number) => formatMeasure('length', value, system);
  const g = (value: number) => formatMeasure('mass', value, system);
  const parts: string[] = [rule('Room, weight and limits')];
  for (const thing of fit.things) parts.push(`  ${thing.name}: from ${mm(thing.bottomMm)} to ${mm(thing.topMm)}\n`);
  parts.push(`  tallest with the board: ${mm(fit.tallestMm)}\n`);
  if (fit.room) parts.push(`  the box ends at ${mm(fit.room.topMm)} above the board\n`);
  for (const { name, areaMm2 } of fit.faces) parts.push(`  ${name}: ${formatMeasure('area', areaMm2, system, 0)}\n`);
  const { low, likely, high } = mass.totalG;
  parts.push(`  dry, about ${g(likely)} (${g(low)} to ${g(high)}), without water\n`);
  if (frame) {
    parts.push(`  frame to buy: ${mm(frame.lengthMm)}\n`);
    if (frame.pieces.length)
      parts.push(
        table([
          ['strip', 'long edge', 'short edge', 'saw at'],
          ...frame.pieces.map((piece, k) => [
            String(k + 1),
            mm(Math.max(piece.outerMm, piece.innerMm)),
            mm(Math.min(piece.outerMm, piece.innerMm)),
            `${piece.startDegrees.toFixed(1)}, ${piece.endDegrees.toFixed(1)} degrees`,
          ]),
        ]),
      );
  }
  for (const { baseMm, percent } of judgements.standing)
    parts.push(`  a figure on a ${baseMm} mm base stands on ${percent.toFixed(0)} % of it\n`);
  for (const { name, tiltDegrees, stands } of judgements.figures)
    parts.push(
      `  ${name} ${stands ? 'stands' : 'does not stand'}${tiltDegrees === null ? ', over the edge' : `, tilted ${tiltDegrees.toFixed(0)} degrees`}\n`,
    );
  for (const limit of limits) {
    const { text, why } = limitIn(limit, system);
    parts.push(`  [${limit.kept === null ? '?' : limit.kept ? 'x' : ' '}] ${text}: ${why}\n`);
  }
  return parts.join('');
}
