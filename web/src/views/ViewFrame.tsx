import type { Finding } from '@hosket/core';
import { type ReactNode, useEffect, useRef } from 'react';
import { useLocation } from 'react-router';
import { useOverflows } from '../ui/useOverflows.ts';
import { usePlan } from '../worker/planStore.ts';
import { FindingItem } from './FindingItem.tsx';

interface Props {
  title: string;
  /** The view's question answered in one sentence. */
  answer: ReactNode;
  /** What stands at the right: the amounts this stage decides, or the picked thing. */
  side: ReactNode;
  sideTitle: string;
  children: ReactNode;
  /** The view fills the room instead of scrolling. */
  fills?: boolean;
}

/** A stage's own work surface with its heading, and the take-off at its right. */
export function ViewFrame({ title, answer, side, sideTitle, children, fills }: Props) {
  const aside = useRef<HTMLElement>(null);
  const long = useOverflows(aside);
  return (
    <div className="grid min-h-0 grid-cols-[minmax(0,1fr)_300px] max-[999px]:block">
      <main
        tabIndex={fills ? undefined : 0}
        className={`flex min-h-0 flex-col px-5 pt-3 ${fills ? '' : 'overflow-y-auto pb-4'} max-[999px]:min-h-[480px]`}
      >
        <h1 className="text-xl">{title}</h1>
        <p className="mb-2 text-base text-muted">{answer}</p>
        {children}
      </main>
      <aside
        ref={aside}
        // Where it is longer than the window it is scrolled by keys too.
        tabIndex={long ? 0 : undefined}
        aria-label={sideTitle}
        className="min-h-0 overflow-y-auto border-l border-line bg-sheet px-4 pb-4 pt-4 max-[999px]:border-l-0 max-[999px]:border-t"
      >
        <SideHeading title={sideTitle} />
        <Findings />
        {side}
      </aside>
    </div>
  );
}

/** Takes the focus when what had it went away with the panel before, so that keyboards stay where they were. */
function SideHeading({ title }: { title: string }) {
  const heading = useRef<HTMLHeadingElement>(null);
  const before = useRef(title);
  useEffect(() => {
    if (before.current !== title && document.activeElement === document.body) heading.current?.focus();
    before.current = title;
  }, [title]);
  return (
    <h2 ref={heading} tabIndex={-1} className="mb-1 text-base">
      {title}
    </h2>
  );
}

/** More notes than this are put behind a line, so that amounts stay in sight. */
const FEW_NOTES = 2;

/** What the checks have to say about this stage: what counts, a few notes or the line that opens many, and what was overruled. */
function Findings() {
  const report = usePlan((state) => state.report);
  const { pathname } = useLocation();
  const here = report?.findings.filter((finding) => pathname.endsWith(`/${finding.band}`)) ?? [];
  const standing = here.filter(({ overruled }) => overruled === undefined);
  const few = standing.filter(({ severity }) => severity === 'note').length <= FEW_NOTES;
  const counts = standing.filter(({ severity }) => few || severity !== 'note');
  const quiet = here.filter((finding) => !counts.includes(finding));
  if (!here.length) return null;
  const notes = quiet.filter(({ overruled }) => overruled === undefined).length;
  const against = quiet.length - notes;
  const said = [notes && count(notes, 'note'), against && `${against} overruled`].filter(Boolean).join(', ');
  return (
    <div className="mb-3">
      {counts.length > 0 && (
        <ul aria-label="Findings">
          {counts.map((finding) => (
            <FindingItem key={keyOf(finding)} finding={finding} />
          ))}
        </ul>
      )}
      {quiet.length > 0 && (
        <details>
          <summary className="cursor-pointer text-sm text-muted hover:text-graphite">{said}</summary>
          <ul aria-label="Notes" className="mt-1">
            {quiet.map((finding) => (
              <FindingItem key={keyOf(finding)} finding={finding} />
            ))}
          </ul>
        </details>
      )}
    </div>
  );
}

const keyOf = ({ code, place, message }: Finding) => `${code} ${place} ${message}`;
const count = (n: number, what: string) => `${n} ${what}${n === 1 ? '' : 's'}`;
