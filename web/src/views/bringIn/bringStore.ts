import { create } from 'zustand';

/** Whether the dialog that brings things in is open. */
export const useBringing = create<{ open: boolean }>(() => ({ open: false }));
export const bringIn = (open: boolean): void => useBringing.setState({ open });
