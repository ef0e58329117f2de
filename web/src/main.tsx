import './setup.ts';
import { StrictMode } from 'react';
import { createRoot } from 'react-dom/client';
import { RouterProvider } from 'react-router';
import { router } from './app/routes.tsx';
import { InHouse } from './views/InHouse.tsx';
import './styles.css';
import { startAutosave } from './store/autosave.ts';
import { emptyTrash } from './store/listing.ts';
import { startDrafting } from './worker/draftStore.ts';
import { startPlanning } from './worker/planStore.ts';

startAutosave();
// Where the database cannot be read there is nothing to clear away; the page says so itself.
emptyTrash(Date.now()).catch(() => {});
startPlanning();
startDrafting();

const root = document.getElementById('root');
if (!root) throw new Error('the page has no root');
createRoot(root).render(
  <StrictMode>
    <InHouse>
      <RouterProvider router={router} />
    </InHouse>
  </StrictMode>,
);
