import { type Depth, most95Of } from '../layers/index.ts';
import { BY_VOLUME_MM, coefficient, labour, pasteCoats } from '../materials/index.ts';
import { bulkMm, type Project } from '../project/index.ts';
import { type Amount, type Coefficient, sum } from '../units/index.ts';
import { amountOf, lost, over, reworked, times } from './amounts.ts';
import { dryMass, hadOf, handsOnOf, lossOf, maybe, type StepAmounts, type StepContext, zeroG } from './context.ts';
import { mixParts } from './mixParts.ts';
import type { Batches, TakenMaterial } from './stage.ts';
import { touchedBy, touchedMm2, type Worn } from './wornSurface.ts';

/** What paste is to be laid: under a skin what fills the steps as well, and how deep it lies. */
export interface PasteWanted {
  fillMl: number;
  layerMl: number;
  depths: readonly Depth[];
}

/** How a zone's skin is shared out among its coats of paste: by thickness and the ground that each is meant for. */
function shareOfSkin(project: Pick<Project, 'materials'>, { surface, coat, at }: Worn): number {
  const weight = (k: number) => bulkMm(project, surface.recipe.coats[k]) * surface.coatMm2[k];
  const all = surface.recipe.coats.reduce((total, _, k) => total + weight(k), 0);
  return all > 0 ? (bulkMm(project, coat) * surface.coatMm2[at]) / all : 0;
}

/** Paste of a coat of skin on one zone; `fills` says whether it also fills the steps there. */
export function skinWanted(project: Pick<Project, 'materials'>, worn: Worn, fills: boolean): PasteWanted {
  const { surface, coat } = worn;
  const own = bulkMm(project, coat);
  const others = surface.recipe.coats.reduce((total, other) => total + bulkMm(project, other), 0) - own;
  return {
    fillMl: fills ? surface.fillMl : 0,
    layerMl: surface.skinMl * shareOfSkin(project, worn),
    depths: fills
      ? surface.depths.map(({ mm, areaMm2 }) => ({ mm: Math.max(own, mm - others), areaMm2 }))
      : [{ mm: own, areaMm2: touchedMm2(worn) }],
  };
}

/** Paste laid over everything else: its own thickness over what it touches. */
export const layerWanted = (worn: Worn): PasteWanted => {
  const mm = worn.coat.thicknessMm ?? 0;
  const areaMm2 = touchedMm2(worn);
  return { fillMl: 0, layerMl: (areaMm2 * mm) / 1000, depths: [{ mm, areaMm2 }] };
};

/** A paste on all its zones: volumes, powder and water, bowls no larger than can be spread in time, coats no thicker than it allows. */
export function pasteAmounts(context: StepContext, wanted: readonly PasteWanted[]): StepAmounts {
  const { catalogue, material, worn } = context;
  const name = catalogue.material(material)?.name ?? material;
  const areaMm2 = touchedBy(worn);
  const fillMl = wanted.reduce((all, { fillMl: ml }) => all + ml, 0);
  const layerMl = wanted.reduce((all, { layerMl: ml }) => all + ml, 0);
  const netMl = fillMl + layerMl;
  const inputs = [
    ...(fillMl > 0 ? [{ name: 'fill under the skin', value: fillMl, unit: 'ml' }] : []),
    { name: fillMl > 0 ? 'skin' : 'layer', value: layerMl, unit: 'ml' },
  ];
  const shrink = catalogue.figure(material, 'shrinkPercent');
  const losses = [
    ...(layerMl > 0 ? [times(handSpread(layerMl / netMl))] : []),
    ...(shrink ? [lost(shrink)] : []),
    ...lossOf(context),
  ];
  const volume = fillMl > 0 ? '(fill + skin)' : 'layer';
  const words = `${volume}${shrink ? ' / (1 - shrinkage)' : ''} / (1 - loss)`;
  const mixed = amountOf('ml', netMl, words, inputs, losses);
  // One pot is one ground, whatever zones it lies on.
  const depthMm = most95Of(wanted.flatMap(({ depths }) => depths));
  const often = worn.map(({ coat }) => (coat.operation === 'skin' ? 1 : coat.coats));
  const coats = Math.max(1, coatsFor(context, depthMm), ...often);
  const yieldLPerKg = catalogue.figure(material, 'yieldLPerKg');
  const bulk = catalogue.figure(material, 'powderKgPerL');
  const parts = catalogue.figure(material, 'powderParts');
  const powder = yieldLPerKg && amountOf('g', netMl, `${words} / yield`, inputs, [...losses, over(yieldLPerKg)]);
  const water =
    yieldLPerKg && bulk && parts
      ? amountOf('ml', netMl, `${words} / yield / loose density / parts`, inputs, [
          ...losses,
          over(yieldLPerKg),
          over(bulk),
          over(parts),
        ])
      : null;
  const tint = catalogue.figure(material, 'tintPercent');
  const paint = tint && amountOf('ml', netMl / 100, `${words} x tint`, inputs, [...losses, times(tint)]);
  const stirred = mixParts(material, mixed);
  const has = hadOf(context);
  const materials = [
    { name: powder ? `${name}, mixed` : name, amount: mixed, ...(powder || stirred.length ? {} : has) },
    ...(powder ? [{ name: 'of it powder', amount: powder, ...has }] : []),
    ...(water ? [{ name: 'of it water', amount: water }] : []),
    ...(paint
      ? [{ name: 'paint stirred in', amount: paint, material: 'acrylic', which: worn[0].coat.colour || 'earth' }]
      : []),
    ...stirred,
  ];
  const depths = wanted.flatMap((one) => one.depths);
  const alone = spreading(context, areaMm2, depths, coats, 0);
  const batches = bowls(context, alone.likely * context.pace, coats, mixed, powder, water, stirred);
  const kept = amountOf('ml', netMl, '', [], shrink ? [lost(shrink)] : []);
  return {
    title: `${fillMl > 0 ? 'Fill and skin' : worn[0].coat.operation === 'skin' ? 'Skin' : name}${fillMl > 0 || worn[0].coat.operation === 'skin' ? `, ${lower(name)}` : ''}`,
    areaMm2,
    materials,
    handsOn: spreading(context, areaMm2, depths, coats, batches.count),
    batches,
    coats,
    coatWord: 'coat',
    drying: {
      kind: 'paste',
      depthMm,
      mostPerCoatMm: catalogue.need(material, 'mostPerCoatMm').likely,
      a: catalogue.need(material, 'dryA'),
      b: catalogue.need(material, 'dryB'),
      setMin: catalogue.need(material, 'setMin'),
      sets: catalogue.material(material)?.facts.includes('sets') ?? false,
    },
    dryG: dryMass(kept, context),
  };
}

/** A skin spread by hand is not of one thickness: its own part of the paste may be a fifth less or a third more (memory). */
const handSpread = (share: number): Coefficient =>
  coefficient('a skin spread by hand', 1 - 0.2 * share, 1, 1 + 0.35 * share, '-', 'memory', 'C');

/**
 * Minutes of spreading: every coat by the ground that is still to be covered, and what lies deeper than 5 mm by its volume besides; setting up
 * so many times.
 */
function spreading(
  context: StepContext,
  areaMm2: number,
  depths: readonly Depth[],
  coats: number,
  setUps: number,
): Amount {
  const most = context.catalogue.need(context.material, 'mostPerCoatMm').likely;
  let coatedMm2 = areaMm2;
  for (let coat = 1; coat < coats; coat++)
    coatedMm2 += depths.reduce((all, { mm, areaMm2: each }) => all + (mm > coat * most + 1e-6 ? each : 0), 0);
  const deepMl = depths.reduce((all, { mm, areaMm2: each }) => all + Math.max(0, mm - BY_VOLUME_MM) * each, 0) / 1000;
  const work = handsOnOf(context, coatedMm2, setUps);
  if (deepMl < 1) return work;
  const filling = amountOf('min', deepMl / 1000, '', [], [times(labour.fillDeep)]);
  return {
    ...work,
    ...sum([work, filling]),
    working: {
      expression: `${work.working.expression}; and what lies deeper than ${BY_VOLUME_MM} mm by volume`,
      inputs: [...work.working.inputs, { name: `deeper than ${BY_VOLUME_MM} mm`, value: deepMl, unit: 'ml' }],
      coefficients: [...work.working.coefficients, labour.fillDeep],
    },
  };
}

const lower = (name: string) => name[0].toLowerCase() + name.slice(1);

const coatsFor = ({ catalogue, material }: StepContext, depthMm: number): number =>
  pasteCoats(depthMm, catalogue.need(material, 'mostPerCoatMm').likely);

/** Never more than can be spread in the time that is sure, and one at least for each coat. */
function bowls(
  { catalogue, material }: StepContext,
  spreadMin: number,
  coats: number,
  mixed: Amount,
  powder: Amount | null,
  water: Amount | null,
  stirred: readonly TakenMaterial[],
): Batches {
  const sure = catalogue.figure(material, 'workingMin')?.low ?? Number.POSITIVE_INFINITY;
  const byTime = sure > 0 ? Math.max(1, Math.ceil(spreadMin / sure - 1e-6)) : 1;
  const count = Math.max(byTime, coats);
  const each = (amount: Amount) => Math.round(amount.likely / count);
  return {
    of: 'bowl',
    count,
    mlEach: mixed.likely / count,
    recipe: [
      ...(powder ? [`${each(powder)} g of powder`] : []),
      ...(water ? [`${each(water)} ml of water`] : []),
      ...stirred.map(({ name, amount }) => `${each(amount)} ml ${name.replace('of it', 'of')}`),
    ],
    eachMm2: null,
    why: `${Math.round(spreadMin)} min of spreading against ${sure} min of sure working time${coats > 1 ? `; ${coats} coats` : ''}`,
  };
}

/** Plies of tissue or gauze: dry stuff by the square metre, and what it is soaked in. */
export function plyAmounts(context: StepContext): StepAmounts {
  const { catalogue, material, worn } = context;
  const name = catalogue.material(material)?.name ?? material;
  const plies = Math.max(...worn.map(({ coat }) => coat.coats));
  const areaMm2 = touchedBy(worn);
  const squareMetres = worn.reduce((all, one) => all + (touchedMm2(one) * one.coat.coats) / 1e6, 0);
  const inputs = [{ name: 'ground, every ply', value: squareMetres * 1e4, unit: 'cm2' }];
  const dry = amountOf('g', squareMetres, 'ground x plies x a ply', inputs, maybe(context, 'plyGPerM2'));
  const paste = catalogue.need(material, 'plyPasteGPerM2');
  const soaked =
    paste.likely > 0
      ? amountOf('g', squareMetres, 'ground x plies x glue / (1 - loss)', inputs, [times(paste), ...lossOf(context)])
      : null;
  const solids = catalogue.figure(material, 'solidsPercent');
  const stays = soaked && solids ? dryMassOf(soaked, solids.likely / 100) : zeroG;
  return {
    title: `${name}, ${plies} ${plies === 1 ? 'ply' : 'plies'}`,
    areaMm2,
    materials: [
      { name, amount: dry, ...hadOf(context) },
      ...(soaked
        ? [
            { name: 'Glue and water 1:1', amount: soaked },
            {
              name: 'of it PVA, half',
              amount: reworked(soaked, dryMassOf(soaked, 0.5), 'half of it'),
              material: 'white PVA',
            },
          ]
        : []),
    ],
    handsOn: handsOnOf(context, squareMetres * 1e6, 1),
    batches: null,
    coats: plies,
    coatWord: 'ply',
    drying: {
      kind: 'hours',
      touch: catalogue.need(material, 'touchH'),
      coat: catalogue.need(material, 'coatH'),
      through: catalogue.need(material, 'throughH'),
      byAir: true,
      what: lower(name),
    },
    dryG: sum([dry, stays]),
  };
}

const dryMassOf = (amount: Amount, share: number) => ({
  low: amount.low * share,
  likely: amount.likely * share,
  high: amount.high * share,
});
