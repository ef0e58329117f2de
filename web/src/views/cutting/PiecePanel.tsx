import {
  bedName,
  fieldLimits,
  type PieceReport,
  type PlanReport,
  ringSize,
  STRAIGHTENED_MM,
  toggleCut,
  toolLimits,
} from '@hosket/core';
import { Pin, PinOff, RotateCcw, RotateCw } from 'lucide-react';
import { edit, useProject } from '../../store/projectStore.ts';
import { pickPiece } from '../../store/viewStore.ts';
import { Button } from '../../ui/Button.tsx';
import { ChoiceField, MeasureField, NumberField, TickField } from '../../ui/Field.tsx';
import { Figure, Line, useSay } from '../../ui/Figures.tsx';
import { Legend } from '../../ui/Legend.tsx';
import { useNest } from '../../worker/nestStore.ts';
import { usePlan } from '../../worker/planStore.ts';
import { place, togglePinned } from './placing.ts';

/** One piece: what it is, what is hard about it, and where it lies. */
export function PiecePanel({ report, piece }: { report: PlanReport; piece: PieceReport }) {
  const { cutting } = useProject();
  const say = useSay();
  const { neckMm, radiusMm } = toolLimits[cutting.tool];
  const size = ringSize(piece.outline.outer);
  const nowhere = report.cutting.nowhere.find((each) => each.piece === piece.id);
  return (
    <>
      <Line name={piece.panel === null ? 'Of layer' : 'Upright part'} remark={say.mm(piece.thicknessMm)}>
        <Figure text={piece.panel ?? `${piece.layer}`} />
      </Line>
      <Line name="Size">
        <Figure text={`${say.mm(size.widthMm).replace(/ \w+$/, '')} × ${say.mm(size.depthMm)}`} />
      </Line>
      <Line name="Area">
        <Figure text={say.area(piece.areaMm2)} />
      </Line>
      <Line name="Outline to cut" remark={`straightened by at most ${STRAIGHTENED_MM} mm`}>
        <Figure text={say.mm(Math.round(piece.outlineMm))} />
      </Line>
      <Line name="Narrowest neck" remark={`a ${cutting.tool} wants ${say.mm(neckMm)}`}>
        {piece.neck ? <Figure text={say.mm(piece.neck.widthMm)} /> : 'none'}
      </Line>
      <Line name="Tightest inside corner" remark={`a ${cutting.tool} gets into ${radiusMm ? say.mm(radiusMm) : 'any'}`}>
        {piece.insideRadiusMm === null ? 'wide' : <Figure text={say.mm(piece.insideRadiusMm)} />}
      </Line>
      {nowhere ? (
        <p className="my-2 text-sm text-plum">It lies nowhere yet.</p>
      ) : (
        <Lies report={report} piece={piece} />
      )}
      {piece.state !== 'put away' && (
        <div className="my-2">
          <TickField
            label="It is cut"
            value={piece.state === 'cut'}
            onValue={() => edit((p) => toggleCut(p, piece.id))}
          />
        </div>
      )}
      {piece.state === 'put away' && <p className="my-2 text-sm text-muted">Cut, and its sheet put away.</p>}
      <Button tone="quiet" onClick={() => pickPiece(null)}>
        Back to the amounts
      </Button>
    </>
  );
}

const TURN_STEP = 15;

/** Where it lies, to be changed by numbers. */
function Lies({ report, piece }: { report: PlanReport; piece: PieceReport }) {
  const project = useProject();
  const jobs = usePlan((state) => state.jobs);
  const running = useNest((state) => state.running);
  const bed = report.cutting.beds.find(({ id }) => id === piece.bed);
  const laid = bed?.pieces.find((each) => each.piece === piece.id);
  const job = jobs.find(({ pieceIds }) => pieceIds.includes(piece.id));
  if (!bed || !laid || !job) return null;
  const put = (change: Partial<{ bed: string; xMm: number; yMm: number; turnDegrees: number }>) => {
    const { xMm, yMm, turnDegrees } = laid;
    place(report.cutting, { piece: piece.id, bed: bed.id, xMm, yMm, turnDegrees, ...change });
  };
  return (
    <fieldset disabled={running || piece.state === 'cut'} className="mt-2 grid grid-cols-2 gap-2">
      <Legend under>Where it lies</Legend>
      <div className="col-span-2">
        <ChoiceField
          label="On"
          value={bed.id}
          options={job.bedIds.map((id) => ({ value: id, text: bedName(project, id) }))}
          onValue={(id) => put({ bed: id })}
        />
      </div>
      <MeasureField
        label="Middle from the left"
        value={round(laid.xMm)}
        least={-1000}
        most={6000}
        onValue={(xMm) => put({ xMm })}
      />
      <MeasureField
        label="Middle from the front"
        value={round(laid.yMm)}
        least={-1000}
        most={6000}
        onValue={(yMm) => put({ yMm })}
      />
      <NumberField
        label="Turned"
        unit="degrees"
        value={round(laid.turnDegrees)}
        {...fieldLimits('nest.places.turnDegrees')}
        onValue={(turnDegrees) => put({ turnDegrees })}
      />
      <div className="flex items-end gap-1">
        <Button
          aria-label={`Turn left by ${TURN_STEP} degrees`}
          onClick={() => put({ turnDegrees: laid.turnDegrees + TURN_STEP })}
        >
          <RotateCcw size={14} aria-hidden />
        </Button>
        <Button
          aria-label={`Turn right by ${TURN_STEP} degrees`}
          onClick={() => put({ turnDegrees: laid.turnDegrees - TURN_STEP })}
        >
          <RotateCw size={14} aria-hidden />
        </Button>
      </div>
      <div className="col-span-2">
        <Button aria-pressed={laid.pinned} onClick={() => togglePinned(report.cutting, piece.id)}>
          {laid.pinned ? <PinOff size={14} aria-hidden /> : <Pin size={14} aria-hidden />}
          {laid.pinned ? 'Unpin it' : 'Pin it here'}
        </Button>
      </div>
    </fieldset>
  );
}

const round = (value: number): number => Math.round(value * 10) / 10;
