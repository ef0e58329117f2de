import { describe, expect, it } from 'vitest';
import { readNumber } from './index.ts';

describe('a number as it is written', () => {
  it.each([
    ['1,5', 1.5],
    [' 1.5 ', 1.5],
    ['-0,25', -0.25],
    ['12', 12],
  ])('%s is %s', (text, number) => expect(readNumber(text)).toBe(number));

  it.each(['', '  ', 'two', '1,2,3', '1 2'])('"%s" is none', (text) => expect(readNumber(text)).toBeNaN());
});
