import { useState } from 'react';
import { useStore } from 'zustand';
import { flushSave } from '../store/autosave.ts';
import { takeUpdate, updateStore } from '../store/updates.ts';
import { Button } from '../ui/Button.tsx';
import { Notice } from './Notice.tsx';

/** Offers a newer version; one may go on with the old as long as one likes. */
export function UpdateNotice() {
  const update = useStore(updateStore, (state) => state.update);
  const [later, setLater] = useState(false);
  const [others, setOthers] = useState(false);
  if (update === 'none' || later) return null;
  const taken = update === 'taken';
  return (
    <Notice label="A newer version">
      <p role="status">
        {taken
          ? 'Hosket was updated in another tab. Load this page anew when it suits you: all you typed is kept.'
          : others
            ? 'Other tabs still work with this version. Close them first: they need it until then.'
            : 'A newer version of Hosket is ready.'}
      </p>
      <Button
        tone="main"
        onClick={async () => {
          if (!taken) return setOthers(!(await takeUpdate(flushSave)));
          await flushSave();
          window.location.reload();
        }}
      >
        {taken ? 'Load anew' : others ? 'Try again' : 'Update now'}
      </Button>
      <Button onClick={() => setLater(true)}>Later</Button>
    </Notice>
  );
}
