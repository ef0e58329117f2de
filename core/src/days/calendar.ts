import type { Project, Weekday } from '../project/index.ts';

/** A stretch of time, in minutes from midnight at the start of the first day. */
export interface Stretch {
  from: number;
  to: number;
}

const weekdays: readonly Weekday[] = ['sunday', 'monday', 'tuesday', 'wednesday', 'thursday', 'friday', 'saturday'];
const DAY = 1440;
const MINUTE_MS = 60_000;

const clockMinutes = (text: string) => Number(text.slice(0, 2)) * 60 + Number(text.slice(3));

/** No plan is followed further than this; something is wrong with the hours if it is. */
const MOST_DAYS = 1500;

/** The builder's sittings at the bench, day after day from the start date. The calendar is run many times over: it reads them from one list. */
export function sittingsOf(bench: Project['bench']): Stretch[] {
  const first = new Date(`${bench.startDate}T00:00:00Z`).getUTCDay();
  const week = weekdays.map((_, day) => {
    const sitting = bench.week[weekdays[(first + day) % 7]];
    return sitting && { from: clockMinutes(sitting.from), to: clockMinutes(sitting.to) };
  });
  const list: Stretch[] = [];
  for (let day = 0; day < MOST_DAYS; day++) {
    const sitting = week[day % 7];
    if (sitting) list.push({ from: day * DAY + sitting.from, to: day * DAY + sitting.to });
  }
  return list;
}

/** Wall-clock text `2027-03-01T19:30` of minutes counted from the start date. No time zone takes part. */
export const wallClock = (startDate: string, minutes: number): string =>
  new Date(Date.parse(`${startDate}T00:00:00Z`) + Math.round(minutes) * MINUTE_MS).toISOString().slice(0, 16);
