import fc from 'fast-check';
import { describe, expect, it } from 'vitest';
import { readAsOne, reading } from './reading.ts';
import { shared } from './share.ts';

type Line = [number, number][];
const house = () => ({
  name: 'house',
  rooms: [
    {
      id: 'a',
      name: 'Hall',
      size: { w: 3, d: 4 },
      line: [
        [0, 0],
        [1, 1],
      ] as Line,
    },
    { id: 'b', name: 'Loft', size: { w: 5, d: 6 }, line: [[2, 2]] as Line },
  ],
  heat: { by: 'stove', hours: [6, 7] },
});
type House = ReturnType<typeof house>;

/** Whether a reader of `read` would notice `edit`. */
function noticed(read: (view: House) => unknown, edit: (one: House) => void): boolean {
  const first = house();
  const note = reading(first);
  read(note.view);
  const next = structuredClone(first);
  edit(next);
  return !note.unchanged(shared(first, next));
}

describe('what is noted of a reading', () => {
  it('what was read, and nothing beside it', () => {
    const widths = (view: House) => view.rooms.map(({ size }) => size.w);
    expect(noticed(widths, (one) => one.rooms[1].size.w++)).toBe(true);
    expect(noticed(widths, (one) => one.rooms[1].size.d++)).toBe(false);
    expect(noticed(widths, (one) => (one.rooms[0].name = 'Hallway'))).toBe(false);
    expect(noticed(widths, (one) => (one.heat.by = 'sun'))).toBe(false);
  });

  it('a list that grows, shrinks or changes its order', () => {
    const ids = (view: House) => view.rooms.map(({ id }) => id);
    expect(noticed(ids, (one) => one.rooms.push({ ...one.rooms[0], id: 'c' }))).toBe(true);
    expect(noticed(ids, (one) => one.rooms.pop())).toBe(true);
    expect(noticed(ids, (one) => one.rooms.reverse())).toBe(true);
  });

  it('lines of points by their content, and that a field came or went', () => {
    const lines = (view: House) => view.rooms.flatMap(({ line }) => line);
    expect(noticed(lines, () => {})).toBe(false);
    expect(noticed(lines, (one) => one.rooms[1].line.push([9, 9]))).toBe(true);
    expect(
      noticed(
        ({ heat }) => heat.by,
        (one) => Object.assign(one.heat, { extra: 1 }),
      ),
    ).toBe(true);
  });

  it('copying a thing reads all of it; looking at it through a copy later is noted too', () => {
    expect(
      noticed(
        ({ heat }) => ({ ...heat }),
        (one) => one.heat.hours.push(8),
      ),
    ).toBe(true);
    const first = house();
    const note = reading(first);
    const { size } = note.view.rooms[0];
    const next = structuredClone(first);
    next.rooms[0].size.w++;
    expect(note.unchanged(next)).toBe(true);
    expect(size.w).toBe(3);
    expect(note.unchanged(next)).toBe(false);
  });

  it('a field read as one: the value itself, noticed whatever changes in it and at nothing beside it', () => {
    const asOne = (view: House) => readAsOne(view, 'rooms')[0].size.w;
    expect(noticed(asOne, (one) => (one.rooms[1].name = 'Attic'))).toBe(true);
    expect(noticed(asOne, (one) => (one.heat.by = 'sun'))).toBe(false);
    const first = house();
    const note = reading(first);
    expect(readAsOne(note.view, 'rooms')).toBe(first.rooms);
    expect(readAsOne(first, 'rooms')).toBe(first.rooms);
  });

  it('a view says what the value says, also when it is sent away', () => {
    fc.assert(
      fc.property(fc.object(), (value) => {
        const plain = JSON.parse(JSON.stringify(value));
        expect(structuredClone(reading(plain).view)).toEqual(plain);
        expect(JSON.stringify(reading(plain).view)).toBe(JSON.stringify(plain));
      }),
    );
  });
});
