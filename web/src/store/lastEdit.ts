/** The last edit of a page that is closed before it is written: kept at once, where the browser allows it, and taken up when the project is opened again. */
import { type Project, parseProject } from '@hosket/core';

const key = (id: string) => `hosket-last-edit ${id}`;

interface LastEdit {
  /** The write that it follows. */
  revision: number;
  project: Project;
}

/** Kept without waiting, since the page may be gone the next moment. What is too large for that place is left to the database. */
export function keepLastEdit(id: string, revision: number, project: Project): void {
  try {
    localStorage.setItem(key(id), JSON.stringify({ revision, project }));
  } catch {
    // Full, or denied.
  }
}

export function dropLastEdit(id: string): void {
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
