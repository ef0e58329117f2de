/** Files as no page writes them: sound ones with some values put in place of others, for readers and planners that must never fall over them. */

type Json = null | boolean | number | string | Json[] | { [key: string]: Json };

const wild: readonly Json[] = [
  null,
  true,
  0,
  -0,
  -1,
  1,
  0.1,
  19.98,
  1e-9,
  1e6,
  1e9,
  1e308,
  -1e308,
  '',
  'x',
  '__proto__',
  '2027-02-30',
  '\u0000',
  [],
  [[]],
  {},
  [null],
  [[0, 0]],
];

/** Changes a value in one place, in this order of likelihood: a number, a list, anything at all. `gentle`: so that it may still be a sound file. */
function changed(value: Json, random: () => number, gentle: boolean): Json {
  const pick = <T>(list: readonly T[]): T => list[Math.floor(random() * list.length)];
  if (!gentle && random() < 0.4) return pick(wild);
  if (typeof value === 'number') {
    const way = random();
    if (way < 0.25) return value * pick([0, 0.01, 0.5, 2, 10, 100]);
    if (way < 0.5) return value + pick([-100, -1, -0.01, 0.01, 1, 100]);
    if (way < 0.75) return Math.round(value * 10 * random()) / 10;
    return pick([0, 0.1, 1, 5, 20, 90, 100, 300, 2000]);
  }
  if (typeof value === 'boolean') return !value;
  if (Array.isArray(value)) {
    const way = random();
    if (way < 0.3) return value.filter(() => random() < 0.6);
    if (way < 0.6) return [...value].sort(() => random() - 0.5);
    if (way < 0.8) return [];
    return [...value, ...value.slice(0, 1)];
  }
  if (value === null) return pick([0, 1, 20, 'x', null]);
  if (typeof value === 'string') return pick(['', `${value}x`, 'ground', 'foam', 'water', value.toUpperCase()]);
  const keys = Object.keys(value);
  const gone = pick(keys);
  return random() < 0.5
    ? Object.fromEntries(Object.entries(value).filter(([key]) => key !== gone))
    : { ...value, odd: 1 };
}

/** A document with a few places changed, each reached level by level so that many points do not outweigh few fields. */
export function mutated(document: Json, random: () => number, gentle: boolean): Json {
  let next = document;
  const places = 1 + Math.floor(random() * 4);
  for (let n = 0; n < places; n++) next = mutatedOnce(next, random, gentle);
  return next;
}

function mutatedOnce(value: Json, random: () => number, gentle: boolean): Json {
  const inside = Array.isArray(value)
    ? value.length > 0
    : value !== null && typeof value === 'object' && Object.keys(value).length > 0;
  if (!inside || random() < 0.06) return changed(value, random, gentle);
  if (Array.isArray(value)) {
    const at = Math.floor(random() * value.length);
    return value.map((each, k) => (k === at ? mutatedOnce(each, random, gentle) : each));
  }
  const fields = value as { [key: string]: Json };
  const keys = Object.keys(fields);
  const key = keys[Math.floor(random() * keys.length)];
  return { ...fields, [key]: mutatedOnce(fields[key], random, gentle) };
}

/** Numbers that no report should hold: none that are no numbers, none without end, and no areas or volumes below nothing. */
export function wrongNumbers(value: unknown, path = ''): string[] {
  if (typeof value === 'number') {
    if (!Number.isFinite(value)) return [`${path} is ${value}`];
    return value < 0 && /(?:Ml|Mm2|Mm3|Ml\.\w+|amount\.\w+)$/.test(path) ? [`${path} is ${value}`] : [];
  }
  if (Array.isArray(value)) return value.flatMap((each, k) => wrongNumbers(each, `${path}[${k}]`));
  if (value && typeof value === 'object')
    return Object.entries(value).flatMap(([key, each]) => wrongNumbers(each, path ? `${path}.${key}` : key));
  return [];
}
