import { create } from 'zustand';

/** Which of the shell's dialogs is open, and whether the drawing has the whole window. */
export const useShell = create(() => ({
  projects: false,
  search: false,
  shortcuts: false,
  history: false,
  start: false,
  wholeWindow: false,
}));
