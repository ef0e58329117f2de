import { describe, expect, test } from 'vitest';
import { createPace } from './draftPace.ts';

const after = (times: readonly number[], rounds = 1) => {
  const pace = createPace(2600);
  for (let k = 0; k < 8 * rounds; k++) pace.took(times[k % times.length]);
  return pace.nodes();
};

describe('how fine a draft is', () => {
  test('slow drafts grow coarser, but never without end', () => {
    expect(after([20])).toBe(1820);
    expect(after([20], 40)).toBe(1300);
  });

  test('quick drafts grow finer, but never without end', () => {
    expect(after([3])).toBe(3640);
    expect(after([3], 40)).toBe(5500);
  });

  test('drafts that keep pace stay as they are, and one slow one among them changes nothing', () => {
    expect(after([9])).toBe(2600);
    expect(after([9, 9, 9, 90])).toBe(2600);
  });
});
