import { clashesOn, dropLayout, localeNow, movePolygon, type PlanReport } from '@hosket/core';
import { Play, RotateCcw, Square } from 'lucide-react';
import { type BenchPiece, SheetBench } from '../../instruments/paper/SheetBench.tsx';
import { edit, useProject } from '../../store/projectStore.ts';
import { Button } from '../../ui/Button.tsx';
import { startNesting, stopNesting, useNest } from '../../worker/nestStore.ts';
import { usePlan } from '../../worker/planStore.ts';
import { bedsOfPlan, bedsOfSearch } from './liveBeds.ts';
import { place, unpinAll } from './placing.ts';
import { SearchCurve } from './SearchCurve.tsx';

/** Sheets and offcuts on the bench, and the search for a better layout. */
export function SheetsPage({ report }: { report: PlanReport }) {
  const { cutting } = report;
  const project = useProject();
  const { gapMm, marginMm } = project.cutting;
  const nest = useNest();
  const beds = nest.running ? bedsOfSearch(nest.jobs, nest.bests, cutting, project) : bedsOfPlan(cutting);
  const clashesAt = (piece: BenchPiece, bedId: string, [dx, dy]: readonly [number, number]): boolean => {
    const bed = beds.find(({ id }) => id === bedId);
    if (!bed) return false;
    const others = bed.pieces.filter((other) => other.piece !== piece.piece);
    const lying = [...others, { piece: piece.piece, lies: movePolygon(piece.lies, dx, dy) }];
    return clashesOn(
      bed.outline,
      lying.map((each) => ({ id: each.piece, lies: each.lies })),
      gapMm,
      marginMm,
    ).some((clash) => clash.piece === piece.piece || clash.with === piece.piece);
  };
  if (!cutting.beds.length && !nest.running)
    return (
      <p className="text-muted">
        {cutting.pieces.length ? 'Nothing lies on a sheet.' : 'There is nothing to cut yet.'}
      </p>
    );
  return (
    <>
      <Search report={report} />
      <SheetBench
        beds={beds}
        clashes={nest.running ? [] : cutting.clashes}
        fixed={nest.running}
        clashesAt={clashesAt}
        onPlace={(piece, bed, xMm, yMm, turnDegrees) => place(cutting, { piece, bed, xMm, yMm, turnDegrees })}
        remark={(bed) => {
          const known = cutting.beds.find(({ id }) => id === bed.id);
          return known && !nest.running ? `${Math.round((100 * known.usedMm2) / known.areaMm2)} % used` : '';
        }}
      />
      <p className="py-1 text-xs text-muted">
        Drag a piece, or pick it and use the arrow keys (with Shift by 10 mm); comma and full stop turn it. What you
        move is pinned. Dashed: offcuts worth keeping.
      </p>
    </>
  );
}

/** Start and stop, how far it has come, and what it has found. */
function Search({ report: { cutting } }: { report: PlanReport }) {
  const nest = useNest();
  const behind = usePlan((state) => state.behind);
  const { cutting: settings } = useProject();
  const pins = cutting.beds.flatMap(({ pieces }) => pieces).filter(({ pinned }) => pinned).length;
  const last = nest.curve.at(-1);
  const patience = Math.min(100, (100 * (nest.seconds - nest.betterAt)) / settings.search.patienceSeconds);
  return (
    <div className="mb-2 flex flex-wrap items-center gap-2">
      {nest.running ? (
        <Button tone="main" onClick={() => stopNesting()}>
          <Square size={13} aria-hidden /> Stop and keep the best
        </Button>
      ) : (
        <Button tone="main" disabled={behind} onClick={startNesting}>
          <Play size={13} aria-hidden /> Find a better layout
        </Button>
      )}
      {!nest.running && cutting.kept && (
        <Button onClick={() => edit(dropLayout)}>
          <RotateCcw size={13} aria-hidden /> Lay anew
        </Button>
      )}
      {!nest.running && pins > 0 && (
        <Button onClick={() => edit(unpinAll(cutting))}>
          Unpin {pins === 1 ? 'the pinned piece' : `all ${pins} pinned`}
        </Button>
      )}
      <span className="figure text-sm" role="status" aria-label="Search for a layout">
        {nest.running
          ? `${Math.floor(nest.seconds)} s, ${nest.tries.toLocaleString(localeNow())} tries, better ${nest.better} ${nest.better === 1 ? 'time' : 'times'}`
          : nest.ended
            ? `${nest.ended} ${nest.better ? `Better ${nest.better} ${nest.better === 1 ? 'time' : 'times'}` : 'No better one'} in ${nest.tries.toLocaleString(localeNow())} tries.`
            : cutting.kept
              ? 'The layout is kept.'
              : 'A first layout, laid quickly.'}
      </span>
      {nest.running && (
        <span
          role="progressbar"
          aria-label="Patience used up"
          aria-valuenow={Math.round(patience)}
          className="h-2 w-24 overflow-hidden rounded-md border border-line"
        >
          <span className="block h-full bg-clay" style={{ width: `${patience}%` }} />
        </span>
      )}
      {last && nest.curve.length > 1 && <SearchCurve curve={nest.curve} seconds={nest.seconds} />}
    </div>
  );
}
