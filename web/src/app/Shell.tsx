import { useEffect, useMemo, useState } from 'react';
import { Outlet, useNavigate, useParams } from 'react-router';
import { useStore } from 'zustand';
import { SectionStrip } from '../instruments/section/SectionStrip.tsx';
import { CoatPatterns } from '../instruments/textures/coatTextures.tsx';
import { Patterns } from '../instruments/textures/Patterns.tsx';
import { flushSave, saveStore } from '../store/autosave.ts';
import { followKept, openKept, restore } from '../store/library.ts';
import { holdPen } from '../store/pen.ts';
import { projectStore, refusals, showProject } from '../store/projectStore.ts';
import { listen } from '../store/tabs.ts';
import { useTheme } from '../store/theme.ts';
import { pickNothing } from '../store/viewStore.ts';
import { Messages, say, sayWrong } from '../ui/toast.tsx';
import { FilesBusy } from '../views/FilesBusy.tsx';
import { CommandSearch, Shortcuts } from './CommandSearch.tsx';
import { Core } from './Core.tsx';
import { commandByKey, commandsFor } from './commands.ts';
import { HelpCard } from './HelpCard.tsx';
import { History } from './History.tsx';
import { Missing } from './Missing.tsx';
import { Notices } from './Notices.tsx';
import { Projects } from './Projects.tsx';
import { Start } from './Start.tsx';
import { useShell } from './shellStore.ts';
import { TopLine } from './TopLine.tsx';
import { Walk } from './Walk.tsx';
import { Words } from './Words.tsx';

/** Puts the project of the address on the bench, then lays the page out round it: line, core, view with take-off, section. */
export function Shell() {
  const { projectId = '' } = useParams();
  const openId = useStore(projectStore, (state) => state.id);
  const [missing, setMissing] = useState('');
  useEffect(() => {
    let current = true;
    let letGo = () => {};
    setMissing('');
    openKept(projectId)
      .then((kept) => {
        if (!current) return;
        if (!kept || kept.deletedAt !== null) return setMissing('There is no such project in this browser.');
        pickNothing();
        showProject(kept.id, kept.project, kept.past, kept.future);
        letGo = holdPen(kept.id, { flush: flushSave, follow: show(followKept), takeUp: show(openKept) });
      })
      .catch((error: Error) => current && setMissing(error.message));
    return () => {
      current = false;
      letGo();
    };
  }, [projectId]);
  if (missing) return <Missing why={missing} recordId={projectId} />;
  if (openId !== projectId) return <p className="p-8 text-muted">Opening the project…</p>;
  return <Bench projectId={projectId} />;
}

/** Shows a project as it is read now, where it is still the one on the bench. */
const show =
  (read: typeof openKept) =>
  async (id: string): Promise<void> => {
    const kept = await read(id);
    if (kept && projectStore.getState().id === id) showProject(id, kept.project, kept.past, kept.future);
  };

/** What other tabs do to the project on this bench is said. */
function useOtherTabs(projectId: string): void {
  const go = useNavigate();
  useEffect(
    () =>
      listen((told) => {
        if (told.kind === 'deleted' && told.id === projectId)
          say('This project was deleted in another tab. A change here brings it back.', {
            name: 'Bring it back',
            run: () => void restore(projectId),
          });
      }),
    [projectId],
  );
  useEffect(
    () =>
      saveStore.subscribe(({ save }) => {
        if (save.kind !== 'beside') return;
        void show(followKept)(projectId);
        say('Another tab had changed this project. What was changed here is kept as a project of its own.', {
          name: 'Open it',
          run: () => go(`/project/${save.id}/ground`),
        });
      }),
    [projectId, go],
  );
}

function Bench({ projectId }: { projectId: string }) {
  const go = useNavigate();
  const theme = useTheme();
  useOtherTabs(projectId);
  const commands = useMemo(() => commandsFor(go, projectId), [go, projectId]);
  const name = useStore(projectStore, (state) => state.project?.name);
  useEffect(() => {
    document.documentElement.dataset.theme = theme;
  }, [theme]);
  useEffect(() => refusals.subscribe(({ last }) => sayWrong(last)), []);
  useEffect(() => {
    document.title = `${name}, Hosket`;
  }, [name]);
  useEffect(() => {
    const key = (event: KeyboardEvent) => {
      if ((event.ctrlKey || event.metaKey) && event.key.toLowerCase() === 'k') {
        event.preventDefault();
        return useShell.setState({ search: true });
      }
      const command = commandByKey(commands, event);
      if (!command) return;
      event.preventDefault();
      command.run();
    };
    window.addEventListener('keydown', key);
    return () => window.removeEventListener('keydown', key);
  }, [commands]);
  const whole = useShell((shell) => shell.wholeWindow);
  return (
    <div
      data-whole={whole || undefined}
      className={`group/window grid h-full grid-rows-[auto_minmax(0,1fr)_auto] max-[999px]:block max-[999px]:h-auto ${whole ? 'grid-cols-1' : 'grid-cols-[132px_minmax(0,1fr)] min-[1200px]:grid-cols-[150px_minmax(0,1fr)]'}`}
    >
      <Patterns />
      <CoatPatterns />
      <div className="off-paper col-span-full">
        <TopLine />
        <Notices />
      </div>
      {!whole && <Core />}
      <Outlet />
      {!whole && (
        <div className="off-paper col-span-full min-w-0">
          <SectionStrip />
        </div>
      )}
      <Projects />
      <History />
      <Start />
      <CommandSearch commands={commands} />
      <Shortcuts commands={commands} />
      <Words />
      <Walk />
      <HelpCard />
      <FilesBusy />
      <Messages />
    </div>
  );
}
