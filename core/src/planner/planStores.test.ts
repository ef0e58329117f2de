import { readFileSync } from 'node:fs';
import { describe, expect, it } from 'vitest';
import {
  createPlanner,
  markDone,
  type Project,
  plan,
  putPack,
  putStoreItem,
  readProject,
  toEnd,
  wear,
} from '../index.ts';

const read = readProject(readFileSync(new URL('../../../samples/vessa-terraces.hosket.json', import.meta.url), 'utf8'));
if (!read.ok) throw new Error(read.fault.message);
const terraces = read.value;
const pack = {
  id: 'p',
  material: 'compound',
  which: '',
  amount: 500,
  unit: 'g' as const,
  price: 5,
  supplier: '',
};

describe('stores on a planner that has seen the project before', () => {
  const planner = createPlanner();
  const quick = (project: Project) => toEnd(planner.run(project, true)).report;
  const first = toEnd(planner.run(terraces)).report;
  const skin = (report: typeof first) => report.takeoff.find(({ stage }) => stage === 'skin');

  it('a price counts at once, also in a quick answer: in its step, in its part, in what is to be spent', () => {
    expect(skin(first)?.money).toBeNull();
    const priced = quick(putPack(terraces, pack));
    const grams = first.shopping.find(({ material }) => material === 'compound')?.likely ?? 0;
    expect(skin(priced)?.money).toBeCloseTo(grams / 100, 6);
    expect(priced.breakdown.find(({ part }) => part === 'skin')?.money).toBeCloseTo(grams / 100, 6);
    expect(priced.shopping.find(({ material }) => material === 'compound')?.buy?.cost).toBe(5);
    expect(skin(quick(terraces))?.money).toBeNull();
  });

  it('the same as a plan from nothing', () => {
    const stocked = putStoreItem(putPack(terraces, pack), {
      id: 'a',
      material: 'compound',
      which: '',
      amount: 100,
      unit: 'g',
      opened: null,
      useBy: null,
      place: '',
    });
    const { report } = toEnd(planner.run(stocked));
    const fresh = plan(stocked).report;
    expect(report.shopping).toEqual(fresh.shopping);
    expect(report.breakdown).toEqual(fresh.breakdown);
    expect(report.balance).toEqual(fresh.balance);
    expect(report.findings).toEqual(fresh.findings);
  });

  it('a step that is done leaves the list, and nothing of the plan besides', () => {
    const id = skin(first)?.id ?? '';
    const done = quick(markDone(terraces, { step: id, title: 'Skin', on: '2027-03-03', used: [] }));
    expect(done.shopping.map(({ material }) => material)).toEqual(
      first.shopping.map(({ material }) => material).filter((material) => material !== 'compound'),
    );
    expect(done.takeoff).toEqual(first.takeoff);
    expect(done.finish).toEqual(first.finish);
  });

  it('what it stands on changes how it stands, not where its middle is', () => {
    const { support } = terraces;
    const plinth = quick({
      ...terraces,
      support: { ...support, on: 'a plinth', plinth: { widthMm: 60, depthMm: 60 } },
    });
    expect(plinth.balance?.at).toEqual(first.balance?.at);
    expect(plinth.balance?.tip?.degrees).toBeLessThan(first.balance?.tip?.degrees ?? 0);
  });

  it('the parts add up to the whole', () => {
    const grams = first.breakdown.reduce((sum, { massG }) => sum + massG.likely, 0);
    expect(grams).toBeCloseTo(first.mass.totalG.likely, 6);
    expect(first.balance?.massG).toBeCloseTo(first.mass.totalG.likely, 3);
    const minutes = first.takeoff.reduce((sum, { handsOn }) => sum + handsOn.likely, 0);
    expect(first.breakdown.reduce((sum, part) => sum + part.minutes, 0)).toBeCloseTo(minutes, 6);
  });

  it('rules worked out once more say the same', () => {
    const planned = toEnd(planner.run(terraces));
    expect(planned.check()).toEqual(planned.report.findings);
  });
});

describe('the order of the work', () => {
  const sided: Project = wear(
    {
      ...terraces,
      recipes: [
        ...terraces.recipes,
        {
          id: 'black',
          name: 'Black sides',
          note: '',
          roughness: 1,
          // The same pot as on the ground: still it is not done with it.
          coats: terraces.recipes[0].coats.filter(({ operation }) => operation === 'paint'),
        },
      ],
    },
    { of: 'edges' },
    'black',
  );
  const { takeoff, tasks, operations } = plan(sided).report;
  const onSides = takeoff.filter(({ zones }) => zones.some(({ id }) => id === 'edges of the base'));

  it('sides are painted apart, after everything that lies on the ground', () => {
    expect(onSides.length).toBeGreaterThan(0);
    for (const step of onSides) expect(step.zones).toHaveLength(1);
    const begins = (id: string) =>
      Math.min(
        ...tasks
          .filter((task) => operations.find((one) => one.id === task.operation)?.step === id)
          .map(({ sessions }) => sessions[0].from),
      );
    const ground = takeoff.filter(
      ({ zones, operation }) => operation !== null && zones.length && !onSides.some((one) => one.zones === zones),
    );
    for (const { id } of ground) expect(begins(onSides[0].id), id).toBeGreaterThan(begins(id));
  });

  it('cables are laid after carving and before the skin', () => {
    const voids = takeoff.find(({ id }) => id === 'voids');
    expect(voids?.after.map(({ id }) => id)).toContain('glue');
    const skin = takeoff.find(({ stage }) => stage === 'skin');
    expect(skin?.after).toContainEqual({ id: 'voids', wait: 'touch' });
    expect(voids?.cautions.join(' ')).toContain('Low voltage only');
  });

  it('every step that may hurt says how to mind it', () => {
    for (const { id, cautions, stage } of takeoff)
      if (['cut', 'glue', 'carve'].includes(stage)) expect(cautions.length, id).toBeGreaterThan(0);
    expect(takeoff.find(({ stage }) => stage === 'skin')?.cautions.join(' ')).toContain('Warms as it sets');
    expect(takeoff.find(({ operation }) => operation === 'scatter')?.cautions.join(' ')).toContain('Flammable');
  });
});
