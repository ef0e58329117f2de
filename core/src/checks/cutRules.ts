import { toolLimits } from '../cutting/index.ts';
import type { Finding, Rule } from './finding.ts';

const tenth = (value: number): string => (Math.round(value * 10) / 10).toString();
const onCutting = (
  severity: Finding['severity'],
  code: string,
  place: string,
  message: string,
  remedy: string,
): Finding => ({ code, severity, band: 'cutting', place, message, remedy });

/** Pieces for which no sheet or offcut has room: by how much. */
export const piecesNowhere: Rule = ({ cutting, project }) =>
  cutting.nowhere.map(({ piece, why, bed, overLongMm, overWideMm }): Finding => {
    const place = `Piece ${piece}`;
    if (why === 'none')
      return onCutting(
        'warn',
        'piece-nowhere',
        place,
        `Piece ${piece} lies nowhere: there is no sheet or offcut of its kind left.`,
        'Add sheets to the shed, or say that more can be bought.',
      );
    if (why === 'full') {
      const areaMm2 = cutting.pieces.find(({ id }) => id === piece)?.areaMm2 ?? 0;
      return onCutting(
        'warn',
        'piece-nowhere',
        place,
        `Piece ${piece} (${Math.round(areaMm2 / 100)} cm2) would fit on ${bed}, but everything of its kind is taken.`,
        'Look for a better layout, add a sheet, or say that more can be bought.',
      );
    }
    const over = [
      ...(overLongMm > 0.05 ? [`${tenth(overLongMm)} mm too long`] : []),
      ...(overWideMm > 0.05 ? [`${tenth(overWideMm)} mm too wide`] : []),
    ].join(' and ');
    return onCutting(
      'warn',
      'piece-nowhere',
      place,
      `Piece ${piece} fits nowhere: it is ${over} for ${bed}, the nearest to fitting.`,
      project.cutting.split
        ? 'Use a larger sheet, or make the margin smaller.'
        : 'Allow seams, use a larger sheet, or make the margin smaller.',
    );
  });

/** Pieces that overlap as they lie, or stand over the edge. */
export const clashingPieces: Rule = ({ cutting }) =>
  cutting.clashes.map(({ piece, with: other, areaMm2 }) =>
    onCutting(
      'warn',
      'pieces-clash',
      `Piece ${piece}`,
      other
        ? `Pieces ${piece} and ${other} overlap, or lie nearer than the gap (${tenth(areaMm2 / 100)} cm2).`
        : `Piece ${piece} stands over the edge or margin of its sheet by ${tenth(areaMm2 / 100)} cm2.`,
      'Move or turn it, or unpin it and look for a better layout.',
    ),
  );

/** So much may a piece differ from what was cut before it is told, as a share of its area. */
const SAME_AREA = 0.01;

/** What is cut and put away, but has another shape by now, or is no longer wanted. */
export const cutOtherwise: Rule = ({ cutting, project }) =>
  project.nest.done.flatMap(({ name, pieces }) =>
    pieces.flatMap(({ piece, areaMm2 }): Finding[] => {
      const now = cutting.pieces.find(({ id }) => id === piece);
      if (now && Math.abs(now.areaMm2 - areaMm2) <= SAME_AREA * areaMm2) return [];
      const cm2 = (mm2: number) => `${Math.round(mm2 / 100)} cm2`;
      return [
        onCutting(
          'warn',
          'cut-otherwise',
          `Piece ${piece}`,
          now
            ? `Piece ${piece} was cut from ${name} with ${cm2(areaMm2)}; by now it should have ${cm2(now.areaMm2)}.`
            : `Piece ${piece} was cut from ${name}, but there is no such piece any more.`,
          'Undo what changed the ground or the stack, carve or fill the difference, or cut it again.',
        ),
      ];
    }),
  );

/** Seams nearer to those of the layer below than is wanted. */
export const closeSeams: Rule = ({ cutting, project }) => {
  const { apartMm } = project.cutting.seam;
  const close = cutting.seams.filter((seam) => seam.apartMm !== null && seam.apartMm < apartMm - 0.05);
  return close.map(({ layer, apartMm: apart }) =>
    onCutting(
      'warn',
      'seams-close',
      `Layer ${layer}`,
      apart
        ? `A seam of layer ${layer} runs ${tenth(apart)} mm from a seam of the layer below; ${tenth(apartMm)} mm are wanted.`
        : `A seam of layer ${layer} crosses a seam of the layer below.`,
      'Use larger sheets for one of the two, or glue a dowel across the seam.',
    ),
  );
};

/** Necks and inside corners that are hard to cut with the chosen tool. */
export const hardForTheTool: Rule = ({ cutting, project }) => {
  const { tool } = project.cutting;
  const { neckMm, radiusMm } = toolLimits[tool];
  return cutting.pieces.flatMap(({ id, neck, insideRadiusMm }): Finding[] => {
    const found: Finding[] = [];
    if (neck && neck.widthMm < neckMm)
      found.push(
        onCutting(
          'note',
          'neck-thin',
          `Piece ${id}`,
          `Piece ${id} has a neck of ${tenth(neck.widthMm)} mm; with a ${tool} ${neckMm} mm holds (common practice, no source).`,
          'Cut it with a finer tool, leave it wider and carve it, or let it break and glue it.',
        ),
      );
    if (insideRadiusMm !== null && insideRadiusMm < radiusMm)
      found.push(
        onCutting(
          'note',
          'corner-tight',
          `Piece ${id}`,
          `Piece ${id} has inside corners tighter than ${radiusMm} mm, which a ${tool} rounds off (common practice, no source).`,
          'Finish those corners with a knife.',
        ),
      );
    return found;
  });
};

/** What is too small to be cut. */
export const droppedSlivers: Rule = ({ cutting, project }) => {
  if (!cutting.dropped.length) return [];
  const count = cutting.dropped.reduce((sum, each) => sum + each.count, 0);
  const areaMm2 = cutting.dropped.reduce((sum, each) => sum + each.areaMm2, 0);
  return [
    onCutting(
      'note',
      'slivers-dropped',
      cutting.dropped.map(({ layer }) => `Layer ${layer}`).join(', '),
      `${count === 1 ? 'A sliver' : `${count} slivers`} smaller than ${tenth(project.cutting.sliverMm2 / 100)} cm2 ${count === 1 ? 'is' : 'are'} left out (${areaMm2 < 10 ? 'less than 0.1' : tenth(areaMm2 / 100)} cm2 together); paste takes ${count === 1 ? 'its' : 'their'} place.`,
      'Nothing need be done; the threshold is set under "How it is cut".',
    ),
  ];
};
