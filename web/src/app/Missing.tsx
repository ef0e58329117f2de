import { useLiveQuery } from 'dexie-react-hooks';
import type { ReactNode } from 'react';
import { isRouteErrorResponse, Link, useNavigate, useRouteError } from 'react-router';
import { listKept } from '../store/listing.ts';
import { projectStore } from '../store/projectStore.ts';
import { Button } from '../ui/Button.tsx';
import { exportProject, exportRaw } from './files.ts';

function Page({ title, why, children }: { title: string; why: string; children: ReactNode }) {
  const others = (useLiveQuery(listKept, []) ?? []).filter((kept) => kept.why === null && kept.deletedAt === null);
  return (
    <main className="mx-auto max-w-lg p-10">
      <h1 className="mb-2 text-xl">{title}</h1>
      <p className="mb-4">{why}</p>
      <div className="flex flex-wrap gap-2">{children}</div>
      {others.length > 0 && (
        <>
          <h2 className="mt-6 mb-1 text-base">Projects in this browser</h2>
          <ul>
            {others.map(({ id, name }) => (
              <li key={id}>
                <Link className="underline" to={`/project/${id}/ground`} reloadDocument>
                  {name}
                </Link>
              </li>
            ))}
          </ul>
        </>
      )}
    </main>
  );
}

/** What is asked for is not there, or cannot be read: why, its record as it stands, and the way to the others. */
export function Missing({ why, recordId }: { why: string; recordId?: string }) {
  const go = useNavigate();
  const record = (useLiveQuery(listKept, []) ?? []).find(({ id }) => id === recordId);
  return (
    <Page title="Nothing here" why={why}>
      <Button tone="main" onClick={() => go('/')}>
        Open my last project
      </Button>
      {record && <Button onClick={() => exportRaw(record.id, record.name)}>Save its record</Button>}
    </Page>
  );
}

/** A view that failed: the project is safe, can be handed out, and can be opened again. */
export function Failed() {
  const error = useRouteError();
  const { project } = projectStore.getState();
  const why = isRouteErrorResponse(error) ? error.statusText : error instanceof Error ? error.message : String(error);
  return (
    <Page
      title="This page failed"
      why={`Nothing of the project is lost by that; it is kept as it was after its last change. What went wrong: ${why}`}
    >
      <Button tone="main" onClick={() => location.reload()}>
        Load it again
      </Button>
      {project && <Button onClick={() => exportProject(project)}>Export the project</Button>}
    </Page>
  );
}
