import { describe, expect, it } from 'vitest';
import { centroidOf, type Ring } from '../geometry/index.ts';
import { plan as planOf } from '../planner/index.ts';
import { startProject, usualSupport } from '../project/index.ts';
import { type Body, balanceOf, centreOfGravity, tipOver } from './balance.ts';

const square = (side: number, x = 0, y = 0): Ring => [
  [x, y],
  [x + side, y],
  [x + side, y + side],
  [x, y + side],
];
const degrees = (radians: number) => (radians * 180) / Math.PI;

describe('centre of gravity', () => {
  // Closed forms: a triangle's lies at the mean of its corners; two masses share out the way between them by the lever.
  it('of a triangle, of an L of two squares', () => {
    expect(
      centroidOf([
        [0, 0],
        [90, 0],
        [0, 60],
      ]),
    ).toEqual([30, 20]);
    const [x, y] = centroidOf([
      [0, 0],
      [20, 0],
      [20, 10],
      [10, 10],
      [10, 20],
      [0, 20],
    ]);
    expect([x, y].map((v) => Math.round(v * 1e9) / 1e9)).toEqual(
      [25 / 3, 25 / 3].map((v) => Math.round(v * 1e9) / 1e9),
    );
  });

  it('of two bodies by the lever, of nothing none', () => {
    const two: Body[] = [
      { massG: 100, at: [0, 0, 0] },
      { massG: 300, at: [40, 80, 20] },
    ];
    expect(centreOfGravity(two)).toEqual({ massG: 400, at: [30, 60, 15] });
    expect(centreOfGravity([])).toBeNull();
  });

  it('of a cone out of thin slices: a quarter of its height', () => {
    const [height, slices] = [80, 4000];
    const cone = Array.from({ length: slices }, (_, k): Body => {
      const z = ((k + 0.5) * height) / slices;
      return { massG: (1 - z / height) ** 2, at: [0, 0, z] };
    });
    expect(centreOfGravity(cone)?.at[2]).toBeCloseTo(height / 4, 4);
  });
});

describe('tipping', () => {
  it('of an upright box: tan = half its width over half its height', () => {
    const { degrees: angle } = tipOver([50, 50, 120], square(100));
    expect(angle).toBeCloseTo(degrees(Math.atan(50 / 120)), 9);
  });

  it('over the nearest edge, named by where it falls', () => {
    expect(tipOver([80, 50, 30], square(100))).toEqual({ towards: 'right', degrees: degrees(Math.atan(20 / 30)) });
    expect(tipOver([50, 5, 30], square(100)).towards).toBe('front');
    expect(tipOver([50, 95, 30], square(100)).towards).toBe('back');
    expect(tipOver([4, 50, 30], square(100)).towards).toBe('left');
  });

  it('beside what it stands on it falls by itself', () =>
    expect(tipOver([120, 50, 40], square(100)).degrees).toBeCloseTo(degrees(Math.atan(-20 / 40)), 9));

  it('a notch in the outline does not matter: it stands on its corners', () => {
    const notched: Ring = [
      [0, 0],
      [100, 0],
      [100, 100],
      [60, 100],
      [60, 20],
      [40, 20],
      [40, 100],
      [0, 100],
    ];
    expect(tipOver([50, 50, 50], notched).degrees).toBeCloseTo(45, 9);
  });
});

describe('what it stands or hangs on', () => {
  const outline = square(300);
  const bodies: Body[] = [{ massG: 2000, at: [150, 120, 60] }];
  const on = (change: Partial<ReturnType<typeof usualSupport>>) =>
    balanceOf({ ...usualSupport(), ...change }, outline, bodies);

  it('its board, or a plinth under its middle that is smaller', () => {
    const board = on({ on: 'its board' });
    expect(board?.tip?.degrees).toBeCloseTo(degrees(Math.atan(120 / 60)), 9);
    expect(board?.safe).toBe(true);
    // 100 deep about the middle at 150: its front edge lies at 100, 20 mm from the centre of gravity.
    const plinth = on({ on: 'a plinth', plinth: { widthMm: 200, depthMm: 100 } });
    expect(plinth?.tip).toEqual({ towards: 'front', degrees: degrees(Math.atan(20 / 60)) });
    expect(on({ on: 'a plinth', plinth: { widthMm: 200, depthMm: 70 } })?.safe).toBe(false);
  });

  it('a wall: each hook carries half, and is pulled out by the moment about the lower edge', () => {
    const wall = on({ on: 'a wall', hooks: { apartMm: 200, upMm: 240 } });
    expect(wall?.hooks?.carriesN).toBeCloseTo(9.81, 9);
    expect(wall?.hooks?.pulledN).toBeCloseTo((2 * 9.81 * 60) / 240 / 2, 9);
    expect(wall).toMatchObject({ safe: true, tip: null, hooks: { overMm: 120 } });
    expect(on({ on: 'a wall', hooks: { apartMm: 200, upMm: 100 } })?.safe).toBe(false);
  });

  it('nothing that weighs, no base: nothing to say', () => {
    expect(balanceOf(usualSupport(), outline, [])).toBeNull();
    expect(balanceOf(usualSupport(), [[0, 0]], bodies)).toBeNull();
  });
});

describe('a whole piece', () => {
  it('flat and of one layer: over the middle of its base, as heavy as the plan says', () => {
    const start = startProject('flat', '2027-03-01', 'ground');
    const flat = {
      ...start,
      marks: [
        {
          kind: 'contour' as const,
          id: 'all',
          name: '',
          heightMm: 24,
          hidden: false,
          locked: false,
          smooth: false,
          closed: true,
          points: square(1).map(([x, y]): [number, number] => [x * 297, y * 210]),
        },
      ],
    };
    const { report } = planOf(flat as typeof start);
    const balance = report.balance;
    if (!balance) throw new Error('nothing to say');
    expect(balance.massG).toBeCloseTo(report.mass.totalG.likely, 3);
    expect(balance.at[0]).toBeCloseTo(148.5, 0);
    expect(balance.at[1]).toBeCloseTo(105, 0);
    expect(balance.at[2]).toBeGreaterThan(3);
    expect(balance.at[2]).toBeLessThan(30);
  });
});
