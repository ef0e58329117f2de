/** Tables, all of one look: its head row, cells, numbers and chosen row are styled in `styles.css` under `.table`. */
import { type ReactNode, useRef } from 'react';
import { Word } from './help/Word.tsx';
import { useOverflows } from './useOverflows.ts';

/** A table; one that is wider than a phone scrolls by itself, by keys too, and the page does not. `caption` stands under it. */
export function Table({ label, caption, children }: { label?: string; caption?: ReactNode; children: ReactNode }) {
  const room = useRef<HTMLDivElement>(null);
  const wide = useOverflows(room);
  return (
    // Where all of it is seen there is nothing to scroll.
    <div ref={room} tabIndex={wide ? 0 : undefined} className="relative max-w-full shrink-0 overflow-x-auto">
      <table aria-label={label} className="table">
        {children}
        {caption && <caption>{caption}</caption>}
      </table>
    </div>
  );
}

/** What stands over a column: words, or words over numbers, which stand at the right. */
export type HeadOf = string | { number: string };

/** The head row. A column without words is one of things to do. */
export function Heads({ of }: { of: readonly HeadOf[] }) {
  return (
    <thead>
      <tr>
        {of.map((head) => {
          const words = typeof head === 'string' ? head : head.number;
          return (
            <th key={words} scope="col" className={typeof head === 'string' ? undefined : 'number'}>
              {words ? <Word>{words}</Word> : <span className="sr-only">Actions</span>}
            </th>
          );
        })}
      </tr>
    </thead>
  );
}
