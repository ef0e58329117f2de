import { z } from 'zod';
import { packUnits } from '../../materials/index.ts';
import { id } from './drawn.ts';

const day = z.iso.date('Write the date like 2027-03-15');
const material = z.string().min(1).max(64);
/** Which of its kind: the colour, or the grade; empty where there is only one. */
const which = z.string().max(60);
const amount = z.number().min(0).max(1e6);

/** Something in the cupboard: how much of it is left. */
const storeItemSchema = z.strictObject({
  id,
  material,
  which,
  amount,
  unit: z.enum(packUnits),
  opened: day.nullable(),
  useBy: day.nullable(),
  place: z.string().max(60),
});
export type StoreItem = z.infer<typeof storeItemSchema>;

/** A pack as it can be had, at the builder's own price. */
const packOfferSchema = z.strictObject({
  id,
  material,
  /** Empty for any colour or grade of it. */
  which,
  amount: z.number().min(0.1, 'A pack holds at least 0.1 of its unit').max(1e6),
  unit: z.enum(packUnits),
  price: z.number().min(0).max(1e6).nullable(),
  supplier: z.string().max(120),
});
export type PackOffer = z.infer<typeof packOfferSchema>;

/** A step of the work that is done: what it used, and what of that came out of the cupboard. */
const doneStepSchema = z.strictObject({
  /** Of the tile that lay open: each tile of a set has steps of its own. */
  tile: id,
  step: z.string().min(1).max(120),
  title: z.string().max(200),
  on: day,
  used: z.array(z.strictObject({ material, which, amount, unit: z.enum(packUnits) })).max(40),
  taken: z.array(z.strictObject({ item: id, amount })).max(200),
});
export type DoneStep = z.infer<typeof doneStepSchema>;

/** How sure a shopping list is that nothing runs out, percent. */
export const safeties = [50, 80, 90, 95] as const;
export type Safety = (typeof safeties)[number];

export const storesSchema = z.strictObject({
  items: z
    .array(storeItemSchema)
    .max(500)
    .refine((list) => new Set(list.map((item) => item.id)).size === list.length, 'Two things have the same id'),
  packs: z
    .array(packOfferSchema)
    .max(500)
    .refine((list) => new Set(list.map((pack) => pack.id)).size === list.length, 'Two packs have the same id'),
  safety: z.literal(safeties),
  done: z.array(doneStepSchema).max(500),
});
export type Stores = z.infer<typeof storesSchema>;

export const emptyStores = (): Stores => ({ items: [], packs: [], safety: 80, done: [] });

/** A finding that the builder has read, and means to go against; kept with the reason. */
export const overruledSchema = z
  .array(
    z.strictObject({ code: z.string().min(1).max(60), place: z.string().max(200), note: z.string().min(1).max(500) }),
  )
  .max(300);
export type Overruled = z.infer<typeof overruledSchema>[number];

/** What the finished piece stands or hangs on, and how far it may be tipped before it falls. */
export const supportSchema = z.strictObject({
  on: z.enum(['its board', 'a plinth', 'a wall']),
  plinth: z.strictObject({ widthMm: z.number().min(1).max(5000), depthMm: z.number().min(1).max(5000) }),
  /** Two hooks on the board, so far apart, and so high over its lower edge. */
  hooks: z.strictObject({ apartMm: z.number().min(1).max(5000), upMm: z.number().min(1).max(5000) }),
  leastTipDegrees: z.number().min(0).max(80),
});
export type Support = z.infer<typeof supportSchema>;

export const usualSupport = (): Support => ({
  on: 'its board',
  plinth: { widthMm: 150, depthMm: 100 },
  hooks: { apartMm: 150, upMm: 150 },
  leastTipDegrees: 15,
});
