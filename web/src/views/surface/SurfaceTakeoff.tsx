import { decimals, deferral, type PlanReport, type StageReport, sayHours, sayMinutes } from '@hosket/core';
import { useState } from 'react';
import { useProject } from '../../store/projectStore.ts';
import { usePicked } from '../../store/viewStore.ts';
import { Cautions } from '../../ui/Cautions.tsx';
import { TickField } from '../../ui/Field.tsx';
import { AmountLine, Figure, Line, useSay } from '../../ui/Figures.tsx';
import { zoneKeyOf } from './wearers.ts';

/** Every step on the surface in working order: what it takes, in how many bowls, and what it waits for. */
export function SurfaceTakeoff({ report }: { report: PlanReport }) {
  const zone = usePicked((state) => state.zone);
  const [all, setAll] = useState(true);
  const steps = report.takeoff.filter(({ stage }) => !['cut', 'glue', 'carve'].includes(stage));
  const shown = all ? steps : steps.filter(({ zones }) => zones.some(({ id }) => zoneKeyOf(id) === zone));
  const minutes = shown.reduce((sum, { handsOn }) => sum + handsOn.likely, 0);
  const say = useSay();
  return (
    <div>
      <TickField label="Only the picked zone" value={!all} onValue={(only) => setAll(!only)} />
      <Line name="Hands-on, all of it">
        <Figure text={sayMinutes(minutes)} />
      </Line>
      <Line name="Dry weight of it" remark="skin, colour and cover">
        <Figure text={say.mass(shown.reduce((sum, { dryG }) => sum + dryG.likely, 0))} />
      </Line>
      <ol aria-label="Steps on the surface" className="mt-2 grid gap-3">
        {shown.map((step) => (
          <Step key={step.id} step={step} report={report} />
        ))}
      </ol>
      <p className="mt-3 text-xs text-muted">
        Amounts are estimates: low and high are about one in twenty below and above. Uncertain figures are taken as
        independent: their spreads add as root-sum-square, not as worst cases. {deferral}
      </p>
    </div>
  );
}

function Step({ step, report }: { step: StageReport; report: PlanReport }) {
  const say = useSay();
  const { currency } = useProject();
  const last = report.operations.filter((operation) => operation.step === step.id).at(-1);
  const { batches } = step;
  // What comes ready from the tub is not mixed, only portioned.
  const word = batches?.of === 'patch' ? 'patch' : batches?.recipe.length ? 'bowl' : 'portion';
  return (
    <li className="border-t border-graphite/40 pt-1.5">
      <h3 className="text-sm font-semibold">{step.title}</h3>
      <p className="text-xs text-muted">
        {step.zones.map(({ name }) => name).join(', ')}
        {step.areaMm2 > 0 && `: ${say.area(step.areaMm2)}`}
        {step.coats > 1 && step.drying.kind === 'paste' && `; ${step.coats} coats`}
      </p>
      {step.materials.map(({ name, amount }) => (
        <AmountLine key={name} name={name} amount={amount} />
      ))}
      <AmountLine name="Hands-on" amount={step.handsOn} />
      {step.money !== null && (
        <Line name="Costs">
          <Figure text={`${decimals(step.money, 2)} ${currency}`} />
        </Line>
      )}
      {batches && (
        <p className="py-1 text-xs">
          <strong>
            {batches.count} {batches.count === 1 ? word : word === 'patch' ? 'patches' : `${word}s`} of about{' '}
            {say.volume(batches.mlEach)}
            {batches.eachMm2 !== null && ` on ${say.area(batches.eachMm2)}`}
          </strong>
          {batches.recipe.length > 0 &&
            `${batches.count > 1 ? ', each' : ':'} ${say.words(batches.recipe.join(' and '))}`}{' '}
          <span className="text-muted">({batches.why})</span>
        </p>
      )}
      {last && last.waits.through.likely > 0 && (
        <p className="text-xs text-muted" title={say.words(last.waits.reason)}>
          Dry to the touch {sayHours(last.waits.touch.likely)}, coatable with water {sayHours(last.waits.coat.likely)},
          with solvent {sayHours(last.waits.solvent.likely)}, through and fit for resin{' '}
          {sayHours(last.waits.through.likely)}: {say.words(last.waits.reason)}.
        </p>
      )}
      {step.note && <p className="mt-0.5 text-xs text-muted">{say.words(step.note)}</p>}
      <Cautions of={step.cautions} />
    </li>
  );
}
