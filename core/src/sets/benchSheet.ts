import { wallClock } from '../days/index.ts';
import type { Grid, Ring } from '../geometry/index.ts';
import type { BenchSheet, SheetPurchase, SheetStage, SheetStep } from '../handout/index.ts';
import { baseSize, doneHere, type Project, recipeOf } from '../project/index.ts';
import type { PlanReport, StageReport } from '../report/index.ts';
import { type SheetNeed, type ShoppingLine, sayBuy, sayKind, sayQuantity } from '../stores/index.ts';
import { deferral } from '../takeoff/index.ts';
import {
  decimals,
  formatMeasure,
  resaid,
  sayAmount,
  sayClock,
  sayHours,
  sayMinutes,
  type UnitSystem,
} from '../units/index.ts';
import type { ZoneMap } from '../zones/index.ts';
import { listOfTile, type ShoppingList } from './shoppingList.ts';

/** What the drawings of a bench sheet are made from. */
export interface SheetFields {
  ground: Grid;
  outline: Ring;
  zones: ZoneMap;
}

const stageTitles: Readonly<Record<StageReport['stage'], string>> = {
  cut: 'Cutting',
  glue: 'Gluing',
  carve: 'Carving and fitting',
  skin: 'Fill and skin',
  seal: 'Seal',
  colour: 'Colour',
  cover: 'Cover',
  edge: 'Sides and walls',
};

/** The plan of the open tile in words and small drawings, stage by stage, with what to buy (for it, or by the list of its set): what is taken to the bench on paper. */
export function benchSheet(
  project: Project,
  report: PlanReport,
  { ground, outline, zones }: SheetFields,
  system: UnitSystem,
  list: ShoppingList = listOfTile(project, report),
): BenchSheet {
  const { widthMm, depthMm } = baseSize(project.base);
  const mm = (value: number) => formatMeasure('length', value, system);
  const stages: SheetStage[] = [];
  for (const stage of report.takeoff) {
    const title = stageTitles[stage.stage];
    const last = stages.at(-1);
    const step = stepOf(project, report, stage, system);
    if (last?.title === title) last.steps.push(step);
    else stages.push({ title, steps: [step] });
  }
  const section = project.sections[0];
  const { safety } = project.stores;
  const { shopping, sheets, tiles, gaps } = list;
  const costs = shopping.flatMap(({ buy }) => (buy?.cost ? [buy.cost] : []));
  const cost = [...costs, ...sheets.map((sheet) => sheet.cost ?? 0)].reduce((all, one) => all + one, 0);
  const toBuy = sheets.filter((sheet) => sheet.toBuy > 0).length + shopping.filter(({ short }) => short > 1e-9).length;
  return {
    project: project.name,
    base: `${mm(widthMm)} x ${mm(depthMm)}${project.scale ? `, 1:${project.scale}` : ''}`,
    summary: summaryOf(project, report, { system, toBuy, cost }),
    stages,
    shopping: [
      ...sheets.map((sheet) => sheetPurchase(sheet, mm, project.currency)),
      ...shopping.map((line) => purchaseOf(project, line, system)),
    ],
    shoppingNote: `${forTiles(project, tiles)}${gaps.map(({ tile, message, remedy }) => `${tile}: ${message} ${remedy} `).join('')}One is ${safety} % sure that nothing on it runs out.${cost > 0 ? ` ${decimals(cost, 2)} ${project.currency} as far as it is priced.` : ' Nothing on it has a price yet.'}`,
    deferral,
    outline,
    ground,
    zones,
    layers: report.stack.layers,
    section: { name: section.name, from: section.from, to: section.to },
  };
}

/** The whole of it in a few lines: how large and heavy, how much work, when it is dry, what there is to buy. */
function summaryOf(
  { currency }: Project,
  { fit, mass, tasks, takeoff, finish, stack }: PlanReport,
  { system, toBuy, cost }: { system: UnitSystem; toBuy: number; cost: number },
): string[] {
  const work = takeoff.reduce((all, { handsOn }) => all + handsOn.likely, 0);
  const sittings = tasks.reduce((all, { sessions }) => all + sessions.length, 0);
  return [
    `${formatMeasure('length', fit.tallestMm, system)} tall with its board, ${formatMeasure('mass', mass.totalG.likely, system)} when dry; ${stack.layers.length} ${stack.layers.length === 1 ? 'layer' : 'layers'} of foam.`,
    `${sayMinutes(work)} of work in ${sittings} ${sittings === 1 ? 'sitting' : 'sittings'}${finish ? `; dry through about ${sayClock(finish.likely)}, between ${sayClock(finish.early)} and ${sayClock(finish.late)}` : '; no bench hours, so no day is known'}.`,
    `${toBuy ? `${toBuy} ${toBuy === 1 ? 'thing' : 'things'} to buy` : 'Nothing to buy'}${cost > 0 ? `, ${decimals(cost, 2)} ${currency} as far as it is priced` : ''}.`,
  ];
}

/** Which tiles of a set the list is for; nothing where there is only one. */
function forTiles({ tiles: others }: Project, tiles: readonly string[]): string {
  if (!others.length) return '';
  return tiles.length > 1 ? `For the whole set: ${tiles.join(', ')}. ` : `For one tile only, ${tiles[0]}. `;
}

function stepOf(project: Project, report: PlanReport, stage: StageReport, system: UnitSystem): SheetStep {
  const operations = report.operations.filter(({ step }) => step === stage.id);
  const tasks = report.tasks.filter(({ operation }) => operations.some(({ id }) => id === operation));
  const from = tasks[0]?.sessions[0]?.from;
  const begins = from === undefined ? '' : `${sayClock(wallClock(project.bench.startDate, from))}, `;
  const { waits } = operations.at(-1) ?? {};
  const area = stage.areaMm2 > 0 && stage.zones.length ? `: ${formatMeasure('area', stage.areaMm2, system, 0)}` : '';
  const { batches } = stage;
  const names = { bowl: 'bowls', patch: 'patches' } as const;
  return {
    id: stage.id,
    title: stage.title,
    when: `${begins}${sayMinutes(stage.handsOn.likely)} of work`,
    where: `${stage.zones.map(({ name }) => name).join(', ')}${area}`,
    amounts: stage.materials.map(({ name, amount }) => {
      const said = sayAmount(amount, system);
      return `${said.likely}${said.range ? ` (${said.range})` : ''}  ${name}`;
    }),
    batches: batches
      ? `${batches.count} ${batches.count === 1 ? batches.of : names[batches.of]} of about ${formatMeasure('volume', batches.mlEach, system)}${batches.recipe.length ? `${batches.count > 1 ? ', each' : ':'} ${resaid(batches.recipe.join(' and '), system)}` : ''}`
      : '',
    tools: toolsOf(project, report, stage).join(', '),
    waits:
      waits && waits.through.likely > 0
        ? `dry to the touch ${sayHours(waits.touch.likely)}, next coat ${sayHours(waits.coat.likely)}, through and fit for resin ${sayHours(waits.through.likely)}`
        : '',
    note: resaid(stage.note, system),
    cautions: stage.cautions,
    ticks:
      operations.length > 1
        ? operations.map((_, k) => `${stage.coatWord} ${k + 1} of ${operations.length}`)
        : [stage.title],
    done: doneHere(project).some(({ step }) => step === stage.id),
    zones: stage.zones.flatMap(({ id }) => {
      const at = report.zones.findIndex((zone) => zone.id === id);
      return at < 0 ? [] : [at];
    }),
  };
}

/** What a step is done with. */
function toolsOf(project: Project, report: PlanReport, stage: StageReport): string[] {
  if (stage.stage === 'cut') return [project.cutting.tool, 'metal rule', 'pencil', 'templates'];
  if (stage.stage === 'glue') return ['spreader', 'weights', 'pins'];
  if (stage.stage === 'carve')
    return stage.id === 'voids' ? ['drill', 'pliers', 'tape'] : ['knife', 'rasp', 'sandpaper'];
  const worn = new Set([
    ...report.zones.map(({ recipe }) => recipeOf(project, recipe).id),
    ...report.dressed.map(({ recipe }) => recipe),
  ]);
  const bought = new Set(stage.materials.map(({ material }) => material));
  const used = project.recipes
    .filter(({ id }) => worn.has(id))
    .flatMap(({ coats }) => coats)
    .filter(
      ({ operation, material }) =>
        operation === stage.operation && (bought.has(material) || stage.id.includes(plainId(material))),
    );
  const tools = new Set<string>(used.map(({ tool }) => tool));
  if (stage.batches?.of === 'bowl' && stage.batches.recipe.length) tools.add('bowl and scale');
  return [...tools];
}
const plainId = (material: string) => material.toLowerCase().replace(/[^a-z0-9]+/g, '-');

function purchaseOf(project: Project, line: ShoppingLine, system: UnitSystem): SheetPurchase {
  const said = (value: number) => sayQuantity(value, line.unit, system);
  const { buy } = line;
  return {
    name: sayKind(line),
    needed: said(line.wanted),
    stocked: line.inStock > 0 ? said(line.inStock) : '',
    buy: sayBuy(line, system),
    cost: buy?.cost != null ? `${decimals(buy.cost, 2)} ${project.currency}` : '',
    supplier: [...new Set(buy?.of.map(({ offer }) => offer.supplier).filter(Boolean))].join(', '),
    there: line.short <= 1e-9,
  };
}

const sheetPurchase = (
  { name, thicknessMm, widthMm, depthMm, needed, there, toBuy, cost }: SheetNeed,
  mm: (value: number) => string,
  currency: string,
): SheetPurchase => ({
  name: `${name}, ${mm(thicknessMm)}, ${mm(widthMm)} x ${mm(depthMm)}`,
  needed: `${needed}`,
  stocked: `${there}`,
  buy: toBuy ? `${toBuy}` : '',
  cost: cost && toBuy ? `${decimals(cost, 2)} ${currency}` : '',
  supplier: '',
  there: toBuy === 0,
});
