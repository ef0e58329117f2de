import { type Finding, hasGround } from '@hosket/core';
import { type ReactNode, use, useEffect, useMemo, useRef } from 'react';
import { Link, useLocation } from 'react-router';
import { useStore } from 'zustand';
import { projectStore } from '../store/projectStore.ts';
import { useView } from '../store/viewStore.ts';
import { SurroundingsContext } from '../ui/surroundings.ts';
import { useOverflows } from '../ui/useOverflows.ts';
import { usePlan } from '../worker/planStore.ts';
import { FindingItem } from './FindingItem.tsx';
import { WholeWindow } from './WholeWindow.tsx';

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
  /** What can be done with the whole view, at the right of its heading. */
  tools?: ReactNode;
  /** The view has a line of its own with the way back out of the whole window, so that its heading may go meanwhile. */
  ownTools?: boolean;
}

/** Before there is ground: what each stage waits for, and what can be done there already. */
const nextSteps: Readonly<Record<string, string>> = {
  layers: 'Layers follow from the ground. The shed can be filled now.',
  cutting: 'Pieces follow from the layers, and those from the ground.',
  surface: 'Amounts follow from the ground. Recipes can be made now.',
  days: 'Days follow from what is built. The bench hours can be set now.',
  stores: 'What to buy follows from the ground. The cupboard can be filled now.',
};

/** A stage's own work surface with its heading, and the take-off at its right. */
export function ViewFrame({ title, answer, side, sideTitle, children, fills, tools, ownTools }: Props) {
  const aside = useRef<HTMLElement>(null);
  const long = useOverflows(aside);
  const { pathname } = useLocation();
  const bare = useStore(projectStore, ({ project }) => project !== null && !hasGround(project));
  const view = pathname.split('/')[3] ?? '';
  const next = bare ? nextSteps[view] : undefined;
  const house = use(SurroundingsContext);
  const here = useMemo(() => ({ ...house, view }), [house, view]);
  return (
    <SurroundingsContext value={here}>
      <div className="grid min-h-0 grid-cols-[minmax(0,1fr)_260px] group-data-whole/window:grid-cols-1 max-[999px]:block min-[1200px]:grid-cols-[minmax(0,1fr)_286px]">
        <main
          tabIndex={fills ? undefined : 0}
          className={`flex min-h-0 flex-col ${fills ? 'px-2 pt-1' : 'overflow-y-auto px-5 pt-2 pb-4'} max-[999px]:min-h-[480px]`}
        >
          <div
            className={`flex items-center gap-x-3 ${ownTools ? 'group-data-whole/window:hidden' : ''} ${fills ? 'min-h-7 max-[999px]:flex-wrap' : 'mb-2 flex-wrap'}`}
          >
            <h1 className="text-lg">{title}</h1>
            {/* One line where the drawing fills the rest: a number that grows must not push it down. */}
            <p
              className={`min-w-0 flex-1 text-base text-muted ${fills ? 'min-[1000px]:truncate max-[999px]:order-last max-[999px]:basis-full' : 'basis-72'}`}
              title={fills && typeof answer === 'string' ? answer : undefined}
            >
              {next ?? answer}
            </p>
            {next && (
              <Link
                to="../ground"
                relative="path"
                className="rounded-md border border-clay bg-clay px-2.5 py-0.5 text-sm text-on-clay"
              >
                Draw the ground
              </Link>
            )}
            {tools}
            {fills && !ownTools && <WholeWindow />}
          </div>
          {children}
        </main>
        <aside
          ref={aside}
          // Where it is longer than the window it is scrolled by keys too.
          tabIndex={long ? 0 : undefined}
          aria-label={sideTitle}
          className="min-h-0 overflow-y-auto border-l border-line bg-sheet px-4 pb-4 pt-2 group-data-whole/window:hidden max-[999px]:border-l-0 max-[999px]:border-t"
        >
          <SideHeading title={sideTitle} />
          <Findings />
          {side}
        </aside>
      </div>
    </SurroundingsContext>
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

/** What the checks have to say about this stage: what counts, a few notes or the line that opens many, and what is ignored. */
function Findings() {
  const open = useView((view) => view.findingsOpen);
  const report = usePlan((state) => state.report);
  const { pathname } = useLocation();
  const here = report?.findings.filter((finding) => pathname.endsWith(`/${finding.band}`)) ?? [];
  const standing = here.filter(({ overruled }) => overruled === undefined);
  const few = standing.filter(({ severity }) => severity === 'note').length <= FEW_NOTES;
  const counts = standing.filter(({ severity }) => few || severity !== 'note');
  const quiet = here.filter((finding) => !counts.includes(finding));
  const notes = quiet.filter(({ overruled }) => overruled === undefined).length;
  const against = quiet.length - notes;
  const said = [notes && count(notes, 'note'), against && `${against} ignored`].filter(Boolean).join(', ');
  const stops = counts.filter(({ severity }) => severity === 'stop').length;
  const looks = counts.length - stops;
  const line = [
    stops && `${stops} ${stops === 1 ? 'stops' : 'stop'} the work`,
    looks && `${looks} to look at`,
    said,
  ].filter(Boolean);
  // One line, whatever the checks find: what stands below it keeps its place.
  if (!here.length) return <p className="mb-2 text-sm text-muted">Nothing to look at here.</p>;
  return (
    <details
      className="mb-2"
      open={open}
      onToggle={({ currentTarget }) =>
        currentTarget.open !== open && useView.setState({ findingsOpen: currentTarget.open })
      }
    >
      <summary className={`cursor-pointer py-0.5 text-sm ${stops ? 'font-semibold text-plum' : 'text-muted'}`}>
        {line.join(', ')}
      </summary>
      {counts.length > 0 && (
        <ul aria-label="Findings" className="mt-1">
          {counts.map((finding) => (
            <FindingItem key={keyOf(finding)} finding={finding} />
          ))}
        </ul>
      )}
      {quiet.length > 0 &&
        // Alone they are what the line opens.
        (counts.length === 0 ? (
          <Quiet findings={quiet} />
        ) : (
          <details>
            <summary className="cursor-pointer py-0.5 text-sm text-muted hover:text-graphite">{said}</summary>
            <Quiet findings={quiet} />
          </details>
        ))}
    </details>
  );
}

const Quiet = ({ findings }: { findings: readonly Finding[] }) => (
  <ul aria-label="Notes" className="mt-1">
    {findings.map((finding) => (
      <FindingItem key={keyOf(finding)} finding={finding} />
    ))}
  </ul>
);

const keyOf = ({ code, place, message }: Finding) => `${code} ${place} ${message}`;
const count = (n: number, what: string) => `${n} ${what}${n === 1 ? '' : 's'}`;
