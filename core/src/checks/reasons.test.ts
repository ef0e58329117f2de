import { readdirSync, readFileSync } from 'node:fs';
import { describe, expect, it } from 'vitest';
import { reasons } from './reasons.ts';

const folder = new URL('./rules/', import.meta.url);
const rules = readdirSync(folder).map((name) => ({ name, text: readFileSync(new URL(name, folder), 'utf8') }));
const quoted = (text: string) => [...text.matchAll(/'([a-z]+(?:-[a-z]+)+)'/g)].map(([, code]) => code);

describe('why each rule holds', () => {
  it.each(rules.map(({ name, text }) => [name, text] as const))('%s has a reason', (name, text) => {
    // Limits of the brief are told by their own names.
    const known = quoted(text).filter((code) => code in reasons);
    expect(known.length > 0 || text.includes('limit-'), name).toBe(true);
  });

  it('no reason is left of a rule that is gone, and each is a sentence', () => {
    const all = new Set(rules.flatMap(({ text }) => quoted(text)));
    for (const [code, reason] of Object.entries(reasons)) {
      expect(code === 'limit' || all.has(code), code).toBe(true);
      expect(reason, code).toMatch(/^[A-Z].*\.$/);
    }
  });

  it('one rule a file, and none of them long', () => {
    for (const { name, text } of rules) {
      expect([...text.matchAll(/^export const \w+: Rule/gm)], name).toHaveLength(1);
      expect(text.split('\n').length, name).toBeLessThan(80);
    }
  });
});
