import { type Cutting, paceOf } from '../cutting/index.ts';
import { lineLength } from '../geometry/index.ts';
import type { LayerPlan, PasteMap } from '../layers/index.ts';
import { type Catalogue, catalogueOf, type GlueData, glueOf, labour, stuffOf } from '../materials/index.ts';
import { type Project, sheetMm, sheetsWorth } from '../project/index.ts';
import { exactly, scaleRange, sum } from '../units/index.ts';
import { amountOf, measured, times } from './amounts.ts';
import { carvingCautions, cuttingCautions, materialCautions, wiringCautions } from './cautions.ts';
import { moneyFor, pricesOf } from './money.ts';
import { cm2, type StageTakeoff, type TakenMaterial } from './stage.ts';

/** Cutting, by the pieces as they lie on sheets where that is worked out (`cut`), else by outlines and the yield of a sheet. */
export function cutting(project: Project, plan: LayerPlan, cut: Cutting | null): StageTakeoff {
  const outlines = cut?.pieces ?? plan.layers;
  const lengthOf = (some: readonly { outlineMm: number }[]) =>
    some.reduce((total, { outlineMm }) => total + outlineMm, 0) / 1000;
  const outlineM = lengthOf(outlines);
  const thickM = lengthOf(outlines.filter(({ thicknessMm }) => thicknessMm > 10));
  const { tool } = project.cutting;
  const parts = [
    amountOf('min', outlineM, 'outline x marking out', [], [times(labour.markOut)]),
    amountOf('min', outlineM - thickM, 'thin outline x cutting', [], [times(paceOf(tool, 10))]),
    amountOf('min', thickM, 'thick outline x cutting', [], [times(paceOf(tool, 20))]),
  ];
  return {
    id: 'cut',
    stage: 'cut',
    operation: null,
    zones: [],
    title: 'Cut the layers',
    areaMm2: plan.layers.reduce((total, layer) => total + layer.areaMm2, 0),
    materials: plan.sheetsUsed.map(({ sheetId, areaMm2, sheets }) => {
      const sheet = project.sheets.find((candidate) => candidate.id === sheetId);
      return {
        name: `${sheet?.name || stuffOf(sheet ?? { material: 'xps', own: null }, catalogueOf(project.materials)).label}, ${sheet && sheetMm(sheet)} mm`,
        amount: cut
          ? measured('each', sheets, 'sheets that the pieces are laid on, offcuts first', [cm2('pieces', areaMm2)])
          : measured('each', sheets, 'area of the pieces / (sheet area x yield), rounded up', [
              cm2('pieces', areaMm2),
              { name: 'yield of a sheet', value: project.stacking.sheetYieldPercent, unit: '%' },
            ]),
      };
    }),
    handsOn: {
      ...sum(parts),
      unit: 'min',
      working: {
        expression: 'outline x marking out + outline x cutting',
        inputs: [
          { name: 'outline', value: outlineM, unit: 'm' },
          { name: 'of it thicker than 10 mm', value: thickM, unit: 'm' },
        ],
        coefficients: [labour.markOut, ...new Set([paceOf(tool, 10), paceOf(tool, 20)])],
      },
    },
    batches: null,
    coats: 1,
    coatWord: 'coat',
    drying: { kind: 'none' },
    after: [],
    dryG: plan.foamMassG,
    money: sheetsWorth(project, plan.sheetsUsed),
    note: '',
    cautions: cuttingCautions(tool),
  };
}

/** Glue over an area, each of its parts by its share. */
const spreadOver = (glue: GlueData, areaMm2: number, where: string): TakenMaterial[] =>
  glue.spreads.map(({ material, name, share, spread }) => ({
    name: `Joint glue, ${name}`,
    amount: amountOf(
      'g',
      (areaMm2 * share) / 1e6,
      share < 1 ? 'joint area x its part x spread' : 'joint area x spread',
      [cm2(where, areaMm2), ...(share < 1 ? [{ name: 'its part of a joint', value: 100 * share, unit: '%' }] : [])],
      [times(spread)],
    ),
    material,
  }));

/** Joint k is the face on which layer k + 1 lies; joint 0 is the board. Its area is where the layer laid on it touches what is below. */
export function gluing(project: Project, plan: { layers: readonly { contactMm2: number }[] }): StageTakeoff {
  const catalogue = catalogueOf(project.materials);
  const glue = glueOf(project.stacking.glue, catalogue);
  const areaMm2 = plan.layers.reduce((total, layer) => total + layer.contactMm2, 0);
  const where = project.base.board.material === 'none' ? 'joints' : 'joints, board included';
  const materials = spreadOver(glue, areaMm2, where);
  const perArea = amountOf('min', areaMm2 / 1e4, '', [], [times(labour.glueArea)]);
  const perLayer = amountOf('min', plan.layers.length, '', [], [times(labour.glueLayer)]);
  return {
    id: 'glue',
    stage: 'glue',
    operation: null,
    zones: [],
    title: `Glue the layers, ${project.stacking.glue}`,
    areaMm2,
    materials,
    handsOn: {
      ...sum([perArea, perLayer]),
      unit: 'min',
      working: {
        expression: 'layers x gluing + joint area x spreading',
        inputs: [{ name: 'layers', value: plan.layers.length, unit: '' }, cm2('joints', areaMm2)],
        coefficients: [labour.glueLayer, labour.glueArea],
      },
    },
    batches: null,
    coats: 1,
    coatWord: 'coat',
    drying: { kind: 'joints' },
    after: [],
    dryG: sum(materials.map(({ material, amount }) => scaleRange(amount, driesTo(catalogue, material ?? '')))),
    money: moneyFor(pricesOf(project), materials),
    note: glue.spreads.length > 1 ? glue.note : (catalogue.material(glue.spreads[0].material)?.use ?? ''),
    cautions: materialCautions(
      catalogue,
      glue.spreads.map(({ material }) => material),
    ),
  };
}

/** What stays of a glue, as a share of its weight: its solids, or what is known of it dry; what loses nothing stays whole. */
function driesTo(catalogue: Catalogue, material: string): number {
  const solids = catalogue.figure(material, 'solidsPercent');
  if (solids) return solids.likely / 100;
  const dry = catalogue.figure(material, 'dryKgPerL');
  const wet = catalogue.figure(material, 'wetKgPerL');
  return dry && wet ? dry.likely / wet.likely : 1;
}

/** Wedges of offcut glued into the steps, in place of paste: foam that is there already, and glue under it. */
export function wedging(project: Project, wedges: PasteMap['wedges']): StageTakeoff | null {
  if (!wedges?.list.length) return null;
  const catalogue = catalogueOf(project.materials);
  const glue = glueOf(project.stacking.glue, catalogue);
  const areaMm2 = wedges.list.reduce((sum, wedge) => sum + wedge.areaMm2, 0);
  const metres = wedges.list.reduce((sum, { longMm }) => sum + longMm, 0) / 1000;
  const materials = spreadOver(glue, areaMm2, 'wedges');
  const { density } = stuffOf(project.sheets[0] ?? { material: 'xps', own: null }, catalogue);
  return {
    id: 'wedges',
    stage: 'glue',
    operation: null,
    zones: [],
    title: `Glue ${wedges.list.length} ${wedges.list.length === 1 ? 'wedge' : 'wedges'} of offcut into the steps`,
    areaMm2,
    materials,
    handsOn: amountOf(
      'min',
      metres,
      'length of the wedges x fitting',
      [{ name: 'wedges, end to end', value: metres, unit: 'm' }],
      [times(labour.wedge)],
    ),
    batches: null,
    coats: 1,
    coatWord: 'coat',
    drying: { kind: 'wedges' },
    after: [
      { id: 'glue', wait: 'coat' },
      { id: 'carve', wait: 'touch' },
    ],
    dryG: sum([
      scaleRange(density, wedges.foamMl / 1000),
      ...materials.map(({ material, amount }) => scaleRange(amount, driesTo(catalogue, material ?? ''))),
    ]),
    money: moneyFor(pricesOf(project), materials),
    note: `From offcuts: ${Math.round(wedges.foamMl)} ml of foam. Trim them to the line before the paste.`,
    cautions: materialCautions(
      catalogue,
      glue.spreads.map(({ material }) => material),
    ),
  };
}

export function carving(plan: LayerPlan): StageTakeoff | null {
  const offMl = plan.carveMl + plan.hollowMl;
  if (offMl < 0.5) return null;
  return {
    id: 'carve',
    stage: 'carve',
    operation: null,
    zones: [],
    title: 'Carve back to the line',
    areaMm2: plan.layers.reduce((total, layer) => total + layer.areaMm2, 0),
    materials: [],
    handsOn: amountOf(
      'min',
      offMl / 1000,
      'foam carved off and out x carving',
      [
        { name: 'foam carved off', value: plan.carveMl / 1000, unit: 'L' },
        { name: 'carved out for rooms', value: plan.hollowMl / 1000, unit: 'L' },
      ],
      [times(labour.carve)],
    ),
    batches: null,
    coats: 1,
    coatWord: 'coat',
    drying: { kind: 'none' },
    after: [{ id: 'glue', wait: 'coat' }],
    dryG: exactly(0),
    money: null,
    note: '',
    cautions: carvingCautions(),
  };
}

/** Cables and bays: laid and fitted while the foam is still bare. */
export function fitting(project: Pick<Project, 'voids'>): StageTakeoff | null {
  const cables = project.voids.filter((one) => one.kind === 'cable');
  const rooms = project.voids.filter(({ kind }) => kind === 'bay' || kind === 'chamber');
  if (!cables.length && !rooms.length) return null;
  const metres = cables.reduce((all, { points }) => all + lineLength(points, false), 0) / 1000;
  const count = cables.length + rooms.length;
  const along = amountOf('min', metres, '', [], [times(labour.cable)]);
  const each = amountOf('min', count, '', [], [times(labour.bay)]);
  return {
    id: 'voids',
    stage: 'carve',
    operation: null,
    zones: [],
    title: 'Lay cables, fit bays',
    areaMm2: 0,
    materials: [],
    handsOn: {
      ...sum([along, each]),
      unit: 'min',
      working: {
        expression: 'cable x laying + cables, bays and chambers x fitting',
        inputs: [
          { name: 'cable', value: metres, unit: 'm' },
          { name: 'cables, bays and chambers', value: count, unit: '' },
        ],
        coefficients: [labour.cable, labour.bay],
      },
    },
    batches: null,
    coats: 1,
    coatWord: 'coat',
    drying: { kind: 'none' },
    after: [
      { id: 'glue', wait: 'coat' },
      { id: 'carve', wait: 'touch' },
    ],
    dryG: exactly(0),
    money: null,
    note: 'Before any skin: what is shut in cannot be reached. Try every lamp and motor now.',
    cautions: wiringCautions(),
  };
}
