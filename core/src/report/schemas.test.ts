import { readFileSync } from 'node:fs';
import { Ajv2020 } from 'ajv/dist/2020.js';
import { describe, expect, it } from 'vitest';
import { plan, readProject } from '../index.ts';
import { schemaFiles } from '../testing/schemaFiles.ts';

const kept = (path: string) => readFileSync(new URL(`../../../${path}`, import.meta.url), 'utf8');
const ajv = new Ajv2020({ strict: false, validateFormats: false });

describe('the JSON Schemas in docs', () => {
  it.each(schemaFiles())('$file is up to date (npm run schemas)', ({ file, text }) =>
    expect(kept(`docs/${file}`)).toBe(text),
  );

  // ajv is a validator that is not ours.
  it('take the sample and its plan, and refuse a negative height', () => {
    const sample = JSON.parse(kept('samples/harl-quarry.hosket.json'));
    const project = ajv.compile(JSON.parse(kept('docs/project.schema.json')));
    expect(project(sample), JSON.stringify(project.errors)).toBe(true);
    sample.marks[0].heightMm = -1;
    expect(project(sample)).toBe(false);
    const read = readProject(kept('samples/harl-quarry.hosket.json'));
    if (!read.ok) throw new Error(read.fault.message);
    const validPlan = ajv.compile(JSON.parse(kept('docs/plan.schema.json')));
    expect(validPlan(JSON.parse(JSON.stringify(plan(read.value).report))), JSON.stringify(validPlan.errors)).toBe(true);
  });
});
