import { create } from 'zustand';

/** Which of the shell's dialogs is open, how far the walk through it is, and whether the drawing has the whole window. */
export const useShell = create(() => ({
  projects: false,
  search: false,
  shortcuts: false,
  history: false,
  start: false,
  words: false,
  /** The step of the walk through the program; null where nobody walks. */
  walk: null as number | null,
  wholeWindow: false,
}));
