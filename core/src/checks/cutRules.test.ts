import { describe, expect, it } from 'vitest';
import { startProject } from '../project/index.ts';
import type { Rule } from './finding.ts';
import { clashingPieces } from './rules/clashingPieces.ts';
import { closeSeams } from './rules/closeSeams.ts';
import { droppedSlivers } from './rules/droppedSlivers.ts';
import { hardForTheTool } from './rules/hardForTheTool.ts';
import { withWords } from './said.ts';

const start = startProject('cut', '2027-03-01', 'ground');
const cutWith = (tool: 'knife' | 'hot wire' | 'fine saw', seamsApartMm = 30) => ({
  ...start,
  cutting: { ...start.cutting, tool, seam: { ...start.cutting.seam, apartMm: seamsApartMm } },
});
/** What a rule says of a cutting as it comes out of the stages before; the rest of the plan is not looked at. */
const said = (rule: Rule, cutting: object, project = cutWith('hot wire')) =>
  rule({ project, cutting } as unknown as Parameters<Rule>[0]).map(withWords);

describe('what is said of pieces', () => {
  it.each([
    ['hot wire', 7.9, ['neck-thin']],
    ['hot wire', 8, []],
    ['knife', 7.9, []],
    ['knife', 3.9, ['neck-thin']],
    ['fine saw', 5.9, ['neck-thin']],
  ] as const)('a %s and a neck of %s mm', (tool, widthMm, codes) => {
    const piece = { id: '2-1', neck: { widthMm, at: [0, 0] }, insideRadiusMm: null };
    expect(said(hardForTheTool, { pieces: [piece] }, cutWith(tool)).map(({ code }) => code)).toEqual(codes);
  });

  it.each([
    ['hot wire', 1.4, ['corner-tight']],
    ['hot wire', 1.5, []],
    ['knife', 0, []],
    ['fine saw', 2.9, ['corner-tight']],
  ] as const)('a %s and inside corners of %s mm', (tool, insideRadiusMm, codes) => {
    const piece = { id: '2-1', neck: null, insideRadiusMm };
    expect(said(hardForTheTool, { pieces: [piece] }, cutWith(tool)).map(({ code }) => code)).toEqual(codes);
  });

  it('two that overlap, and one over the edge of its sheet', () => {
    const [over, beside] = said(clashingPieces, {
      clashes: [
        { piece: '1-1', with: '1-2', areaMm2: 340 },
        { piece: '1-3', with: null, areaMm2: 120 },
      ],
    });
    expect([over.code, beside.code]).toEqual(['pieces-clash', 'pieces-clash']);
    expect(over.message).toBe('Pieces 1-1 and 1-2 overlap, or lie nearer than the gap (3.4 cm²).');
    expect(beside.message).toBe('Piece 1-3 stands over the edge or margin of its sheet by 1.2 cm².');
    expect(said(clashingPieces, { clashes: [] })).toEqual([]);
  });

  it.each([
    [null, null],
    [30, null],
    [12.3, 'A seam of layer 2 runs 12.3 mm from a seam of the layer below; 30 mm are wanted.'],
    [0, 'A seam of layer 2 crosses a seam of the layer below.'],
  ])('a seam %s mm from that of the layer below', (apartMm, message) => {
    const found = said(closeSeams, { seams: [{ layer: 2, apartMm }] });
    expect(found.map((finding) => [finding.code, finding.message.replace('30.0', '30')])).toEqual(
      message ? [['seams-close', message]] : [],
    );
  });

  it('slivers that are left out: how many, how large together, and in which layers', () => {
    const dropped = [
      { layer: 1, count: 2, areaMm2: 150 },
      { layer: 3, count: 1, areaMm2: 30 },
    ];
    const [finding] = said(droppedSlivers, { dropped });
    expect([finding.code, finding.severity, finding.place]).toEqual(['slivers-dropped', 'note', 'Layer 1, Layer 3']);
    expect(finding.message).toContain('3 slivers smaller than');
    expect(finding.message).toContain('(1.8 cm² together); paste takes their place.');
    expect(said(droppedSlivers, { dropped: [{ layer: 1, count: 1, areaMm2: 4 }] })[0].message).toContain(
      'less than 0.1',
    );
    expect(said(droppedSlivers, { dropped: [] })).toEqual([]);
  });
});
