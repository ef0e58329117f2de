/** The last edit of a page that is closed before it is written: kept at once, where the browser allows it, and taken up when the project is opened again. */
import { type Project, parseProject } from '@hosket/core';

const key = (id: string) => `hosket-last-edit ${id}`;

interface LastEdit {
  /** The write that it follows. */
  revision: number;
  project: Project;
}

/** What this page kept last, by project: the end of an older write does not take it away. */
const newest = new Map<string, Project>();

/** Kept without waiting, since the page may be gone the next moment. What is too large for that place is left to the database. */
export function keepLastEdit(id: string, revision: number, project: Project): void {
  newest.set(id, project);
  try {
    localStorage.setItem(key(id), JSON.stringify({ revision, project }));
  } catch {
    // Full, or denied.
  }
}

/** Taken away; where a written project is named, only if it is the one that was kept last. */
export function dropLastEdit(id: string, written?: Project): void {
  const kept = newest.get(id);
  if (written && kept && kept !== written) return;
  newest.delete(id);
  try {
    localStorage.removeItem(key(id));
  } catch {
    // Denied.
  }
}

/** Null where there is none, or none that can be read. */
export function lastEditOf(id: string): LastEdit | null {
  try {
    const text = localStorage.getItem(key(id));
    if (!text) return null;
    const { revision, project } = JSON.parse(text) as { revision: unknown; project: unknown };
    const read = parseProject(project);
    return read.ok && typeof revision === 'number' ? { revision, project: read.value } : null;
  } catch {
    return null;
  }
}

/** Of which projects a last edit is kept. */
export function lastEdits(): string[] {
  const start = key('');
  try {
    return Object.keys(localStorage).flatMap((name) => (name.startsWith(start) ? [name.slice(start.length)] : []));
  } catch {
    return [];
  }
}
