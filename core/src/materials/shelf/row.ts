import type { Source } from '../../units/index.ts';
import type { Fact, Form, Material, PackUnit, Value } from '../materialSchema.ts';
import type { Property } from '../properties.ts';

/** Low, likely, high; then the confidence and the kind of source where they are not those of the row. */
type Figures = [number, number, number] | [number, number, number, Source['confidence'], Source['kind']?, string?];

export const notes: Readonly<Record<Source['kind'], string>> = {
  standard: 'from memory, unverified',
  trade: 'common practice, no source',
  memory: 'from memory, unverified',
  yours: 'as you gave it',
};

interface Row {
  id: string;
  name: string;
  facts?: Fact[];
  use?: string;
  caution?: string;
  packs?: [number, PackUnit][];
  values: Partial<Record<Property, Figures>>;
}

/** One material in a line or two: figures that say nothing of their source have that of the shelf. */
export function shelf(form: Form, confidence: Source['confidence'], kind: Source['kind'], rows: Row[]): Material[] {
  return rows.map(({ id, name, facts = [], use = '', caution = '', packs = [], values }) => ({
    id,
    name,
    form,
    values: Object.fromEntries(
      Object.entries(values).map(([property, [low, likely, high, sure = confidence, from = kind, note]]) => [
        property,
        { low, likely, high, source: { kind: from, confidence: sure, note: note ?? notes[from] } } satisfies Value,
      ]),
    ),
    facts,
    use,
    caution,
    packs: packs.map(([amount, unit]) => ({ amount, unit })),
  }));
}
