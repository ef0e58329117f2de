import { withSign } from './locale.ts';
import { readNumber } from './readNumber.ts';
import { bad, good, type Result } from './result.ts';

/** What can be measured. Stored always in the first unit: mm, mm2, ml, g, degrees Celsius. */
export const measureKinds = ['length', 'area', 'volume', 'mass', 'temperature'] as const;
export type MeasureKind = (typeof measureKinds)[number];
export type UnitSystem = 'metric' | 'imperial';

interface UnitDefinition {
  /** Stored value = (written value + shift) x factor. Inch 25.4 mm, pound 453.59237 g exactly (1959 agreement). */
  factor: number;
  shift?: number;
  names: readonly string[];
}

const units: Record<MeasureKind, Record<string, UnitDefinition>> = {
  length: {
    mm: { factor: 1, names: ['mm'] },
    cm: { factor: 10, names: ['cm'] },
    m: { factor: 1000, names: ['m'] },
    in: { factor: 25.4, names: ['in', 'inch', 'inches', '"', '″', '”', "''"] },
    ft: { factor: 304.8, names: ['ft', 'foot', 'feet', "'", '′', '’'] },
  },
  area: {
    mm2: { factor: 1, names: ['mm2', 'mm²'] },
    cm2: { factor: 100, names: ['cm2', 'cm²'] },
    m2: { factor: 1e6, names: ['m2', 'm²'] },
    in2: { factor: 25.4 ** 2, names: ['in2', 'in²', 'sq in'] },
    ft2: { factor: 304.8 ** 2, names: ['ft2', 'ft²', 'sq ft'] },
  },
  volume: {
    ml: { factor: 1, names: ['ml', 'cm3', 'cm³'] },
    L: { factor: 1000, names: ['l', 'L', 'litre', 'litres', 'liter', 'liters'] },
    'fl oz': { factor: 29.5735295625, names: ['fl oz', 'floz'] },
    qt: { factor: 946.352946, names: ['qt', 'quart', 'quarts'] },
  },
  mass: {
    g: { factor: 1, names: ['g'] },
    kg: { factor: 1000, names: ['kg'] },
    oz: { factor: 28.349523125, names: ['oz'] },
    lb: { factor: 453.59237, names: ['lb', 'lbs'] },
  },
  temperature: {
    C: { factor: 1, names: ['c', '°c', '°', 'C', '°C'] },
    F: { factor: 5 / 9, shift: -32, names: ['f', '°f', 'F', '°F'] },
  },
};

/** The unit a bare number is read in, by the system the builder works in. */
const bareUnit: Record<UnitSystem, Record<MeasureKind, string>> = {
  metric: { length: 'mm', area: 'cm2', volume: 'ml', mass: 'g', temperature: 'C' },
  imperial: { length: 'in', area: 'in2', volume: 'fl oz', mass: 'oz', temperature: 'F' },
};

const example: Record<MeasureKind, string> = {
  length: '12.5 cm, 1 1/2 in or 2\'3"',
  area: '40 cm2',
  volume: '250 ml',
  mass: '120 g',
  temperature: '18 C or 65 F',
};

/** A mixed number or fraction first (`1 1/2`, `1-1/2`, `3/4`), else a decimal with point or comma. */
const number = /^(?:(?<whole>\d+)[\s-]+)?(?<top>\d+)\s*\/\s*(?<under>\d+)|^(?<plain>\d+(?:[.,]\d+)?|[.,]\d+)/;

/** Takes the longest unit name that `text` starts with; a unit must not run on into more letters. */
function takeUnit(kind: MeasureKind, text: string): { unit?: UnitDefinition; rest: string } {
  const named = Object.values(units[kind]).flatMap((unit) => unit.names.map((name) => ({ unit, name })));
  const match = named
    .filter(({ name }) => text.toLowerCase().startsWith(name.toLowerCase()) && !/^[a-z]/i.test(text.slice(name.length)))
    .sort((a, b) => b.name.length - a.name.length)[0];
  return match ? { unit: match.unit, rest: text.slice(match.name.length) } : { rest: text };
}

/**
 * Reads a measure as people write it: `12.5cm`, `1 1/2 in`, `2'3"`, `3,5 mm`, `65 F`. Several terms add up.
 * A bare number takes the unit of the builder's system. Gives mm, mm2, ml, g or degrees C.
 */
export function parseMeasure(kind: MeasureKind, text: string, system: UnitSystem = 'metric'): Result<number> {
  const no = (why: string) => bad<number>('measure', text.trim() || '(empty)', why, `Write it like ${example[kind]}.`);
  let rest = text.trim();
  if (!rest) return no('Nothing is written here.');
  let sign = 1;
  if (/^[-−]/.test(rest)) {
    sign = -1;
    rest = rest.slice(1).trimStart();
  }
  let total = 0;
  let lastFactor = Number.POSITIVE_INFINITY;
  while (rest) {
    const found = number.exec(rest);
    const groups = found?.groups;
    if (!found || !groups) return no(`"${rest}" is not a number.`);
    if (groups.under && Number(groups.under) === 0) return no('A fraction cannot have 0 below the line.');
    const value = groups.plain
      ? readNumber(groups.plain)
      : Number(groups.whole ?? 0) + Number(groups.top) / Number(groups.under);
    const after = takeUnit(kind, rest.slice(found[0].length).trimStart());
    const unit = after.unit ?? units[kind][bareUnit[system][kind]];
    if (!unit) throw new Error(`no unit for ${kind}`);
    if (!after.unit && after.rest) return no(`"${after.rest}" is not a unit known here.`);
    if (unit.factor >= lastFactor) return no('Units must run from large to small, each once.');
    if (kind === 'temperature' && lastFactor !== Number.POSITIVE_INFINITY) return no('Give one temperature.');
    total += (sign * value + (unit.shift ?? 0)) * unit.factor;
    lastFactor = unit.factor;
    rest = after.rest.trimStart();
  }
  return Number.isFinite(total) ? good(total) : no('The number is too large.');
}

const trim = (value: number, digits: number) => {
  const text = value.toFixed(digits);
  return withSign((text.includes('.') ? text.replace(/\.?0+$/, '') : text).replace(/^-0$/, '0'));
};

function inches(mm: number): string {
  const value = mm / 25.4;
  const parts = Math.round(Math.abs(value) * 32);
  const exact = Math.abs(Math.abs(value) * 32 - parts) < 0.004;
  if (!exact || parts === 0) return `${trim(value, 3)} in`;
  const whole = Math.floor(parts / 32);
  let top = parts % 32;
  let under = 32;
  while (top && top % 2 === 0) {
    top /= 2;
    under /= 2;
  }
  const fraction = top ? `${top}/${under}` : '';
  return `${value < 0 ? '-' : ''}${[whole || (fraction ? '' : '0'), fraction].filter(Boolean).join(' ')} in`;
}

/** A stored measure as text in the builder's units; `parseMeasure` reads it back. */
export function formatMeasure(kind: MeasureKind, value: number, system: UnitSystem = 'metric', digits = 1): string {
  if (kind === 'length') return system === 'metric' ? `${trim(value, digits)} mm` : inches(value);
  if (kind === 'area') {
    if (system === 'imperial') return `${trim(value / 25.4 ** 2, digits)} in²`;
    return Math.abs(value) >= 1e6 ? `${trim(value / 1e6, 3)} m²` : `${trim(value / 100, digits)} cm²`;
  }
  if (kind === 'volume') {
    if (system === 'imperial') return `${trim(value / 29.5735295625, Math.max(digits, 1))} fl oz`;
    return Math.abs(value) >= 1000 ? `${trim(value / 1000, 2)} L` : `${trim(value, value < 20 ? 1 : 0)} ml`;
  }
  if (kind === 'mass') {
    if (system === 'imperial')
      return Math.abs(value) >= 453.59237 ? `${trim(value / 453.59237, 2)} lb` : `${trim(value / 28.349523125, 2)} oz`;
    return Math.abs(value) >= 1000 ? `${trim(value / 1000, 2)} kg` : `${trim(value, value < 20 ? 1 : 0)} g`;
  }
  return system === 'metric' ? `${trim(value, digits)} °C` : `${trim((value * 9) / 5 + 32, digits)} °F`;
}
