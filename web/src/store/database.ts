import type { Project } from '@hosket/core';
import Dexie, { type EntityTable } from 'dexie';

/** A project as it is kept in the browser, with what undo and redo need. */
export interface Kept {
  id: string;
  name: string;
  changedAt: number;
  /** When it was deleted; it can be brought back until it is cleared away. */
  deletedAt: number | null;
  project: Project;
  past: Project[];
  future: Project[];
}

export const database = new Dexie('hosket') as Dexie & { projects: EntityTable<Kept, 'id'> };
database.version(1).stores({ projects: 'id, changedAt' });
