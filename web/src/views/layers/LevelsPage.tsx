import { type StackReport, sayTolerance, sayWork, toggleOnJoint } from '@hosket/core';
import { edit, useProject } from '../../store/projectStore.ts';
import { pickItem, useView } from '../../store/viewStore.ts';
import { Figure, useSay } from '../../ui/Figures.tsx';
import { Heads, Table } from '../../ui/Table.tsx';
import { usePlan } from '../../worker/planStore.ts';
import { MovesPanel } from './MovesPanel.tsx';
import { WedgesPanel } from './WedgesPanel.tsx';

const CAPTION =
  'In bold: the height that was drawn, finished ground or bare foam. Off by: what the tolerances of the sheets below add up to if they err apart (root of the sum of squares); at worst: if all err alike. What should fall on a joint is weighed in the choice by the minutes a millimetre off it costs.';

/** Every height wanted: skin, foam wanted and foam there, what to do, and how sure it is. */
export function LevelsPage({ stack }: { stack: StackReport }) {
  const wedges = usePlan((state) => state.report?.wedges ?? null);
  if (!stack.levels.length)
    return <p className="text-muted">Nothing asks for a height yet. Draw a contour, a pad or a way in Ground.</p>;
  return (
    <>
      <MovesPanel />
      <WedgesPanel wedges={wedges} />
      <LevelsTable stack={stack} />
    </>
  );
}

function LevelsTable({ stack }: { stack: StackReport }) {
  const { onJoint } = useProject().stack;
  const units = useView((view) => view.units);
  const say = useSay();
  const heads = ['Level', 'Finished', 'Skin', 'Bare foam', 'Foam there', 'To do', 'Off by', 'At worst', 'On a joint'];
  return (
    <Table label="Levels" caption={CAPTION}>
      <Heads of={heads.map((head, k) => (k && k !== 5 ? { number: head } : head))} />
      <tbody>
        {stack.levels.map((level) => (
          <tr key={`${level.itemId} ${level.part}`}>
            <th scope="row">
              <button type="button" className="cursor-pointer text-left" onClick={() => pickItem(level.itemId)}>
                {level.name}
              </button>
            </th>
            {[level.wantedMm, level.skinMm, level.targetMm, level.foamThereMm].map((mm, k) => (
              <td key={k} className={`number ${k === (level.heightIs === 'foam' ? 2 : 0) ? 'font-semibold' : ''}`}>
                <Figure text={say.mm(mm)} />
              </td>
            ))}
            <td
              className={`whitespace-nowrap ${level.work === 'carve' ? 'text-clay' : level.work === 'fill' ? 'text-ochre-text' : ''}`}
            >
              {sayWork(level, say.mm)}
            </td>
            <td className="figure whitespace-nowrap number">{sayTolerance(level.errorMixed, units)}</td>
            <td className="figure whitespace-nowrap number">{sayTolerance(level.errorWorst, units)}</td>
            <td className="number">
              <input
                type="checkbox"
                className="size-4 accent-clay"
                aria-label={`${level.name} should fall on a joint`}
                checked={onJoint.some(({ itemId, part }) => itemId === level.itemId && part === level.part)}
                onChange={() => edit((p) => toggleOnJoint(p, level.itemId, level.part))}
              />
            </td>
          </tr>
        ))}
      </tbody>
    </Table>
  );
}
