import { type ReactNode, useRef } from 'react';
import { useOverflows } from './useOverflows.ts';

/** A table that is wider than a phone scrolls by itself, by keys too; the page does not. */
export function WideTable({ label, children }: { label?: string; children: ReactNode }) {
  const room = useRef<HTMLDivElement>(null);
  const wide = useOverflows(room);
  return (
    // Where all of it is seen there is nothing to scroll.
    <div ref={room} tabIndex={wide ? 0 : undefined} className="overflow-x-auto">
      <table aria-label={label} className="w-full border-collapse text-sm">
        {children}
      </table>
    </div>
  );
}
