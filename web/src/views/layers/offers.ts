import { type Criterion, decimals, type HandLayer, type ProposalReport, type School, sayHours } from '@hosket/core';

/** What stacks are drawn and sorted by. */
export type Measure = Criterion | 'dryHours' | 'costMin';

export const measures: readonly { key: Measure; title: string }[] = [
  { key: 'carveMl', title: 'to carve' },
  { key: 'fillMl', title: 'to fill' },
  { key: 'layers', title: 'layers' },
  { key: 'bought', title: 'bought' },
  { key: 'dryHours', title: 'dry after' },
  { key: 'massG', title: 'foam and paste weigh' },
  { key: 'deepMm', title: 'deepest fill' },
  { key: 'offMm', title: 'off the joints' },
  { key: 'costMin', title: 'cost by the figures' },
];

export const measured = (offer: ProposalReport, key: Measure): number =>
  key === 'dryHours' || key === 'costMin' ? offer[key] : offer.totals[key];

interface Say {
  mm: (value: number) => string;
  volume: (value: number) => string;
  mass: (value: number) => string;
}

export function sayMeasure(key: Measure, value: number, say: Say, currency: string): string {
  switch (key) {
    case 'carveMl':
    case 'fillMl':
      return say.volume(value);
    case 'layers':
      return String(value);
    case 'bought':
      return `${decimals(value, 2)} ${currency}`;
    case 'dryHours':
      return sayHours(value);
    case 'massG':
      return say.mass(value);
    case 'deepMm':
    case 'offMm':
      return say.mm(value);
    case 'costMin':
      return `${Math.round(value)} min`;
  }
}

/** A stack as one word, to tell it from others. */
export const offerKey = ({ school, layers }: { school: School; layers: readonly HandLayer[] }): string =>
  `${school}: ${layers.map(({ sheetIds, sliceMm }) => `${sheetIds.join('+')}@${sliceMm ?? ''}`).join(' ')}`;
