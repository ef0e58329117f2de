import { describe, expect, it } from 'vitest';
import { targetOf } from '../layers/index.ts';
import { frustumGround, frustumProject } from '../testing/frustum.ts';
import { stacked } from '../testing/stacked.ts';
import { type StageId, takeoffOf } from './index.ts';

/** The amounts of the square frustum, halfway, worked out by hand: "amounts" of the closed-form example. */
const ground = frustumGround();
const target = targetOf(ground, 3);
const start = frustumProject();
const project = {
  ...start,
  stacking: { ...start.stacking, glue: 'white PVA' as const, glueLineMm: 0 },
  surface: {
    ...start.surface,
    baseCoats: 0,
    grass: { ...start.surface.grass, sharePercent: 100, notSteeperDegrees: 0 },
  },
};
const { plan } = stacked(project, ground, 'halfway');
const stages = takeoffOf(project, ground.surface, ground.volumeMl - target.volumeMl, plan, null);
const stage = (id: StageId) => {
  const found = stages.find((candidate) => candidate.stage === id);
  if (!found) throw new Error(`no stage ${id}`);
  return found;
};
const amount = (id: StageId, name: string) => {
  const found = stage(id).materials.find((material) => material.name.startsWith(name));
  if (!found) throw new Error(`no ${name}`);
  return found.amount;
};
const near = (value: number, expected: number, share = 0.006) =>
  expect(Math.abs(value / expected - 1)).toBeLessThan(share);

describe('the frustum halfway', () => {
  it('joints: 774.4 cm2, white PVA 11.6 g (7.7 to 19.4)', () => {
    near(stage('glue').areaMm2 / 100, 774.4);
    const glue = amount('glue', 'Joint glue');
    near(glue.likely, 11.6);
    near(glue.low, 7.75);
    near(glue.high, 19.36);
  });

  it('compound: 373.7 ml mixed, 299 g of powder, 230 ml of water', () => {
    near(amount('skin', 'Compound').likely, 373.7);
    near(amount('skin', 'of it powder').likely, 299);
    near(amount('skin', 'of it water').likely, 230);
  });

  it('never one bowl: 21.6 min of spreading against 20 min, two of about 187 ml', () => {
    expect(stage('skin').batches?.count).toBe(2);
    near(stage('skin').batches?.mlEach ?? 0, 187);
    expect(stage('skin').batches?.why).toContain('22 min');
    expect(stage('skin').coats).toBe(2);
  });

  it('seal 18.9 ml, half of it paint', () => {
    near(amount('seal', 'Seal coat').likely, 18.9);
    near(amount('seal', 'of it paint').likely, 18.9 / 2);
  });

  it('grass on the flat top of 64 cm2: 0.51 g kept, 1.0 g loaded, 1.6 ml of glue', () => {
    // The flat is read from whole cells of no slope.
    near(stage('grass').areaMm2 / 100, 64, 0.01);
    near(amount('grass', 'Fibres kept').likely, 0.51, 0.015);
    near(amount('grass', 'Fibres to load').likely, 1.02, 0.015);
    near(amount('grass', 'Grass glue').likely, 1.6, 0.015);
  });

  it('every amount keeps its working, low <= likely <= high', () => {
    for (const { materials, handsOn } of stages)
      for (const { low, likely, high, working } of [...materials.map((material) => material.amount), handsOn]) {
        expect(low).toBeLessThanOrEqual(likely + 1e-9);
        expect(likely).toBeLessThanOrEqual(high + 1e-9);
        expect(working.expression).not.toBe('');
        for (const coefficient of working.coefficients) expect(coefficient.source.note).not.toBe('');
      }
  });
});

describe('choices of the recipe', () => {
  const take = (change: Partial<typeof project.surface>, bench: Partial<typeof project.bench> = {}) =>
    takeoffOf(
      { ...project, surface: { ...project.surface, ...change }, bench: { ...project.bench, ...bench } },
      ground.surface,
      207,
      plan,
      null,
    );

  it('what is set to nothing is left out', () => {
    const ids = take({
      sealCoats: 0,
      dryBrushTones: 0,
      soil: { layerMm: 0, sharePercent: 80, notSteeperDegrees: 90 },
      grass: { fibreMm: 4, sharePercent: 0, notSteeperDegrees: 90 },
    }).map(({ stage: id }) => id);
    expect(ids).toEqual(['cut', 'glue', 'carve', 'skin']);
  });

  it('a small base still needs the least of a colour, per tone', () => {
    const dryBrush = take({ dryBrushTones: 3 }).find(({ stage: id }) => id === 'dry-brush');
    expect(dryBrush?.materials[0].amount.likely).toBe(9);
    expect(dryBrush?.materials[0].amount.working.expression).toContain('at least 3 ml');
  });

  it('two seal coats take twice one, and a first-timer 1.6 times the minutes', () => {
    const one = take({}).find(({ stage: id }) => id === 'seal');
    const two = take({ sealCoats: 2 }).find(({ stage: id }) => id === 'seal');
    expect((two?.materials[0].amount.likely ?? 0) / (one?.materials[0].amount.likely ?? 1)).toBeCloseTo(2, 9);
    const slow = take({}, { skill: 'first-timer' }).find(({ stage: id }) => id === 'seal');
    expect((slow?.handsOn.likely ?? 0) / (one?.handsOn.likely ?? 1)).toBeCloseTo(1.6, 9);
  });
});
