/** How a project was at the end of each day on which it was changed: kept when it is changed on a later one, to be looked at and taken back. */
import { type Project, parseProject } from '@hosket/core';
import { database } from './database.ts';

/** So many days of a project are kept, the latest. */
export const DAYS_KEPT = 60;

/** The day on this clock, `2027-03-15`. */
export function dayOf(at: number): string {
  const date = new Date(at);
  const two = (value: number) => String(value).padStart(2, '0');
  return `${date.getFullYear()}-${two(date.getMonth() + 1)}-${two(date.getDate())}`;
}

/** Of which projects it was seen today that nothing of an earlier day stands to be kept. */
const seen = new Map<string, string>();

/** Called before a project is written over, within that transaction: keeps it where it is of an earlier day. */
export async function keepDay(id: string, now: number): Promise<void> {
  const today = dayOf(now);
  if (seen.get(id) === today) return;
  const before = await database.projects.get(id);
  const day = before ? dayOf(before.changedAt) : today;
  if (before && day < today) {
    await database.days.put({ id, day, project: before.project });
    const days = await database.days.where('id').equals(id).primaryKeys();
    await database.days.bulkDelete(days.sort((a, b) => (a[1] < b[1] ? -1 : 1)).slice(0, -DAYS_KEPT));
  }
  seen.set(id, today);
}

/** How it was at the end of earlier days, the latest first; what cannot be read is left out. */
export async function daysOf(id: string): Promise<{ day: string; project: Project }[]> {
  const days = await database.days.where('id').equals(id).toArray();
  return days
    .flatMap(({ day, project }) => {
      const read = parseProject(project, true);
      return read.ok ? [{ day, project: read.value }] : [];
    })
    .sort((a, b) => (a.day < b.day ? 1 : -1));
}
