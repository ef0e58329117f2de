import { decimals } from '../../units/index.ts';
import type { Rule } from '../finding.ts';

const amount = (value: number, unit: string) =>
  `${value < 10 ? decimals(value, 1) : Math.round(value)} ${unit === 'each' ? 'pieces' : unit}`;

/** What is in the cupboard, but not enough of it. */
export const materialShort: Rule = ({ shopping }) =>
  shopping
    .filter(({ inStock, short }) => inStock > 0 && short > 1e-6)
    .map(({ name, which, unit, wanted, inStock, short }) => ({
      code: 'stock-runs-short',
      severity: 'warn',
      band: 'stores',
      place: which ? `${name}, ${which}` : name,
      message: `${name}${which ? `, ${which}` : ''}: ${amount(inStock, unit)} in the cupboard, ${amount(wanted, unit)} wanted.`,
      remedy: `Buy ${amount(short, unit)} more; it is on the shopping list.`,
    }));
