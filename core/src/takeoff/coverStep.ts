import { type Amount, type Coefficient, exactly, scaleRange, sum } from '../units/index.ts';
import { amountOf, measured, times } from './amounts.ts';
import {
  covered,
  hadOf,
  handsOnOf,
  hoursOf,
  lossOf,
  maybe,
  type StepAmounts,
  type StepContext,
  zeroG,
} from './context.ts';
import type { TakenMaterial } from './stage.ts';
import { withSetUp } from './withSetUp.ts';
import { touchedMm2 } from './wornSurface.ts';

/** Loose cover: grains by the layer, the glue under them, what wets them and what fixes them. */
export function looseAmounts(context: StepContext): StepAmounts {
  const { catalogue, material, worn } = context;
  const name = catalogue.material(material)?.name ?? material;
  const { areaMm2, hundreds, inputs } = covered(context);
  const usual = catalogue.need(material, 'layerMm').likely;
  const layerMm =
    worn.reduce((sum, one) => sum + touchedMm2(one) * (one.coat.thicknessMm ?? usual), 0) / (areaMm2 || 1);
  const layered = [...inputs, { name: 'layer', value: layerMm, unit: 'mm' }];
  const grains = [...maybe(context, 'evenness'), ...maybe(context, 'bulkKgPerL')];
  const wet = (called: string, property: 'glueMl' | 'mistMl' | 'fixMl', base: number, expression: string) => {
    const figure = catalogue.figure(material, property);
    return figure && figure.likely > 0
      ? [{ name: called, amount: amountOf('ml', base, expression, layered, [times(figure)]) }]
      : [];
  };
  const fixative = wet(
    'Fixative, 1 medium to 3 water',
    'fixMl',
    (hundreds * layerMm) / usual,
    'covered x layer / usual layer x fixative',
  );
  const under = wet('Thinned medium 1:1 under it', 'glueMl', hundreds, 'covered x glue');
  const { colour } = worn[0].coat;
  return {
    title: colour ? `${name}, ${colour}` : name,
    areaMm2,
    materials: [
      {
        name,
        amount: amountOf('g', hundreds * 10 * layerMm, 'covered x layer x loose density / (1 - spilt)', layered, [
          ...grains,
          ...lossOf(context),
        ]),
        ...hadOf(context),
      },
      ...under,
      ...wet('Alcohol mist', 'mistMl', hundreds, 'covered x mist').map((mist) => ({ ...mist, material: 'alcohol' })),
      ...fixative,
      ...mediumIn(under, fixative),
    ],
    handsOn: handsOnOf(context, areaMm2, 1),
    batches: null,
    coats: 1,
    coatWord: 'coat',
    drying: hoursOf(context, `${name[0].toLowerCase()}${name.slice(1)} and fixative`),
    dryG: amountOf('g', hundreds * 10 * layerMm, '', [], grains),
  };
}

/** Medium in what lies under loose cover, half of it, and in what fixes it, a quarter. */
function mediumIn(under: readonly TakenMaterial[], fixative: readonly TakenMaterial[]): TakenMaterial[] {
  const shares = [
    ...under.map(({ amount }) => ({ amount, share: 1 / 2 })),
    ...fixative.map(({ amount }) => ({ amount, share: 1 / 4 })),
  ];
  if (!shares.length) return [];
  const [{ amount }] = shares;
  return [
    {
      name: 'of both, matt medium',
      amount: {
        ...amount,
        ...sum(shares.map((one) => scaleRange(one.amount, one.share))),
        working: {
          expression: 'half of the thinned medium + a quarter of the fixative',
          inputs: amount.working.inputs,
          coefficients: shares.flatMap((one) => one.amount.working.coefficients),
        },
      },
      material: 'matt medium',
    },
  ];
}

/** Static grass: what is kept, what is loaded, the glue, and patches no larger than can be covered before it skins. */
export function fibreAmounts(context: StepContext): StepAmounts {
  const { catalogue, material } = context;
  const name = catalogue.material(material)?.name ?? material;
  const { areaMm2, hundreds, inputs } = covered(context);
  const kept = catalogue.need(material, 'keptG');
  const glue = amountOf('ml', hundreds, 'covered x glue', inputs, maybe(context, 'glueMl'));
  const patch = catalogue.need(material, 'patchCm2').likely;
  const open = catalogue.need(material, 'openMin').likely;
  const patches = Math.max(1, Math.ceil(areaMm2 / 100 / patch - 1e-6));
  return {
    title: name,
    areaMm2,
    materials: [
      { name: 'Fibres kept', amount: amountOf('g', hundreds, 'covered x fibres kept', inputs, [times(kept)]) },
      {
        name: 'Fibres to load',
        amount: amountOf('g', hundreds, 'covered x fibres kept x load', inputs, [
          times(kept),
          ...maybe(context, 'load'),
        ]),
      },
      { name: 'Fibres used up', amount: usedUp(context, hundreds, inputs, kept), ...hadOf(context) },
      { name: 'Grass glue', amount: glue, material: 'grass glue' },
    ],
    handsOn: handsOnOf(context, areaMm2, 1),
    batches: {
      of: 'patch',
      count: patches,
      mlEach: glue.likely / patches,
      recipe: [],
      eachMm2: 100 * patch,
      why: `the glue skins over in about ${open} min`,
    },
    coats: 1,
    coatWord: 'coat',
    drying: hoursOf(context, 'grass glue'),
    dryG: amountOf('g', hundreds, '', [], [times(kept)]),
  };
}

/** Fibres that are gone afterwards: what is kept, and of the loose excess what is not gathered up to be used again. */
function usedUp(
  context: StepContext,
  hundreds: number,
  inputs: Amount['working']['inputs'],
  kept: Coefficient,
): Amount {
  const load = context.catalogue.figure(context.material, 'load');
  const gathered = context.catalogue.figure(context.material, 'gatheredPercent');
  if (!load) return amountOf('g', hundreds, 'covered x fibres kept', inputs, [times(kept)]);
  const gone = (loaded: number, again: number) => 1 + Math.max(0, loaded - 1) * (1 - again / 100);
  const factor = {
    ...load,
    name: 'used up, of what is kept',
    low: gone(load.low, gathered?.high ?? 0),
    likely: gone(load.likely, gathered?.likely ?? 0),
    high: gone(load.high, gathered?.low ?? 0),
  };
  return amountOf('g', hundreds, 'covered x fibres kept x (1 + (load - 1) x (1 - gathered up))', inputs, [
    times(kept),
    times(factor),
  ]);
}

/** Discs so far apart that they stand at random take about this part of the densest packing (random sequential packing, 0.547 of 0.907; from memory). */
const RANDOM_PACKING = 0.6;

/** How many things stand on an area: by their density, and no more than keep their distance. */
function countOn(areaMm2: number, per100Cm2: number, apartMm: number | null): { count: number; limited: boolean } {
  const wanted = (areaMm2 / 1e4) * per100Cm2;
  const most = apartMm ? (RANDOM_PACKING * areaMm2 * 2) / (Math.sqrt(3) * apartMm ** 2) : Number.POSITIVE_INFINITY;
  return { count: Math.round(Math.min(wanted, most)), limited: most < wanted };
}

/** Things counted piece by piece. */
export function countedAmounts(context: StepContext): StepAmounts {
  const { catalogue, material, worn } = context;
  const name = catalogue.material(material)?.name ?? material;
  const { areaMm2 } = covered(context);
  let pieces = 0;
  let limited = false;
  for (const one of worn) {
    const { count, limited: full } = countOn(touchedMm2(one), one.coat.per100Cm2 ?? 0, one.coat.apartMm);
    pieces += count;
    limited ||= full;
  }
  // Zones may ask for different densities of one thing: then each is written out.
  const alike = worn.every(
    ({ coat }) => coat.per100Cm2 === worn[0].coat.per100Cm2 && coat.apartMm === worn[0].coat.apartMm,
  );
  const inputs = (alike ? [worn[0]] : worn).flatMap((one) => {
    const there = alike ? '' : `, ${one.surface.name}`;
    const { per100Cm2, apartMm } = one.coat;
    return [
      { name: `ground${there}`, value: (alike ? areaMm2 : touchedMm2(one)) / 100, unit: 'cm2' },
      { name: `on 100 cm2${there}`, value: per100Cm2 ?? 0, unit: '' },
      ...(apartMm ? [{ name: `apart at least${there}`, value: apartMm, unit: 'mm' }] : []),
    ];
  });
  const words = limited ? 'as many as keep their distance' : 'ground x density';
  return {
    title: `${name}, ${pieces}`,
    areaMm2,
    materials: [{ name, amount: measured('each', pieces, words, inputs), ...hadOf(context) }],
    handsOn: withSetUp(
      amountOf(
        'min',
        pieces,
        'pieces x each',
        [{ name: 'pieces', value: pieces, unit: '' }],
        maybe(context, 'eachMin'),
      ),
      catalogue.figure(material, 'setUpMin'),
      1,
    ),
    batches: null,
    coats: 1,
    coatWord: 'coat',
    drying: { kind: 'none' },
    dryG: pieces ? amountOf('g', pieces, '', [], maybe(context, 'eachG')) : zeroG,
  };
}

/** Panels along the sides: their area to the profile, and the length they run. */
export function panelAmounts(context: StepContext): StepAmounts {
  const { catalogue, material, worn } = context;
  const name = catalogue.material(material)?.name ?? material;
  const { areaMm2, inputs } = covered(context);
  const lengthM = worn.reduce((sum, { surface }) => sum + surface.lengthM, 0);
  const thickMm = worn[0].coat.thicknessMm ?? catalogue.need(material, 'layerMm').likely;
  const density = catalogue.need(material, 'densityKgM3');
  const glue = maybe(context, 'glueMl');
  return {
    title: name,
    areaMm2,
    materials: [
      {
        name: `${name}, cm2`,
        amount: measured('mm2', areaMm2, 'the sides, from under the board to the ground', inputs),
      },
      {
        name: 'of it along the sides',
        amount: measured('mm', 1000 * lengthM, 'the length of all sides', [
          { name: 'length', value: lengthM, unit: 'm' },
        ]),
        ...hadOf(context),
      },
      {
        name: 'Glue under them',
        amount: amountOf('ml', areaMm2 / 1e4, 'the sides x glue', inputs, glue),
        material: 'white PVA',
      },
    ],
    handsOn: withSetUp(
      amountOf(
        'min',
        lengthM,
        'length x fitting',
        [{ name: 'length', value: lengthM, unit: 'm' }],
        maybe(context, 'perMMin'),
      ),
      catalogue.figure(material, 'setUpMin'),
      1,
    ),
    batches: null,
    coats: 1,
    coatWord: 'coat',
    drying: hoursOf(context, 'glue under the panels'),
    dryG: areaMm2 ? scaleRange(density, (areaMm2 * thickMm) / 1e6) : exactly(0),
  };
}
