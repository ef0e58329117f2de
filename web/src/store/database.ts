import type { Project } from '@hosket/core';
import Dexie, { type DexieOptions, type EntityTable, type Table } from 'dexie';

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
  /** What undo and redo need, as changes (`steps.ts`); records from before have whole projects in `past` and `future` instead. */
  back?: unknown[];
  forward?: unknown[];
  past?: Project[];
  future?: Project[];
}

/** A project as it was at the end of a day. */
export interface KeptDay {
  id: string;
  day: string;
  project: Project;
}

/** The folder that follows (its id is empty), and of each project the file there and the write that it holds. */
export type KeptFile = { id: string; handle?: FileSystemDirectoryHandle; file?: string; revision?: number };

type Projects = Dexie & {
  projects: EntityTable<Kept, 'id'>;
  days: Table<KeptDay, [string, string]>;
  files: EntityTable<KeptFile, 'id'>;
};

function made(options?: DexieOptions): Projects {
  const projects = new Dexie('hosket', options) as Projects;
  projects.version(1).stores({ projects: 'id, changedAt' });
  projects
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
  projects.version(3).stores({ days: '[id+day], id' });
  projects.version(4).stores({ files: 'id' });
  return projects;
}

/** The browser's database, or one in memory where it has none to give. */
export let database = made();

/** From here on projects are kept in memory alone, as long as the page is open. */
export async function keepInMemory(): Promise<void> {
  const { indexedDB, IDBKeyRange } = await import('fake-indexeddb');
  database = made({ indexedDB, IDBKeyRange });
  await database.open();
}
