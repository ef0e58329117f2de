import fc from 'fast-check';
import { describe, expect, it } from 'vitest';
import { formatMeasure, type MeasureKind, parseMeasure, type UnitSystem } from './measures.ts';

const mm = (text: string, system: UnitSystem = 'metric') => {
  const read = parseMeasure('length', text, system);
  return read.ok ? read.value : read.fault.message;
};

describe('lengths as people write them', () => {
  it.each([
    ['12.5cm', 125],
    ['12,5 cm', 125],
    ['1 1/2 in', 38.1],
    ['1-1/2"', 38.1],
    ['3/4in', 19.05],
    [`2'3"`, 685.8],
    [`2' 3 1/2"`, 698.5],
    ['2 ft 3 in', 685.8],
    ['.5 m', 500],
    ['40', 40],
    ['1m 20cm', 1200],
    ['-6 mm', -6],
    [' 7 mm ', 7],
  ])('%s is %d mm', (text, expected) => {
    expect(mm(text)).toBeCloseTo(expected, 9);
  });

  it('reads a bare number in the system in use', () => {
    expect(mm('2', 'imperial')).toBeCloseTo(50.8, 9);
    expect(mm('1/2', 'imperial')).toBeCloseTo(12.7, 9);
  });

  it.each(['', 'tall', '3 furlongs', '1/0 in', '3 in 2 ft', '4 mm 4 mm', '12 mm high', '1..2'])(
    'refuses %j',
    (text) => {
      const read = parseMeasure('length', text);
      expect(read.ok).toBe(false);
      if (!read.ok) expect(read.fault.remedy).toContain('12.5 cm');
    },
  );
});

describe('other measures', () => {
  it.each<[MeasureKind, string, number]>([
    ['area', '3 cm2', 300],
    ['area', '1 m²', 1e6],
    ['volume', '1.5 L', 1500],
    ['volume', '2 fl oz', 59.147059125],
    ['mass', '1 lb 2 oz', 453.59237 + 2 * 28.349523125],
    ['mass', '0.3 kg', 300],
    ['temperature', '68 F', 20],
    ['temperature', '-10 °C', -10],
    ['temperature', '-4 F', -20],
  ])('%s: %s', (kind, text, expected) => {
    const read = parseMeasure(kind, text);
    expect(read.ok && read.value).toBeCloseTo(expected, 9);
  });
});

describe('round trip', () => {
  it('text of any length in either system reads back to what was shown', () => {
    fc.assert(
      fc.property(
        fc.double({ min: 0, max: 5000, noNaN: true }),
        fc.constantFrom('metric', 'imperial'),
        (value, system) => {
          const read = parseMeasure('length', formatMeasure('length', value, system, 3), system);
          expect(read.ok).toBe(true);
          if (read.ok) expect(Math.abs(read.value - value)).toBeLessThanOrEqual(0.0128);
        },
      ),
    );
  });

  it('every kind reads back within what its text shows', () => {
    const kinds: [MeasureKind, number][] = [
      ['area', 0.1],
      ['volume', 0.06],
      ['mass', 0.06],
      ['temperature', 0.06],
    ];
    fc.assert(
      fc.property(
        fc.constantFrom(...kinds),
        fc.constantFrom('metric', 'imperial'),
        fc.double({ min: 1, max: 900, noNaN: true }),
        (kind, system, value) => {
          const [name] = kind;
          const read = parseMeasure(name, formatMeasure(name, value, system, 2), system);
          expect(read.ok).toBe(true);
          if (read.ok) expect(Math.abs(read.value - value)).toBeLessThan(name === 'area' ? 4 : 3);
        },
      ),
    );
  });

  it('writes whole fractions of an inch as a rule reads them', () => {
    expect(formatMeasure('length', 38.1, 'imperial')).toBe('1 1/2 in');
    expect(formatMeasure('length', 19.05, 'imperial')).toBe('3/4 in');
    expect(formatMeasure('length', 25.4, 'imperial')).toBe('1 in');
    expect(formatMeasure('length', 10, 'imperial')).toBe('0.394 in');
  });
});
