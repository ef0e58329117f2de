import { describe, expect, it } from 'vitest';
import type { School } from '../project/index.ts';
import { type WayFigures, wayOf } from './way.ts';

const figures = (school: School, minutes: number, dryAt: string | null, missesMm = 0): WayFigures => ({
  school,
  minutes,
  dryAt,
  missesMm,
});
const three = (back: [number, number], half: [number, number], up: [number, number]): WayFigures[] =>
  (
    [
      ['carve back', back],
      ['halfway', half],
      ['build up', up],
    ] as const
  ).map(([school, [minutes, day]]) => figures(school, minutes, `2027-03-${String(10 + day).padStart(2, '0')}T12:00`));

describe('the way of building that the plan chooses', () => {
  it('is the one of fewest minutes, days priced in: worked by hand', () => {
    // 300 + 0, 270 + 10 x 5, 260 + 10 x 9.
    expect(wayOf(three([300, 0], [270, 5], [260, 9]), 10)).toEqual({
      school: 'carve back',
      by: 'plan',
      against: 'halfway',
      sparesMin: -30,
      soonerDays: 5,
      near: false,
    });
    // A day is worth nothing: the fewest minutes.
    expect(wayOf(three([300, 0], [270, 5], [240, 9]), 0)).toMatchObject({ school: 'build up', against: 'halfway' });
    expect(wayOf(three([300, 0], [220, 2], [205, 9]), 10)).toMatchObject({
      school: 'halfway',
      against: 'build up',
      sparesMin: -15,
      soonerDays: 7,
    });
  });

  it('is carved back where two are near', () => {
    expect(wayOf(three([300, 0], [292, 0], [400, 0]), 10)).toMatchObject({
      school: 'carve back',
      near: true,
      sparesMin: -8,
    });
    expect(wayOf(three([300, 0], [280, 0], [400, 0]), 10)).toMatchObject({ school: 'halfway', near: false });
  });

  it('is never one whose stack stays lower than another could', () => {
    const [back, half, up] = three([300, 0], [100, 0], [350, 0]);
    expect(wayOf([back, { ...half, missesMm: 12 }, up], 10)).toMatchObject({ school: 'carve back' });
    // All too low alike: the cheapest.
    expect(
      wayOf(
        [back, half, up].map((one) => ({ ...one, missesMm: 12 })),
        10,
      ),
    ).toMatchObject({ school: 'halfway' });
  });

  it('goes by minutes alone where there are no bench hours', () => {
    const none = three([300, 0], [250, 0], [270, 0]).map((one) => ({ ...one, dryAt: null }));
    expect(wayOf(none, 10)).toMatchObject({ school: 'halfway', soonerDays: 0, sparesMin: 20 });
  });
});
