import { type Amount, type Coefficient, scaleRange, sum } from '../units/index.ts';
import { reworked } from './amounts.ts';

/** Minutes with setting up added; the pace of the builder comes over all. */
export function withSetUp(work: Amount, setUp: Coefficient | null, setUps: number): Amount {
  if (!setUp || !setUps) return work;
  const all = sum([work, scaleRange(setUp, setUps)]);
  const plus = setUps === 1 ? 'and setting up' : `and setting up ${setUps} times`;
  const added = reworked(work, all, plus);
  return { ...added, working: { ...added.working, coefficients: [...added.working.coefficients, setUp] } };
}
