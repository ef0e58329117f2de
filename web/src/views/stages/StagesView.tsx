import { decimals } from '@hosket/core';
import { Heads, Table } from '../../ui/Table.tsx';
import { usePlan } from '../../worker/planStore.ts';

/** What became of each stage of the newest plan. No link leads here: it is for whoever works on the stages. */
export function StagesView() {
  const stages = usePlan((state) => state.stages);
  return (
    <main className="min-h-0 overflow-y-auto px-5 py-3">
      <h1 className="text-xl">Stages</h1>
      <p className="mb-2 text-base text-muted">
        {stages.filter(({ how }) => how === 'ran').length} of {stages.length} ran for the newest plan, in{' '}
        {decimals(
          stages.reduce((sum, { ms }) => sum + ms, 0),
          0,
        )}{' '}
        ms.
      </p>
      <Table label="Stages of the newest plan">
        <Heads of={['Stage', 'What became of it', { number: 'ms' }, { number: 'Longest piece, ms' }]} />
        <tbody>
          {stages.map(({ name, how, ms, longestMs }) => (
            <tr key={name} className={how === 'ran' ? undefined : 'text-muted'}>
              <th scope="row">{name}</th>
              <td>{how}</td>
              <td className="figure number">{how === 'ran' ? decimals(ms, 1) : ''}</td>
              <td className="figure number">{how === 'ran' ? decimals(longestMs, 1) : ''}</td>
            </tr>
          ))}
        </tbody>
      </Table>
    </main>
  );
}
