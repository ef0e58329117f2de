import { compareGlues, decimals, type Glue, type PlanReport, sayHours, sayMinutes } from '@hosket/core';
import { useMemo } from 'react';
import { edit, useProject } from '../../store/projectStore.ts';
import { Button } from '../../ui/Button.tsx';
import { Figure, useSay } from '../../ui/Figures.tsx';
import { Heads, Table } from '../../ui/Table.tsx';

/** Every way of gluing this stack: how much, how soon it holds, how long it dries. */
export function GluesTable({ report }: { report: PlanReport }) {
  const project = useProject();
  const say = useSay();
  const reads = useMemo(() => compareGlues(project, report.stack.layers), [project, report]);
  const take = (glue: Glue) => edit((p) => ({ ...p, stacking: { ...p.stacking, glue } }));
  const priced = reads.some(({ money }) => money !== null);
  if (!reads.length) return <p className="text-sm text-muted">There are no layers to glue yet.</p>;
  return (
    <Table>
      <Heads
        of={[
          'Glue',
          'Takes',
          { number: 'Hands-on' },
          { number: 'Holds after' },
          { number: 'Dry after' },
          { number: 'Weighs' },
          ...(priced ? [{ number: 'Costs' }] : []),
          '',
        ]}
      />
      <tbody>
        {reads.map(({ glue, materials, handsOnMin, hold, dry, dryG, money, note }) => {
          const chosen = glue === project.stacking.glue;
          return (
            <tr key={glue} aria-label={glue} data-chosen={chosen}>
              <th scope="row" className={chosen ? '!border-l-[3px] !border-l-clay !pl-2' : undefined}>
                {glue[0].toUpperCase() + glue.slice(1)}
                <span className="block text-xs text-muted">{note}</span>
              </th>
              <td className="text-xs">
                {materials.map(({ name, amount }) => (
                  <span key={name} className="block">
                    <Figure text={say.mass(amount.likely)} /> {name.replace('Joint glue, ', '')}
                  </span>
                ))}
              </td>
              <td className="number">
                <Figure text={sayMinutes(handsOnMin)} />
              </td>
              <td className="number">
                <Figure text={sayHours(hold.likely)} />
              </td>
              <td className="number">
                <Figure text={sayHours(dry.likely)} />
              </td>
              <td className="number">
                <Figure text={say.mass(dryG.likely)} />
              </td>
              {priced && (
                <td className="number">
                  <Figure text={money === null ? 'no price' : `${decimals(money, 2)} ${project.currency}`} />
                </td>
              )}
              <td className="number">
                {chosen ? (
                  <span className="text-xs text-muted">chosen</span>
                ) : (
                  <Button aria-label={`Glue with ${glue}`} onClick={() => take(glue)}>
                    Take
                  </Button>
                )}
              </td>
            </tr>
          );
        })}
      </tbody>
    </Table>
  );
}
