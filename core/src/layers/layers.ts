import {
  clipRings,
  fitsSheet,
  type Grid,
  type Hypsometry,
  hypsometryOf,
  isolines,
  nestRings,
  outlineHeight,
  type Polygon,
  polygonOutline,
  volumeAbove,
} from '../geometry/index.ts';
import type { Ground } from '../ground/index.ts';
import { compound, foams, glueData } from '../materials/index.ts';
import type { Project, School, Sheet } from '../project/index.ts';
import { chooseStack, type SheetKind, type Stack, type StackRule, toStep } from './chooseStack.ts';
import { foamTarget } from './foamTarget.ts';
import { type Level, levelsOf } from './levels.ts';
import { type PasteDepth, pasteDepth } from './pasteDepth.ts';

/** The ground less its skin: where foam (and paste in its place) ends. */
export interface Target {
  grid: Grid;
  curve: Hypsometry;
  volumeMl: number;
}

export function targetOf(ground: Ground, skinMm: number): Target {
  const grid = foamTarget(ground.grid, skinMm);
  const curve = hypsometryOf(grid, ground.coverage);
  return { grid, curve, volumeMl: volumeAbove(curve, 0) / 1000 };
}

/** One layer as it is cut and glued. Layers count from 1 at the board. */
export interface Layer {
  index: number;
  sheetId: string;
  thicknessMm: number;
  bottomMm: number;
  topMm: number;
  outlineAtMm: number;
  areaMm2: number;
  outlineMm: number;
  carveMl: number;
  fillMl: number;
  pieces: Polygon[];
  /** Whether every piece can be cut whole from one sheet. */
  fitsWhole: boolean;
}

/** A stack by one school, with all that the choice between schools turns on. */
export interface LayerPlan {
  school: School;
  layers: Layer[];
  costMin: number;
  topMm: number;
  foamCutMl: number;
  carveMl: number;
  fillMl: number;
  glueLineMl: number;
  foamLeftMl: number;
  foamMassG: { low: number; likely: number; high: number };
  paste: PasteDepth;
  levels: Level[];
  sheetsUsed: { sheetId: string; areaMm2: number; sheets: number }[];
}

/** Outline at the bottom of a layer, half way up it, or at its top. */
const alphaOf: Record<School, number> = { 'carve back': 0, halfway: 0.5, 'build up': 1 };

const thicknessOf = (sheet: Sheet): number => toStep(sheet.measuredMm ?? sheet.nominalMm);

function kindsOf(project: Pick<Project, 'sheets' | 'stacking'>): SheetKind[] {
  return project.sheets.map((sheet) => ({
    id: sheet.id,
    thicknessMm: thicknessOf(sheet),
    availableMm2: (sheet.count * sheet.widthMm * sheet.depthMm * project.stacking.sheetYieldPercent) / 100,
  }));
}

const ruleFor = (stacking: Project['stacking'], school: School): StackRule => ({
  alpha: alphaOf[school],
  glueLineMm: toStep(stacking.glueLineMm ?? glueData[stacking.glue].lineMm.likely),
  leastStepMm: stacking.leastStepMm,
  mostFillMm: compound.mostPerCoatMm.high,
  costs: stacking.costs,
});

/** The stack of one school under a target: the cheapest for the stated cost, and everything measured on it. */
export function layerPlan(
  project: Pick<Project, 'sheets' | 'stacking' | 'marks' | 'landforms'>,
  ground: Ground,
  target: Target,
  school: School,
): LayerPlan {
  const rule = ruleFor(project.stacking, school);
  const stack = chooseStack(target.curve, kindsOf(project), rule);
  const layers = layersOf(stack, ground, target, project.sheets);
  const sum = (pick: (layer: Layer) => number) => layers.reduce((total, layer) => total + pick(layer), 0);
  const foamCutMl = sum((layer) => (layer.areaMm2 * layer.thicknessMm) / 1000);
  const carveMl = sum((layer) => layer.carveMl);
  const massG = { low: 0, likely: 0, high: 0 };
  for (const layer of layers) {
    const density = foams[project.sheets.find((sheet) => sheet.id === layer.sheetId)?.material ?? 'xps'].density;
    const leftMl = (layer.areaMm2 * layer.thicknessMm) / 1000 - layer.carveMl;
    for (const bound of ['low', 'likely', 'high'] as const) massG[bound] += (leftMl * density[bound]) / 1000;
  }
  return {
    school,
    layers,
    costMin: stack.costMin,
    topMm: stack.steps.at(-1)?.topMm ?? 0,
    foamCutMl,
    carveMl,
    fillMl: sum((layer) => layer.fillMl) + stack.capMl,
    glueLineMl: sum((layer) => (layer.areaMm2 * rule.glueLineMm) / 1000),
    foamLeftMl: foamCutMl - carveMl,
    foamMassG: massG,
    paste: pasteDepth(ground.grid, target.grid, ground.coverage, stack.steps),
    levels: levelsOf([...project.marks, ...project.landforms], ground.built, target.grid, stack.steps, project.sheets),
    sheetsUsed: sheetsUsedOf(layers, project),
  };
}

function layersOf(stack: Stack, ground: Ground, target: Target, sheets: readonly Sheet[]): Layer[] {
  const outlines = isolines(
    target.grid,
    stack.steps.map((step) => outlineHeight(step.outlineAtMm)),
  );
  return stack.steps.map((step, k) => {
    const rings = ground.coverage ? clipRings(outlines[k], ground.outline) : outlines[k];
    const pieces = nestRings(rings);
    const sheet = sheets.find((candidate) => candidate.id === step.kind.id);
    return {
      index: k + 1,
      sheetId: step.kind.id,
      thicknessMm: step.kind.thicknessMm,
      bottomMm: step.bottomMm,
      topMm: step.topMm,
      outlineAtMm: step.outlineAtMm,
      areaMm2: step.areaMm2,
      outlineMm: pieces.reduce((length, piece) => length + polygonOutline(piece), 0),
      carveMl: step.carveMl,
      fillMl: step.fillMl,
      pieces,
      fitsWhole: sheet ? pieces.every((piece) => fitsSheet(piece.outer, sheet.widthMm, sheet.depthMm)) : false,
    };
  });
}

/** Sheets taken from each kind, by area over the stated yield until cutting is planned. */
function sheetsUsedOf(
  layers: readonly Layer[],
  { sheets, stacking }: Pick<Project, 'sheets' | 'stacking'>,
): LayerPlan['sheetsUsed'] {
  return sheets
    .map((sheet) => {
      const areaMm2 = layers
        .filter((layer) => layer.sheetId === sheet.id)
        .reduce((sum, layer) => sum + layer.areaMm2, 0);
      const fromOne = (sheet.widthMm * sheet.depthMm * stacking.sheetYieldPercent) / 100;
      return { sheetId: sheet.id, areaMm2, sheets: Math.ceil(areaMm2 / fromOne - 1e-9) };
    })
    .filter(({ areaMm2 }) => areaMm2 > 0);
}
