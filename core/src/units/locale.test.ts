import { afterEach, describe, expect, it } from 'vitest';
import { decimals, localeNow, plainNumber, speakLocale } from './locale.ts';
import { formatMeasure, parseMeasure } from './measures.ts';
import { inWords, mm } from './quantity.ts';
import { sayAmount, sayClock, sayDay, sayHours } from './say.ts';

afterEach(() => speakLocale('en-GB'));

describe('numbers and days as the builder writes them', () => {
  it('the decimal sign is that of the language, in every kind of figure', () => {
    speakLocale('de-DE');
    expect(decimals(12.345, 2)).toBe('12,35');
    expect(plainNumber(0.5)).toBe('0,5');
    expect(formatMeasure('length', 12.5)).toBe('12,5 mm');
    expect(formatMeasure('mass', 1790)).toBe('1,79 kg');
    expect(formatMeasure('length', 12.5, 'imperial')).toBe('0,492 in');
    expect(sayHours(2.1)).toBe('2,1 h');
    expect(sayAmount({ low: 1.5, likely: 2.25, high: 3.5, unit: 'ml' })).toEqual({
      likely: '2,3 ml',
      range: '1,5–3,5',
    });
  });

  it('what is shown is read back as the same figure, in any language', () => {
    for (const tag of ['en-GB', 'en-US', 'de-DE', 'fr-FR', 'sv-SE', 'ar-EG', 'fa-IR']) {
      speakLocale(tag);
      for (const value of [0.1, 12.5, 300, 1234.5]) {
        const read = parseMeasure('length', formatMeasure('length', value));
        expect(read, tag).toEqual({ ok: true, value });
      }
    }
  });

  // Unicode CLDR, as the runtime carries it: the day before the month in British English and German, after it in American English.
  it('days stand in the order of the language', () => {
    const day = '2027-03-11T19:30';
    expect(sayClock(day)).toBe('Thu 11 Mar 19:30');
    speakLocale('en-US');
    expect(sayDay(day)).toBe('Thu, Mar 11');
    expect(sayClock(day)).toMatch(/^Thu, Mar 11 07:30\sPM$/);
    speakLocale('de-DE');
    expect(sayClock(day)).toMatch(/^Do\.?, 11\. März 19:30$/);
  });

  it('what is no language changes nothing', () => {
    speakLocale('de-DE');
    speakLocale('no such tag');
    expect(localeNow()).toBe('de-DE');
    expect(decimals(0.5, 1)).toBe('0,5');
  });

  it('sentences by which a finding is known again are the same in every language', () => {
    const said = () => inWords({ place: `a step of ${mm(12.5)}` }).metric.place;
    const before = said();
    speakLocale('de-DE');
    expect(said()).toBe(before);
    expect(decimals(0.5, 1)).toBe('0,5');
  });
});
