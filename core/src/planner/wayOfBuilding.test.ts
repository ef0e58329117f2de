import { readFileSync } from 'node:fs';
import { describe, expect, it } from 'vitest';
import { type Project, readProject, settleByHand, startProject } from '../project/index.ts';
import { plan } from './plan.ts';

const sample = (name: string): Project => {
  const read = readProject(readFileSync(new URL(`../../../samples/${name}.hosket.json`, import.meta.url), 'utf8'));
  if (!read.ok) throw new Error(read.fault.message);
  return read.value;
};
const harl = sample('harl-quarry');
const tarrow = sample('tarrow-moor');
const built = (school: Project['stacking']['school'], limits: Partial<Project['limits']> = {}) =>
  plan({ ...harl, stacking: { ...harl.stacking, school }, limits: { ...harl.limits, ...limits } }).report;

describe('who chooses the way of building', () => {
  it('a new project leaves it to the plan, one of finished heights keeps halfway', () => {
    expect(startProject('n', '2027-03-01').stacking.school).toBeNull();
    expect(startProject('n', '2027-03-01', 'ground').stacking.school).toBe('halfway');
  });

  it('the plan takes the one that is cheapest with its days priced, and says against which', () => {
    const { stack, schools } = built(null);
    if (stack.way.by !== 'plan') throw new Error('not by the plan');
    const at = (name: string) => {
      const school = schools.find((each) => each.school === name);
      if (!school?.finish) throw new Error('no school');
      return { minutes: school.handsOnMin, days: Date.parse(`${school.finish.likely}Z`) / 86_400_000 };
    };
    const costs = schools.map(({ school }) => at(school).minutes + harl.stacking.costs.minPerDay * at(school).days);
    expect(stack.school).toBe(schools[costs.indexOf(Math.min(...costs))].school);
    expect(stack.way.school).toBe(stack.school);
    expect(stack.way.sparesMin).toBeCloseTo(at(stack.way.against).minutes - at(stack.school).minutes, 0);
    expect(stack.way.soonerDays).toBeCloseTo(at(stack.way.against).days - at(stack.school).days, 2);
    expect(built('build up').stack.way).toEqual({ by: 'builder', school: 'build up' });
  });

  it('a deadline that one way misses is kept by the one that the remedy names', () => {
    const late = built('halfway');
    const back = built('carve back');
    if (!late.finish || !back.finish) throw new Error('no dates');
    const dueDate = back.finish.sure.slice(0, 10);
    expect(late.finish.sure.slice(0, 10) > dueDate).toBe(true);
    const finding = built('halfway', { dueDate }).findings.find(({ code }) => code === 'limit-due');
    expect(finding?.way).toBe('carve back');
    expect(finding?.remedy).toContain(`80 % sure to be ready by ${dueDate}`);
    expect(built('carve back', { dueDate }).findings.find(({ code }) => code === 'limit-due')).toBeUndefined();
    // Where none keeps it, none is named.
    const never = built('halfway', { dueDate: '2027-03-02' }).findings.find(({ code }) => code === 'limit-due');
    expect(never?.way).toBeUndefined();
    expect(never?.remedy).toBe('Change the plan, or the limit in the brief.');
  });

  it('a limit of hours names a way only where that keeps it', () => {
    const hours = built('build up').schools.map(({ handsOnMin }) => handsOnMin / 60);
    const benchHours = Math.ceil(10 * Math.min(...hours)) / 10 + 0.1;
    const finding = built('build up', { benchHours }).findings.find(({ code }) => code === 'limit-hours');
    expect(finding?.way).toBeDefined();
    expect(
      built('build up', { benchHours: 0.5 }).findings.find(({ code }) => code === 'limit-hours')?.way,
    ).toBeUndefined();
  });

  it('a deadline that a slow glue misses is kept by the glue that is named', () => {
    const alone = { ...harl, stacking: { ...harl.stacking, school: 'carve back' as const, pressed: false } };
    const glued = (glue: Project['stacking']['glue'], dueDate: string | null = null) =>
      plan({ ...alone, stacking: { ...alone.stacking, glue }, limits: { ...alone.limits, dueDate } }).report;
    const dueDate = glued('contact spray').finish?.sure.slice(0, 10) ?? '';
    const slow = glued('white PVA', dueDate);
    expect((slow.finish?.sure.slice(0, 10) ?? '') > dueDate).toBe(true);
    const finding = slow.findings.find(({ code }) => code === 'limit-due');
    expect(finding?.glue).toBeDefined();
    expect(finding?.remedy).toMatch(/^Kept by .* in the joints: 80 % sure to be ready by \d{4}-\d\d-\d\d/);
    const mended = glued(finding?.glue ?? 'white PVA', dueDate);
    expect(mended.findings.find(({ code }) => code === 'limit-due')).toBeUndefined();
  });

  it('a deadline that only another stack keeps names that stack, and building it keeps it', () => {
    const within = (dueDate: string | null) => ({ ...tarrow, limits: { ...tarrow.limits, dueDate } });
    const day = plan(within(null)).report.finish?.sure.slice(0, 10) ?? '';
    const DAY_MS = 86_400_000;
    const dates = [1, 2, 3, 4].map((before) => new Date(Date.parse(day) - before * DAY_MS).toISOString().slice(0, 10));
    const named = dates.flatMap((dueDate) => {
      const { findings } = plan(within(dueDate)).report;
      const stack = findings.find(({ code }) => code === 'limit-due')?.stack;
      return stack ? [{ dueDate, stack, findings }] : [];
    });
    expect(named).toHaveLength(1);
    const [{ dueDate, stack, findings }] = named;
    expect(findings.find(({ code }) => code === 'limit-due')?.remedy).toMatch(
      /^Kept by another stack, carve back: 1 Dense foam 30, 1 Dense foam 10: 80 % sure to be ready by/,
    );
    const other = { ...within(dueDate), stacking: { ...tarrow.stacking, school: stack.school } };
    const { report } = plan(settleByHand(other, stack.layers));
    expect(report.findings.find(({ code }) => code === 'limit-due')).toBeUndefined();
    expect((report.finish?.sure.slice(0, 10) ?? '9') <= dueDate).toBe(true);
  });
});
