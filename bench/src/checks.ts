import { readFileSync } from 'node:fs';
import { type Project, plan, readProject } from '@hosket/core';
import { timed } from './timed.ts';

/** A full project: the set of tiles, or the quarry, with a cupboard of a hundred jars and every step done. */
function full(name: string): Project {
  const read = readProject(readFileSync(new URL(`../../samples/${name}.hosket.json`, import.meta.url), 'utf8'));
  if (!read.ok) throw new Error(read.fault.message);
  const project = read.value;
  const { takeoff, shopping } = plan(project).report;
  return {
    ...project,
    stores: {
      ...project.stores,
      items: Array.from({ length: 100 }, (_, k) => {
        const { material, which, unit, likely } = shopping[k % shopping.length];
        return {
          id: `s${k}`,
          material,
          which,
          unit,
          amount: likely / 20,
          opened: null,
          useBy: '2026-01-01',
          place: '',
        };
      }),
      done: takeoff.map(({ id, title }) => ({
        tile: project.tile.id,
        step: id,
        title,
        on: '2027-03-02',
        used: [],
        taken: [],
      })),
    },
  };
}

/** What all rules over a full project take. */
export const checks = () =>
  Object.fromEntries(
    ['harl-quarry', 'vessa-terraces', 'tarrow-moor'].map((name) => {
      const { check } = plan(full(name));
      const { ms, value } = timed(check, 9);
      return [name, { findings: value.length, 'all rules, ms': Number(ms.toFixed(1)), 'asked for, ms': 50 }];
    }),
  );
