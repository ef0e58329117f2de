import {
  changeMark,
  type Mark,
  markPoints,
  movePoint,
  removeMark,
  removePoint,
  sayWork,
  splitStretch,
} from '@hosket/core';
import { Check, Plus, Trash2, X } from 'lucide-react';
import { edit, undo } from '../../store/projectStore.ts';
import { pickMark, useView } from '../../store/viewStore.ts';
import { Button } from '../../ui/Button.tsx';
import { MeasureField, TickField, WordsField } from '../../ui/Field.tsx';
import { Figure, Line, useSay } from '../../ui/Figures.tsx';
import { say as sayToast } from '../../ui/toast.tsx';
import { chosenSchool, usePlan } from '../../worker/planStore.ts';

/** The picked mark's few parameters over its effect. */
export function MarkPanel({ mark }: { mark: Mark }) {
  const report = usePlan((state) => state.report);
  const say = useSay();
  const units = useView((view) => view.units);
  const level = report && chosenSchool(report).levels.find((row) => row.markId === mark.id);
  const remove = () => {
    edit((p) => removeMark(p, mark.id));
    pickMark(null);
    sayToast(`${mark.name || 'The mark'} was deleted.`, { name: 'Bring it back', run: undo });
  };
  return (
    <>
      <div className="mb-3 grid grid-cols-2 gap-2">
        <WordsField label="Name" value={mark.name} onValue={(name) => edit((p) => changeMark(p, mark.id, { name }))} />
        <MeasureField
          label="Height"
          value={mark.heightMm}
          most={2000}
          onValue={(heightMm) => edit((p) => changeMark(p, mark.id, { heightMm }))}
        />
      </div>
      {mark.kind === 'contour' && (
        <div className="mb-3 grid gap-1.5">
          <TickField
            label="Closed line"
            value={mark.closed}
            onValue={(closed) =>
              mark.points.length >= 3 && edit((p) => changeMark(p, mark.id, { closed, level: closed && mark.level }))
            }
          />
          {mark.closed && (
            <TickField
              label="Level inside (a bench, a pad)"
              value={mark.level}
              onValue={(inside) => edit((p) => changeMark(p, mark.id, { level: inside }))}
            />
          )}
        </div>
      )}
      <div className="mb-4 flex gap-2">
        <Button onClick={() => pickMark(null)}>
          <Check size={14} aria-hidden /> Done
        </Button>
        <Button onClick={remove}>
          <Trash2 size={14} aria-hidden /> Delete mark
        </Button>
      </div>
      {level && (
        <div className="mb-4">
          <h3 className="text-sm text-muted">What it means for the foam</h3>
          <Line name="Finished height">
            <Figure text={say.mm(level.wantedMm)} />
          </Line>
          <Line name="Foam wanted" remark="less the skin">
            <Figure text={say.mm(level.targetMm)} />
          </Line>
          <Line name="Foam there" remark={sayWork(level, units)}>
            <Figure text={say.mm(level.foamThereMm)} />
          </Line>
          <Line name="The joint may lie off by" remark={`${say.mm(level.errorWorstMm)} if all sheets err alike`}>
            <Figure text={say.mm(level.errorMixedMm)} />
          </Line>
        </div>
      )}
      <Points mark={mark} />
    </>
  );
}

/** Every point as numbers: what dragging does, by keyboard. */
function Points({ mark }: { mark: Mark }) {
  return (
    <details open={markPoints(mark).length <= 8}>
      <summary className="cursor-pointer text-sm font-semibold">
        {mark.kind === 'spot' ? 'Place' : `${mark.points.length} points`}
      </summary>
      <ol className="mt-1">
        {markPoints(mark).map((point, k) => (
          <li key={k} className="mb-1 grid grid-cols-[1.4rem_1fr_1fr_auto_auto] items-center gap-1">
            <span className="text-xs text-muted">{k + 1}</span>
            <MeasureField
              hideLabel
              label={`Point ${k + 1}, across`}
              least={-5000}
              value={point[0]}
              onValue={(x) => edit((p) => movePoint(p, mark.id, k, [x, point[1]]))}
            />
            <MeasureField
              hideLabel
              label={`Point ${k + 1}, away`}
              least={-5000}
              value={point[1]}
              onValue={(y) => edit((p) => movePoint(p, mark.id, k, [point[0], y]))}
            />
            {mark.kind === 'contour' && (
              <>
                <Button
                  tone="quiet"
                  className="!px-1"
                  aria-label={`Add a point after point ${k + 1}`}
                  onClick={() => edit((p) => splitStretch(p, mark.id, k))}
                >
                  <Plus size={13} aria-hidden />
                </Button>
                <Button
                  tone="quiet"
                  className="!px-1"
                  aria-label={`Take out point ${k + 1}`}
                  disabled={mark.points.length <= (mark.closed ? 3 : 2)}
                  onClick={() => edit((p) => removePoint(p, mark.id, k))}
                >
                  <X size={13} aria-hidden />
                </Button>
              </>
            )}
          </li>
        ))}
      </ol>
    </details>
  );
}
