import { z } from 'zod';
import { drawn, give, heightIs, heightMm, lineOf, outlineOf } from './drawn.ts';

/** Slope of a bank, 90 is a wall. */
const degrees = z.number().min(1).max(90);
const size = z.number().gt(0).max(2000);
/** Null: as the land lies there. */
const landOr = heightMm.nullable();
const percent = z.number().min(0).max(100);
const line = { ...drawn, heightIs, give, ...lineOf(2000) };
const outline = { ...drawn, heightIs, give, ...outlineOf(2000) };
const laidOutline = { ...drawn, ...outlineOf(2000) };

export const wayUses = ['road', 'track', 'roadbed', 'path'] as const;
export const waters = ['pond', 'lake', 'sea'] as const;
export const beds = ['shelving', 'round'] as const;

/** Flat ground inside its outline, with a bank down or up to the land. */
const pad = z.strictObject({ kind: z.literal('pad'), ...outline, heightMm, bankDegrees: degrees });

/** Treads one behind the other at the left of their front line, each a rise higher, with walls between. */
const terraces = z.strictObject({
  kind: z.literal('terraces'),
  ...line,
  firstMm: heightMm,
  count: z.number().int().min(1).max(40),
  treadMm: size,
  riseMm: size,
  wallDegrees: degrees,
});

/** A road, track or roadbed: even gradient from end to end, banks where it stands above the land, cuttings where it lies below. */
const way = z.strictObject({
  kind: z.literal('way'),
  ...line,
  use: z.enum(wayUses),
  widthMm: size,
  fromMm: landOr,
  toMm: landOr,
  /** Steepest gradient allowed, percent. */
  gradientPercent: percent,
  /** How much its left side stands above its right, percent of the width. */
  crossfallPercent: z.number().min(-50).max(50),
  bankDegrees: degrees,
  cutDegrees: degrees,
});

const steps = z.strictObject({
  kind: z.literal('steps'),
  ...line,
  widthMm: size,
  fromMm: landOr,
  toMm: landOr,
  count: z.number().int().min(1).max(200),
  bankDegrees: degrees,
});

/** A stream or ditch: its bank line falls evenly, its bed lies `depthMm` below that, the water stands `waterMm` over the bed. */
const channel = z.strictObject({
  kind: z.literal('channel'),
  ...line,
  widthMm: size,
  fromMm: landOr,
  toMm: landOr,
  depthMm: size,
  waterMm: z.number().min(0).max(2000),
  bankDegrees: degrees,
  /** A raised bit of bed: where along it (0 to 1), how long, and how deep the water is over it. */
  ford: z
    .strictObject({ share: z.number().min(0).max(1), lengthMm: size, waterMm: z.number().min(0).max(500) })
    .nullable(),
});

/** Standing water: the outline is its shore, at the water's level. */
const basin = z.strictObject({
  kind: z.literal('basin'),
  ...outline,
  water: z.enum(waters),
  waterMm: heightMm,
  depthMm: size,
  bed: z.enum(beds),
  bedDegrees: degrees,
  bankDegrees: degrees,
});

/** A rounded rise over the land. */
const mound = z.strictObject({ kind: z.literal('mound'), ...outline, riseMm: size });

/** Loose stuff tipped on the land: it stands at its angle of repose from its foot, and no higher than `mostMm` over the land. */
const heap = z.strictObject({ kind: z.literal('heap'), ...outline, reposeDegrees: degrees, mostMm: size.nullable() });

/** Dug down from its rim to a floor; flooded to `waterMm` where that is set. */
const pit = z.strictObject({
  kind: z.literal('pit'),
  ...outline,
  floorMm: heightMm,
  wallDegrees: degrees,
  waterMm: landOr,
});

/** A bowl with a raised rim (its outline) and an apron that runs out. */
const crater = z.strictObject({
  kind: z.literal('crater'),
  ...outline,
  depthMm: size,
  rimMm: z.number().min(0).max(2000),
  apronMm: size,
});

/** A face from its top edge (the line) down to its foot on the right of the way it is drawn. */
const cliff = z.strictObject({
  kind: z.literal('cliff'),
  ...line,
  topMm: heightMm,
  footMm: heightMm,
  faceDegrees: degrees,
});

/** Land that rises out of water: the outline is its shore. */
const island = z.strictObject({
  kind: z.literal('island'),
  ...outline,
  waterMm: heightMm,
  riseMm: size,
  shoreDegrees: degrees,
});

/** An even slope through the water's edge (the line), the land at its left, running out under water at its right. */
const beach = z.strictObject({
  kind: z.literal('beach'),
  ...line,
  waterMm: heightMm,
  widthMm: size,
  slopeDegrees: degrees,
  bankDegrees: degrees,
});

/** A deck over a gap: it changes no ground, and tells how much room is under it. */
const span = z.strictObject({
  kind: z.literal('span'),
  ...line,
  widthMm: size,
  thicknessMm: size,
  fromMm: landOr,
  toMm: landOr,
  /** Room wanted under the deck. */
  clearanceMm: z.number().min(0).max(2000),
});

export const landformSchema = z.discriminatedUnion('kind', [
  pad,
  terraces,
  way,
  steps,
  channel,
  basin,
  mound,
  heap,
  pit,
  crater,
  cliff,
  island,
  beach,
  span,
]);
export type Landform = z.infer<typeof landformSchema>;
export type LandformKind = Landform['kind'];
export type LandformOf<K extends LandformKind> = Extract<Landform, { kind: K }>;

export const laidKinds = ['rock', 'bark', 'slate', 'cast', 'building'] as const;
/** A thing laid in rather than built: it stands on the ground at its height, sunk by how deep it is bedded. */
export const laidSchema = z.strictObject({
  kind: z.enum(laidKinds),
  ...laidOutline,
  heightMm: size,
  beddedMm: z.number().min(0).max(2000),
  /** Room to be kept free round it. */
  marginMm: z.number().min(0).max(500),
  /** The builder's own, kg/L of the whole shape; null takes the usual one of the kind. */
  densityKgL: z.number().gt(0).max(20).nullable(),
  /** Where a deck is over it: it lies below, in the ground; left out: on the deck. */
  under: z.boolean().optional(),
});
export type Laid = z.infer<typeof laidSchema>;
