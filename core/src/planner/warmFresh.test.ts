import { readFileSync } from 'node:fs';
import { describe, expect, it } from 'vitest';
import { readProject } from '../index.ts';
import { toEnd } from '../kernel/index.ts';
import { differences } from '../testing/warmFresh.ts';

const sample = (name: string) => {
  const read = readProject(readFileSync(new URL(`../../../samples/${name}.hosket.json`, import.meta.url), 'utf8'));
  if (!read.ok) throw new Error(read.fault.message);
  return read.value;
};

describe('what a planner keeps is what it would work out anew', () => {
  // Any number more by npm run fuzz -- edits N.
  it.each([
    ['harl-quarry', 11],
    ['vessa-terraces', 12],
    ['tarrow-moor', 13],
  ])(
    '%s, 20 random edits one upon the other',
    (name, seed) => {
      expect(toEnd(differences([sample(name)], 20, seed))).toEqual([]);
    },
    600_000,
  );
});
