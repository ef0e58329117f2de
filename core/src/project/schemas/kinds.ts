import type { Point } from '../../geometry/index.ts';
import { addItem, freeId } from '../edits/edits.ts';
import { type Item, itemsOf } from '../items.ts';
import { hollowBeginnings, hollowWords } from '../voidWords.ts';
import {
  choice,
  ends,
  field,
  height,
  type KindWords,
  laidFields,
  landOr,
  length,
  margin,
  slope,
  waterLevel,
} from './kindFields.ts';
import { beds, laidKinds, waters, wayUses } from './landformSchema.ts';
import type { Project } from './schema.ts';
import { thingKinds } from './thingSchema.ts';
import { voidKinds } from './voidSchema.ts';

export type ItemKind = Item['kind'];

const marks = {
  contour: {
    title: 'Contour',
    drawn: 'outline',
    about: 'A line of one height; closed, it may lie level inside.',
    fields: [height('heightMm', 'Height')],
  },
  spot: {
    title: 'Spot height',
    drawn: 'point',
    about: 'A point of known height.',
    fields: [height('heightMm', 'Height')],
  },
  form: {
    title: 'Form line',
    drawn: 'line',
    about: 'A ridge or valley whose height runs evenly from end to end.',
    fields: [height('fromMm', 'Height at its start'), height('toMm', 'Height at its end')],
  },
  break: {
    title: 'Break line',
    drawn: 'line',
    about: 'The ground may jump across it: top at its left, foot at its right.',
    fields: [
      { ...height('topMm', 'Top, at its left'), empty: 'as the ground lies' },
      { ...height('footMm', 'Foot, at its right'), empty: 'as the ground lies' },
    ],
  },
} as const;

const landforms = {
  pad: {
    title: 'Pad',
    drawn: 'outline',
    about: 'Flat ground with its bank.',
    fields: [height('heightMm', 'Height'), slope('bankDegrees', 'Bank')],
  },
  terraces: {
    title: 'Terraces',
    drawn: 'line',
    about: 'Treads behind their front line, on its left, with walls between.',
    fields: [
      height('firstMm', 'First tread'),
      field('count', 'Treads', 'count', 1, 40),
      length('treadMm', 'Depth of a tread'),
      length('riseMm', 'Rise to the next'),
      slope('wallDegrees', 'Walls'),
    ],
  },
  way: {
    title: 'Road',
    drawn: 'line',
    about: 'An even gradient from end to end, with banks and cuttings.',
    fields: [
      choice('use', 'Use', wayUses),
      length('widthMm', 'Width'),
      ...ends,
      field('gradientPercent', 'Steepest allowed', 'percent', 0, 100),
      field('crossfallPercent', 'Crossfall, left side up', 'percent', -50, 50),
      slope('bankDegrees', 'Banks'),
      slope('cutDegrees', 'Cuttings'),
    ],
  },
  steps: {
    title: 'Steps',
    drawn: 'line',
    about: 'A flight from its start to its end.',
    fields: [
      length('widthMm', 'Width'),
      ...ends,
      field('count', 'Steps', 'count', 1, 200),
      slope('bankDegrees', 'Sides'),
    ],
  },
  channel: {
    title: 'Stream',
    drawn: 'line',
    about: 'A bed below its banks, with a water line that falls evenly.',
    fields: [
      length('widthMm', 'Width of the bed'),
      landOr('fromMm', 'Banks at its start'),
      landOr('toMm', 'Banks at its end'),
      length('depthMm', 'Bed below the banks'),
      length('waterMm', 'Water over the bed', 0),
      slope('bankDegrees', 'Banks'),
    ],
  },
  basin: {
    title: 'Pond',
    drawn: 'outline',
    about: 'Standing water: the outline is its shore.',
    fields: [
      choice('water', 'Kind', waters),
      waterLevel,
      length('depthMm', 'Depth'),
      choice('bed', 'Bed', beds),
      slope('bedDegrees', 'Slope of the bed'),
      slope('bankDegrees', 'Banks outside'),
    ],
  },
  mound: {
    title: 'Mound',
    drawn: 'outline',
    about: 'A rounded rise over the land.',
    fields: [length('riseMm', 'Rise')],
  },
  heap: {
    title: 'Heap',
    drawn: 'outline',
    about: 'Tipped stuff at its angle of repose.',
    fields: [slope('reposeDegrees', 'Angle of repose'), { ...length('mostMm', 'No higher than'), empty: 'no limit' }],
  },
  pit: {
    title: 'Pit',
    drawn: 'outline',
    about: 'Dug down from its rim to a floor, perhaps flooded.',
    fields: [height('floorMm', 'Floor'), slope('wallDegrees', 'Walls'), { ...waterLevel, empty: 'dry' }],
  },
  crater: {
    title: 'Crater',
    drawn: 'outline',
    about: 'A bowl with a raised rim.',
    fields: [
      length('depthMm', 'Depth below the land'),
      length('rimMm', 'Rim over the land', 0),
      length('apronMm', 'Rim runs out over'),
    ],
  },
  cliff: {
    title: 'Cliff',
    drawn: 'line',
    about: 'A face from its top edge down to its foot, on its right.',
    fields: [height('topMm', 'Top'), height('footMm', 'Foot'), slope('faceDegrees', 'Face')],
  },
  island: {
    title: 'Island',
    drawn: 'outline',
    about: 'Land that rises out of water.',
    fields: [waterLevel, length('riseMm', 'Rise over the water'), slope('shoreDegrees', 'Slope under water')],
  },
  beach: {
    title: 'Beach',
    drawn: 'line',
    about: 'An even slope through the water’s edge, land at its left.',
    fields: [
      waterLevel,
      length('widthMm', 'Width to each side'),
      slope('slopeDegrees', 'Slope'),
      slope('bankDegrees', 'Banks beyond'),
    ],
  },
  span: {
    title: 'Span',
    drawn: 'line',
    about: 'A deck over a gap, a way or water; its clearance is read.',
    fields: [
      length('widthMm', 'Width'),
      length('thicknessMm', 'Thickness of the deck'),
      { ...landOr('fromMm', 'Deck at its start') },
      { ...landOr('toMm', 'Deck at its end') },
      length('clearanceMm', 'Room wanted under it', 0),
    ],
  },
} as const;

const laid = {
  rock: { title: 'Rock', drawn: 'outline', about: 'A stone set into the ground.', fields: laidFields },
  bark: { title: 'Bark', drawn: 'outline', about: 'A piece of bark set into the ground.', fields: laidFields },
  slate: { title: 'Slate', drawn: 'outline', about: 'A slate set into the ground.', fields: laidFields },
  cast: { title: 'Cast piece', drawn: 'outline', about: 'A plaster cast set into the ground.', fields: laidFields },
  building: { title: 'Building', drawn: 'outline', about: 'A building that stands here.', fields: laidFields },
} as const;

const thingFields = [
  length('footMm', 'Across its foot'),
  length('heightMm', 'Height'),
  { ...length('crownMm', 'Across its crown'), empty: 'as its foot' },
  length('raisedMm', 'Held up by', 0),
  { ...field('massG', 'Weight, g', 'plain', 0.01, 100_000), empty: 'by its size' },
  margin,
];
const things = {
  tree: { title: 'Tree', drawn: 'point', about: 'A tree; its crown may be wider than its foot.', fields: thingFields },
  figure: { title: 'Figure', drawn: 'point', about: 'A figure on its base.', fields: thingFields },
  vehicle: {
    title: 'Vehicle',
    drawn: 'point',
    about: 'A lorry, a wagon, a boat: long, and turned its own way.',
    fields: thingFields,
  },
  held: { title: 'Held-up model', drawn: 'point', about: 'A model held up over the ground.', fields: thingFields },
  stood: { title: 'Other thing', drawn: 'point', about: 'Anything else that stands here.', fields: thingFields },
} as const;

const rows = {
  fence: {
    title: 'Fence',
    drawn: 'line',
    about: 'Posts with a post at every corner, evenly parted between.',
    fields: [
      length('pitchMm', 'From post to post, at most', 1),
      field('rails', 'Rails', 'count', 0, 12),
      choice('ends', 'Its ends', ['open', 'closed']),
    ],
  },
  street: {
    title: 'Street',
    drawn: 'line',
    about: 'Houses along it by their frontage.',
    fields: [
      length('frontageMm', 'Frontage of a house', 1),
      length('gapMm', 'Gap to the next', 0),
      choice('sides', 'Built on', ['one side', 'both sides']),
    ],
  },
  track: {
    title: 'Track',
    drawn: 'line',
    about: 'Sleepers and two rails.',
    fields: [length('pitchMm', 'From sleeper to sleeper')],
  },
} as const;

export const kindWords: Readonly<Record<ItemKind, KindWords>> = {
  ...marks,
  ...landforms,
  ...laid,
  ...things,
  ...rows,
  ...hollowWords,
};
export const markKinds = Object.keys(marks) as (keyof typeof marks)[];
export const landformKinds = Object.keys(landforms) as (keyof typeof landforms)[];
export const laidThings = laidKinds;
export const standing = thingKinds;
export const hollows = voidKinds;

/** What a new item of each kind begins with, on land of a given height. */
const beginnings: Readonly<Record<ItemKind, (land: number) => object>> = {
  contour: (heightMm) => ({ heightMm, closed: true, level: false }),
  spot: (heightMm) => ({ heightMm }),
  form: (land) => ({ fromMm: land, toMm: land }),
  break: () => ({ topMm: null, footMm: null }),
  pad: (heightMm) => ({ heightMm, bankDegrees: 40 }),
  terraces: (firstMm) => ({ firstMm, count: 3, treadMm: 20, riseMm: 8, wallDegrees: 80 }),
  way: () => ({
    use: 'road',
    widthMm: 30,
    fromMm: null,
    toMm: null,
    gradientPercent: 10,
    crossfallPercent: 0,
    bankDegrees: 38,
    cutDegrees: 50,
  }),
  steps: () => ({ widthMm: 15, fromMm: null, toMm: null, count: 8, bankDegrees: 80 }),
  channel: () => ({ widthMm: 12, fromMm: null, toMm: null, depthMm: 6, waterMm: 3, bankDegrees: 50, ford: null }),
  basin: (waterMm) => ({ water: 'pond', waterMm, depthMm: 6, bed: 'shelving', bedDegrees: 30, bankDegrees: 40 }),
  mound: () => ({ riseMm: 12 }),
  heap: () => ({ reposeDegrees: 35, mostMm: null }),
  pit: (land) => ({ floorMm: Math.max(0, land - 15), wallDegrees: 70, waterMm: null }),
  crater: () => ({ depthMm: 8, rimMm: 4, apronMm: 15 }),
  cliff: (land) => ({ topMm: land + 20, footMm: land, faceDegrees: 80 }),
  island: (waterMm) => ({ waterMm, riseMm: 10, shoreDegrees: 30 }),
  beach: (waterMm) => ({ waterMm, widthMm: 20, slopeDegrees: 8, bankDegrees: 40 }),
  span: () => ({ widthMm: 30, thicknessMm: 4, fromMm: null, toMm: null, clearanceMm: 0 }),
  rock: () => ({ heightMm: 20, beddedMm: 4, marginMm: 0, densityKgL: null }),
  bark: () => ({ heightMm: 20, beddedMm: 4, marginMm: 0, densityKgL: null }),
  slate: () => ({ heightMm: 12, beddedMm: 3, marginMm: 0, densityKgL: null }),
  cast: () => ({ heightMm: 25, beddedMm: 3, marginMm: 0, densityKgL: null }),
  building: () => ({ heightMm: 60, beddedMm: 2, marginMm: 0, densityKgL: null }),
  tree: () => ({ footMm: 8, heightMm: 100, marginMm: 2, crownMm: 60, raisedMm: 0 }),
  figure: () => ({ footMm: 25, heightMm: 32, marginMm: 1, crownMm: null, raisedMm: 0 }),
  vehicle: () => ({
    footMm: 28,
    heightMm: 40,
    marginMm: 1,
    crownMm: null,
    raisedMm: 0,
    footprint: { kind: 'oblong', longMm: 90, turnDegrees: 0 },
  }),
  held: () => ({ footMm: 60, heightMm: 30, marginMm: 5, crownMm: null, raisedMm: 60 }),
  ...hollowBeginnings,
  fence: () => ({ pitchMm: 20, rails: 2, ends: 'open' }),
  street: () => ({ frontageMm: 80, gapMm: 10, sides: 'one side' }),
  track: () => ({ pitchMm: 7 }),
  stood: () => ({ footMm: 30, heightMm: 40, marginMm: 1, crownMm: null, raisedMm: 0 }),
};

/** Kinds whose lines are curves unless told otherwise. */
const curved: readonly ItemKind[] = [
  'way',
  'channel',
  'basin',
  'mound',
  'heap',
  'crater',
  'island',
  'beach',
  'rock',
  'bark',
  'cave',
  'tunnel',
  'cable',
  'patch',
  'track',
];

/** Adds a thing of a kind to a project, with the usual parameters on land of `landMm`; gives its id. */
export function drawItem(
  project: Project,
  kind: ItemKind,
  points: readonly Point[],
  landMm: number,
  change: object = {},
): { project: Project; id: string } {
  const all = itemsOf(project);
  const id = freeId(kind, all);
  const item = {
    kind,
    id,
    name: `${kindWords[kind].title} ${all.length + 1}`,
    hidden: false,
    locked: false,
    ...beginnings[kind](Math.round(landMm)),
    points: points.map(([x, y]) => [x, y]),
    ...(kindWords[kind].drawn === 'point' ? {} : { smooth: curved.includes(kind) }),
    ...change,
  } as unknown as Item;
  return { project: addItem(project, item), id };
}
