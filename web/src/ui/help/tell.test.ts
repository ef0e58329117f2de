import { kindWords } from '@hosket/core';
import { describe, expect, it } from 'vitest';
import { fieldWords, patterns } from './fieldWords.ts';
import { figureWords } from './figureWords.ts';
import { tellOf } from './tell.ts';
import { tradeWords } from './tradeWords.ts';

describe('what words mean', () => {
  it('every field of every thing that can be drawn is told, and the thing itself', () => {
    const untold = Object.values(kindWords).flatMap(({ title, fields }) =>
      [title, ...fields.map(({ label }) => label)].filter((label) => !tellOf(label, 'ground')),
    );
    expect(untold).toEqual([]);
  });

  it('a word means what it does in its view', () => {
    expect(tellOf('Depth', 'brief')?.text).toMatch(/front edge to the back/);
    expect(tellOf('Depth', 'ground')?.text).toMatch(/rim/);
    expect(tellOf('Thickness', 'surface')?.text).toMatch(/coat/);
  });

  it('labels with a name or a number in them are told by what they are, and keep their words', () => {
    for (const [label, part] of [
      ['Tolerance of Dense foam 20', /thicker or thinner/],
      ['Fibreboard: 9 mm in the cupboard', /how much of it you have/i],
      ['Point 12, across', /left edge/],
      ['Point 12, away', /front edge/],
      ['Hours on friday', /from when to when/i],
      ['Each, EUR', /what one costs/i],
      ['Recipe of Everything else', /coats/],
    ] as const) {
      expect(tellOf(label)?.text, label).toMatch(part);
      expect(tellOf(label)?.word).toBe(label);
    }
    expect(tellOf('My grandfather')).toBeUndefined();
  });

  it('every pattern leads to words that are there', () => {
    const keys = new Set([...Object.keys(fieldWords), ...Object.keys(figureWords), ...Object.keys(tradeWords)]);
    expect(patterns.map(([, key]) => key).filter((key) => !keys.has(key))).toEqual([]);
  });

  it('all are short: one or two sentences that end, in plain letters', () => {
    for (const [key, text] of [
      ...Object.entries(fieldWords),
      ...Object.entries(figureWords),
      ...Object.entries(tradeWords).map(([word, { text: told }]) => [word, told] as const),
    ]) {
      expect(key, key).toBe(key.toLowerCase());
      expect(text, key).toMatch(/^[A-Z].*\.$/);
      expect(text.length, key).toBeLessThan(220);
    }
  });
});
