import { localeNow } from '@hosket/core';
import { useLiveQuery } from 'dexie-react-hooks';
import { Copy, Download, FilePlus2, Trash2, Undo2, Upload } from 'lucide-react';
import { useState } from 'react';
import { Link, useNavigate, useParams } from 'react-router';
import { useStore } from 'zustand';
import { heldStore, reasonOf } from '../store/held.ts';
import { addSample, duplicate, firstToOpen, readKept, remove, restore, samples } from '../store/library.ts';
import { eraseKept, type Listed, listKept, TRASH_DAYS } from '../store/listing.ts';
import { Button } from '../ui/Button.tsx';
import { Dialog } from '../ui/Dialog.tsx';
import { say } from '../ui/toast.tsx';
import { Backup } from './Backup.tsx';
import { exportProject, exportRaw, importProject } from './files.ts';
import { useShell } from './shellStore.ts';

const when = (at: number) =>
  new Intl.DateTimeFormat(localeNow(), { day: 'numeric', month: 'short', hour: '2-digit', minute: '2-digit' }).format(
    at,
  );

/** All projects kept in this browser: open, copy, export, delete and bring back; start, import. */
export function Projects() {
  const open = useShell((shell) => shell.projects);
  const held = useStore(heldStore, (state) => state.held);
  const kept = useLiveQuery(async () => (open ? listKept() : []), [open, held]) ?? [];
  const { projectId } = useParams();
  const go = useNavigate();
  const [wrong, setWrong] = useState('');
  const show = (id: string | null) => {
    if (!id) return;
    useShell.setState({ projects: false });
    go(`/project/${id}/ground`);
  };
  const bringIn = async () => {
    setWrong('');
    show(await importProject(setWrong));
  };
  /** Does something of which the browser may have no room even for a note. */
  const tryTo = (what: string, act: () => Promise<unknown>) =>
    act().catch((error) => setWrong(`${what}: ${reasonOf(error)}.\nDelete something for good to make room.`));
  const forGood = (project: Listed) => {
    if (confirm(`Delete ${project.name} for good? It cannot be brought back.`))
      void tryTo(`${project.name} was not deleted`, () => eraseKept(project.id));
  };
  const takeAway = async (project: Listed) => {
    // There is no room for the note that it is deleted.
    if (project.held) return forGood(project);
    await remove(project.id);
    // Another project's deletion is undone in the list below; that of the open one closes this dialog, so the way back goes with it.
    if (project.id !== projectId) return;
    const back = async () => {
      await restore(project.id);
      go(`/project/${project.id}/ground`);
    };
    say(`${project.name} was deleted.`, { name: 'Bring it back', run: () => void back() });
    show(await firstToOpen());
  };
  const takeAlong = async (project: Listed) => {
    const opened = await readKept(project.id).catch((error: Error) => setWrong(error.message));
    if (opened) exportProject(opened.project);
  };
  const readable = kept.filter((project) => project.why === null);
  const here = readable.filter((project) => project.deletedAt === null);
  const gone = readable.filter((project) => project.deletedAt !== null);
  const unreadable = kept.filter((project) => project.why !== null);
  return (
    <Dialog
      open={open}
      onOpen={(projects) => useShell.setState({ projects })}
      title="Projects"
      note="Kept in this browser. Export a project to keep it elsewhere."
    >
      <div className="mb-3 flex flex-wrap gap-2">
        <Button tone="main" onClick={() => useShell.setState({ projects: false, start: true })}>
          <FilePlus2 size={15} aria-hidden /> Start my own
        </Button>
        <Button onClick={bringIn}>
          <Upload size={15} aria-hidden /> Import a file
        </Button>
        {samples.map((name, k) => (
          <Button key={name} onClick={async () => show(await addSample(name))}>
            {k ? `Add ${name}` : `Add the demo, ${name}`}
          </Button>
        ))}
      </div>
      {wrong && (
        <p role="alert" className="mb-3 whitespace-pre-line border-l-[3px] border-plum bg-plaster px-3 py-1.5">
          {wrong}
        </p>
      )}
      <ul>
        {here.map((project) => (
          <li key={project.id} className="flex flex-wrap items-center gap-2 border-t border-line py-2">
            <button
              type="button"
              className="min-w-0 flex-1 cursor-pointer text-left hover:underline"
              onClick={() => show(project.id)}
              aria-current={project.id === projectId || undefined}
            >
              <span className="block font-semibold">
                {project.name}
                {project.id === projectId && <span className="font-normal text-muted"> (open)</span>}
              </span>
              <span className="text-xs text-muted">
                {project.about} ·{' '}
                {project.held ? (
                  <span className="text-plum">held in this page only: no room for it yet</span>
                ) : (
                  `changed ${when(project.changedAt)}`
                )}
              </span>
            </button>
            <Button aria-label={`Duplicate ${project.name}`} onClick={async () => show(await duplicate(project.id))}>
              <Copy size={14} aria-hidden /> Duplicate
            </Button>
            <Button aria-label={`Export ${project.name}`} onClick={() => takeAlong(project)}>
              <Download size={14} aria-hidden /> Export
            </Button>
            <Button
              aria-label={`Delete ${project.name}`}
              onClick={() => tryTo(`${project.name} was not deleted`, () => takeAway(project))}
            >
              <Trash2 size={14} aria-hidden /> Delete
            </Button>
          </li>
        ))}
      </ul>
      <Backup count={here.length} />
      <p className="mt-4 text-xs text-muted">
        Hosket is open:{' '}
        <Link to="/licences" className="underline" onClick={() => useShell.setState({ projects: false })}>
          licences of what it is made of
        </Link>
        .
      </p>
      {unreadable.length > 0 && (
        <>
          <h3 className="mt-4 text-base">Cannot be read</h3>
          <ul aria-label="Projects that cannot be read">
            {unreadable.map((project) => (
              <li key={project.id} className="flex flex-wrap items-center gap-2 border-t border-line py-1.5">
                <span className="min-w-0 flex-1">
                  {project.name}
                  <span className="block text-xs text-plum">{project.why}</span>
                </span>
                <Button
                  aria-label={`Save the record of ${project.name}`}
                  onClick={() => exportRaw(project.id, project.name)}
                >
                  <Download size={14} aria-hidden /> Save its record
                </Button>
                <Button aria-label={`Delete ${project.name} for good`} onClick={() => forGood(project)}>
                  <Trash2 size={14} aria-hidden /> Delete for good
                </Button>
              </li>
            ))}
          </ul>
        </>
      )}
      {gone.length > 0 && (
        <>
          <h3 className="mt-4 text-base">Deleted, kept for {TRASH_DAYS} days</h3>
          <ul>
            {gone.map((project) => (
              <li key={project.id} className="flex items-center gap-2 border-t border-line py-1.5 text-muted">
                <span className="min-w-0 flex-1">{project.name}</span>
                <Button
                  aria-label={`Bring back ${project.name}`}
                  onClick={() => tryTo(`${project.name} was not brought back`, () => restore(project.id))}
                >
                  <Undo2 size={14} aria-hidden /> Bring back
                </Button>
                <Button aria-label={`Delete ${project.name} for good`} onClick={() => forGood(project)}>
                  <Trash2 size={14} aria-hidden /> Delete for good
                </Button>
              </li>
            ))}
          </ul>
        </>
      )}
    </Dialog>
  );
}
