import { type StackReport, sayTolerance, sayWork, toggleOnJoint } from '@hosket/core';
import { edit, useProject } from '../../store/projectStore.ts';
import { pickItem, useView } from '../../store/viewStore.ts';
import { Figure, useSay } from '../../ui/Figures.tsx';

/** Every height wanted: skin, foam wanted and foam there, what to do, and how sure it is. */
export function LevelsPage({ stack }: { stack: StackReport }) {
  const { onJoint } = useProject().stack;
  const units = useView((view) => view.units);
  const say = useSay();
  const heads = ['Level', 'Wanted', 'Skin', 'Foam wanted', 'Foam there', 'To do', 'Off by', 'At worst', 'On a joint'];
  if (!stack.levels.length)
    return <p className="text-muted">Nothing asks for a height yet. Draw a contour, a pad or a way in Ground.</p>;
  return (
    <table className="w-full border-collapse text-sm" aria-label="Levels">
      <thead>
        <tr className="text-left text-xs text-muted">
          {heads.map((head, k) => (
            <th key={head} scope="col" className={`pb-1 pr-2 font-normal ${k && k !== 5 ? 'text-right' : ''}`}>
              {head}
            </th>
          ))}
        </tr>
      </thead>
      <tbody>
        {stack.levels.map((level) => (
          <tr key={`${level.itemId} ${level.part}`} className="border-b border-line">
            <th scope="row" className="py-0.5 pr-2 text-left font-normal">
              <button type="button" className="cursor-pointer text-left" onClick={() => pickItem(level.itemId)}>
                {level.name}
              </button>
            </th>
            {[level.wantedMm, level.skinMm, level.targetMm, level.foamThereMm].map((mm, k) => (
              <td key={k} className="pr-2 text-right">
                <Figure text={say.mm(mm)} />
              </td>
            ))}
            <td
              className={`whitespace-nowrap pr-2 ${level.work === 'carve' ? 'text-clay' : level.work === 'fill' ? 'text-ochre-text' : ''}`}
            >
              {sayWork(level, say.mm)}
            </td>
            <td className="figure whitespace-nowrap pr-2 text-right">{sayTolerance(level.errorMixed, units)}</td>
            <td className="figure whitespace-nowrap pr-2 text-right">{sayTolerance(level.errorWorst, units)}</td>
            <td className="text-right">
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
      <caption className="caption-bottom pt-2 text-left text-xs text-muted">
        Off by: what the tolerances of the sheets below add up to if they err apart (root of the sum of squares); at
        worst: if all err alike. What should fall on a joint is weighed in the choice by the minutes a millimetre off it
        costs.
      </caption>
    </table>
  );
}
