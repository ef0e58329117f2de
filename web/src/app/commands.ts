import { kindWords } from '@hosket/core';
import type { NavigateFunction } from 'react-router';
import { wholePlan } from '../instruments/handling/panZoom.ts';
import { beginDrawing } from '../instruments/plan/drawing.ts';
import { addSample, samples } from '../store/library.ts';
import { projectStore, redo, undo } from '../store/projectStore.ts';
import { changeTheme } from '../store/theme.ts';
import { toggleSection, useView } from '../store/viewStore.ts';
import { bringIn } from '../views/bringIn/bringStore.ts';
import { allTools, drawKeys } from '../views/ground/toolGroups.ts';
import { askSuggestion } from '../worker/planStore.ts';
import { bands } from './bands.tsx';
import { exportProject, importProject } from './files.ts';
import { useShell } from './shellStore.ts';

export interface Command {
  name: string;
  /** As shown: "Ctrl+Z". */
  keys?: string;
  run: () => void;
}

/** Everything that can be asked for by name. */
export function commandsFor(go: NavigateFunction, projectId: string): Command[] {
  const to = (band: string) => go(`/project/${projectId}/${band}`);
  return [
    ...bands.map(({ id, name }, k) => ({ name: `Go to ${name}`, keys: `Alt+${k + 1}`, run: () => to(id) })),
    { name: 'Undo', keys: 'Ctrl+Z', run: undo },
    { name: 'Redo', keys: 'Ctrl+Shift+Z', run: redo },
    { name: 'Earlier states of this project', run: () => useShell.setState({ history: true }) },
    ...allTools.map((kind) => ({
      name: `Draw: ${kindWords[kind].title.toLowerCase()}`,
      keys: drawKeys[kind],
      run: () => {
        to('ground');
        beginDrawing(kind);
      },
    })),
    {
      name: 'Bring in a plan, heights or a picture',
      run: () => {
        to('ground');
        bringIn(true);
      },
    },
    {
      name: 'Suggest zones by the rules of the trade',
      run: () => {
        to('surface');
        askSuggestion();
      },
    },
    { name: 'See the whole base', keys: 'Alt+W', run: wholePlan },
    {
      name: 'Show or hide the section',
      keys: 'Alt+X',
      run: () => toggleSection(location.pathname.split('/')[3] ?? 'ground'),
    },
    {
      name: 'The drawing in the whole window, and back',
      keys: 'F9',
      run: () => useShell.setState(({ wholeWindow }) => ({ wholeWindow: !wholeWindow })),
    },
    {
      name: 'Millimetres or inches',
      keys: 'Alt+U',
      run: () => useView.setState(({ units }) => ({ units: units === 'metric' ? 'imperial' : 'metric' })),
    },
    { name: 'Light or evening colours', run: changeTheme },
    { name: 'Projects', keys: 'Alt+P', run: () => useShell.setState({ projects: true }) },
    { name: 'Start a project of my own', run: () => useShell.setState({ start: true }) },
    ...samples.map((name) => ({
      name: `Add the sample ${name}`,
      run: () => void addSample(name).then((id) => go(`/project/${id}/ground`)),
    })),
    { name: 'Import a project file', run: () => void importProject().then((id) => id && go(`/project/${id}/brief`)) },
    {
      name: 'Export this project as a file',
      run: () => {
        const { project } = projectStore.getState();
        if (project) exportProject(project);
      },
    },
    { name: 'Words, and what stands on this page', keys: 'F1', run: () => useShell.setState({ words: true }) },
    { name: 'A walk through the program', run: () => useShell.setState({ walk: 0 }) },
    { name: 'Keys', keys: '?', run: () => useShell.setState({ shortcuts: true }) },
  ];
}

/** The command whose keys were pressed, if any; plain keys do not count while something is being written. */
export function commandByKey(commands: readonly Command[], event: KeyboardEvent): Command | undefined {
  const writing = event.target instanceof HTMLElement && /^(INPUT|TEXTAREA|SELECT)$/.test(event.target.tagName);
  const control = event.ctrlKey || event.metaKey;
  if (control && /^[zy]$/i.test(event.key) && event.target instanceof HTMLElement && event.target.dataset.writing)
    return undefined;
  if (event.key === '?' && !writing && !control) return commands.find(({ keys }) => keys === '?');
  if (control && event.key.toLowerCase() === 'y') return commands.find(({ name }) => name === 'Redo');
  const letter = event.code.replace(/^(Key|Digit)/, '');
  const pressed = `${control ? 'Ctrl+' : ''}${event.altKey ? 'Alt+' : ''}${event.shiftKey ? 'Shift+' : ''}${letter}`;
  if (!control && !event.altKey && !/^F\d+$/.test(letter)) return undefined;
  return commands.find(({ keys }) => keys === pressed);
}
