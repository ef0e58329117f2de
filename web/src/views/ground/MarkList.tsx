import { useProject } from '../../store/projectStore.ts';
import { pickMark } from '../../store/viewStore.ts';
import { Figure, Line, useSay } from '../../ui/Figures.tsx';
import { usePlan } from '../../worker/planStore.ts';
import { SectionFields } from './SectionFields.tsx';

/** All marks, highest first, each a way to pick it; and what the ground comes to. */
export function MarkList() {
  const { marks } = useProject();
  const report = usePlan((state) => state.report);
  const say = useSay();
  const sorted = [...marks].sort((a, b) => b.heightMm - a.heightMm);
  return (
    <>
      <ul className="mb-4">
        {sorted.map((mark) => (
          <li key={mark.id} className="border-b border-line">
            <button
              type="button"
              className="flex w-full cursor-pointer items-baseline justify-between gap-2 py-[3px] text-left hover:text-clay"
              onClick={() => pickMark(mark.id)}
            >
              <span>
                {mark.name || mark.id}
                <span className="text-xs text-muted">
                  {' '}
                  {mark.kind === 'spot' ? 'spot' : mark.level ? 'level' : mark.closed ? 'closed' : 'line'}
                </span>
              </span>
              <Figure text={say.mm(mark.heightMm)} />
            </button>
          </li>
        ))}
        {marks.length === 0 && <li className="text-muted">None yet.</li>}
      </ul>
      {report && (
        <>
          <h2 className="mb-1 text-base">The ground</h2>
          <Line name="Plan area">
            <Figure text={say.area(report.ground.planMm2)} />
          </Line>
          <Line name="True surface" remark={`mean slope ${report.ground.meanSlopeDegrees.toFixed(0)}°`}>
            <Figure text={say.area(report.ground.trueMm2)} />
          </Line>
          <Line name="Volume">
            <Figure text={say.volume(report.ground.volumeMl)} />
          </Line>
          <Line name="Worked out on">
            <Figure text={`${report.ground.cellMm} mm cells`} />
          </Line>
        </>
      )}
      <SectionFields />
    </>
  );
}
