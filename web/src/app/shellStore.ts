import { create } from 'zustand';

/** Which of the shell's dialogs is open. */
export const useShell = create(() => ({ projects: false, search: false, shortcuts: false, history: false }));
