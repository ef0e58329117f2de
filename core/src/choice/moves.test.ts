import { describe, expect, it } from 'vitest';
import type { LevelPlace } from '../layers/index.ts';
import { drawItem, giveAll, moveItems, type Project, startProject } from '../project/index.ts';
import { gatheredLevels } from './moves.ts';

const place = (itemId: string, targetMm: number, part = ''): LevelPlace => ({
  itemId,
  part,
  heightIs: 'foam',
  wantedMm: targetMm,
  targetMm,
  area: 0,
});

/** A project with some things, and the ids they were given. */
function drawn(...kinds: Parameters<typeof drawItem>[1][]): { project: Project; ids: string[] } {
  let project = startProject('Levels', '2027-03-01');
  const ids = kinds.map((kind, k) => {
    const at = 40 + 30 * k;
    const made = drawItem(
      project,
      kind,
      [
        [at, 40],
        [at + 20, 40],
        [at + 20, 60],
      ],
      20 + 10 * k,
    );
    project = made.project;
    return made.id;
  });
  return { project, ids };
}

describe('levels that may be moved', () => {
  it('at one height are one: it goes no further than the least of them allows', () => {
    const { project, ids } = drawn('contour', 'pad');
    const [a, b] = ids;
    const some = { ...project, marks: project.marks.map((mark) => ({ ...mark, give: { downMm: 2, upMm: 5 } })) };
    const both: Project = {
      ...some,
      landforms: some.landforms.map((form) => ({ ...form, give: { downMm: 4, upMm: 1 } }) as Project['landforms'][0]),
    };
    expect(gatheredLevels(both, [place(a, 20), place(b, 20.02)])).toMatchObject([
      { downMm: 2, upMm: 1, together: null, places: [{ itemId: a }, { itemId: b }] },
    ]);
    // One that may not move holds the other.
    expect(gatheredLevels(some as Project, [place(a, 20), place(b, 20.02)])).toMatchObject([{ downMm: 0, upMm: 0 }]);
  });

  it('of one thing move together, as terraces do; and what lies at one of its heights with them', () => {
    const { project, ids } = drawn('terraces', 'pad');
    const levels = gatheredLevels(giveAll(project, 3, 3), [
      place(ids[0], 20, 'tread 1'),
      place(ids[0], 28, 'tread 2'),
      place(ids[1], 28),
      place(ids[0], 36, 'tread 3'),
    ]);
    expect(levels.map(({ heightMm }) => Math.round(heightMm))).toEqual([20, 28, 36]);
    expect(new Set(levels.map(({ together }) => together)).size).toBe(1);
    expect(levels[0].together).not.toBeNull();
  });

  it('of a way are only the ends that have a height of their own; what is locked stays', () => {
    const { project, ids } = drawn('way', 'contour');
    const ended = {
      ...project,
      landforms: project.landforms.map((form) => ({ ...form, fromMm: 12 }) as Project['landforms'][0]),
    };
    const given = giveAll(ended, 3, 3);
    const levels = gatheredLevels(given, [place(ids[0], 12, 'start'), place(ids[0], 33, 'end'), place(ids[1], 30)]);
    expect(levels.map(({ places }) => places[0].part)).toEqual(['start', '']);
    const locked = { ...given, marks: given.marks.map((mark) => ({ ...mark, locked: true })) };
    expect(gatheredLevels(locked, [place(ids[1], 30)])).toMatchObject([{ downMm: 0, upMm: 0 }]);
  });
});

describe('moving things', () => {
  it('moves every height that a thing asks for, a bed under its water, nothing below the board', () => {
    const { project, ids } = drawn('terraces', 'pad', 'basin', 'way', 'pit');
    const given: Project = {
      ...project,
      landforms: project.landforms.map(
        (form) => (form.kind === 'way' ? { ...form, fromMm: 12, toMm: 30 } : form) as Project['landforms'][0],
      ),
    };
    const moved = moveItems(
      given,
      ids.map((itemId) => ({ itemId, byMm: itemId === ids[4] ? -300 : 1.5 })),
    );
    const [terraces, pad, basin, way, pit] = ids.map((id) => ({
      was: given.landforms.find((form) => form.id === id) as unknown as Record<string, number>,
      now: moved.landforms.find((form) => form.id === id) as unknown as Record<string, number>,
    }));
    expect(terraces.now.firstMm - terraces.was.firstMm).toBeCloseTo(1.5, 9);
    expect(terraces.now.riseMm).toBe(terraces.was.riseMm);
    expect(pad.now.heightMm - pad.was.heightMm).toBeCloseTo(1.5, 9);
    expect([basin.now.waterMm, basin.now.depthMm - basin.was.depthMm]).toEqual([basin.was.waterMm, -1.5]);
    expect([way.now.fromMm, way.now.toMm]).toEqual([13.5, 31.5]);
    expect(pit.now.floorMm).toBe(0);
  });
});
