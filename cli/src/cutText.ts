import { formatMeasure, type PlanReport, ringSize, sayMinutes, type UnitSystem } from '@hosket/core';
import { rule, table } from './table.ts';

/** Pieces, what they lie on, seams, what is left, and how long each tool takes. */
export function cutText({ cutting }: PlanReport, system: UnitSystem): string {
  if (!cutting.pieces.length) return '';
  const mm = (value: number) => formatMeasure('length', value, system);
  const cm2 = (value: number) => formatMeasure('area', value, system, 0);
  const lines = [rule('Cutting')];
  lines.push(
    table([
      ['piece', 'size', 'area', 'outline', 'neck', 'inside corner', 'lies on', 'turned'],
      ...cutting.pieces.map((piece) => {
        const size = ringSize(piece.outline.outer);
        const bed = cutting.beds.find(({ id }) => id === piece.bed);
        const laid = bed?.pieces.find((each) => each.piece === piece.id);
        return [
          piece.id,
          `${mm(size.widthMm)} x ${mm(size.depthMm)}`,
          cm2(piece.areaMm2),
          mm(piece.outlineMm),
          piece.neck ? mm(piece.neck.widthMm) : '-',
          piece.insideRadiusMm === null ? '-' : mm(piece.insideRadiusMm),
          piece.state === 'put away' ? 'cut, put away' : (bed?.name ?? 'nothing: it fits nowhere'),
          laid ? `${Math.round(laid.turnDegrees)} deg` : '-',
        ];
      }),
    ]),
  );
  for (const { layer, lengthMm, keys, apartMm } of cutting.seams)
    lines.push(
      `  seam in ${layer ? `layer ${layer}` : 'an upright part'}: ${mm(lengthMm)}${keys ? `, ${keys} keys` : ''}${apartMm === null ? '' : `, ${mm(apartMm)} from the nearest below`}\n`,
    );
  lines.push(
    `  pieces ${cutting.yieldPercent.toFixed(0)} % of what they lie on, ${cm2(cutting.leftMm2)} of useful offcuts left, ${cm2(cutting.wasteMm2)} waste\n`,
  );
  for (const { tool, lengthMm, minutes } of cutting.tools)
    lines.push(
      `  ${tool}: ${mm(lengthMm)} to cut, ${sayMinutes(minutes.likely)} (${sayMinutes(minutes.low)} to ${sayMinutes(minutes.high)})\n`,
    );
  return lines.join('');
}
