/** The list of all kept projects. Each record is read on its own, so that one that cannot be read never hides the others. */
import { baseSize, formatScale, PROJECT_VERSION, type Project } from '@hosket/core';
import { database } from './database.ts';
import { heldOf, heldStore, release } from './held.ts';

export interface Listed {
  id: string;
  name: string;
  changedAt: number;
  deletedAt: number | null;
  /** Its scale and size in words; null where it cannot be read. */
  about: string | null;
  /** Why it cannot be read. */
  why: string | null;
  /** Its last state is held in this page: there is no room for it. */
  held: boolean;
}

const NAMELESS = 'A project without a name';

/** Why a record cannot be a project of this Hosket, at a glance; the whole of it is looked at when it is opened. */
function faultOf(project: unknown): string | null {
  if (typeof project !== 'object' || project === null) return 'its project is missing';
  const { format, version } = project as { format?: unknown; version?: unknown };
  if (format !== 'hosket-project') return 'it is damaged: it does not say that it is a project';
  if (typeof version !== 'number') return 'it is damaged: it does not say which version it is';
  if (version > PROJECT_VERSION)
    return `a newer Hosket kept it (version ${version}; this one reads up to ${PROJECT_VERSION})`;
  return null;
}

function aboutOf(project: Project): string {
  const { widthMm, depthMm } = baseSize(project.base);
  return `${formatScale(project.scale)} · ${Math.round(widthMm)} × ${Math.round(depthMm)} mm`;
}

function listedOf(id: string, record: unknown): Listed {
  const kept = (typeof record === 'object' && record !== null ? record : {}) as Record<string, unknown>;
  const listed = {
    id,
    name: typeof kept.name === 'string' && kept.name ? kept.name : NAMELESS,
    changedAt: typeof kept.changedAt === 'number' ? kept.changedAt : 0,
    deletedAt: typeof kept.deletedAt === 'number' ? kept.deletedAt : null,
    held: false,
  };
  const why = faultOf(kept.project);
  if (why) return { ...listed, about: null, why };
  try {
    return { ...listed, about: aboutOf(kept.project as Project), why: null };
  } catch {
    return { ...listed, about: null, why: 'it is damaged: its base cannot be read' };
  }
}

/** All kept projects, the one changed last first. */
export async function listKept(): Promise<Listed[]> {
  const ids = await database.projects.toCollection().primaryKeys();
  const listed = await Promise.all(
    ids.map(async (id): Promise<Listed> => {
      try {
        return listedOf(id, await database.projects.get(id));
      } catch (error) {
        const why = `the browser cannot read its record: ${(error as Error).message}`;
        return { id, name: NAMELESS, changedAt: 0, deletedAt: null, about: null, why, held: false };
      }
    }),
  );
  const now = Date.now();
  const held = [...heldStore.getState().held].map(
    ([id, { project }]): Listed => ({ ...listedOf(id, { name: project.name, changedAt: now, project }), held: true }),
  );
  return [...held, ...listed.filter(({ id }) => !heldOf(id))].sort((a, b) => b.changedAt - a.changedAt);
}

/** Deleted projects can be brought back for so long. */
export const TRASH_DAYS = 30;

/** Clears away what was deleted longer ago than that. */
export async function emptyTrash(now: number): Promise<void> {
  for (const { id, deletedAt } of await listKept())
    if (deletedAt !== null && now - deletedAt > TRASH_DAYS * 86_400_000) await eraseKept(id);
}

/** A record as it stands, as text: to be looked at, mended or sent, where it cannot be opened. */
export async function rawText(id: string): Promise<string> {
  const record = await database.projects.get(id);
  return JSON.stringify(record ?? null, null, 2);
}

/** Takes a record out for good, with its earlier days. */
export async function eraseKept(id: string): Promise<void> {
  await database.transaction('rw', database.projects, database.days, async () => {
    await database.projects.delete(id);
    await database.days.where('id').equals(id).delete();
  });
  release(id);
}
