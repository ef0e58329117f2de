import { decimals, type ProposalReport, type SchoolReport, sayClock, sayHours, sayMinutes } from '@hosket/core';
import { useEffect } from 'react';
import { useProject } from '../../store/projectStore.ts';
import { Button } from '../../ui/Button.tsx';
import { Figure, useSay } from '../../ui/Figures.tsx';
import { Table } from '../../ui/Table.tsx';
import { askWeighed, chosenSchool, usePlan } from '../../worker/planStore.ts';
import { layerName } from './layerNames.ts';
import { offerKey } from './offers.ts';

interface Props {
  offers: readonly ProposalReport[];
  onLeave: () => void;
}

/** One or two stacks beside the one that is built, with their hours, their money and their day. */
export function Compare({ offers, onLeave }: Props) {
  const project = useProject();
  const { report, weighed, behind } = usePlan();
  const say = useSay();
  const keys = offers.map(offerKey).join(' | ');
  const known = weighed?.asked.map(offerKey).join(' | ') === keys ? weighed.reports : null;
  const missing = !known && !behind;
  // As text, so that the same question is not asked again at every drawing.
  const wanted = JSON.stringify(offers.map(({ school, layers }) => ({ school, layers })));
  useEffect(() => {
    if (missing) askWeighed(JSON.parse(wanted));
  }, [missing, wanted]);
  if (!report) return null;
  const built = chosenSchool(report);
  const columns: { title: string; of: SchoolReport | null; layers: string }[] = [
    { title: 'Built now', of: built, layers: named(built.written) },
    ...offers.map((offer, k) => ({
      title: offer.names.join(', ') || `${offer.school}, ${offer.totals.layers} layers`,
      of: known?.[k] ?? null,
      layers: named(offer.layers),
    })),
  ];
  function named(layers: ProposalReport['layers']): string {
    return layers.map((layer) => layerName(project, layer, say.mm)).join(', ');
  }
  const rows: [string, (of: SchoolReport) => string][] = [
    ['way of building', ({ school }) => school],
    ['layers', ({ layers }) => String(layers.length)],
    ['carve', ({ carveMl }) => say.volume(carveMl)],
    ['fill', ({ fillMl }) => say.volume(fillMl)],
    ['paste, 95 % no deeper', ({ paste }) => say.mm(paste.most95Mm)],
    ['paste dry after', ({ pasteDryHours }) => sayHours(pasteDryHours.likely)],
    ['hands-on', ({ handsOnMin }) => sayMinutes(handsOnMin)],
    ['foam weighs', ({ foamMassG }) => say.mass(foamMassG.likely)],
    ['sheets and paste', ({ money }) => (money === null ? 'not priced' : `${decimals(money, 2)} ${project.currency}`)],
    ['dry base', ({ finish }) => (finish ? sayClock(finish.likely) : 'no bench hours')],
  ];
  return (
    <section aria-label="Side by side" className="mt-2 border border-line bg-sheet px-3 py-2">
      <Table>
        <thead>
          <tr>
            <td />
            {columns.map(({ title, layers }) => (
              <th
                key={title + layers}
                scope="col"
                className="number max-w-[190px] !whitespace-normal !font-head !text-sm !font-semibold !text-graphite"
              >
                {title}
                <span className="block text-xs font-normal text-muted">{layers}</span>
              </th>
            ))}
          </tr>
        </thead>
        <tbody>
          {rows.map(([name, text]) => (
            <tr key={name}>
              <th scope="row" className="whitespace-nowrap text-muted">
                {name}
              </th>
              {columns.map(({ title, of, layers }) => (
                <td key={title + layers} className="number">
                  <Figure text={of ? text(of) : known ? 'cannot be laid' : 'working out…'} />
                </td>
              ))}
            </tr>
          ))}
        </tbody>
      </Table>
      <Button className="mt-1 !min-h-6 text-xs" onClick={onLeave}>
        Done comparing
      </Button>
    </section>
  );
}
