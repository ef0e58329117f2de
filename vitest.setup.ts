import fc from 'fast-check';

/**
 * Properties draw the same cases in every run, so that a suite that was green stays green for the same code. Others are drawn with
 * `HOSKET_SEED=any npm run unit`, or with a number to see one run again.
 */
const asked = process.env.HOSKET_SEED;
if (asked !== 'any') fc.configureGlobal({ seed: Number(asked ?? 20270301) });
