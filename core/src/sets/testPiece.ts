import { type Cover, newTile, type Patch, type Project, sheetMm, skinMmOf, startProject } from '../project/index.ts';
import type { PlanReport } from '../report/index.ts';
import { decimals } from '../units/index.ts';

/** More strips than this on one piece cannot be worked. */
const MOST_STRIPS = 12;
/** A zone smaller than this is not worth a strip, percent of the base. */
const LEAST_PERCENT = 0.5;
/** Flat ground at the front and at the back, as a share of the depth. */
const FLAT = 0.18;

export const USUAL_TEST_PIECE_MM = 100;

/**
 * A small project to try a real one's work on: a strip of each of its covers from front to back, over a slope as steep as the real ground is in the mean, one
 * and a half sheets high so that a joint runs through it; with the same sheets, glue, skin, coats and air.
 */
export function testPieceOf(project: Project, report: PlanReport, sizeMm = USUAL_TEST_PIECE_MM): Project {
  // One and a half of the thickest sheet: no single sheet reaches so high.
  const thick = Math.max(0, ...project.sheets.map(sheetMm)) || 20;
  const lowMm = round(Math.max(skinMmOf(project) + 2, 0.6 * thick));
  const degrees = Math.min(60, Math.max(10, report.ground.meanSlopeDegrees));
  const runMm = Math.min(sizeMm * (1 - 2 * FLAT), thick / Math.tan((degrees * Math.PI) / 180));
  const [near, far] = [(sizeMm - runMm) / 2, (sizeMm + runMm) / 2];
  const level = (name: string, yMm: number, heightMm: number): Project['marks'][number] => ({
    kind: 'contour',
    id: name.toLowerCase().replaceAll(' ', '-'),
    name,
    hidden: false,
    locked: false,
    heightMm,
    closed: false,
    level: false,
    smooth: false,
    points: [
      [0, round(yMm)],
      [sizeMm, round(yMm)],
    ],
  });
  const start = startProject(`${project.name.slice(0, 105)}, test piece`, project.bench.startDate, project.heights);
  const highMm = round(lowMm + thick);
  return {
    ...start,
    notes: `Derived from ${project.name}: a strip of every cover, a joint and a slope of ${decimals(degrees, 0)} degrees.`,
    scale: project.scale,
    currency: project.currency,
    base: { ...project.base, shape: { kind: 'rectangle', widthMm: sizeMm, depthMm: sizeMm }, frame: null },
    air: project.air,
    judging: project.judging,
    // What is limited to an area of the real thing may lie anywhere here.
    sheets: project.sheets.map((sheet) => ({ ...sheet, limit: { kind: 'anywhere' } })),
    offcuts: project.offcuts,
    stacking: { ...project.stacking, areas: [], hollow: { ...project.stacking.hollow, kind: 'solid' } },
    surface: { ...project.surface, walls: null },
    recipes: project.recipes,
    materials: project.materials,
    bench: project.bench,
    marks: [
      level('Front edge', 0, lowMm),
      level('Foot of the slope', near, lowMm),
      level('Top of the slope', far, highMm),
      level('Back edge', sizeMm, highMm),
    ],
    patches: stripsOf(dressesOf(report), sizeMm),
    zones: { rules: [], rest: project.zones.rest },
    tile: newTile('tile-1', 'Tile 1'),
    sections: [{ id: 'A', name: 'A', from: [sizeMm / 2, 0], to: [sizeMm / 2, sizeMm] }],
    seed: project.seed,
  };
}

const round = (mm: number) => Math.round(mm * 100) / 100;

/** What a zone shows and wears. */
interface Dress {
  cover: Cover;
  recipe: string;
}

/** The covers of a base with their recipes, the widest first, each once. */
function dressesOf({ zones }: PlanReport): Dress[] {
  const share = new Map<string, Dress & { percent: number }>();
  for (const { cover, recipe, percent } of zones) {
    const key = `${cover} ${recipe}`;
    share.set(key, { cover, recipe, percent: (share.get(key)?.percent ?? 0) + percent });
  }
  return [...share.values()]
    .filter(({ percent }) => percent >= LEAST_PERCENT)
    .sort((a, b) => b.percent - a.percent)
    .slice(0, MOST_STRIPS);
}

function stripsOf(dresses: readonly Dress[], sizeMm: number): Patch[] {
  const wide = sizeMm / dresses.length;
  return dresses.map(({ cover, recipe }, k) => {
    const [x0, x1] = [round(k * wide), round((k + 1) * wide)];
    return {
      kind: 'patch',
      id: `strip-${k + 1}`,
      name: `Strip of ${cover}`,
      hidden: false,
      locked: false,
      smooth: false,
      cover,
      recipe,
      points: [
        [x0, 0],
        [x1, 0],
        [x1, sizeMm],
        [x0, sizeMm],
      ],
    };
  });
}
