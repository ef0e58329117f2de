import { z } from 'zod';
import { ownMaterialsSchema } from '../../materials/index.ts';
import { baseSchema } from './baseSchema.ts';
import { distanceSchema, envelopeSchema, judgingSchema, limitsSchema } from './briefSchema.ts';
import { cuttingSchema, nestSchema, paperSchema } from './cuttingSchema.ts';
import { heightsAre, id, name, pointSchema } from './drawn.ts';
import { laidSchema, landformSchema } from './landformSchema.ts';
import { markSchema } from './markSchema.ts';
import { panelSchema } from './panelSchema.ts';
import { recipeSchema } from './recipeSchema.ts';
import { countSchema, rowSchema } from './rowSchema.ts';
import { offcutSchema, sheetSchema } from './sheetSchema.ts';
import { stackingSchema, stackSchema } from './stackingSchema.ts';
import { overruledSchema, storesSchema, supportSchema } from './storesSchema.ts';
import { terrainSchema, underlaySchema } from './terrainSchema.ts';
import { thingSchema } from './thingSchema.ts';
import { profileSchema, tileFields, tileSchema } from './tileSchema.ts';
import { voidSchema } from './voidSchema.ts';
import { patchSchema, zonesSchema } from './zoneSchema.ts';

export const PROJECT_FORMAT = 'hosket-project';
export const PROJECT_VERSION = 13;

const percent = z.number().min(0).max(100);
const airSchema = z.strictObject({
  temperatureC: z.number().min(-5).max(45),
  humidityPercent: percent,
  airSpeedMs: z.number().min(0).max(3),
});

const sectionSchema = z.strictObject({ id, name, from: pointSchema, to: pointSchema });

const surfaceSchema = z.strictObject({
  /** What every zone wears that has no recipe of its own. */
  recipe: id,
  /** What the sides of the base wear, and the inside of the box; null: nothing. */
  edges: id.nullable(),
  walls: id.nullable(),
});

const clock = z.string().regex(/^([01]\d|2[0-3]):[0-5]\d$|^24:00$/, 'Write the time like 19:30');
const sittingSchema = z
  .strictObject({ from: clock, to: clock })
  .refine(({ from, to }) => from < to, { path: ['to'], message: 'The end must come after the start' })
  .nullable();

const benchSchema = z.strictObject({
  startDate: z.iso
    .date('Write the date like 2027-03-15')
    .refine((date) => date >= '1900' && date < '9900', 'Choose a year from 1900 to 9899'),
  week: z.strictObject({
    monday: sittingSchema,
    tuesday: sittingSchema,
    wednesday: sittingSchema,
    thursday: sittingSchema,
    friday: sittingSchema,
    saturday: sittingSchema,
    sunday: sittingSchema,
  }),
  skill: z.enum(['first-timer', 'practised', 'experienced']),
});

const unique = (list: { id: string }[]) => new Set(list.map((item) => item.id)).size === list.length;

/** What belongs to one tile of a set: its base and everything drawn on it. */
const contentFields = {
  base: baseSchema,
  /** Ground that came from a grid of heights; marks and landforms act on top of it. */
  terrain: terrainSchema.nullable(),
  /** A picture under the plan. */
  underlay: underlaySchema.nullable(),
  marks: z.array(markSchema).max(2000).refine(unique, 'Two marks have the same id'),
  /** In the order in which they are built: where two meet, the later one has its way. */
  landforms: z.array(landformSchema).max(500).refine(unique, 'Two landforms have the same id'),
  laid: z.array(laidSchema).max(1000).refine(unique, 'Two things set in have the same id'),
  /** What stands on the ground and is no part of it. */
  things: z.array(thingSchema).max(1000).refine(unique, 'Two things have the same id'),
  /** Hollows in the ground. */
  voids: z.array(voidSchema).max(200).refine(unique, 'Two voids have the same id'),
  /** Zones by their outline. */
  patches: z.array(patchSchema).max(500).refine(unique, 'Two patches have the same id'),
  /** Things set in rows along a line. */
  rows: z.array(rowSchema).max(300).refine(unique, 'Two rows have the same id'),
  /** Upright parts that are cut from sheets beside its layers. */
  panels: z.array(panelSchema).max(100).refine(unique, 'Two panels have the same id'),
  sections: z.array(sectionSchema).min(1).max(40).refine(unique, 'Two section lines have the same id'),
  /** What was settled by hand about its stack. */
  stack: stackSchema,
  /** Where its pieces lie on the sheets, and which of them are cut. */
  nest: nestSchema,
};
const closedTileSchema = z.strictObject({ ...tileFields, ...contentFields });

export const projectSchema = z.strictObject({
  format: z.literal(PROJECT_FORMAT),
  version: z.literal(PROJECT_VERSION),
  name: z.string().min(1).max(120),
  notes: z.string().max(20000),
  /** Real size / model size; null where the work has no scale. */
  scale: z.number().min(1).max(1e6).nullable(),
  distance: distanceSchema.nullable(),
  currency: z.string().max(8),
  /** What drawn heights are of, where an item does not say otherwise. */
  heights: heightsAre,
  envelope: envelopeSchema,
  limits: limitsSchema,
  judging: judgingSchema,
  air: airSchema,
  sheets: z.array(sheetSchema).max(40).refine(unique, 'Two sheets have the same id'),
  offcuts: z.array(offcutSchema).max(300).refine(unique, 'Two offcuts have the same id'),
  ...contentFields,
  zones: zonesSchema,
  /** Named profiles that tiles share along their sides. */
  profiles: z.array(profileSchema).max(60).refine(unique, 'Two profiles have the same id'),
  /** The tile that lies open: its base and what is drawn on it stand in the project itself. */
  tile: tileSchema,
  /** The other tiles of the set. */
  tiles: z.array(closedTileSchema).max(60).refine(unique, 'Two tiles have the same id'),
  stacking: stackingSchema,
  cutting: cuttingSchema,
  paper: paperSchema,
  surface: surfaceSchema,
  recipes: z.array(recipeSchema).min(1).max(80).refine(unique, 'Two recipes have the same id'),
  /** What the builder added to the catalogue of materials, and corrected in it. */
  materials: ownMaterialsSchema,
  /** What is counted without being drawn. */
  counts: z.array(countSchema).max(100).refine(unique, 'Two counts have the same id'),
  /** What is in the cupboard, what can be bought, and what is done. */
  stores: storesSchema,
  overruled: overruledSchema,
  support: supportSchema,
  bench: benchSchema,
  /** Feeds the spread of the finish date: the same seed always gives the same plan. */
  seed: z.number().int().min(0).max(2_147_483_648),
});

export type Project = z.infer<typeof projectSchema>;
export type ClosedTile = z.infer<typeof closedTileSchema>;
export const contentKeys = Object.keys(contentFields) as (keyof typeof contentFields)[];
export type Content = Pick<Project, (typeof contentKeys)[number]>;
export type Glue = Project['stacking']['glue'];
export type Air = Project['air'];
export type SectionLine = Project['sections'][number];
export type Weekday = keyof Project['bench']['week'];
