import type { Coefficient, Source } from '../units/index.ts';

/** Builds a coefficient in one line. `trade` is common practice with no published source. */
export const coefficient = (
  name: string,
  low: number,
  likely: number,
  high: number,
  unit: string,
  kind: Source['kind'],
  confidence: Source['confidence'],
  note = kind === 'trade' ? 'common practice, no source' : 'from memory, unverified',
): Coefficient => ({ name, low, likely, high, unit, source: { kind, confidence, note } });
