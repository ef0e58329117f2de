import { readFileSync } from 'node:fs';
import { describe, expect, it } from 'vitest';
import { toEnd } from '../kernel/index.ts';
import { type Project, readProject } from '../project/index.ts';
import { seeded } from '../testing/edits.ts';
import { mutated, wrongNumbers } from '../testing/mutate.ts';
import { createPlanner } from './plan.ts';

const samples = ['harl-quarry', 'vessa-terraces', 'tarrow-moor'].map((name) =>
  JSON.parse(readFileSync(new URL(`../../../samples/${name}.hosket.json`, import.meta.url), 'utf8')),
);
const old = [1, 2, 3, 4, 5, 6, 7, 8].map((version) =>
  JSON.parse(readFileSync(new URL(`../testing/version-${version}.hosket.json`, import.meta.url), 'utf8')),
);

describe('files that no page wrote', () => {
  it('of any version, with anything in any place: read, or refused with place and remedy', () => {
    const random = seeded(77);
    const documents = [...old, ...old, ...samples];
    let refused = 0;
    for (let n = 0; n < 1500; n++) {
      const document = mutated(documents[n % documents.length], random, n % 3 === 0);
      const read = readProject(JSON.stringify(document) ?? '');
      if (read.ok) continue;
      refused++;
      expect([read.fault.place, read.fault.message, read.fault.remedy].every(Boolean), JSON.stringify(read.fault)).toBe(
        true,
      );
    }
    expect(refused).toBeGreaterThan(400);
  });

  it('what is taken is planned, and no figure of it is none', () => {
    const random = seeded(5);
    let planned = 0;
    while (planned < 24) {
      const read = readProject(JSON.stringify(mutated(samples[planned % 3], random, true)));
      if (!read.ok) continue;
      planned++;
      expect(wrongNumbers(planOf(read.value))).toEqual([]);
    }
  });

  it('null among the lists of any old version is refused, not thrown over', () => {
    for (const document of old)
      for (const list of ['marks', 'landforms', 'laid', 'sheets', 'tiles', 'patches'])
        if (Array.isArray(document[list])) {
          const read = readProject(JSON.stringify({ ...document, [list]: [null, ...document[list]] }));
          expect(read.ok ? 'taken' : read.fault.place, `version ${document.version}`).toContain(`${list}[0]`);
        }
  });
});

const planOf = (project: Project) => toEnd(createPlanner(() => 6).run(project)).report;
