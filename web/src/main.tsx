import './setup.ts';
import { StrictMode } from 'react';
import { createRoot } from 'react-dom/client';
import { RouterProvider } from 'react-router';
import { Opening } from './app/Opening.tsx';
import { router } from './app/routes.tsx';
import { InHouse } from './views/InHouse.tsx';
import './styles.css';
import { startAutosave } from './store/autosave.ts';
import { emptyTrash } from './store/listing.ts';
import { storageStore } from './store/storage.ts';
import { startDrafting } from './worker/draftStore.ts';
import { startPlanning } from './worker/planStore.ts';

// What works behind the pages begins once it is known where projects are kept, before the first page is drawn.
const wait = storageStore.subscribe(({ storage }) => {
  if (storage.kind !== 'kept' && storage.kind !== 'sitting') return;
  wait();
  startAutosave();
  // Where the database cannot be read there is nothing to clear away; the page says so itself.
  emptyTrash(Date.now()).catch(() => {});
  startPlanning();
  startDrafting();
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
