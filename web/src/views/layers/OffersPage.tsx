import { type PlanReport, type ProposalReport, type StackReport, settleByHand } from '@hosket/core';
import { lazy, Suspense, useState } from 'react';
import { edit, useProject } from '../../store/projectStore.ts';
import { Button } from '../../ui/Button.tsx';
import { ChoiceField } from '../../ui/Field.tsx';
import { Figure, useSay } from '../../ui/Figures.tsx';
import { Heads, Table } from '../../ui/Table.tsx';
import { Compare } from './Compare.tsx';
import { layerName } from './layerNames.ts';
import { type Measure, measured, measures, offerKey, sayMeasure } from './offers.ts';

const OffersChart = lazy(() => import('./OffersChart.tsx'));

/** Builds by an offer: by its name where it has one, so that it follows the ground; else layer by layer. */
function build({ names, school, layers }: ProposalReport): void {
  edit((p) => {
    const [wish] = names;
    const stacking = { ...p.stacking, school, wish: wish ?? ('least cost' as const) };
    return wish ? { ...p, stacking, stack: { ...p.stack, byHand: null } } : settleByHand({ ...p, stacking }, layers);
  });
}

/** Everything that could be built from these sheets: a chart, the list of what is worth having, two side by side. */
export function OffersPage({ front, stack }: { front: PlanReport['front']; stack: StackReport }) {
  const project = useProject();
  const { currency, stack: settled } = project;
  const say = useSay();
  const [across, setAcross] = useState<Measure>('carveMl');
  const [up, setUp] = useState<Measure>('fillMl');
  const [marked, setMarked] = useState<readonly string[]>([]);
  const [all, setAll] = useState(false);
  const buys = project.sheets.some(({ buyable }) => buyable);
  const built = offerKey({ school: stack.school, layers: stack.written });
  const worth = front.proposals.filter(({ beaten, names }) => !beaten || names.length);
  const rows = [...worth].sort(
    (a, b) => Number(b.names.length > 0) - Number(a.names.length > 0) || measured(a, across) - measured(b, across),
  );
  const mark = (key: string) =>
    setMarked((now) => (now.includes(key) ? now.filter((other) => other !== key) : [...now.slice(-1), key]));
  const compared = marked.flatMap((key) => front.proposals.find((offer) => offerKey(offer) === key) ?? []);
  const options = measures
    .filter(({ key }) => (key !== 'offMm' || settled.onJoint.length) && (key !== 'bought' || buys))
    .map(({ key, title }) => ({ value: key, text: title }));
  const first = rows.filter((offer) => offer.shown || offerKey(offer) === built);
  const shown = all ? rows : first;
  const columns: Measure[] = [
    'layers',
    'carveMl',
    'fillMl',
    ...(buys ? (['bought'] as const) : []),
    'dryHours',
    'massG',
    'costMin',
  ];
  return (
    <>
      <div className="grid grid-cols-[minmax(0,1fr)_150px] gap-3 max-[999px]:grid-cols-1">
        <div className="h-[250px]">
          <Suspense fallback={<p className="p-4 text-muted">Drawing the chart…</p>}>
            <OffersChart
              offers={front.proposals}
              across={across}
              up={up}
              marked={marked}
              built={built}
              onPick={(offer) => mark(offerKey(offer))}
            />
          </Suspense>
        </div>
        <div className="flex flex-col gap-2 text-xs">
          <ChoiceField label="Across" value={across} options={options} onValue={setAcross} />
          <ChoiceField label="Up" value={up} options={options} onValue={setUp} />
          <ul className="flex flex-col gap-1 text-muted" aria-label="Key to the chart">
            <Key fill="var(--clay)" r={5} text="what is built" />
            <Key fill="var(--graphite)" r={5} text="best in something" />
            <Key fill="var(--sheet)" stroke r={3.5} text="worth having" />
            <Key fill="var(--muted)" r={2.5} faded text="beaten in every way" />
          </ul>
          <p className="text-muted">
            {front.complete
              ? `${front.proposals.length} stacks drawn; none that is missing is better in any way.`
              : `${front.proposals.length} of many stacks drawn: there are too many to weigh each.`}
          </p>
        </div>
      </div>
      {compared.length > 0 && <Compare offers={compared} onLeave={() => setMarked([])} />}
      <Table label="Stacks worth having">
        <Heads
          of={[
            'Best in',
            'Way of building',
            ...columns.map((key) => ({ number: measures.find((measure) => measure.key === key)?.title ?? key })),
            '',
          ]}
        />
        <tbody>
          {shown.map((offer) => {
            const key = offerKey(offer);
            const name =
              offer.names.join(', ') || offer.layers.map((layer) => layerName(project, layer, say.mm)).join(', ');
            return (
              <tr key={key} data-chosen={key === built}>
                <th scope="row" className="max-w-[210px]">
                  {offer.names.length ? offer.names.join(', ') : <span className="text-muted">{shortened(name)}</span>}
                </th>
                <td className="whitespace-nowrap">{offer.school}</td>
                {columns.map((column) => (
                  <td key={column} className="whitespace-nowrap number">
                    <Figure text={sayMeasure(column, measured(offer, column), say, currency)} />
                  </td>
                ))}
                <td className="whitespace-nowrap number">
                  <Button
                    tone="quiet"
                    className="!min-h-6 !px-1.5 text-xs"
                    aria-pressed={marked.includes(key)}
                    aria-label={`Compare ${name}`}
                    onClick={() => mark(key)}
                  >
                    <span className={marked.includes(key) ? 'font-semibold underline' : ''}>Compare</span>
                  </Button>
                  <Button
                    tone="quiet"
                    className="!min-h-6 !px-1.5 text-xs"
                    disabled={key === built}
                    aria-label={`Build ${name}`}
                    onClick={() => build(offer)}
                  >
                    {key === built ? 'Built' : 'Build it'}
                  </Button>
                </td>
              </tr>
            );
          })}
        </tbody>
      </Table>
      {rows.length > first.length && (
        <Button className="mt-2" onClick={() => setAll(!all)}>
          {all ? 'Show those that truly differ' : `Show all ${rows.length}`}
        </Button>
      )}
    </>
  );
}

const shortened = (text: string) => (text.length > 44 ? `${text.slice(0, 43)}…` : text);

function Key({
  fill,
  r,
  stroke,
  faded,
  text,
}: {
  fill: string;
  r: number;
  stroke?: boolean;
  faded?: boolean;
  text: string;
}) {
  return (
    <li className="flex items-center gap-1.5">
      <svg width="14" height="12" aria-hidden="true">
        <circle
          cx="7"
          cy="6"
          r={r}
          fill={fill}
          stroke={stroke ? 'var(--graphite)' : 'none'}
          opacity={faded ? 0.35 : 1}
        />
      </svg>
      {text}
    </li>
  );
}
