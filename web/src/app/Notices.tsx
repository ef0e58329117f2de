/** What must be told above the bench: nothing is kept, the disk is full, another tab is at work, a newer version. */
import { useState } from 'react';
import { useStore } from 'zustand';
import { heldStore } from '../store/held.ts';
import { penStore, takePen } from '../store/pen.ts';
import { projectNow } from '../store/projectStore.ts';
import { storageStore } from '../store/storage.ts';
import { tryAgain } from '../store/writes.ts';
import { Button } from '../ui/Button.tsx';
import { exportProject } from './files.ts';
import { Notice } from './Notice.tsx';
import { useShell } from './shellStore.ts';
import { UpdateNotice } from './UpdateNotice.tsx';

export function Notices() {
  return (
    <>
      <SittingNotice />
      <FullNotice />
      <PenNotice />
      <UpdateNotice />
    </>
  );
}

/** Where there is no room for what was made. */
function FullNotice() {
  const { held, why } = useStore(heldStore);
  const [trying, setTrying] = useState(false);
  if (held.size === 0) return null;
  const names = [...held.values()].map(({ project }) => project.name).join(', ');
  return (
    <Notice label="Not kept yet">
      <p role="alert">
        <span className="text-plum">
          Not kept yet: {names}, because {why}.
        </span>{' '}
        It is held in this page and tried again by itself; do not close the page before it is kept or exported.
      </p>
      <Button tone="main" onClick={() => exportProject(projectNow())}>
        Export the project
      </Button>
      <Button
        disabled={trying}
        onClick={() => {
          setTrying(true);
          void tryAgain().finally(() => setTrying(false));
        }}
      >
        Try again
      </Button>
      <Button onClick={() => useShell.setState({ projects: true })}>Make room</Button>
    </Notice>
  );
}

/** Where the browser keeps nothing. */
function SittingNotice() {
  const storage = useStore(storageStore, (state) => state.storage);
  if (storage.kind !== 'sitting') return null;
  return (
    <Notice label="Nothing is kept">
      <p>
        <span className="text-plum">Nothing can be kept in this browser: {storage.why}.</span> What you make lasts until
        this page is closed.
      </p>
      <Button tone="main" onClick={() => exportProject(projectNow())}>
        Export the project
      </Button>
    </Notice>
  );
}

/** While another tab holds the pen. */
function PenNotice() {
  const pen = useStore(penStore, (state) => state.pen);
  const [asking, setAsking] = useState(false);
  if (pen === 'mine') return null;
  return (
    <Notice label="Open in another tab">
      <p>Another tab is at work on this project. What is changed there shows here.</p>
      <Button
        tone="main"
        disabled={asking}
        onClick={() => {
          setAsking(true);
          void takePen().finally(() => setAsking(false));
        }}
      >
        Work here
      </Button>
    </Notice>
  );
}
