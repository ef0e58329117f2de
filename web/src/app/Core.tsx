import { CircleAlert, TriangleAlert } from 'lucide-react';
import { NavLink } from 'react-router';
import { useProject } from '../store/projectStore.ts';
import { useSay } from '../ui/Figures.tsx';
import { usePlan } from '../worker/planStore.ts';
import { bandSize, bands } from './bands.tsx';

/** The build as a sample core: one band a stage, read from the top down in working order. */
export function Core() {
  const project = useProject();
  const { report, behind } = usePlan();
  const say = useSay();
  return (
    <nav
      aria-label="Stages of the build"
      className="min-h-0 overflow-y-auto border-r border-line py-1 max-[999px]:overflow-x-auto max-[999px]:border-b max-[999px]:border-r-0 max-[999px]:py-0"
    >
      <ol className="max-[999px]:flex max-[999px]:w-max">
        {bands.map(({ id, name, figure, texture }) => {
          const findings =
            report?.findings.filter(
              ({ band, severity, overruled }) => band === id && severity !== 'note' && overruled === undefined,
            ) ?? [];
          const stopped = findings.some((finding) => finding.severity === 'stop');
          return (
            <li key={id}>
              <NavLink
                to={id}
                className="flex items-stretch border-r-[3px] border-transparent pl-2 pr-1 hover:bg-sheet max-[999px]:border-r-0 max-[999px]:border-b-[3px] max-[999px]:pl-0 max-[999px]:pr-2 aria-[current=page]:border-clay aria-[current=page]:bg-sheet max-[999px]:py-1"
              >
                <svg
                  width={bandSize.width}
                  height={bandSize.height}
                  aria-hidden="true"
                  className="shrink-0 border-x border-graphite/60 bg-sheet max-[999px]:hidden"
                >
                  {texture}
                  <path d={`M0 0.5H${bandSize.width}`} stroke="var(--graphite)" strokeOpacity={0.6} />
                </svg>
                <span className="flex min-w-0 flex-1 flex-col justify-center pl-2">
                  <span className="flex items-center gap-1.5 font-head text-base font-semibold">
                    {name}
                    {stopped && (
                      <CircleAlert size={16} className="text-plum" aria-label="something stops the work here" />
                    )}
                    {!stopped && findings.length > 0 && (
                      <TriangleAlert size={15} className="text-ochre-text" aria-label="wants attention" />
                    )}
                  </span>
                  <span className={`text-xs ${behind ? 'text-muted italic' : 'text-muted'}`}>
                    {figure(project, report, say)}
                  </span>
                </span>
              </NavLink>
            </li>
          );
        })}
      </ol>
    </nav>
  );
}
