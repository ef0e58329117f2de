/**
 * Sentences of the plan that are written once in metric units, said in the builder's: "each 186 g of powder and 143 ml of water". For sentences made here,
 * never for words of the builder's: a sheet called "20 mm" keeps its name. Findings and limits keep their figures apart (`quantity.ts`) and need none of it.
 */
import { formatMeasure, type MeasureKind, type UnitSystem } from './measures.ts';
import { readNumber } from './readNumber.ts';

const kinds: Readonly<Record<string, { kind: MeasureKind; factor: number }>> = {
  mm: { kind: 'length', factor: 1 },
  'cm²': { kind: 'area', factor: 100 },
  'm²': { kind: 'area', factor: 1e6 },
  ml: { kind: 'volume', factor: 1 },
  L: { kind: 'volume', factor: 1000 },
  g: { kind: 'mass', factor: 1 },
  kg: { kind: 'mass', factor: 1000 },
  C: { kind: 'temperature', factor: 1 },
  '°C': { kind: 'temperature', factor: 1 },
};

// A range shares its unit: "10 to 12 mm". Lengths of fibre and threads are names of goods, after a comma, and stay.
const measure =
  /(?<!, )(?<![\d.,:/])(?:(\d+(?:[.,]\d+)?) (to|and|by|x) )?(\d+(?:[.,]\d+)?) (mm|cm²|m²|ml|L|kg|g|°C|C)(?![\p{L}\p{N}²])/gu;

/** The same sentence in the builder's units; digits as `formatMeasure` gives them. */
export function resaid(sentence: string, system: UnitSystem): string {
  if (system === 'metric') return sentence;
  return sentence.replace(measure, (_, first: string | undefined, word: string, second: string, unit: string) => {
    const { kind, factor } = kinds[unit];
    const say = (text: string) => formatMeasure(kind, readNumber(text) * factor, system);
    return first === undefined ? say(second) : `${say(first)} ${word} ${say(second)}`;
  });
}
