import { z } from 'zod';

/** What every drawn thing has: marks, landforms and laid-in things. */
export const id = z.string().min(1).max(64);
export const name = z.string().max(120);
export const pointSchema = z.tuple([z.number().min(-5000).max(10000), z.number().min(-5000).max(10000)]);
export const heightMm = z
  .number()
  .min(0, 'A height is measured up from the top of the baseboard and cannot be below it')
  .max(2000);

/** What heights are of: bare foam, with skin and cover on top of it, or the finished ground. */
export const heightsAre = z.enum(['foam', 'ground']);
/** Of what has a height of its own: what that is of, where it is not as the project has it. */
export const heightIs = heightsAre.optional();

/** How far a height may be moved so that it falls on a joint, mm; left out: not at all. */
export const give = z.strictObject({ downMm: z.number().min(0).max(200), upMm: z.number().min(0).max(200) }).optional();

/** `hidden`: not drawn on the plan, though it still shapes the ground. `locked`: cannot be moved or changed by hand. */
export const drawn = { id, name, hidden: z.boolean(), locked: z.boolean() };

const points = (least: number, most: number, message: string) => z.array(pointSchema).min(least, message).max(most);
export const lineOf = (most = 20000) => ({
  points: points(2, most, 'A line needs at least 2 points'),
  /** Drawn as a curve through its points rather than straight from one to the next. */
  smooth: z.boolean(),
});
export const outlineOf = (most = 20000) => ({
  points: points(3, most, 'A closed line needs at least 3 points'),
  smooth: z.boolean(),
});
