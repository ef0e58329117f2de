import { type SheetStep, type SmallDrawing, smallPlan, smallSection } from '@hosket/core';
import { useRef } from 'react';
import { useNavigate } from 'react-router';
import { linePath } from '../../instruments/handling/paths.ts';
import { Button } from '../../ui/Button.tsx';
import { useOverflows } from '../../ui/useOverflows.ts';
import { usePlan } from '../../worker/planStore.ts';
import { useBenchSheet } from './useBenchSheet.ts';

/** Bench sheet and shopping list as a plain page, black on white, to be printed from the browser. */
export function PrintedSheet() {
  const report = usePlan((state) => state.report);
  const sheet = useBenchSheet(report);
  const go = useNavigate();
  const main = useRef<HTMLElement>(null);
  const long = useOverflows(main);
  return (
    <main
      ref={main}
      // Where it is longer than the window it is scrolled by keys too.
      tabIndex={long ? 0 : undefined}
      className="printed min-h-0 overflow-y-auto bg-white px-8 py-4 text-black"
    >
      <div className="no-print mb-4 flex gap-3">
        <Button tone="main" onClick={() => window.print()}>
          Print
        </Button>
        <Button onClick={() => go('../stores', { relative: 'path' })}>Back to the stores</Button>
      </div>
      {!sheet && <p>Working out the plan…</p>}
      {sheet && (
        <>
          <h1 className="text-xl">{sheet.project}: bench sheet</h1>
          <p className="mb-3">{sheet.base}</p>
          {sheet.stages.map(({ title, steps }) => {
            const zones = new Set(steps.flatMap((step) => step.zones));
            return (
              <section key={title} className="mb-6 break-inside-avoid-page">
                <h2 className="mb-1 text-lg">{title}</h2>
                <div className="mb-2 flex flex-wrap items-end gap-6">
                  <Drawn drawing={smallPlan(sheet, zones, 70, 45)} label={`Where: plan for ${title}`} />
                  <Drawn drawing={smallSection(sheet, zones, 100, 45)} label={`Where: section for ${title}`} />
                </div>
                <ul className="grid gap-3">
                  {steps.map((step) => (
                    <Printed key={step.id} step={step} />
                  ))}
                </ul>
              </section>
            );
          })}
          <section>
            <h2 className="mb-1 text-lg">Shopping list</h2>
            <p>{sheet.shoppingNote}</p>
            <ul aria-label="Shopping list" className="mt-1">
              {sheet.shopping
                .filter(({ there }) => !there)
                .map(({ name, needed, stocked, buy, cost, supplier }) => (
                  <li key={`${name} ${buy}`} className="py-0.5">
                    <Tick /> <strong>{buy}</strong> {name}; needed {needed}
                    {stocked && `, in the cupboard ${stocked}`}
                    {cost && `; ${cost}`}
                    {supplier && `; ${supplier}`}
                  </li>
                ))}
            </ul>
            <p className="mt-1">
              In the cupboard already:{' '}
              {sheet.shopping
                .filter(({ there }) => there)
                .map(({ name }) => name)
                .join('; ') || 'nothing'}
              . From the kitchen: water, a drop of washing-up liquid, kitchen paper.
            </p>
          </section>
          <p className="mt-4">{sheet.deferral}</p>
        </>
      )}
    </main>
  );
}

const Tick = () => <span aria-hidden="true" className="mr-1 inline-block size-4 border border-black align-[-2px]" />;

function Printed({ step }: { step: SheetStep }) {
  return (
    <li className="break-inside-avoid text-base">
      <h3 className="font-semibold">
        <Tick /> {step.title}
        {step.done && ' (done)'}
      </h3>
      <p>{[step.when, step.where].filter(Boolean).join('; ')}</p>
      <ul className="list-disc pl-6">
        {step.amounts.map((amount) => (
          <li key={amount}>{amount}</li>
        ))}
      </ul>
      {step.batches && <p className="font-semibold">{step.batches}</p>}
      {step.tools && <p>Tools: {step.tools}</p>}
      {step.waits && <p>Waits: {step.waits}</p>}
      {step.note && <p>{step.note}</p>}
      {step.cautions.map((caution) => (
        <p key={caution}>
          <strong>Mind:</strong> {caution}
        </p>
      ))}
      {step.ticks.length > 1 && (
        <p className="flex flex-wrap gap-x-5">
          {step.ticks.map((tick) => (
            <span key={tick}>
              <Tick /> {tick}
            </span>
          ))}
        </p>
      )}
    </li>
  );
}

/** A small drawing at its size in millimetres. */
function Drawn({ drawing, label }: { drawing: SmallDrawing; label: string }) {
  const { widthMm, heightMm, strokes, words } = drawing;
  const at = ([x, y]: readonly [number, number]) => [x, heightMm - y] as const;
  return (
    <svg
      role="img"
      aria-label={label}
      viewBox={`-1 -1 ${widthMm + 2} ${heightMm + 2}`}
      style={{ width: `${widthMm}mm` }}
      className="max-w-full"
    >
      {strokes.map(({ pen, points, closed }, k) => (
        <path
          key={k}
          d={linePath(points, at, closed)}
          fill="none"
          stroke="#000"
          strokeOpacity={pen === 'below' || pen === 'joint' ? 0.55 : 1}
          strokeWidth={pen === 'seam' ? 0.9 : pen === 'cut' || pen === 'ground' ? 0.5 : 0.25}
          strokeDasharray={pen === 'next' ? '3 2' : undefined}
        />
      ))}
      {words.map(({ at: place, text, sizeMm }) => (
        <text key={text} x={at(place)[0]} y={at(place)[1]} fontSize={sizeMm} fontWeight={600}>
          {text}
        </text>
      ))}
    </svg>
  );
}
