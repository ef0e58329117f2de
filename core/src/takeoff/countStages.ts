import type { Ground } from '../ground/index.ts';
import { type Catalogue, catalogueOf } from '../materials/index.ts';
import { COUNT_STEP, type Count, nameOf, type Project } from '../project/index.ts';
import { type Coefficient, decimals, type Range, scaleRange, sum } from '../units/index.ts';
import { amountOf, measured, times } from './amounts.ts';
import { materialCautions } from './cautions.ts';
import { type HouseShare, houseShare, readRow, stonesOf, tilesOf } from './counts.ts';
import { moneyFor, type PriceOf, pricesOf } from './money.ts';
import type { StageTakeoff, TakenMaterial } from './stage.ts';
import { withSetUp } from './withSetUp.ts';

interface Piece {
  material: string;
  name: string;
  count: number;
  how: string;
}

/** Everything that is counted piece by piece, each with its hours: rows on the ground, rings, tiles, fibre for smoke. */
export function countStages(
  project: Pick<Project, 'rows' | 'counts' | 'materials' | 'stores'>,
  ground: Ground,
  bed: StageTakeoff['after'] = [],
): StageTakeoff[] {
  const catalogue = catalogueOf(project.materials);
  const priceOf = pricesOf(project);
  return [
    ...project.rows.map((row) => {
      const read = readRow(row, ground);
      const rails: TakenMaterial[] =
        read.railMm > 0
          ? [
              {
                name: 'Rail, all of it',
                amount: measured('mm', read.railMm, 'length along the ground x rails', [mm('length', read.lengthMm)]),
                // Rails of a fence are counted bay by bay.
                ...(row.kind === 'track' && { material: 'running rail' }),
              },
            ]
          : [];
      const stage = stageOf(
        catalogue,
        priceOf,
        `row-${row.id}`,
        nameOf(row),
        read.pieces,
        rails,
        row.kind === 'track' ? read.railMm / 2000 : 0,
        row.kind === 'street' ? houseShare(row.frontageMm) : undefined,
      );
      return { ...stage, after: [...bed], note: 'Made while glue and paste dry; set when the ground is there.' };
    }),
    ...project.counts.map((count) => countedStage(catalogue, priceOf, count)),
  ].filter((stage) => stage.materials.length > 0);
}

const mm = (name: string, value: number) => ({ name, value, unit: 'mm' });

function countedStage(catalogue: Catalogue, priceOf: PriceOf, count: Count): StageTakeoff {
  const id = `${COUNT_STEP}${count.id}`;
  switch (count.kind) {
    case 'ring': {
      const { stones, wedgeDegrees, innerMm, outerMm } = stonesOf(count);
      const one = (value: number) => decimals(value, 2);
      const how = `each spans ${one(wedgeDegrees)} degrees: ${one(innerMm)} mm wide inside, ${one(outerMm)} mm outside`;
      return stageOf(
        catalogue,
        priceOf,
        id,
        count.name,
        [{ material: 'ring stone', name: 'Ring stones', count: stones, how }],
        [],
        0,
      );
    }
    case 'tiling': {
      const { courses, tiles } = tilesOf(count);
      const how = `${courses} courses on each of ${count.faces} ${count.faces === 1 ? 'face' : 'faces'}, cut ones counted whole`;
      return stageOf(
        catalogue,
        priceOf,
        id,
        count.name,
        [{ material: 'tile', name: 'Tiles', count: tiles, how }],
        [],
        0,
      );
    }
    case 'fill': {
      const bulk = catalogue.need('fibre fill', 'bulkKgPerL');
      const fibre = amountOf(
        'g',
        count.volumeMl,
        'volume x loose density',
        [{ name: 'volume', value: count.volumeMl, unit: 'ml' }],
        [times(bulk)],
      );
      return stageOf(
        catalogue,
        priceOf,
        id,
        count.name,
        [{ material: 'fibre fill', name: 'Clouds to tease out', count: 1, how: 'one cloud' }],
        [{ name: 'Fibre fill', amount: fibre, material: 'fibre fill' }],
        0,
      );
    }
  }
}

/** One counted thing with its minutes: so many pieces, and so many metres; `size`: what each is of the piece that the catalogue knows. */
function stageOf(
  catalogue: Catalogue,
  priceOf: PriceOf,
  id: string,
  name: string,
  pieces: readonly Piece[],
  more: TakenMaterial[],
  metres: number,
  size?: HouseShare,
): StageTakeoff {
  const { minutes: ofMinutes, mass: ofMass } = size ?? { minutes: 1, mass: 1 };
  const there = pieces.filter(({ count }) => count > 0);
  const each = there.flatMap(({ material, count }) => part(catalogue.figure(material, 'eachMin'), count * ofMinutes));
  const along = metres > 0 ? part(catalogue.figure('running rail', 'perMMin'), metres) : [];
  const minutes = [...each, ...along];
  const work = sum(minutes.map(({ range }) => range));
  const materials: TakenMaterial[] = [
    ...there.map(({ material, name: called, count, how }) => ({
      name: called,
      amount: measured('each', count, how),
      material,
    })),
    ...more,
  ];
  const setUp = there.length ? catalogue.figure(there[0].material, 'setUpMin') : null;
  return {
    id,
    stage: 'cover',
    operation: 'plant',
    title: name,
    zones: [],
    areaMm2: 0,
    materials,
    handsOn: withSetUp(
      {
        ...work,
        unit: 'min',
        working: {
          expression: `pieces x each${size ? ' x size' : ''}${metres > 0 ? ' + length x laying' : ''}`,
          inputs: [
            ...there.map(({ name: called, count }) => ({ name: called.toLowerCase(), value: count, unit: '' })),
            ...(size ? [{ name: 'size, of the usual', value: ofMinutes, unit: '' }] : []),
            ...(metres > 0 ? [{ name: 'length', value: metres, unit: 'm' }] : []),
          ],
          coefficients: minutes.map(({ figure }) => figure),
        },
      },
      setUp,
      1,
    ),
    batches: null,
    coats: 1,
    coatWord: 'coat',
    drying: { kind: 'none' },
    after: [],
    dryG: sum(
      there
        .flatMap(({ material, count }) => part(catalogue.figure(material, 'eachG'), count * ofMass))
        .map(({ range }) => range),
    ),
    money: moneyFor(priceOf, materials),
    note: 'Can be made while glue and paste dry.',
    cautions: materialCautions(
      catalogue,
      there.map(({ material }) => material),
    ),
  };
}

const part = (figure: Coefficient | null, times: number): { figure: Coefficient; range: Range }[] =>
  figure ? [{ figure, range: scaleRange(figure, times) }] : [];
