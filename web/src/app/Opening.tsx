import { type ReactNode, useEffect } from 'react';
import { useStore } from 'zustand';
import { openStorage, storageStore, workWithout } from '../store/storage.ts';
import { Button } from '../ui/Button.tsx';

/** Waits for the browser's database, and offers to work without where it does not answer. */
export function Opening({ children }: { children: ReactNode }) {
  const storage = useStore(storageStore, (state) => state.storage);
  useEffect(() => {
    void openStorage();
  }, []);
  if (storage.kind === 'kept' || storage.kind === 'sitting') return children;
  if (storage.kind === 'opening') return <p className="p-8 text-muted">Opening…</p>;
  return (
    <main className="mx-auto max-w-lg p-10">
      <h1 className="mb-2 text-xl">The browser’s storage does not answer</h1>
      <p className="mb-4">
        Your projects are kept there. Close other tabs of Hosket, or wait: it goes on as soon as there is an answer.
        Without it you can work for this sitting, and export what you make.
      </p>
      <Button tone="main" onClick={() => void workWithout('the browser’s storage did not answer')}>
        Work without it for now
      </Button>
    </main>
  );
}
