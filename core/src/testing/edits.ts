import { z } from 'zod';
import { type Project, projectSchema, readProject, writeProject } from '../project/index.ts';

type Path = readonly (string | number)[];
type Json = null | boolean | number | string | Json[] | { [key: string]: Json };

/** Numbers from 0 to 1, always the same for a seed (a linear congruential generator with the constants of Numerical Recipes, from memory). */
export function seeded(seed: number): () => number {
  let state = seed >>> 0;
  return () => {
    state = (Math.imul(state, 1664525) + 1013904223) >>> 0;
    return state / 2 ** 32;
  };
}

/** Values that fields of a name have in these projects, or may have by the schema: what an edit may put in the place of another. */
export function valuesByKey(projects: readonly Project[]): Map<string, Json[]> {
  const found = new Map<string, Json[]>();
  const walk = (value: Json, key: string) => {
    const list = found.get(key) ?? [];
    if (list.length < 40 && !list.some((known) => JSON.stringify(known) === JSON.stringify(value))) list.push(value);
    found.set(key, list);
    if (Array.isArray(value)) for (const each of value.slice(0, 12)) walk(each, `${key}[]`);
    else if (value && typeof value === 'object') for (const [name, each] of Object.entries(value)) walk(each, name);
  };
  for (const project of projects) walk(project as unknown as Json, '');
  const allow = (schema: Json, key: string): void => {
    if (!schema || typeof schema !== 'object') return;
    if (Array.isArray(schema)) {
      for (const each of schema) allow(each, key);
      return;
    }
    const named = Array.isArray(schema.enum) ? schema.enum : 'const' in schema ? [schema.const] : [];
    if (named.length) found.set(key, [...new Set([...(found.get(key) ?? []), ...named])]);
    for (const [word, each] of Object.entries(schema))
      if (word === 'properties') for (const [name, inner] of Object.entries(each ?? {})) allow(inner, name);
      else allow(each, word === 'items' ? `${key}[]` : key);
  };
  allow(z.toJSONSchema(projectSchema, { unrepresentable: 'any', reused: 'inline' }) as Json, '');
  return found;
}

/** A random edit of one leaf of a project, or of a list, that still is a sound project; says which. The rest keeps its identity. */
export function randomEdit(
  project: Project,
  values: ReadonlyMap<string, readonly Json[]>,
  random: () => number,
): { project: Project; said: string } {
  const pick = <T>(list: readonly T[]): T => list[Math.floor(random() * list.length)];
  for (;;) {
    const path: (string | number)[] = [];
    let value = project as unknown as Json;
    let key = '';
    // Level by level, so that the many points of a line do not outweigh the few fields of a sheet.
    while (value && typeof value === 'object') {
      if (Array.isArray(value) && (value.length === 0 || random() < 0.1)) break;
      const next = Array.isArray(value) ? Math.floor(random() * value.length) : pick(Object.keys(value));
      key = Array.isArray(value) ? `${key}[]` : String(next);
      path.push(next);
      value = (value as Record<string, Json>)[next];
    }
    const changed = changedLeaf(value, key, values, random, pick);
    if (JSON.stringify(changed) === JSON.stringify(value)) continue;
    const edited = withAt(project as unknown as Json, path, changed) as unknown as Project;
    const read = readProject(writeProject(edited));
    // What reading would mend is no edit that a page makes.
    if (!read.ok || JSON.stringify(read.value) !== JSON.stringify(edited)) continue;
    return { project: edited, said: `${path.join('.')}: ${short(value)} -> ${short(changed)}` };
  }
}

function changedLeaf(
  value: Json,
  key: string,
  values: ReadonlyMap<string, readonly Json[]>,
  random: () => number,
  pick: <T>(list: readonly T[]) => T,
): Json {
  if (Array.isArray(value))
    return random() < 0.5 ? value.filter(() => random() < 0.7) : pick(values.get(key) ?? [value]);
  if (typeof value === 'boolean') return !value;
  if (typeof value === 'number' && random() < 0.7) {
    const other = random() < 0.5 ? value + pick([-1, 1]) : value * (0.7 + 0.6 * random());
    return Number.isInteger(value) ? Math.round(other) : Math.round(other * 100) / 100;
  }
  if (typeof value === 'string' && /^\d\d:\d\d$/.test(value))
    return pick(['08:00', '17:30', '19:30', '21:00', '22:15']);
  if (typeof value === 'string' && /^\d{4}-\d\d-\d\d$/.test(value))
    return pick(['2027-02-27', '2027-03-03', '2027-04-20']);
  if (key === 'name' || key === 'notes') return `${value ?? ''}x`;
  return pick(values.get(key) ?? [value]);
}

function withAt(value: Json, path: Path, put: Json): Json {
  if (!path.length) return put;
  const [first, ...rest] = path;
  if (Array.isArray(value)) return value.map((each, k) => (k === first ? withAt(each, rest, put) : each));
  const fields = value as { [key: string]: Json };
  return { ...fields, [first]: withAt(fields[first], rest, put) };
}

const short = (value: Json): string => (JSON.stringify(value) ?? 'nothing').slice(0, 60);
