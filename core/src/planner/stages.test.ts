import { readFileSync } from 'node:fs';
import { describe, expect, it } from 'vitest';
import { createPlanner, type Project, readProject, toEnd } from '../index.ts';

const sample = (name: string): Project => {
  const read = readProject(readFileSync(new URL(`../../../samples/${name}.hosket.json`, import.meta.url), 'utf8'));
  if (!read.ok) throw new Error(read.fault.message);
  return read.value;
};
/** What is kept is looked at here, not the ground: its cells may be coarse. */
const coarse = () => 6;

/** Every name in a project of its own: items, zones, sheets, tiles. */
function renamed<T>(value: T, name: (old: string) => string): T {
  if (Array.isArray(value)) return value.map((part) => renamed(part, name)) as T;
  if (typeof value !== 'object' || value === null) return value;
  return Object.fromEntries(
    Object.entries(value).map(([key, part]) => [
      key,
      key === 'name' && typeof part === 'string' && part ? name(part) : renamed(part, name),
    ]),
  ) as T;
}

describe.each(['harl-quarry', 'vessa-terraces', 'tarrow-moor'])('%s: what an edit runs', (file) => {
  const project = sample(file);
  const planner = createPlanner(coarse);
  /** The stages that an edit makes run, once the plan before it stands. */
  const ranFor = (edit: (one: Project) => void): string[] => {
    toEnd(planner.run(project));
    const next = structuredClone(project);
    edit(next);
    toEnd(planner.run(next));
    return planner.times().flatMap(({ name, how }) => (how === 'ran' ? [name] : []));
  };

  it('nothing, where nothing changed', () => expect(ranFor(() => {})).toEqual([]));

  it('a name changes no geometry: only what is written with names runs again', () => {
    const writes = (name: string) =>
      /^(report|plan|cover|amounts|way of building|cutting as data|zones|laid in|set of tiles|hollows|open tile|shed|spans|tile )/.test(
        name,
      );
    const ran = ranFor((one) => {
      for (const list of [one.marks, one.landforms, one.laid, one.things, one.voids, one.patches, one.zones.rules])
        for (const item of list) item.name += ' anew';
    });
    expect(ran).toContain('report');
    expect(ran.filter((name) => !writes(name))).toEqual([]);
  });

  it('nor do bench hours, notes, what is overruled, a colour, or a price of what is bought', () => {
    const amounts = /^(report|plan|amounts|way of building|cover|other stacks|choice|layers$|paste$|shed)/;
    const edits: ((one: Project) => void)[] = [
      (one) => (one.bench.week.monday = { from: '06:00', to: '07:30' }),
      (one) => (one.notes += ' and more'),
      (one) => (one.currency = 'kr'),
      (one) => {
        for (const { coats } of one.recipes) for (const coat of coats) if (coat.colour) coat.colour += ', darker';
      },
      (one) => (one.limits.cost = 3),
    ];
    for (const edit of edits) expect(ranFor(edit).filter((name) => !amounts.test(name))).toEqual([]);
  });

  it('a height runs the ground, and all that stands on it', () => {
    const ran = ranFor((one) => {
      const [mark] = one.marks.filter((each) => each.kind === 'contour');
      if (mark.kind === 'contour') mark.heightMm += 1;
    });
    expect(ran).toEqual(expect.arrayContaining(['solved ground', 'ground', 'target', 'cutting', 'report']));
  });

  it('every name that is written is the one of now, and nothing else follows from names', () => {
    const mine = (old: string) => `${old}\u2020`;
    const { report } = toEnd(createPlanner(coarse).run(renamed(project, mine)));
    const text = JSON.stringify(report);
    expect(text).toContain('\u2020');
    expect(JSON.parse(text.replaceAll('\u2020', ''))).toEqual(
      JSON.parse(JSON.stringify(toEnd(createPlanner(coarse).run(project)).report)),
    );
  });
});
