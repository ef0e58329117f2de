import type { ReactNode } from 'react';

/** A line above the bench with what can be done about it. */
export function Notice({ label, children }: { label: string; children: ReactNode }) {
  return (
    <section aria-label={label} className="flex flex-wrap items-center gap-3 border-b border-line bg-sheet px-4 py-1.5">
      {children}
    </section>
  );
}
