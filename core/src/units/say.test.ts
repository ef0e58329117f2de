import { describe, expect, it } from 'vitest';
import { exactly } from './amount.ts';
import { sayAmount, sayClock, sayHours, sayMinutes } from './say.ts';

describe('how amounts and times are said', () => {
  it.each([
    [12, '12 min'],
    [59.6, '1 h'],
    [100, '1 h 40 min'],
  ])('%d minutes', (minutes, said) => expect(sayMinutes(minutes)).toBe(said));

  it.each([
    [0.5, '30 min'],
    [2.25, '2.3 h'],
    [31.2, '31 h'],
    [114, '4 d 18 h'],
    [96, '4 d'],
  ])('%d hours', (hours, said) => expect(sayHours(hours)).toBe(said));

  it('a wall clock without any time zone', () => expect(sayClock('2027-03-11T19:30')).toBe('Thu 11 Mar 19:30'));

  it('a range names its unit once', () => {
    expect(sayAmount({ low: 1100, likely: 1300, high: 1600, unit: 'ml' })).toEqual({
      likely: '1.3 L',
      range: '1.1–1.6',
    });
    expect(sayAmount({ low: 900, likely: 1000, high: 1600, unit: 'ml' })).toEqual({
      likely: '1 L',
      range: '900 ml–1.6 L',
    });
    expect(sayAmount({ ...exactly(2), unit: 'each' })).toEqual({ likely: '2', range: '' });
    expect(sayAmount({ low: 20, likely: 30, high: 50, unit: 'g' }, 'imperial').likely).toBe('1.06 oz');
  });
});
