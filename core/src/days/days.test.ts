import { describe, expect, it } from 'vitest';
import { plan } from '../planner/index.ts';
import { type Project, startProject } from '../project/index.ts';
import { idleWeek } from '../testing/idleWeek.ts';
import { circle } from '../testing/solids.ts';
import { exactly, type Range } from '../units/index.ts';
import { sittingsOf, wallClock } from './calendar.ts';
import { finishOf, type Operation, schedule } from './schedule.ts';

const bench: Project['bench'] = {
  ...startProject('b', '2027-03-01', 'ground').bench,
  week: {
    monday: { from: '19:00', to: '21:00' },
    tuesday: null,
    wednesday: { from: '19:00', to: '20:00' },
    thursday: null,
    friday: null,
    saturday: { from: '10:00', to: '13:00' },
    sunday: null,
  },
};
const waits = (touch: number, coat: number, through: number) => ({
  touch: exactly(touch),
  coat: exactly(coat),
  solvent: exactly(coat),
  through: exactly(through),
  reason: '',
});
const operation = (
  id: string,
  minutes: number | Range,
  wait = waits(0, 0, 0),
  needs: Operation['needs'] = [],
): Operation => ({
  id,
  step: id,
  stage: 'skin',
  title: id,
  handsOnMin: typeof minutes === 'number' ? exactly(minutes) : minutes,
  waits: wait,
  needs,
});
const at = (minutes: number) => wallClock('2027-03-01', minutes);

describe('the calendar', () => {
  it('1 March 2027 is a Monday; sittings follow the week', () => {
    const first = sittingsOf(bench)
      .slice(0, 4)
      .map(({ from }) => at(from));
    expect(first).toEqual(['2027-03-01T19:00', '2027-03-03T19:00', '2027-03-06T10:00', '2027-03-08T19:00']);
  });

  it('counts over the end of a month and a leap day', () => {
    expect(wallClock('2028-02-28', 2 * 1440 + 90)).toBe('2028-03-01T01:30');
  });
});

describe('the schedule', () => {
  it('goes on over as many sittings as it takes', () => {
    const [task] = schedule([operation('long', 150)], sittingsOf(bench)) ?? [];
    expect(task.sessions.map(({ from, to }) => [at(from), at(to)])).toEqual([
      ['2027-03-01T19:00', '2027-03-01T21:00'],
      ['2027-03-03T19:00', '2027-03-03T19:30'],
    ]);
  });

  it('waits day and night for what it needs, then for the next sitting', () => {
    const tasks =
      schedule(
        [
          operation('paste', 60, waits(1, 2, 100)),
          operation('seal', 30, waits(0.5, 1, 24), [{ operation: 'paste', wait: 'through' }]),
        ],
        sittingsOf(bench),
      ) ?? [];
    // Paste ends Monday 20:00; 100 h later is Saturday 00:00; the next sitting is Saturday 10:00.
    expect(at(tasks[0].throughAt)).toBe('2027-03-06T00:00');
    expect(at(tasks[1].sessions[0].from)).toBe('2027-03-06T10:00');
    expect(at(finishOf(tasks))).toBe('2027-03-07T10:30');
  });

  it('takes the shorter wait when that is what the next stage needs', () => {
    const tasks =
      schedule(
        [
          operation('soil', 30, waits(1, 1, 16)),
          operation('grass', 15, waits(0, 0, 12), [{ operation: 'soil', wait: 'coat' }]),
        ],
        sittingsOf(bench),
      ) ?? [];
    expect(at(tasks[1].sessions[0].from)).toBe('2027-03-01T20:30');
  });

  it('does not begin with the last five minutes of a sitting', () => {
    const tasks =
      schedule(
        [operation('a', 55), operation('b', 60)],
        sittingsOf({ ...bench, week: { ...bench.week, monday: { from: '19:00', to: '20:00' } } }),
      ) ?? [];
    expect(at(tasks[1].sessions[0].from)).toBe('2027-03-03T19:00');
  });

  it('no bench hours, no days', () => {
    const never = {
      ...bench,
      week: idleWeek,
    };
    expect(schedule([operation('a', 10)], sittingsOf(never))).toBeNull();
  });
});

describe('the day that is named', () => {
  const hill = (change: Partial<Project> = {}): Project => {
    const start = startProject('dates', '2027-03-01', 'ground');
    return {
      ...start,
      base: { ...start.base, shape: { kind: 'rectangle', widthMm: 160, depthMm: 100 } },
      marks: [circle(80, 50, 40, 25)],
      ...change,
    };
  };
  const finish = (project: Project) => plan(project).report.finish;

  it('comes in order; the surer, the later; and not before the calendar that is shown ends', () => {
    const start = hill();
    const sure = [50, 80, 95].map((sureOf) => finish({ ...start, limits: { ...start.limits, sureOf } }));
    for (const one of sure) {
      if (!one) throw new Error('no day');
      expect([one.early, one.likely, one.sure, one.late]).toEqual([one.early, one.likely, one.sure, one.late].sort());
    }
    expect(sure[0]?.sure).toBe(sure[0]?.likely);
    expect((sure[1]?.sure ?? '') > (sure[0]?.sure ?? '')).toBe(true);
    expect((sure[2]?.sure ?? '') >= (sure[1]?.sure ?? '')).toBe(true);
    const { tasks, startDate } = plan(start).report;
    const shown = wallClock(startDate, Math.max(...tasks.map(({ throughAt }) => throughAt)));
    expect((sure[1]?.likely ?? '') >= shown).toBe(true);
    // Early is a day of its own, not the likely one by a clamp.
    expect((sure[1]?.early ?? '') < (sure[1]?.likely ?? '')).toBe(true);
  });

  it('a date is judged at the chance that is asked for', () => {
    const start = hill();
    const { likely, late } = finish(start) ?? { likely: '', late: '' };
    const kept = (dueDate: string, sureOf: number) =>
      plan({ ...start, limits: { ...start.limits, dueDate, sureOf } }).report.limits[0].kept;
    expect(kept(late.slice(0, 10), 95)).toBe(true);
    expect(kept(likely.slice(0, 10), 50)).toBe(true);
    const day = new Date(Date.parse(likely.slice(0, 10)) - 86_400_000).toISOString().slice(0, 10);
    expect(kept(day, 50)).toBe(false);
  });

  it('no day after the year 9999 is named', () => {
    const start = hill({ bench: { ...startProject('b', '9899-12-30').bench, startDate: '9899-12-30' } });
    const slow = { material: 'compound', property: 'dryB' as const, low: 1e5, likely: 2e5, high: 4e5 };
    const project = { ...start, materials: { ...start.materials, values: [slow] } } as unknown as Project;
    for (const text of JSON.stringify(finish(project))?.match(/\+?\d{4,6}-/g) ?? []) expect(text.length).toBe(5);
  });
});
