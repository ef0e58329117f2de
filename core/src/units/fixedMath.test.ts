import { readdirSync, readFileSync } from 'node:fs';
import { fileURLToPath } from 'node:url';
import { describe, expect, it } from 'vitest';
import { power } from './fixedMath.ts';

/** Written with the last digit that a double holds: sines and their kin by series to 40 digits (computed with 60-digit arithmetic), rounded to doubles. */
const known: readonly (readonly [string, number, number])[] = [
  ['sin 0.5', Math.sin(0.5), 0.479425538604203],
  ['sin 100', Math.sin(100), -0.5063656411097588],
  ['cos 2', Math.cos(2), -0.4161468365471424],
  ['tan 1.2', Math.tan(1.2), 2.5721516221263188],
  ['atan 3', Math.atan(3), 1.2490457723982544],
  ['atan2 -1 -2', Math.atan2(-1, -2), -2.677945044588987],
  ['exp 1', Math.exp(1), Math.E],
  ['log 10', Math.log(10), Math.LN10],
  ['asin 0.3', Math.asin(0.3), 0.3046926540153975],
  ['acos 0.3', Math.acos(0.3), 1.266103672779499],
  ['2 ^ 0.5', power(2, 0.5), Math.SQRT2],
];

describe('figures that are the same everywhere', () => {
  it('are right to the last digit but one, and the same as the operator gives for whole powers', () => {
    for (const [what, got, wanted] of known)
      expect(Math.abs(got / wanted - 1), what).toBeLessThanOrEqual(2 * Number.EPSILON);
    for (const exponent of [2, 3, 4]) expect(power(1.5, exponent)).toBe(1.5 ** exponent);
    expect(Math.pow).toBe(power);
  });

  it('are asked for everywhere: the operator stands for squares alone, since engines differ in the rest', () => {
    const root = fileURLToPath(new URL('..', import.meta.url));
    const files = readdirSync(root, { recursive: true, encoding: 'utf8' }).filter(
      (name) => name.endsWith('.ts') && !name.endsWith('.test.ts') && !name.startsWith('testing'),
    );
    expect(files.length).toBeGreaterThan(200);
    const odd = files.flatMap((name) => {
      const code = readFileSync(`${root}${name}`, 'utf8').replace(/\/\*[\s\S]*?\*\/|\/\/.*$/gm, '');
      return [
        ...code.matchAll(/\*\*\s*(?!2\b)\S+|Math\.(?:cbrt|log10|log2|log1p|expm1|sinh|cosh|tanh|asinh|acosh|atanh)\b/g),
      ].map(([found]) => `${name}: ${found}`);
    });
    expect(odd).toEqual([]);
  });
});
