/** Kerf, pace and minutes of cutting tools. */
import { kerfOf, labour } from '../materials/index.ts';
import { type CutTool, cutTools, type Project } from '../project/index.ts';
import { type Range, scaleRange } from '../units/index.ts';
import type { CutPiece } from './piece.ts';

/** What a tool takes away along its cut, mm: the builder's figure, or the usual one. */
export const kerfMmOf = ({ kerfMm, tool }: Project['cutting']): number => kerfMm ?? kerfOf[tool].likely;

/** Narrower necks and tighter inside corners than these are hard for a tool, mm (common practice, no source). */
export const toolLimits: Record<CutTool, { neckMm: number; radiusMm: number }> = {
  knife: { neckMm: 4, radiusMm: 0 },
  'hot wire': { neckMm: 8, radiusMm: 1.5 },
  'fine saw': { neckMm: 6, radiusMm: 3 },
};

/** Minutes of cutting by each tool, marking out left aside. */
export interface ToolMinutes {
  tool: CutTool;
  lengthMm: number;
  minutes: Range;
}

/** Sheets to this thickness are thin to a knife, mm. */
const THIN_MM = 10;

/** What a tool needs for a metre of cut through so much foam. */
export const paceOf = (tool: CutTool, thicknessMm: number) =>
  tool === 'hot wire'
    ? labour.cutWire
    : tool === 'fine saw'
      ? labour.cutSaw
      : thicknessMm <= THIN_MM
        ? labour.cutThin
        : labour.cutThick;

export function minutesByTool(pieces: readonly CutPiece[]): ToolMinutes[] {
  return cutTools.map((tool) => {
    const minutes = { low: 0, likely: 0, high: 0 };
    for (const { outlineMm, thicknessMm } of pieces) {
      const each = scaleRange(paceOf(tool, thicknessMm), outlineMm / 1000);
      minutes.low += each.low;
      minutes.likely += each.likely;
      minutes.high += each.high;
    }
    return { tool, lengthMm: pieces.reduce((sum, { outlineMm }) => sum + outlineMm, 0), minutes };
  });
}
