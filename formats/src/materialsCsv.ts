import {
  bad,
  type Fault,
  forms,
  good,
  type Material,
  type OwnMaterials,
  type Property,
  properties,
  propertyNames,
  type Result,
  readNumber,
  shippedMaterials,
} from '@hosket/core';
import Papa from 'papaparse';
import { csvCell, csvText } from './csv.ts';

const heads = [
  'material',
  'name',
  'form',
  'figure',
  'unit',
  'low',
  'likely',
  'high',
  'source',
  'confidence',
  'note',
] as const;
type Head = (typeof heads)[number];
type Line = Record<Head, string>;

/**
 * The whole catalogue as CSV, a figure a line, the builder's own marked "yours". Quoted where it must be; numbers with a decimal point. Some table programs want a
 * semicolon between cells: then numbers have a decimal comma.
 */
export function writeMaterialsCsv(materials: readonly Material[], own: OwnMaterials, semicolons = false): string {
  const say = (value: number) => (semicolons ? String(value).replace('.', ',') : String(value));
  const lines = materials.flatMap(({ id, name, form, values }) =>
    (Object.keys(values) as Property[]).flatMap((property): Line[] => {
      const shipped = values[property];
      if (!shipped) return [];
      const yours = own.values.find((value) => value.material === id && value.property === property);
      const { low, likely, high } = yours ?? shipped;
      const source = yours ? { kind: 'yours', confidence: 'B', note: yours.note } : shipped.source;
      return [
        {
          material: id,
          name,
          form,
          figure: property,
          unit: properties[property].unit,
          low: say(low),
          likely: say(likely),
          high: say(high),
          source: source.kind,
          confidence: source.confidence,
          note: source.note,
        },
      ];
    }),
  );
  return csvText(
    heads,
    lines.map((line) => heads.map((head) => line[head])),
    semicolons,
  );
}

/**
 * Reads such a table back, whichever separator and decimal sign it has: lines marked "yours" become the builder's own figures, materials that are not shipped are
 * added. Lines of shipped figures change nothing.
 */
export function readMaterialsCsv(text: string): Result<OwnMaterials> {
  const { data, errors, meta } = Papa.parse<Line>(text.replace(/^\uFEFF/, ''), {
    header: true,
    skipEmptyLines: 'greedy',
    transformHeader: (head) => head.trim().toLowerCase(),
    transform: csvCell,
  });
  const missing = heads.slice(0, 9).filter((head) => !meta.fields?.includes(head));
  if (missing.length)
    return bad(
      'heads',
      'line 1',
      `These columns are missing: ${missing.join(', ')}.`,
      'Begin with a file that Hosket wrote.',
    );
  const broken = errors.find(({ type }) => type !== 'FieldMismatch');
  if (broken)
    return bad('csv', `line ${(broken.row ?? 0) + 2}`, `${broken.message}.`, 'Mend that line and read the file again.');
  const own: OwnMaterials = { added: [], values: [] };
  const shipped = new Set(shippedMaterials.map(({ id }) => id));
  for (const [k, line] of data.entries()) {
    const fault = takeLine(own, shipped, line, k + 2);
    if (fault) return { ok: false, fault };
  }
  return good(own);
}

function takeLine(own: OwnMaterials, shipped: ReadonlySet<string>, line: Line, number: number): Fault | null {
  const place = `line ${number}`;
  const wrong = (message: string, remedy: string): Fault => ({ code: 'value', place, message, remedy });
  const id = line.material?.trim();
  if (!id) return wrong('The material has no id.', 'Write one in the first column.');
  const property = propertyNames.find((name) => name === line.figure?.trim());
  if (!property)
    return wrong(`"${line.figure}" is no figure that Hosket knows.`, `Take one of: ${propertyNames.join(', ')}.`);
  const [low, likely, high] = [line.low, line.likely, line.high].map(numberOf);
  if (low === null || likely === null || high === null)
    return wrong(
      `Low, likely and high must be numbers, not "${line.low}", "${line.likely}", "${line.high}".`,
      'Mend the line.',
    );
  if (low < 0 || low > likely || likely > high)
    return wrong(`Low, likely and high must rise from 0: ${low}, ${likely}, ${high}.`, 'Mend the line.');
  const note = (line.note ?? '').slice(0, 200);
  if (shipped.has(id)) {
    if (line.source?.trim() === 'yours') own.values.push({ material: id, property, low, likely, high, note });
    return null;
  }
  const form = forms.find((one) => one === line.form?.trim());
  if (!form) return wrong(`"${line.form}" is no kind of material.`, `Take one of: ${forms.join(', ')}.`);
  let material = own.added.find((one) => one.id === id);
  if (!material) {
    material = { id, name: line.name?.trim() || id, form, values: {}, facts: [], use: '', caution: '', packs: [] };
    own.added.push(material);
  }
  material.values[property] = { low, likely, high, source: { kind: 'yours', confidence: 'B', note } };
  return null;
}

function numberOf(text: string | undefined): number | null {
  const number = readNumber(text ?? '');
  return Number.isFinite(number) ? number : null;
}
