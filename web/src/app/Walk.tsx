/** A short walk through the program on whatever is on the bench: one card at a time beside what it tells of; it can be left at any step. */
import { Popover } from 'radix-ui';
import { useEffect, useRef, useState } from 'react';
import { useNavigate, useParams } from 'react-router';
import { useView } from '../store/viewStore.ts';
import { Button } from '../ui/Button.tsx';
import type { BandId } from './bands.tsx';
import { useShell } from './shellStore.ts';

interface Step {
  title: string;
  text: string;
  band?: BandId;
  /** What it tells of. */
  at: string;
  side: 'left' | 'right' | 'top' | 'bottom';
}

const steps: readonly Step[] = [
  {
    title: 'The build, from the top down',
    text: 'Each band is a stage of the work, in the order you do it, with the one figure that matters there. This is an invented quarry: change anything, every step can be undone.',
    at: 'nav',
    side: 'right',
  },
  {
    title: 'Draw where it is high and low',
    text: 'Take a tool from the shelf and draw, or drag it onto the plan. Pick what is drawn to change its heights. All that follows is worked out again at once.',
    band: 'ground',
    at: '[role="toolbar"][aria-label="Tools"]',
    side: 'right',
  },
  {
    title: 'The build, cut through',
    text: 'Sheets and their joints, what to carve off, what to fill, and what lies on top. Drag the line A on the plan to cut elsewhere; drag the ground here to change it.',
    band: 'ground',
    at: '[data-testid="section-strip"]',
    side: 'top',
  },
  {
    title: 'Which sheets, at which heights',
    text: 'The stack is worked out from the sheets you own. Other stacks show what it would be with fewer layers, less carving, or less money.',
    band: 'layers',
    at: 'main h1',
    side: 'bottom',
  },
  {
    title: 'Which pieces, from which sheets',
    text: 'Pieces are laid out on your sheets and offcuts, with templates at full size to print. Drag a piece where you want it.',
    band: 'cutting',
    at: 'main h1',
    side: 'bottom',
  },
  {
    title: 'What goes on top',
    text: 'Each part of the ground wears a recipe: skin, seal, colour, cover. Amounts follow, with what they are worked out from behind each figure.',
    band: 'surface',
    at: 'aside h2',
    side: 'left',
  },
  {
    title: 'When is it dry',
    text: 'Your hours at the bench, the warmth and the damp decide. Work falls into your evenings, drying goes on through the night.',
    band: 'days',
    at: 'main h1',
    side: 'bottom',
  },
  {
    title: 'What to buy',
    text: 'What is needed, what the cupboard has, what is missing: in whole packs, with money once you write prices. The bench sheet prints it all.',
    band: 'stores',
    at: 'main h1',
    side: 'bottom',
  },
  {
    title: 'Words and keys',
    text: 'Point at any dotted word, or press F1, and it tells what it means. "?" shows all keys. Now start your own, or go on here.',
    at: '[data-help-menu]',
    side: 'bottom',
  },
];

export function Walk() {
  const at = useShell((shell) => shell.walk);
  useEffect(() => {
    if (at === null) return;
    // Also while the next card is on its way.
    const key = (event: KeyboardEvent) => event.key === 'Escape' && leave();
    window.addEventListener('keydown', key);
    return () => window.removeEventListener('keydown', key);
  }, [at]);
  if (at === null) return null;
  return <Card key={at} at={at} />;
}

const leave = () => useShell.setState({ walk: null });

function Card({ at }: { at: number }) {
  const go = useNavigate();
  const { projectId } = useParams();
  const step = steps[at];
  const anchor = useRef<HTMLElement | null>(null);
  const [ring, setRing] = useState<DOMRect | null>(null);
  const { band } = step;
  useEffect(() => {
    useView.setState({ demoNoticeSeen: true });
    if (band) go(`/project/${projectId}/${band}`);
    // The view may still be on its way.
    const look = setInterval(() => {
      const found = document.querySelector<HTMLElement>(step.at);
      anchor.current = found;
      const box = found?.getBoundingClientRect() ?? null;
      setRing((now) =>
        now && box && now.top === box.top && now.left === box.left && now.width === box.width ? now : box,
      );
    }, 150);
    return () => clearInterval(look);
  }, [band, go, projectId, step.at]);
  if (!ring) return null;
  const last = at === steps.length - 1;
  return (
    <>
      <div
        aria-hidden="true"
        className="pointer-events-none fixed z-30 rounded-md border-2 border-clay"
        style={{ left: ring.left - 4, top: ring.top - 4, width: ring.width + 8, height: ring.height + 8 }}
      />
      <Popover.Root open>
        <Popover.Anchor virtualRef={anchor as React.RefObject<HTMLElement>} />
        <Popover.Portal>
          <Popover.Content
            side={step.side}
            align="start"
            sideOffset={14}
            collisionPadding={12}
            aria-label={`Walk, step ${at + 1} of ${steps.length}: ${step.title}`}
            onInteractOutside={(event) => event.preventDefault()}
            className="z-50 w-[340px] max-w-[94vw] rounded-md border border-graphite bg-sheet p-4 shadow-lg"
          >
            <h2 className="text-base">{step.title}</h2>
            <p className="my-2">{step.text}</p>
            <div className="flex items-center gap-2">
              {last ? (
                <Button
                  tone="main"
                  onClick={() => {
                    leave();
                    useShell.setState({ start: true });
                  }}
                >
                  Start my own
                </Button>
              ) : (
                <Button tone="main" onClick={() => useShell.setState({ walk: at + 1 })}>
                  Next
                </Button>
              )}
              {at > 0 && <Button onClick={() => useShell.setState({ walk: at - 1 })}>Back</Button>}
              <Button tone="quiet" onClick={leave}>
                {last ? 'Done' : 'Leave'}
              </Button>
              <span className="ml-auto text-xs text-muted">
                {at + 1} of {steps.length}
              </span>
            </div>
          </Popover.Content>
        </Popover.Portal>
      </Popover.Root>
    </>
  );
}
