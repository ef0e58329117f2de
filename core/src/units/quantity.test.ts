import { readFileSync } from 'node:fs';
import fc from 'fast-check';
import { describe, expect, it } from 'vitest';
import { findingIn } from '../checks/said.ts';
import { plan } from '../planner/index.ts';
import { readProject } from '../project/index.ts';
import { grams, mm, mm2, saidOf, sentence } from './quantity.ts';

const say = (text: string, system: 'metric' | 'imperial' = 'metric') => sentence(saidOf(text), system);

describe('words and figures', () => {
  it('a sentence says its measures in either system', () => {
    const text = `Piece 2-1 is ${mm(25.4)} too long, ${mm2(64516)} large and ${grams(56.69904625)} heavy.`;
    expect(say(text)).toBe('Piece 2-1 is 25.4 mm too long, 645 cm² large and 57 g heavy.');
    expect(say(text, 'imperial')).toBe('Piece 2-1 is 1 in too long, 100 in² large and 2 oz heavy.');
  });

  it('keeps what is no quantity, and every figure to the last digit', () => {
    fc.assert(
      fc.property(
        fc.string(),
        fc.double({ noNaN: true, noDefaultInfinity: true }).map((value) => value + 0),
        fc.string(),
        (before, value, after) => {
          const { text, quantities } = saidOf(`${before}${mm(value)}${after}`);
          expect(text).toBe(`${before}{0}${after}`);
          expect(quantities).toEqual([{ kind: 'length', value, digits: 1 }]);
        },
      ),
    );
  });

  it('no finding of a plan in inches speaks of millimetres, and none is left half said', () => {
    const read = readProject(
      readFileSync(new URL('../../../samples/harl-quarry.hosket.json', import.meta.url), 'utf8'),
    );
    if (!read.ok) throw new Error(read.fault.message);
    const { marks, landforms } = read.value;
    // One sheet, and an outline drawn twice: foam is missing and lines cross.
    const { report } = plan({
      ...read.value,
      landforms,
      marks: [...marks, { ...marks[0], id: 'again', heightMm: 200, level: false } as (typeof marks)[number]],
      sheets: read.value.sheets.slice(0, 1).map((sheet) => ({ ...sheet, count: 1, buyable: false })),
      offcuts: [],
    });
    expect(report.findings.filter(({ said }) => said).length).toBeGreaterThan(2);
    for (const finding of report.findings) {
      const { message, remedy, place } = findingIn(finding, 'imperial');
      // Grass goes by the length of its fibre, in every shop: that is its name.
      expect(`${message} ${remedy} ${place}`.replace(/Static grass, \d+ mm/, '')).not.toMatch(
        /\d (mm|cm2|cm²)|[\uE000\uE001{}]/,
      );
      expect(findingIn(finding, 'metric')).toEqual({
        message: finding.message,
        remedy: finding.remedy,
        place: finding.place,
      });
      expect(`${finding.place} ${finding.message} ${finding.remedy}`).not.toMatch(/[\uE000\uE001{}]/);
    }
  });
});
