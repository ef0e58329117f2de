import { noMaterials } from '../materials/index.ts';
import { baseSize } from './base.ts';
import { costsAt } from './benches.ts';
import { untouchedNest, usualCutting, usualPaper } from './cutting.ts';
import type { HeightsAre } from './heightsAre.ts';
import { usualRecipe, usualSurface } from './recipes.ts';
import type { BaseShape } from './schemas/baseSchema.ts';
import type { CutTool } from './schemas/cuttingSchema.ts';
import { PROJECT_FORMAT, PROJECT_VERSION, type Project } from './schemas/schema.ts';
import type { Sheet } from './schemas/sheetSchema.ts';
import { emptyStores, usualSupport } from './schemas/storesSchema.ts';
import { untouchedStack, usualStacking } from './stacking.ts';
import { newTile } from './tiles.ts';

/** A sheet of dense foam as it is usually bought for small work. */
export const usualSheet = (id: string): Sheet => ({
  id,
  name: 'Dense foam',
  material: 'xps',
  own: null,
  nominalMm: 20,
  measuredMm: null,
  tolerance: 'usual',
  toleranceMm: null,
  widthMm: 600,
  depthMm: 300,
  grain: false,
  count: 2,
  price: null,
  buyable: false,
  place: '',
  limit: { kind: 'anywhere' },
});

/** Who stacks foam as foam leaves the way of building to the plan, and counts a small layer as small. */
function startStacking(heights: HeightsAre): Project['stacking'] {
  const usual = usualStacking();
  if (heights === 'ground') return usual;
  return { ...usual, school: null, costs: { ...costsAt(usual.costs, 'hobby bench'), fillByPaste: true } };
}

/** A project with sound defaults and nothing drawn yet. `startDate` is an ISO date; heights are of bare foam, as builders stack it. */
export function startProject(name: string, startDate: string, heights: HeightsAre = 'foam'): Project {
  return {
    format: PROJECT_FORMAT,
    version: PROJECT_VERSION,
    name,
    notes: '',
    scale: null,
    distance: null,
    currency: 'EUR',
    heights,
    base: {
      shape: { kind: 'rectangle', widthMm: 297, depthMm: 210 },
      board: { material: 'fibreboard', thicknessMm: 6, airBelow: false },
      frame: null,
    },
    envelope: { box: null, swingMm: null },
    limits: { dueDate: null, sureOf: 80, weightG: null, cost: null, benchHours: null, rules: [] },
    judging: { tiltDegrees: 20, unevenMm: 1.5, wayMm: 30 },
    air: { temperatureC: 20, humidityPercent: 50, airSpeedMs: 0.1 },
    sheets: [usualSheet('sheet-1')],
    offcuts: [],
    terrain: null,
    underlay: null,
    marks: [],
    landforms: [],
    laid: [],
    things: [],
    panels: [],
    voids: [],
    patches: [],
    rows: [],
    sections: [{ id: 'A', name: 'A', from: [0, 105], to: [297, 105] }],
    stack: untouchedStack(),
    nest: untouchedNest(),
    zones: { rules: [], rest: 'grass' },
    profiles: [],
    tile: newTile('tile-1', 'Tile 1'),
    tiles: [],
    stacking: startStacking(heights),
    cutting: usualCutting(),
    paper: usualPaper(),
    surface: usualSurface(),
    recipes: [usualRecipe()],
    materials: noMaterials(),
    counts: [],
    stores: emptyStores(),
    overruled: [],
    support: usualSupport(),
    bench: {
      startDate,
      week: {
        monday: { from: '19:00', to: '21:00' },
        tuesday: null,
        wednesday: { from: '19:00', to: '21:00' },
        thursday: null,
        friday: { from: '19:00', to: '21:30' },
        saturday: { from: '10:00', to: '13:00' },
        sunday: null,
      },
      skill: 'practised',
    },
    seed: 1,
  };
}

/** What a builder says of a project before anything else: how big it is, what is in the shed, and what cuts it. */
export interface Beginning {
  name: string;
  startDate: string;
  shape: BaseShape;
  /** Nominal thicknesses of the sheets that are there or can be bought, mm. */
  sheetsMm: readonly number[];
  /** Whether more of them can be bought. */
  buyable: boolean;
  tool: CutTool;
}

/** A project begun so, with sheets of the usual size. */
export function startWith({ name, startDate, shape, sheetsMm, buyable, tool }: Beginning): Project {
  const start = startProject(name, startDate);
  const base = { ...start.base, shape };
  const { widthMm, depthMm } = baseSize(base);
  return {
    ...start,
    base,
    sheets: [...sheetsMm]
      .sort((a, b) => b - a)
      .map((nominalMm, k) => ({
        ...usualSheet(`sheet-${k + 1}`),
        name: sheetsMm.length > 1 ? `Dense foam ${nominalMm} mm` : 'Dense foam',
        nominalMm,
        buyable,
      })),
    cutting: { ...start.cutting, tool },
    sections: start.sections.map((section) => ({ ...section, from: [0, depthMm / 2], to: [widthMm, depthMm / 2] })),
  };
}
