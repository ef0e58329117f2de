import { type PlanReport, type StackReport, sayHours, sayRoomWork } from '@hosket/core';
import { useProject } from '../../store/projectStore.ts';
import { pickLayer, usePicked, useView } from '../../store/viewStore.ts';
import { useSay } from '../../ui/Figures.tsx';
import { layerName } from './layerNames.ts';

/** The order of gluing: what is done to each layer before it is glued, where its dowels go, and how long the joint needs. */
export function GluingPage({ stack, joints }: { stack: StackReport; joints: PlanReport['joints'] }) {
  const project = useProject();
  const units = useView((view) => view.units);
  const picked = usePicked((state) => state.layer);
  const say = useSay();
  const { glue, dowel } = project.stacking;
  const short = (mm: number) => say.mm(mm).replace(/ (mm|in)$/, '');
  if (!stack.layers.length) return <p className="text-muted">There are no layers to glue yet.</p>;
  return (
    <>
      <p className="mb-2 text-sm text-muted">
        With {glue}. Dowels of {say.mm(dowel.diameterMm)} stand from the left and from the front edge of the base; a
        picked layer shows the outline of the next one on it, and its dowels, on the plan of the stack.
      </p>
      <ol aria-label="Order of gluing" className="text-sm">
        {stack.layers.map((layer, k) => (
          <li key={layer.index} className={`border-b border-line py-1.5 ${picked === layer.index ? 'bg-sheet' : ''}`}>
            <button
              type="button"
              className="cursor-pointer font-semibold"
              aria-pressed={picked === layer.index}
              onClick={() => pickLayer(picked === layer.index ? null : layer.index)}
            >
              {layer.index}. {layerName(project, stack.written[k], say.mm)} on{' '}
              {k === 0
                ? project.base.board.material === 'none'
                  ? 'the bench'
                  : 'the board'
                : `layer ${layer.index - 1}`}
            </button>
            <ul className="ml-5 list-disc">
              {layer.works.map((work) => (
                <li key={`${work.roomId} ${work.how}`} className="first-letter:uppercase">
                  {sayRoomWork(work, units)}
                </li>
              ))}
              {k > 0 && (
                <li>
                  {layer.dowels.length
                    ? `Dowels at ${layer.dowels.map(([x, y]) => `${short(x)}, ${say.mm(y)}`).join(' and ')}`
                    : 'No room for a dowel inside both: lay it by the outline drawn on the layer below'}
                </li>
              )}
              <Joint area={say.area(layer.contactMm2)} joint={joints.find(({ joint }) => joint === k)} />
            </ul>
          </li>
        ))}
      </ol>
    </>
  );
}

function Joint({ area, joint }: { area: string; joint: PlanReport['joints'][number] | undefined }) {
  if (!joint) return null;
  return (
    <li>
      Glue {area}; it holds after {sayHours(joint.workable.likely)} and is dry after {sayHours(joint.dry.likely)}
    </li>
  );
}
