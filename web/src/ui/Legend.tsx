import type { ReactNode } from 'react';
import { Word } from './help/Word.tsx';

/** The heading of a group of fields; `under` another heading it is smaller. */
export function Legend({ under, children }: { under?: boolean; children: ReactNode }) {
  return (
    <legend className={under ? 'mb-1 text-sm font-semibold' : 'mb-1 font-head text-base font-semibold'}>
      <Word>{children}</Word>
    </legend>
  );
}
