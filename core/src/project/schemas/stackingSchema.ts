import { z } from 'zod';
import { id, name } from './drawn.ts';

export const schools = ['carve back', 'halfway', 'build up'] as const;
export type School = (typeof schools)[number];
export const glues = [
  'white PVA',
  'quick PVA',
  'polyurethane',
  'contact spray',
  'hybrid grab',
  'foam-safe super glue',
  'hot glue',
  'sealant',
  'quick rim, slow middle',
  'super glue',
  'solvent grab',
  'hot glue, high temperature',
] as const;

/** What the stack is chosen for; "least cost" weighs everything by the stated costs, within the chosen school. */
export const wishes = [
  'least cost',
  'fewest layers',
  'least carving',
  'least paste',
  'least bought',
  'soonest dry',
  'lightest',
] as const;
export type Wish = (typeof wishes)[number];

export const carvingTools = ['knife', 'rasp', 'hot wire', 'hot knife', 'sander'] as const;
export type CarvingTool = (typeof carvingTools)[number];

const areaSource = z.discriminatedUnion('kind', [
  /** A zone: the id of its patch or rule; null is the zone of everything else. */
  z.strictObject({ kind: z.literal('zone'), id: id.nullable() }),
  z.strictObject({ kind: z.literal('landform'), id }),
  z.strictObject({ kind: z.literal('steeper'), degrees: z.number().min(5).max(89) }),
]);

/** A part of the base that is built in a way of its own. Of areas that overlap the later one counts. */
export const areaSchema = z.strictObject({
  id,
  name: name.min(1),
  of: areaSource,
  /** Null: built as the rest of the base. */
  school: z.enum(schools).nullable(),
});
export type BuildArea = z.infer<typeof areaSchema>;

const most = (value: number) => z.number().min(0).max(value).nullable();

export const hollowings = ['solid', 'rings', 'core'] as const;

export const stackingSchema = z.strictObject({
  /** Null: by what the plan comes to in each of the three. */
  school: z.enum(schools).nullable(),
  wish: z.enum(wishes),
  glue: z.enum(glues),
  /** Pinned, dowelled or weighted until the joint holds, as most do; else each joint is left alone. */
  pressed: z.boolean(),
  /** The builder's own glue line, mm; null takes the usual one of the glue. */
  glueLineMm: z.number().min(0).max(5).nullable(),
  /** Where the steps would take paste deeper than `fromMm`, a wedge of offcut is glued in and `skimMm` of paste closes over it. Left out: paste. */
  wedges: z.strictObject({ fromMm: z.number().min(2).max(100), skimMm: z.number().min(0.5).max(20) }).optional(),
  /** Less height than this left above a joint is made with paste, not with another sheet. */
  leastStepMm: z.number().min(0).max(50),
  /** The part of a sheet that becomes pieces, until cutting is planned. */
  sheetYieldPercent: z.number().min(10).max(100),
  /** What counts how much, in minutes. */
  costs: z.strictObject({
    /** A layer: once, by the metre of its outline, and by the square decimetre that is glued. */
    perLayerMin: z.number().min(0).max(1000),
    outlineMinPerM: z.number().min(0).max(1000),
    gluedMinPerDm2: z.number().min(0).max(1000),
    /** Carving, with what: by what comes off, and by the metre of edge that is brought to its slope. */
    tool: z.enum(carvingTools),
    carveMinPerL: z.number().min(0).max(10000),
    carveMinPerM: z.number().min(0).max(1000),
    /** Flat ground that falls on no joint is brought to its height by hand: by the square decimetre. */
    flatMinPerDm2: z.number().min(0).max(1000),
    fillMinPerL: z.number().min(0).max(10000),
    /** That figure is for plaster compound; other pastes take as much longer or shorter as they do to spread. Left out: it is for any paste. */
    fillByPaste: z.boolean().optional(),
    /** Each millimetre that a level which should fall on a joint lies off it. */
    offMinPerMm: z.number().min(0).max(1000),
    /** One unit of the project's currency. */
    minPerMoney: z.number().min(0).max(1000),
    minPerKg: z.number().min(0).max(10000),
    /** What a day sooner is worth. */
    minPerDay: z.number().min(0).max(1000),
    /** Moving a level that may be moved: drawing it anew, and what a millimetre off the wanted height is worth. */
    perMoveMin: z.number().min(0).max(1000),
    moveMinPerMm: z.number().min(0).max(1000),
  }),
  /** Price of a litre of mixed paste, in the project's currency. */
  pastePerL: z.number().min(0).max(10000).nullable(),
  /** What the stack may come to at most. */
  most: z.strictObject({
    layers: z.number().int().min(1).max(200).nullable(),
    carveL: most(1000),
    fillL: most(1000),
    bought: most(1e6),
    weightG: most(1e6),
    offMm: most(1000),
  }),
  /** A wire in a bench that slices sheets thinner; null: there is none. */
  wire: z.strictObject({ kerfMm: z.number().min(0).max(10), thinnestMm: z.number().min(1).max(100) }).nullable(),
  areas: z.array(areaSchema).max(20),
  /** Solid layers; rings where the layer above hides the inside; or a hollow core with a wall of one thickness. */
  hollow: z.strictObject({
    kind: z.enum(hollowings),
    /** Foam that stays under the edge of the layer above (rings), or all round the core. */
    wallMm: z.number().min(5).max(200),
    ribs: z.strictObject({ everyMm: z.number().min(20).max(1000), widthMm: z.number().min(5).max(200) }).nullable(),
  }),
  /** Dowels (or pins) that keep a layer in place on the one below. */
  dowel: z.strictObject({ diameterMm: z.number().min(0.5).max(30), marginMm: z.number().min(0).max(100) }),
});

const layerOf = {
  /** The kinds it is cut from: each place takes the first that may lie there. */
  sheetIds: z.array(id).min(1).max(3),
  /** Sliced to this thickness; null is a whole sheet. */
  sliceMm: z.number().gt(0).max(400).nullable(),
};

/** What the builder settled about the stack of one tile. */
export const stackSchema = z.strictObject({
  /** The layers from the board up as the builder wants them; null leaves the choice to the stated costs. */
  byHand: z.array(z.strictObject(layerOf)).max(200).nullable(),
  /** Layers that stay where they are whatever is chosen round them: `fromMm` is the joint they lie on. */
  pinned: z.array(z.strictObject({ ...layerOf, fromMm: z.number().min(0).max(2000) })).max(100),
  /** Levels that should fall on a joint: an item's id, and which of its heights. */
  onJoint: z.array(z.strictObject({ itemId: id, part: name })).max(200),
});
export type HandLayer = NonNullable<z.infer<typeof stackSchema>['byHand']>[number];
export type PinnedLayer = z.infer<typeof stackSchema>['pinned'][number];
