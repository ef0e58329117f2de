import { baseSize, formatScale, localeNow } from '@hosket/core';
import { CircleHelp, FolderOpen, History as HistoryIcon, Redo2, Search, Undo2 } from 'lucide-react';
import { DropdownMenu } from 'radix-ui';
import { useStore } from 'zustand';
import { saveStore } from '../store/autosave.ts';
import { redo, undo, useHistorySteps, useProject } from '../store/projectStore.ts';
import { storageStore } from '../store/storage.ts';
import { useView } from '../store/viewStore.ts';
import { Button } from '../ui/Button.tsx';
import { useSay } from '../ui/Figures.tsx';
import { planAnew, stopPlan, usePlan } from '../worker/planStore.ts';
import { DemoNotice } from './DemoNotice.tsx';
import { useShell } from './shellStore.ts';

/** One thin line: the project, undo and redo, units, whether all is saved, and the search for commands. */
export function TopLine() {
  const { name, scale, base } = useProject();
  const { back, forward } = useHistorySteps();
  const units = useView((view) => view.units);
  const say = useSay();
  const { widthMm, depthMm } = baseSize(base);
  return (
    <header className="group/top flex flex-wrap items-center gap-x-2 gap-y-1 border-b border-line px-4 py-0.5 min-[1000px]:flex-nowrap min-[1000px]:whitespace-nowrap">
      <span className="font-head text-lg font-bold">Hosket</span>
      <Button tone="quiet" onClick={() => useShell.setState({ projects: true })} title="Projects (Alt+P)">
        <FolderOpen size={15} aria-hidden /> {name}
      </Button>
      <span className="text-muted group-has-[section]/top:hidden max-[699px]:hidden min-[1000px]:max-[1199px]:hidden">
        {formatScale(scale)} · {say.mm(widthMm).replace(/ \w+$/, '')} × {say.mm(depthMm)}
      </span>
      <div className="min-w-0 flex-1 max-[999px]:order-last max-[999px]:basis-full">
        <DemoNotice />
      </div>
      <PlanState />
      <SaveStateText />
      <Button tone="quiet" aria-label="Undo" title="Undo (Ctrl+Z)" disabled={back === 0} onClick={undo}>
        <Undo2 size={16} aria-hidden />
      </Button>
      <Button tone="quiet" aria-label="Redo" title="Redo (Ctrl+Shift+Z)" disabled={forward === 0} onClick={redo}>
        <Redo2 size={16} aria-hidden />
      </Button>
      <Button
        tone="quiet"
        aria-label="Earlier states"
        title="Earlier states"
        onClick={() => useShell.setState({ history: true })}
      >
        <HistoryIcon size={16} aria-hidden />
      </Button>
      <Button
        tone="quiet"
        title="Millimetres or inches (Alt+U)"
        onClick={() => useView.setState({ units: units === 'metric' ? 'imperial' : 'metric' })}
      >
        {units === 'metric' ? 'mm' : 'inches'}
      </Button>
      <Button onClick={() => useShell.setState({ search: true })}>
        <Search size={14} aria-hidden /> <span className="max-[699px]:sr-only">Find a command</span>{' '}
        <kbd className="figure text-xs text-muted max-[699px]:hidden">Ctrl K</kbd>
      </Button>
      <HelpMenu />
    </header>
  );
}

const helps = [
  { name: 'What the words mean', keys: 'F1', open: { words: true } },
  { name: 'Keys', keys: '?', open: { shortcuts: true } },
  { name: 'A walk through the program', keys: '', open: { walk: 0 } },
] as const;

function HelpMenu() {
  return (
    <DropdownMenu.Root>
      <DropdownMenu.Trigger
        data-help-menu
        aria-label="Help"
        title="Help: words, keys, a walk"
        className="inline-flex min-h-7 cursor-pointer items-center rounded-md border border-transparent px-1.5 hover:border-line"
      >
        <CircleHelp size={17} aria-hidden />
      </DropdownMenu.Trigger>
      <DropdownMenu.Portal>
        <DropdownMenu.Content
          align="end"
          sideOffset={4}
          className="z-50 rounded-md border border-line bg-sheet p-1 shadow-lg"
        >
          {helps.map(({ name, keys, open }) => (
            <DropdownMenu.Item
              key={name}
              onSelect={() => useShell.setState(open)}
              className="flex min-h-7 cursor-pointer items-center justify-between gap-6 rounded-md px-2.5 outline-none data-highlighted:bg-plaster"
            >
              {name} <kbd className="figure text-xs text-muted">{keys}</kbd>
            </DropdownMenu.Item>
          ))}
        </DropdownMenu.Content>
      </DropdownMenu.Portal>
    </DropdownMenu.Root>
  );
}

function PlanState() {
  const { behind, failed, progress, stopped } = usePlan();
  const waits = failed !== null || stopped;
  return (
    <span className="flex items-center gap-2 text-xs text-muted">
      {progress && !waits && (
        <>
          <progress
            value={progress.ready}
            max={progress.of}
            className="w-24 accent-clay"
            aria-label={`Working out: ${progress.stage}`}
          />
          <span className="max-w-40 truncate">{progress.stage}</span>
          <Button onClick={stopPlan}>Stop</Button>
        </>
      )}
      <span role="status" data-testid="plan-state">
        {failed && <span className="text-plum">not worked out: {failed}</span>}
        {!failed && stopped && 'stopped: figures are those before'}
        {!waits && (behind ? 'working out…' : 'worked out')}
      </span>
      {waits && <Button onClick={planAnew}>Work it out</Button>}
    </span>
  );
}

const clock = (at: number) => new Intl.DateTimeFormat(localeNow(), { hour: '2-digit', minute: '2-digit' }).format(at);

function SaveStateText() {
  const save = useStore(saveStore, (state) => state.save);
  const sitting = useStore(storageStore, ({ storage }) => storage.kind === 'sitting');
  return (
    <span role="status" className="text-xs text-muted" data-testid="save-state">
      {save.kind === 'saving' && 'saving…'}
      {save.kind === 'saved' && sitting && 'kept for this sitting only'}
      {save.kind === 'saved' && !sitting && (save.at ? `saved ${clock(save.at)}` : 'saved')}
      {save.kind === 'beside' && 'kept beside what another tab wrote'}
      {save.kind === 'failed' && <span className="text-plum">not saved: {save.why}</span>}
    </span>
  );
}
