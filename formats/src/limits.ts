/** How much a file of another kind may hold. What is larger is refused with its size before it is read whole. */
import { bad, type Fault } from '@hosket/core';

/** A refusal, whatever was to be read. */
type Refused = { ok: false; fault: Fault };

/** Bytes of a file. */
export const MOST_BYTES = 60_000_000;
/** Points of a drawing: far more than a plan can show. */
export const MOST_POINTS = 400_000;
/** Heights of a grid: 4,000 by 4,000. */
export const MOST_HEIGHTS = 16_000_000;
/** Groups in groups. */
export const MOST_DEPTH = 100;

const refused = (...fault: Parameters<typeof bad>) => bad(...fault) as Refused;

const thousands = (count: number): string => String(Math.round(count)).replace(/\B(?=(\d{3})+$)/g, ' ');

/** A grid of more heights than can be held; null where it is not too large. */
export const tooManyHeights = (columns: number, rows: number): Refused | null =>
  columns * rows > MOST_HEIGHTS
    ? refused(
        'large',
        'heights',
        `The grid has ${thousands(columns)} x ${thousands(rows)} heights; ${thousands(MOST_HEIGHTS)} are the most.`,
        'Cut out the part you need, or make it coarser: a base shows no more than 320 across.',
      )
    : null;

/** A drawing of more points than can be held. */
export const tooManyPoints = (where: string): Refused =>
  refused(
    'large',
    where,
    `The drawing has more than ${thousands(MOST_POINTS)} points.`,
    'Leave layers out, or simplify its lines, and save it again.',
  );

/** Things that stand in one another too deep. */
export const tooDeep = (where: string): Refused =>
  refused(
    'deep',
    where,
    `More than ${MOST_DEPTH} groups stand inside one another.`,
    'Ungroup them, and save it again.',
  );
