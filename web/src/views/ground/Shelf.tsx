import { type ItemKind, kindWords } from '@hosket/core';
import { LayoutGrid } from 'lucide-react';
import { Popover } from 'radix-ui';
import { useState } from 'react';
import { useSize } from '../../instruments/handling/useSize.ts';
import { beginDrawing, carry, useDrawing } from '../../instruments/plan/drawing.ts';
import { useView } from '../../store/viewStore.ts';
import { allTools, drawKeys, inReach, toolGroups, toolsFor } from './toolGroups.ts';
import { ToolSign } from './toolSigns.tsx';

const TOOL_PX = 40;
/** The way to all others, and the borders. */
const REST_PX = 46;
/** Lower than this it is a row. */
const LYING_PX = 120;
/** So many of the tools used last come first among all. */
const RECENT = 6;

const used = (kind: ItemKind) =>
  useView.setState(({ recentTools }) => ({
    recentTools: [kind, ...recentTools.filter((other) => other !== kind)].slice(0, RECENT),
  }));

interface ToolProps {
  kind: ItemKind;
  wide?: boolean;
  onTake?: () => void;
}

/** A tool: pressed it draws, dragged onto the plan it puts down what it makes. */
function Tool({ kind, wide, onTake }: ToolProps) {
  const chosen = useDrawing((drawing) => drawing.kind === kind);
  const { title, about } = kindWords[kind];
  const key = drawKeys[kind];
  return (
    <button
      type="button"
      title={`${about} Press${key ? ` (or ${key})` : ''}, then draw; or drag it onto the plan.`}
      aria-keyshortcuts={key}
      aria-pressed={chosen}
      style={{ height: TOOL_PX }}
      className={`flex touch-none cursor-pointer items-center rounded-md border border-transparent text-xs leading-none tracking-tight hover:border-line aria-pressed:border-clay aria-pressed:bg-sheet ${wide ? 'gap-2 px-2 text-left' : 'w-full shrink-0 flex-col justify-center gap-0.5 max-[999px]:w-[70px]'}`}
      onClick={() => {
        used(kind);
        onTake?.();
        beginDrawing(kind);
      }}
      onPointerDown={(event) => {
        if (event.button !== 0) return;
        event.currentTarget.releasePointerCapture(event.pointerId);
        carry(kind, event.nativeEvent, () => {
          used(kind);
          onTake?.();
        });
      }}
    >
      <ToolSign kind={kind} />
      {title}
      {wide && key && <kbd className="figure text-muted">{key}</kbd>}
    </button>
  );
}

/** The shelf beside the plan: a handful of tools in reach, all others behind one press. What stands on it keeps its place. */
export function Shelf() {
  const [room, , height] = useSize();
  // Where it lies above the plan, on small windows, it scrolls by itself.
  const lies = height < LYING_PX;
  const count = lies ? inReach.length : Math.floor((height - REST_PX) / TOOL_PX);
  return (
    <div ref={room} className="w-[70px] shrink-0 max-[999px]:h-12 max-[999px]:w-full">
      <div
        role="toolbar"
        aria-label="Tools"
        aria-orientation={lies ? 'horizontal' : 'vertical'}
        className="flex flex-col overflow-hidden rounded-md border border-line bg-plaster max-[999px]:flex-row max-[999px]:overflow-x-auto"
      >
        {inReach.slice(0, count).map((kind) => (
          <Tool key={kind} kind={kind} />
        ))}
        <AllTools />
      </div>
    </div>
  );
}

/** All tools by group, those used last first, and by typing. */
function AllTools() {
  const [open, setOpen] = useState(false);
  const [typed, setTyped] = useState('');
  const recent = useView((view) => view.recentTools);
  const groups = typed.trim()
    ? [{ name: 'Found', kinds: toolsFor(typed) }]
    : [...(recent.length ? [{ name: 'Used last', kinds: recent }] : []), ...toolGroups];
  return (
    <Popover.Root
      open={open}
      onOpenChange={(next) => {
        setOpen(next);
        setTyped('');
      }}
    >
      <Popover.Trigger className="flex min-h-[38px] w-full shrink-0 cursor-pointer items-center justify-center gap-1 border-t border-line text-xs hover:bg-sheet max-[999px]:order-first max-[999px]:w-[70px] max-[999px]:border-t-0">
        <LayoutGrid size={13} aria-hidden /> All {allTools.length}
      </Popover.Trigger>
      <Popover.Portal>
        <Popover.Content
          side="right"
          align="start"
          sideOffset={6}
          collisionPadding={8}
          aria-label="All tools"
          className="z-40 max-h-[80vh] w-[560px] max-w-[94vw] overflow-y-auto rounded-md border border-line bg-plaster p-3 shadow-lg"
        >
          <input
            aria-label="Find a tool"
            placeholder="Find a tool: wall, water, step…"
            value={typed}
            onChange={(event) => setTyped(event.target.value)}
            onKeyDown={(event) => {
              const [first] = toolsFor(typed);
              if (event.key !== 'Enter' || !typed.trim() || !first) return;
              used(first);
              setOpen(false);
              beginDrawing(first);
            }}
            className="mb-2 h-8 w-full rounded-md border border-line bg-sheet px-2"
          />
          {groups.map(({ name, kinds }) => (
            <div key={name} role="toolbar" aria-label={name} className="mb-1 flex flex-wrap items-center">
              <span className="w-[70px] shrink-0 text-xs text-muted">{name}</span>
              <span className="flex flex-1 flex-wrap">
                {kinds.map((kind) => (
                  <Tool key={kind} kind={kind} wide onTake={() => setOpen(false)} />
                ))}
                {kinds.length === 0 && <span className="text-sm text-muted">Nothing is called so.</span>}
              </span>
            </div>
          ))}
        </Popover.Content>
      </Popover.Portal>
    </Popover.Root>
  );
}
