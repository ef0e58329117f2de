import { type Item, isClosed, itemsOf, kindWords, type Project, reorderItem } from '@hosket/core';
import { ArrowDown, ArrowUp, EyeOff, Lock } from 'lucide-react';
import { type MouseEvent, useState } from 'react';
import { itemLabel, shownAs } from '../../instruments/plan/itemLabel.ts';
import { edit, useProject } from '../../store/projectStore.ts';
import { alsoPick, pickItem, pickItems, usePicked, useView } from '../../store/viewStore.ts';
import { Button } from '../../ui/Button.tsx';
import { Figure, useSay } from '../../ui/Figures.tsx';
import { usePlan } from '../../worker/planStore.ts';

/** From so many things on, the list can be searched. */
const SEARCH_FROM = 6;

/** All that is drawn: heights from the highest down, landforms in the order in which they are built, things laid in. */
export function OutlineList() {
  const project = useProject();
  const [search, setSearch] = useState('');
  const wanted = (item: Item) =>
    `${item.name} ${kindWords[item.kind].title}`.toLowerCase().includes(search.trim().toLowerCase());
  const count = itemsOf(project).length;
  return (
    <div className="mb-4">
      {count >= SEARCH_FROM && (
        <div className="mb-2 flex gap-1.5">
          <input
            type="search"
            aria-label="Search what is drawn"
            placeholder={`Search ${count} things`}
            value={search}
            onChange={(event) => setSearch(event.target.value)}
            className="min-w-0 flex-1 rounded-md border border-line bg-sheet px-2 py-0.5 text-sm"
          />
          <Button onClick={() => pickItems([])}>Pick several</Button>
        </div>
      )}
      <Group title="Heights" items={sortedMarks(project).filter(wanted)} />
      <Group
        title="Landforms, in the order they are built"
        items={project.landforms.filter(wanted)}
        ordered={!search}
      />
      <Group title="Set in" items={project.laid.filter(wanted)} />
      <Group title="Standing on it" items={project.things.filter(wanted)} />
      <Group title="Hollowed out" items={project.voids.filter(wanted)} />
      <Group title="Patches of cover" items={project.patches.filter(wanted)} ordered={!search} />
      {count === 0 && <p className="text-muted">Nothing yet.</p>}
    </div>
  );
}

const heightOf = (item: Item) =>
  'heightMm' in item ? item.heightMm : 'toMm' in item ? (item.toMm ?? 0) : 'topMm' in item ? (item.topMm ?? 0) : 0;
const sortedMarks = ({ marks }: Project): Item[] => [...marks].sort((a, b) => heightOf(b) - heightOf(a));

function kindNote(item: Item): string {
  if (item.kind !== 'contour') return kindWords[item.kind].title.toLowerCase();
  return item.level ? 'level' : isClosed(item) ? 'closed' : 'line';
}

function Group({ title, items, ordered }: { title: string; items: readonly Item[]; ordered?: boolean }) {
  const picked = usePicked((state) => state.ids);
  const report = usePlan((state) => state.report);
  const project = useProject();
  const heightsShown = useView((view) => view.heightsShown);
  const say = useSay();
  if (!items.length) return null;
  const pick = (event: MouseEvent, id: string) =>
    event.shiftKey || event.ctrlKey || event.metaKey ? alsoPick(id) : pickItem(id);
  return (
    <section className="mb-2" aria-label={title}>
      <h3 className="text-xs text-muted">{title}</h3>
      <ul>
        {items.map((item, k) => (
          <li key={item.id} className="flex items-center border-b border-line">
            <button
              type="button"
              aria-pressed={picked.includes(item.id)}
              className={`flex min-w-0 flex-1 cursor-pointer items-baseline justify-between gap-2 py-[3px] text-left hover:text-clay ${picked.includes(item.id) ? 'font-semibold text-clay' : ''}`}
              onClick={(event) => pick(event, item.id)}
            >
              <span className="truncate">
                {item.name || item.id}
                <span className="text-xs text-muted"> {kindNote(item)}</span>
              </span>
              <Figure text={itemLabel(shownAs(project, heightsShown, item), report, say.mm)} />
            </button>
            {item.locked && <Lock size={12} aria-label="locked" className="ml-1 text-muted" />}
            {item.hidden && <EyeOff size={12} aria-label="hidden on the plan" className="ml-1 text-muted" />}
            {ordered && (
              <span className="ml-1 flex">
                <Move item={item} by={-1} disabled={k === 0} />
                <Move item={item} by={1} disabled={k === items.length - 1} />
              </span>
            )}
          </li>
        ))}
      </ul>
    </section>
  );
}

function Move({ item, by, disabled }: { item: Item; by: number; disabled: boolean }) {
  const Arrow = by < 0 ? ArrowUp : ArrowDown;
  return (
    <button
      type="button"
      disabled={disabled}
      aria-label={`${item.kind === 'patch' ? 'Lay' : 'Build'} ${item.name || item.id} ${by < 0 ? 'earlier' : 'later'}`}
      className="min-h-6 min-w-6 cursor-pointer rounded-md border border-transparent hover:border-line disabled:opacity-30"
      onClick={() => edit((p) => reorderItem(p, item.id, by))}
    >
      <Arrow size={13} aria-hidden className="mx-auto" />
    </button>
  );
}
