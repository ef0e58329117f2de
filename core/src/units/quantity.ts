/**
 * Sentences are words and figures: a finding or a limit is written as a sentence, and each measure in it as a quantity with its kind. Only
 * here quantities become text, in the builder's units.
 *
 * Within the core a quantity travels inside its sentence, between two characters of the private use area that no keyboard gives.
 */
import { neutrally } from './locale.ts';
import { formatMeasure, type MeasureKind, type UnitSystem } from './measures.ts';

/** A sentence with gaps, `{0} lies {1} deep`, and what stands in them; lengths mm, areas mm2, volumes ml, masses g. */
export interface Said {
  text: string;
  quantities: { kind: MeasureKind; value: number; digits: number }[];
}

const OPEN = '\uE000';
const CLOSE = '\uE001';
const quantity = /\uE000(\w+) (\S+) (\d)\uE001/g;

const marked = (kind: MeasureKind, value: number, digits: number) => `${OPEN}${kind} ${value} ${digits}${CLOSE}`;

/** A length within a sentence, mm. */
export const mm = (value: number, digits = 1): string => marked('length', value, digits);
/** An area within a sentence, mm2. */
export const mm2 = (value: number, digits = 0): string => marked('area', value, digits);
/** A mass within a sentence, g. */
export const grams = (value: number, digits = 0): string => marked('mass', value, digits);

/** The sentence apart from its quantities. */
export function saidOf(sentence: string): Said {
  const quantities: Said['quantities'] = [];
  const text = sentence.replace(quantity, (_, kind: MeasureKind, value: string, digits: string) => {
    quantities.push({ kind, value: Number(value), digits: Number(digits) });
    return `{${quantities.length - 1}}`;
  });
  return { text, quantities };
}

/** The whole sentence in the builder's units. */
export function sentence({ text, quantities }: Said, system: UnitSystem): string {
  return text.replace(/\{(\d+)\}/g, (gap, k: string) => {
    const one = quantities[Number(k)];
    return one ? formatMeasure(one.kind, one.value, system, one.digits) : gap;
  });
}

/** Sentences said in metric units with a decimal point, by which findings are known again, and apart from their figures (null where they have none). */
export function inWords<Key extends string>(
  sentences: Readonly<Record<Key, string>>,
): { metric: Record<Key, string>; said: Record<Key, Said> | null } {
  const keys = Object.keys(sentences) as Key[];
  const said = Object.fromEntries(keys.map((key) => [key, saidOf(sentences[key])])) as Record<Key, Said>;
  const metric = Object.fromEntries(keys.map((key) => [key, neutrally(() => sentence(said[key], 'metric'))])) as Record<
    Key,
    string
  >;
  return { metric, said: keys.some((key) => said[key].quantities.length > 0) ? said : null };
}
