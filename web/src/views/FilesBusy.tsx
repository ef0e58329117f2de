import { useEffect, useState } from 'react';
import { useStore } from 'zustand';
import { Button } from '../ui/Button.tsx';
import { filesStore } from '../worker/files.ts';
import { useBringing } from './bringIn/bringStore.ts';

/** What takes no longer than this is not worth a word, ms. */
const SHOWN_AFTER_MS = 300;

/** What file is being read or written, and a way to stop it; nothing while none is. */
export function BusyLine() {
  const busy = useStore(filesStore, (state) => state.busy);
  const [shown, setShown] = useState(false);
  useEffect(() => {
    setShown(false);
    if (!busy) return;
    const timer = setTimeout(() => setShown(true), SHOWN_AFTER_MS);
    return () => clearTimeout(timer);
  }, [busy]);
  if (!busy || !shown) return null;
  return (
    <p className="flex items-center gap-3 rounded-md border border-line bg-sheet px-4 py-2 text-sm">
      <progress aria-label={busy.what} className="w-24" />
      <span role="status">{busy.what}…</span>
      <Button onClick={busy.stop}>Stop</Button>
    </p>
  );
}

/** The same in a corner of the page, while no dialog shows it. */
export function FilesBusy() {
  const { open } = useBringing();
  if (open) return null;
  return (
    <div className="fixed bottom-4 left-4 z-[60] shadow-lg">
      <BusyLine />
    </div>
  );
}
