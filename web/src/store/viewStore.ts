import type { UnitSystem } from '@hosket/core';
import { create } from 'zustand';
import { persist } from 'zustand/middleware';

interface ViewState {
  units: UnitSystem;
  theme: 'plaster' | 'evening';
  sectionOpen: boolean;
  /** Heights in the section are drawn this many times as tall. */
  stretch: number;
  /** What the tint of the plan tells. */
  shading: 'relief' | 'slope' | 'height';
  demoNoticeSeen: boolean;
}

/** How this browser likes to see things; no part of any project. */
export const useView = create<ViewState>()(
  persist(
    (): ViewState => ({
      units: 'metric',
      theme: 'plaster',
      sectionOpen: true,
      stretch: 1,
      shading: 'relief',
      demoNoticeSeen: false,
    }),
    {
      name: 'hosket-view',
    },
  ),
);

interface PickState {
  markId: string | null;
  /** The layer picked in stack, plan and section, counted from 1. */
  layer: number | null;
}

/** What is picked now, in all drawings at once. */
export const usePicked = create<PickState>(() => ({ markId: null, layer: null }));
export const pickMark = (markId: string | null): void => usePicked.setState({ markId });
export const pickLayer = (layer: number | null): void => usePicked.setState({ layer });
