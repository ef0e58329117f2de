import { useEffect, useState } from 'react';
import { createBrowserRouter, Navigate } from 'react-router';
import { firstToOpen } from '../store/library.ts';
import { BriefView } from '../views/brief/BriefView.tsx';
import { CuttingView } from '../views/cutting/CuttingView.tsx';
import { DaysView } from '../views/days/DaysView.tsx';
import { GroundView } from '../views/ground/GroundView.tsx';
import { LayersView } from '../views/layers/LayersView.tsx';
import { StagesView } from '../views/stages/StagesView.tsx';
import { PrintedSheet } from '../views/stores/PrintedSheet.tsx';
import { StoresView } from '../views/stores/StoresView.tsx';
import { SurfaceView } from '../views/surface/SurfaceView.tsx';
import { Licences } from './Licences.tsx';
import { Failed, Missing } from './Missing.tsx';
import { Shell } from './Shell.tsx';

/** Opens the project changed last, or the demo on a first start. */
function Start() {
  const [id, setId] = useState<string | null>(null);
  const [why, setWhy] = useState('');
  useEffect(() => {
    firstToOpen().then(setId, (error: Error) => setWhy(error.message));
  }, []);
  if (why)
    return (
      <main className="mx-auto max-w-lg p-10">
        <h1 className="mb-2 text-xl">Nothing can be kept in this browser</h1>
        <p>{why}. Allow site data for this address, or leave the private window, and load the page again.</p>
      </main>
    );
  return id ? <Navigate to={`/project/${id}/ground`} replace /> : <p className="p-8 text-muted">Opening…</p>;
}

export const router = createBrowserRouter([
  { path: '/', element: <Start />, errorElement: <Failed /> },
  {
    path: '/project/:projectId',
    element: <Shell />,
    errorElement: <Failed />,
    children: [
      { index: true, element: <Navigate to="ground" replace /> },
      { path: 'brief', element: <BriefView />, errorElement: <Failed /> },
      { path: 'ground', element: <GroundView />, errorElement: <Failed /> },
      { path: 'layers', element: <LayersView />, errorElement: <Failed /> },
      { path: 'cutting', element: <CuttingView />, errorElement: <Failed /> },
      { path: 'surface', element: <SurfaceView />, errorElement: <Failed /> },
      { path: 'days', element: <DaysView />, errorElement: <Failed /> },
      { path: 'stores', element: <StoresView />, errorElement: <Failed /> },
      { path: 'stages', element: <StagesView />, errorElement: <Failed /> },
      { path: 'print', element: <PrintedSheet />, errorElement: <Failed /> },
    ],
  },
  { path: '/licences', element: <Licences />, errorElement: <Failed /> },
  { path: '*', element: <Missing why="There is no such page." /> },
]);
