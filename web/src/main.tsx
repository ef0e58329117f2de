import './setup.ts';
import { StrictMode } from 'react';
import { createRoot } from 'react-dom/client';
import { RouterProvider } from 'react-router';
import { Opening } from './app/Opening.tsx';
import { router } from './app/routes.tsx';
import { InHouse } from './views/InHouse.tsx';
import './styles.css';
import { startAutosave } from './store/autosave.ts';
import { startFollowing } from './store/folder.ts';
import { emptyTrash } from './store/listing.ts';
import { storageStore } from './store/storage.ts';
import { keepApplication } from './store/updates.ts';
import { startDrafting } from './worker/draftStore.ts';
import { startPlanning } from './worker/planStore.ts';

const CLEAR_AFTER_MS = 15_000;
const KEEP_AFTER_MS = 1000;

// What works behind the pages begins once it is known where projects are kept, before the first page is drawn.
const wait = storageStore.subscribe(({ storage }) => {
  if (storage.kind !== 'kept' && storage.kind !== 'sitting') return;
  wait();
  startAutosave();
  // It reads every record, so not while the first plan is awaited; where the database cannot be read the page says so itself.
  setTimeout(() => emptyTrash(Date.now()).catch(() => {}), CLEAR_AFTER_MS);
  startPlanning();
  startDrafting();
  if (storage.kind === 'kept') startFollowing();
  setTimeout(keepApplication, KEEP_AFTER_MS);
});

const root = document.getElementById('root');
if (!root) throw new Error('the page has no root');
createRoot(root).render(
  <StrictMode>
    <Opening>
      <InHouse>
        <RouterProvider router={router} />
      </InHouse>
    </Opening>
  </StrictMode>,
);
