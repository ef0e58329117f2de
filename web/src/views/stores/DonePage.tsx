import { doneHere, hadFor, markDone, markUndone, type PlanReport, type StageReport, sayKind } from '@hosket/core';
import { useState } from 'react';
import { edit, useProject } from '../../store/projectStore.ts';
import { Button } from '../../ui/Button.tsx';
import { DayField } from '../../ui/DayField.tsx';
import { QuantityField } from '../../ui/QuantityField.tsx';

const today = () => {
  const now = new Date();
  return new Date(now.getTime() - 60_000 * now.getTimezoneOffset()).toISOString().slice(0, 10);
};

/** Steps in working order: marked done, each takes what it used out of the cupboard. */
export function DonePage({ report }: { report: PlanReport }) {
  const done = doneHere(useProject());
  const [open, setOpen] = useState<string | null>(null);
  const gone = done.filter(({ step }) => !report.takeoff.some(({ id }) => id === step));
  return (
    <div>
      <p className="mb-2 text-sm text-muted">
        A step that is done needs nothing more, and what it used leaves the cupboard. What the amounts were is yours to
        correct.
      </p>
      <ol aria-label="Steps of the work">
        {report.takeoff.map((step) => {
          const mark = done.find((one) => one.step === step.id);
          return (
            <li key={step.id} aria-label={step.title} className="border-b border-line py-1.5 text-sm">
              <div className="flex items-baseline justify-between gap-3">
                <span className={mark ? 'text-muted' : ''}>
                  {step.title}
                  {mark && (
                    <span className="block text-xs text-muted">
                      done on {mark.on}
                      {mark.taken.length > 0 &&
                        `; took from ${mark.taken.length} ${mark.taken.length === 1 ? 'thing' : 'things'} in the cupboard`}
                    </span>
                  )}
                </span>
                {mark ? (
                  <Button
                    tone="quiet"
                    aria-label={`Not done after all: ${step.title}`}
                    onClick={() => edit((p) => markUndone(p, step.id))}
                  >
                    Not done after all
                  </Button>
                ) : (
                  <Button
                    aria-label={`Done: ${step.title}`}
                    aria-expanded={open === step.id}
                    onClick={() => setOpen(open === step.id ? null : step.id)}
                  >
                    Done
                  </Button>
                )}
              </div>
              {open === step.id && !mark && <DoneForm step={step} onDone={() => setOpen(null)} />}
            </li>
          );
        })}
      </ol>
      {gone.length > 0 && (
        <>
          <p className="mt-3 text-xs text-muted">Done, but no longer in the plan:</p>
          <ul aria-label="Done, no longer in the plan">
            {gone.map(({ step, title, on }) => (
              <li key={step} className="flex items-baseline justify-between gap-3 py-1 text-sm">
                {title}, {on}
                <Button tone="quiet" onClick={() => edit((p) => markUndone(p, step))}>
                  Take the mark back
                </Button>
              </li>
            ))}
          </ul>
        </>
      )}
    </div>
  );
}

function DoneForm({ step, onDone }: { step: StageReport; onDone: () => void }) {
  const [on, setOn] = useState(today);
  const needed = hadFor(step.materials);
  const [amounts, setAmounts] = useState(() => needed.map(({ amount }) => Math.round(amount.likely * 100) / 100));
  return (
    // No form: Enter in a field takes its amount, and does not mark the step.
    <fieldset
      aria-label={`What ${step.title} used`}
      className="mt-1 flex flex-wrap items-end gap-3 border-l-[3px] border-line pl-3"
    >
      <div className="w-[150px]">
        <DayField label="Done on" value={on} onValue={(day) => setOn(day ?? today())} />
      </div>
      {needed.map(({ material, which, name, unit }, k) => {
        const label = sayKind({ name, which });
        return (
          <div key={`${material} ${which} ${name}`} className="text-xs text-muted">
            {label}, used
            <QuantityField
              label={`${label}, used`}
              unit={unit}
              value={amounts[k]}
              onValue={(amount) => setAmounts(amounts.map((one, n) => (n === k ? (amount ?? 0) : one)))}
            />
          </div>
        );
      })}
      <Button
        tone="main"
        onClick={() => {
          edit((p) =>
            markDone(p, {
              step: step.id,
              title: step.title.slice(0, 200),
              on,
              used: needed.map(({ material, which, unit }, k) => ({ material, which, unit, amount: amounts[k] })),
            }),
          );
          onDone();
        }}
      >
        Mark it done
      </Button>
    </fieldset>
  );
}
