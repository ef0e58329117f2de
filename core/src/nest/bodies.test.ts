import { describe, expect, it } from 'vitest';
import type { Ring } from '../geometry/index.ts';
import { type Body, bodyOf, contactsOf, lie, placeOf } from './bodies.ts';
import type { NestProblem } from './index.ts';

const square: Ring = [
  [0, 0],
  [20, 0],
  [20, 20],
  [0, 20],
];
const problem = (anyTurn: boolean, gapMm = 0): NestProblem => ({
  pieces: [0, 1].map((k) => ({ id: `${k}`, outline: { outer: square, holes: [] }, turns: [0], anyTurn })),
  beds: [],
  gapMm,
  marginMm: 0,
  pinned: [],
});
const at = (piece: number, xMm: number, yMm: number, turn = 0, gapMm = 0): Body =>
  bodyOf(problem(true, gapMm), { piece, bed: 0, turn, xMm, yMm }, false);
const nowhere = [-1000, -1000, 1000, 1000] as const;
const apart = (a: Body, b: Body) => contactsOf([a, b], nowhere).map(({ apartMm }) => apartMm);

describe('contacts of pieces', () => {
  it('flush squares a millimetre apart: the four corners that face the other, each a millimetre away', () => {
    const found = apart(at(0, 10, 10), at(1, 31, 10));
    expect(found.length).toBeGreaterThanOrEqual(4);
    for (const mm of found) expect(mm).toBeCloseTo(1, 9);
  });

  it('corner to corner, aslant: the distance between the corners, along the line between them', () => {
    const contacts = contactsOf([at(0, 10, 10), at(1, 30.6, 30.8)], nowhere);
    for (const { apartMm } of contacts) expect(apartMm).toBeCloseTo(1, 9);
    const [{ normal }] = contacts;
    expect(Math.abs(normal[0])).toBeCloseTo(0.6, 9);
    expect(Math.abs(normal[1])).toBeCloseTo(0.8, 9);
  });

  it('an overlap counts as less than nothing; what is far has none', () => {
    expect(Math.min(...apart(at(0, 10, 10), at(1, 29.5, 12)))).toBeCloseTo(-0.5, 9);
    expect(apart(at(0, 10, 10), at(1, 33, 10))).toEqual([]);
  });

  it('half the gap belongs to each piece', () => {
    const found = apart(at(0, 10, 10, 0, 3), at(1, 34, 10, 0, 3));
    // 4 mm between them less the gap of 3, and twice what grown outlines may stray.
    expect(Math.min(...found)).toBeGreaterThan(0.7);
    expect(Math.min(...found)).toBeLessThan(1);
  });

  it('walls, on every side', () => {
    const body = at(0, 10, 10);
    const found = contactsOf([body], [-0.25, -0.5, 20.75, 21]);
    expect([...new Set(found.map(({ apartMm }) => apartMm))].sort()).toEqual([0.25, 0.5, 0.75, 1]);
    expect(found.every(({ b }) => b === null)).toBe(true);
  });

  it('levers are those of the point that is placed: a push at a corner turns, one through the middle does not', () => {
    const [high, low] = contactsOf([at(0, 10, 10)], [-0.5, -1000, 1000, 1000]);
    expect([high.leverA, low.leverA].sort((a, b) => a - b)).toEqual([-10, 10]);
    const free = at(0, 10, 10);
    expect(high.gives).toBeCloseTo(1 + free.turns * 100, 9);
    // A square of 20 mm: 12 / (20^2 + 20^2).
    expect(free.turns).toBeCloseTo(0.015, 9);
    const stiff = bodyOf(problem(false), { piece: 0, bed: 0, turn: 0, xMm: 10, yMm: 10 }, false);
    expect(stiff.turns).toBe(0);
    const still = bodyOf(problem(true), { piece: 0, bed: 0, turn: 0, xMm: 10, yMm: 10 }, true);
    expect(contactsOf([still], [-0.5, -1000, 1000, 1000])).toEqual([]);
  });
});

describe('where a body has come to', () => {
  it('turned and moved, it is written down with a turn from 0 to 360', () => {
    const body = at(0, 10, 10, 350);
    Object.assign(body, { x: 12, y: 9, angle: Math.PI / 9 });
    lie(body);
    const place = placeOf(body);
    expect(place).toMatchObject({ piece: 0, bed: 0, xMm: 12, yMm: 9 });
    expect(place.turn).toBeCloseTo(10, 9);
    expect((body.box[0] + body.box[2]) / 2).toBeCloseTo(12, 9);
    expect(placeOf(at(0, 10, 10, 350)).turn).toBe(350);
  });
});
