import { describe, expect, it } from 'vitest';
import { resaid } from './resay.ts';

describe('sentences in the other units', () => {
  // 1 in = 25.4 mm, 1 oz = 28.349523125 g, 1 lb = 453.59237 g by the international agreement of 1959; 1 US fl oz = 29.5735295625 ml.
  it('says every measure of a sentence, ranges whole, and nothing else', () => {
    const say = (text: string) => resaid(text, 'imperial');
    expect(say('paste 25.4 mm deep (95 % of it no deeper), in 2 coats')).toBe(
      'paste 1 in deep (95 % of it no deeper), in 2 coats',
    );
    expect(say('each 283.5 g of powder and 59.15 ml of water')).toBe('each 10 oz of powder and 2 fl oz of water');
    expect(say('from 12.7 to 25.4 mm')).toBe('from 1/2 in to 1 in');
    expect(say('a thin coat at 1.20 times the hours of 20 C and 50 %')).toBe(
      'a thin coat at 1.20 times the hours of 68 °F and 50 %',
    );
    expect(say('1:87, 12 grams, 3 mmol, Static grass, 2 mm, layer 4')).toBe(
      '1:87, 12 grams, 3 mmol, Static grass, 2 mm, layer 4',
    );
  });

  it('leaves metric sentences as they are', () => {
    expect(resaid('each 186 g of powder', 'metric')).toBe('each 186 g of powder');
  });
});
