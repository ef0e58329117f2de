import fc from 'fast-check';
import { describe, expect, it } from 'vitest';
import {
  familiarSizes,
  formatScale,
  namedScales,
  parseScale,
  sayReal,
  scaleOf,
  toModelMm,
  toRealMm,
} from './scales.ts';

const ratioOf = (name: string) => namedScales.find((scale) => scale.name === name)?.ratio;

describe('named scales', () => {
  // NEM 010 "Massstaebe, Nenngroessen, Spurweiten" (from memory): ratio and track width; standard gauge 1435 mm.
  it.each([
    ['Z', 220, 6.5],
    ['N', 160, 9],
    ['TT', 120, 12],
    ['H0', 87, 16.5],
    ['S', 64, 22.5],
    ['0', 45, 32],
    ['I', 32, 45],
    ['II', 22.5, 64],
  ])('NEM 010 %s is 1:%d and brings 1435 mm to its track', (name, ratio, track) => {
    expect(ratioOf(name)).toBe(ratio);
    expect(Math.abs(toModelMm(1435, ratio) - track)).toBeLessThan(0.5);
  });

  // NMRA S-1.2 (from memory): HO is 3.5 mm to the foot, O is 1/4 inch to the foot.
  it('NMRA S-1 HO and O', () => {
    expect(ratioOf('HO')).toBeCloseTo(304.8 / 3.5, 1);
    expect(ratioOf('O')).toBe(12 / 0.25);
  });
});

describe('reading and converting', () => {
  it.each([
    ['1:87', 87],
    ['1/35', 35],
    ['H0', 87],
    ['h0', 87],
    ['0', 45],
    ['1 : 22,5', 22.5],
    ['72', 72],
  ])('%s', (text, ratio) => {
    const read = parseScale(text);
    expect(read.ok && read.value).toBe(ratio);
  });

  it.each(['', '1:0', 'big', '1:-4', '2:1'])('refuses %j', (text) => expect(parseScale(text).ok).toBe(false));

  it('a cliff of 100 m drawn 20 mm high is 1:5000, and a 1 mm ripple there is a 5 m wave', () => {
    const ratio = 100_000 / 20;
    expect(ratio).toBe(5000);
    expect(toRealMm(1, ratio)).toBe(5000);
  });

  it('model and real convert back and forth, and a written ratio reads back', () => {
    fc.assert(
      fc.property(
        fc.integer({ min: 1, max: 5000 }),
        fc.double({ min: 0.1, max: 1e6, noNaN: true }),
        (ratio, length) => {
          expect(toRealMm(toModelMm(length, ratio), ratio)).toBeCloseTo(length, 6);
          const read = parseScale(formatScale(ratio));
          expect(read.ok && read.value).toBe(ratio);
        },
      ),
    );
  });
});

describe('sizes at a scale', () => {
  it('a 60 m face drawn 25 mm high is 1:2400, and a ripple of 1 mm there is 2.4 m', () => {
    const scale = scaleOf(60_000, 25);
    expect(scale).toBe(2400);
    expect(sayReal(toRealMm(1, scale ?? 0))).toBe('2.4 m');
  });

  it('a 100 m cliff drawn 20 mm high is 1:5000, and a ripple of 1 mm there is 5 m', () => {
    expect(scaleOf(100_000, 20)).toBe(5000);
    expect(sayReal(5000)).toBe('5 m');
  });

  it('familiar things at 1:35 and 1:87.1, against the table of the trade', () => {
    const at = (name: string, scale: number) =>
      toModelMm(familiarSizes.find((size) => size.name === name)?.realMm ?? 0, scale).toFixed(1);
    expect([at('a person', 35), at('a door', 35), at('a blade of grass', 35)]).toEqual(['50.0', '57.1', '8.6']);
    expect([at('a person', 87.1), at('a door', 87.1), at('a lane', 87.1)]).toEqual(['20.1', '23.0', '40.2']);
  });

  it('lengths are said in the unit they are spoken of in', () =>
    expect([0.62, 50, 170, 1750, 12_345, 2.5e6].map(sayReal)).toEqual([
      '0.62 mm',
      '5 cm',
      '17 cm',
      '1.75 m',
      '12.3 m',
      '2.5 km',
    ]));

  it('nothing has no scale', () => expect(scaleOf(0, 10)).toBeNull());
});
