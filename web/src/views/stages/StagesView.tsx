import { Heads } from '../../ui/Heads.tsx';
import { WideTable } from '../../ui/WideTable.tsx';
import { usePlan } from '../../worker/planStore.ts';

const cell = 'border-b border-line py-0.5 pr-3';
const figure = `${cell} text-right font-mono tabular-nums`;

/** What became of each stage of the newest plan. No link leads here: it is for whoever works on the stages. */
export function StagesView() {
  const stages = usePlan((state) => state.stages);
  return (
    <main className="min-h-0 overflow-y-auto px-5 py-3">
      <h1 className="text-xl">Stages</h1>
      <p className="mb-2 text-base text-muted">
        {stages.filter(({ how }) => how === 'ran').length} of {stages.length} ran for the newest plan, in{' '}
        {stages.reduce((sum, { ms }) => sum + ms, 0).toFixed(0)} ms.
      </p>
      <WideTable label="Stages of the newest plan">
        <Heads of={['Stage', 'What became of it', 'ms', 'Longest piece, ms']} />
        <tbody>
          {stages.map(({ name, how, ms, longestMs }) => (
            <tr key={name} className={how === 'ran' ? undefined : 'text-muted'}>
              <th scope="row" className={`${cell} text-left font-normal`}>
                {name}
              </th>
              <td className={cell}>{how}</td>
              <td className={figure}>{how === 'ran' ? ms.toFixed(1) : ''}</td>
              <td className={figure}>{how === 'ran' ? longestMs.toFixed(1) : ''}</td>
            </tr>
          ))}
        </tbody>
      </WideTable>
    </main>
  );
}
