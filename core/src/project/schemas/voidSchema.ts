import { z } from 'zod';
import { drawn, heightMm, lineOf, outlineOf } from './drawn.ts';

const size = z.number().gt(0).max(2000);
const line = { ...drawn, ...lineOf(2000) };
const outline = { ...drawn, ...outlineOf(2000) };

export const roofShapes = ['flat', 'vaulted'] as const;
export const bayUses = ['battery', 'switch', 'light box', 'other'] as const;
export const accesses = ['from below', 'from the side', 'by a lid'] as const;

/** The thinnest roof (and wall to the next void) that will hold. */
const roofLeastMm = z.number().min(0).max(200);
/** Whether it is meant to open on the ground: a cave's mouth, a tunnel's portals. */
const opens = z.boolean();

/** A hollow with a floor and, `headMm` over it, a roof. */
const cave = z.strictObject({
  kind: z.literal('cave'),
  ...outline,
  floorMm: heightMm,
  headMm: size,
  roof: z.enum(roofShapes),
  opens,
  roofLeastMm,
});

const tunnel = z.strictObject({
  kind: z.literal('tunnel'),
  ...line,
  widthMm: size,
  /** Floor at its two ends; it runs evenly between. */
  fromMm: heightMm,
  toMm: heightMm,
  headMm: size,
  roof: z.enum(roofShapes),
  opens,
  roofLeastMm,
});

/** A round bore for a cable; heights are those of its middle. */
const cable = z.strictObject({
  kind: z.literal('cable'),
  ...line,
  boreMm: z.number().min(0.5).max(100),
  fromMm: heightMm,
  toMm: heightMm,
  roofLeastMm,
});

/** Room for a battery, a switch, a light: to be reached from outside. */
const bay = z.strictObject({
  kind: z.literal('bay'),
  ...outline,
  use: z.enum(bayUses),
  access: z.enum(accesses),
  floorMm: heightMm,
  headMm: size,
  roofLeastMm,
});

/** A closed chamber that water must not reach. */
const chamber = z.strictObject({
  kind: z.literal('chamber'),
  ...outline,
  floorMm: heightMm,
  headMm: size,
  roofLeastMm,
});

export const voidKinds = ['cave', 'tunnel', 'cable', 'bay', 'chamber'] as const;
export const voidSchema = z.discriminatedUnion('kind', [cave, tunnel, cable, bay, chamber]);
export type Void = z.infer<typeof voidSchema>;
