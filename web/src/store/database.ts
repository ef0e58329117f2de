import type { Project } from '@hosket/core';
import Dexie, { type EntityTable } from 'dexie';

/** A project as it is kept in the browser, with what undo and redo need. */
export interface Kept {
  id: string;
  name: string;
  changedAt: number;
  /** Counts its writes: who writes says which one it follows, so that no tab writes over what another wrote. */
  revision: number;
  /** When it was deleted; it can be brought back until it is cleared away. */
  deletedAt: number | null;
  project: Project;
  past: Project[];
  future: Project[];
}

export const database = new Dexie('hosket') as Dexie & { projects: EntityTable<Kept, 'id'> };
database.version(1).stores({ projects: 'id, changedAt' });
database
  .version(2)
  .stores({ projects: 'id, changedAt, [id+revision]' })
  .upgrade((change) =>
    change
      .table('projects')
      .toCollection()
      .modify((kept) => {
        kept.revision = 0;
      }),
  );
