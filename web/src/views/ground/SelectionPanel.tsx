import { type Item, itemsOf, kindWords } from '@hosket/core';
import { Check } from 'lucide-react';
import { useProject } from '../../store/projectStore.ts';
import { alsoPick, pickItem, pickItems } from '../../store/viewStore.ts';
import { Button } from '../../ui/Button.tsx';
import { SelectionTools } from './SelectionTools.tsx';

/** Several things picked at once, out of the list of all that is drawn. */
export function SelectionPanel({ items }: { items: readonly Item[] }) {
  const all = itemsOf(useProject());
  const ids = new Set(items.map(({ id }) => id));
  return (
    <>
      <p className="mb-2 text-sm text-muted">
        Tick them here, Shift-click them on the plan, or hold Shift and draw a box round them. Drag any of them, or the
        square in their middle, to move all. Locked ones stay where they are.
      </p>
      <div className="mb-4 flex flex-wrap gap-1.5">
        <Button onClick={() => pickItem(null)}>
          <Check size={14} aria-hidden /> Done
        </Button>
        <Button onClick={() => pickItems(all.map(({ id }) => id))}>Pick all</Button>
        {items.length > 0 && <SelectionTools items={items} />}
      </div>
      <ul>
        {all.map((item) => (
          <li key={item.id} className="border-b border-line">
            <label className="flex cursor-pointer items-center gap-2 py-1 hover:text-clay">
              <input
                type="checkbox"
                className="accent-clay"
                checked={ids.has(item.id)}
                onChange={() => alsoPick(item.id)}
              />
              <span className="truncate">
                {item.name || item.id}{' '}
                <span className="text-xs text-muted">{kindWords[item.kind].title.toLowerCase()}</span>
              </span>
            </label>
          </li>
        ))}
      </ul>
    </>
  );
}
