import { MOST_BYTES, MOST_HEIGHTS, MOST_POINTS } from '@hosket/formats/limits';
import { FileDown } from 'lucide-react';
import { lazy, Suspense, useRef, useState } from 'react';
import { edit, projectNow } from '../../store/projectStore.ts';
import { Button } from '../../ui/Button.tsx';
import { Dialog } from '../../ui/Dialog.tsx';
import { WordsField } from '../../ui/Field.tsx';
import { say } from '../../ui/toast.tsx';
import { BusyLine } from '../FilesBusy.tsx';
import { bringIn, useBringing } from './bringStore.ts';
import { HeightsForm } from './HeightsForm.tsx';
import { underlayOf } from './picture.ts';
import { accepted, type Brought, readFile, readPlace, readPngHeights } from './readFile.ts';

/** It brings the readers with it, which are heavy. */
const PlanForm = lazy(() => import('./PlanForm.tsx'));

/** Plans, heights and pictures that exist elsewhere: chosen, looked at, and taken in as one step that can be undone. */
export function BringIn() {
  const { open } = useBringing();
  const [brought, setBrought] = useState<Brought | null>(null);
  const [busy, setBusy] = useState(false);
  const [place, setPlace] = useState('Tarrow Moor');
  const input = useRef<HTMLInputElement>(null);
  const show = async (read: Promise<Brought>) => {
    setBusy(true);
    setBrought(await read);
    setBusy(false);
  };
  const done = (text: string) => {
    bringIn(false);
    setBrought(null);
    say(text);
  };
  const layUnder = async (file: File) => {
    setBusy(true);
    try {
      const underlay = await underlayOf(file, projectNow());
      edit((p) => ({ ...p, underlay }));
      done(`${file.name} lies under the plan. Place it by its two points.`);
    } catch (error) {
      setBrought({
        kind: 'wrong',
        text: `${file.name} cannot be shown as a picture.\n${(error as Error).message || 'It is damaged.'}`,
      });
    }
    setBusy(false);
  };
  return (
    <>
      <Button tone="quiet" className="!min-h-6 text-xs" onClick={() => bringIn(true)}>
        Bring in
      </Button>
      <Dialog
        open={open}
        onOpen={(next) => {
          bringIn(next);
          if (!next) setBrought(null);
        }}
        title="Bring in"
        note={`A plan (SVG, DXF, GeoJSON), heights (ASCII grid, GeoTIFF, grey PNG) or a picture to lie under the plan. Up to ${MOST_BYTES / 1e6} MB, ${MOST_POINTS / 1000} thousand points, ${MOST_HEIGHTS / 1e6} million heights.`}
      >
        <div className="mb-3 flex flex-wrap items-end gap-2">
          <Button tone="main" disabled={busy} onClick={() => input.current?.click()}>
            <FileDown size={15} aria-hidden /> Choose a file
          </Button>
          <input
            ref={input}
            type="file"
            accept={accepted}
            aria-label="File to bring in"
            tabIndex={-1}
            className="sr-only"
            onChange={(event) => {
              const file = event.target.files?.[0];
              event.target.value = '';
              if (file) void show(readFile(file));
            }}
          />
          <div className="w-[180px]">
            <WordsField label="Or made-up heights of a place" value={place} most={80} onValue={setPlace} />
          </div>
          <Button disabled={busy || !place} onClick={() => show(readPlace(place))}>
            Fetch them
          </Button>
        </div>
        <BusyLine />
        {brought?.kind === 'wrong' && (
          <p role="alert" className="whitespace-pre-line border-l-[3px] border-plum bg-plaster px-3 py-1.5">
            {brought.text}
          </p>
        )}
        {brought?.kind === 'picture' && (
          <div className="flex flex-wrap items-center gap-2">
            <span>{brought.name} is a picture:</span>
            <Button tone="main" onClick={() => layUnder(brought.file)}>
              Lay it under the plan
            </Button>
            {/\.png$/i.test(brought.name) && (
              <Button onClick={() => show(readPngHeights(brought.file))}>Read its greys as heights</Button>
            )}
          </div>
        )}
        <Suspense>
          {brought?.kind === 'plan' && <PlanForm name={brought.name} drawing={brought.drawing} onDone={done} />}
        </Suspense>
        {brought?.kind === 'heights' && <HeightsForm name={brought.name} grid={brought.grid} onDone={done} />}
      </Dialog>
    </>
  );
}
