import { baseOutline, baseSize, isClosed, itemsOf, localeNow, type Point, type Project, runOf } from '@hosket/core';
import { useEffect, useState } from 'react';
import { useStore } from 'zustand';
import { linePath } from '../instruments/handling/paths.ts';
import { daysOf } from '../store/days.ts';
import { edit, projectStore, stepsBack, undo, useProject } from '../store/projectStore.ts';
import { Button } from '../ui/Button.tsx';
import { Dialog } from '../ui/Dialog.tsx';
import { say } from '../ui/toast.tsx';
import { useShell } from './shellStore.ts';

/** What the parts of a project are called where they have changed. */
const words: Partial<Record<keyof Project, string>> = {
  name: 'its name',
  notes: 'its notes',
  scale: 'its scale',
  base: 'the base',
  terrain: 'heights brought in',
  underlay: 'the picture under it',
  marks: 'lines and spots',
  landforms: 'landforms',
  laid: 'what is set in',
  things: 'what stands on it',
  voids: 'hollows',
  patches: 'zones',
  zones: 'zones',
  rows: 'rows',
  sheets: 'sheets',
  offcuts: 'offcuts',
  stack: 'the stack',
  stacking: 'how layers are stacked',
  nest: 'how pieces lie',
  cutting: 'cutting',
  recipes: 'recipes',
  surface: 'the surface',
  materials: 'materials',
  bench: 'days at the bench',
  limits: 'limits',
  stores: 'the cupboard',
  tiles: 'other tiles',
};

/** In what an earlier state is other than the present one. */
function otherThan(earlier: Project, now: Project): string {
  const keys = Object.keys(words) as (keyof Project)[];
  const other = keys.filter(
    (key) => earlier[key] !== now[key] && JSON.stringify(earlier[key]) !== JSON.stringify(now[key]),
  );
  const said = [...new Set(other.map((key) => words[key]))];
  return said.length ? `Other then: ${said.join(', ')}` : 'The same as now';
}

/** The states of the open project that can be had again: step by step, and as it was at the end of earlier days. */
export function History() {
  const { history: open } = useShell();
  return (
    <Dialog
      open={open}
      onOpen={(history) => useShell.setState({ history })}
      title="Earlier states"
      note="Taking one back is a step of its own: it can be undone."
    >
      {open && <States />}
    </Dialog>
  );
}

function States() {
  const now = useProject();
  const id = useStore(projectStore, (state) => state.id);
  const steps = stepsBack();
  const [days, setDays] = useState<Awaited<ReturnType<typeof daysOf>>>([]);
  useEffect(() => {
    // Without a database there are no days; steps there are all the same.
    if (id) daysOf(id).then(setDays, () => {});
  }, [id]);
  if (!steps.length && !days.length) return <p className="text-muted">Nothing was changed yet.</p>;
  return (
    <>
      {steps.length > 0 && <h3 className="text-base">Step by step</h3>}
      <ul aria-label="Steps back">
        {steps.map((project, k) => (
          <State key={steps.length - k} project={project} now={now} title={k ? `${k + 1} steps back` : '1 step back'} />
        ))}
      </ul>
      {days.length > 0 && <h3 className="mt-4 text-base">Day by day</h3>}
      <ul aria-label="Earlier days">
        {days.map(({ day, project }) => (
          <State key={day} project={project} now={now} title={`At the end of ${sayDay(day)}`} />
        ))}
      </ul>
    </>
  );
}

const sayDay = (day: string): string =>
  new Intl.DateTimeFormat(localeNow(), { day: 'numeric', month: 'long', year: 'numeric', timeZone: 'UTC' }).format(
    new Date(`${day}T12:00:00Z`),
  );

function State({ project, now, title }: { project: Project; now: Project; title: string }) {
  const { widthMm, depthMm } = baseSize(project.base);
  return (
    <li className="flex items-center gap-3 border-t border-line py-2">
      <Sketch project={project} />
      <span className="min-w-0 flex-1">
        <span className="block font-semibold">{title}</span>
        <span className="block text-xs text-muted">
          {project.name}, {Math.round(widthMm)} × {Math.round(depthMm)} mm, {itemsOf(project).length} drawn
        </span>
        <span className="block text-xs text-muted">{otherThan(project, now)}</span>
      </span>
      <Button
        aria-label={`Take back: ${title}`}
        onClick={() => {
          edit(() => project);
          useShell.setState({ history: false });
          say(`${title}: it is as it was then.`, { name: 'Undo', run: undo });
        }}
      >
        Take it back
      </Button>
    </li>
  );
}

const SKETCH_PX = { width: 96, height: 64 };

/** Its plan, in outline. */
function Sketch({ project }: { project: Project }) {
  const { widthMm, depthMm } = baseSize(project.base);
  const place = ([x, y]: Point): Point => [x, depthMm - y];
  const stroke = Math.max(widthMm / SKETCH_PX.width, depthMm / SKETCH_PX.height);
  return (
    <svg
      {...SKETCH_PX}
      viewBox={`${-stroke} ${-stroke} ${widthMm + 2 * stroke} ${depthMm + 2 * stroke}`}
      aria-hidden="true"
      className="shrink-0 bg-plaster"
    >
      <path
        d={linePath(baseOutline(project.base), place, true)}
        fill="var(--sheet)"
        stroke="var(--graphite)"
        strokeWidth={stroke}
      />
      {itemsOf(project)
        .slice(0, 300)
        .map((item) => (
          <path
            key={item.id}
            d={linePath(runOf(item), place, isClosed(item))}
            fill="none"
            stroke="var(--clay)"
            strokeWidth={stroke}
            opacity={0.7}
          />
        ))}
    </svg>
  );
}
