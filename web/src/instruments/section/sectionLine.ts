import type { SectionLine } from '@hosket/core';
import { create } from 'zustand';
import { useProject } from '../../store/projectStore.ts';
import { usePicked } from '../../store/viewStore.ts';

type Ends = Pick<SectionLine, 'from' | 'to'>;

/** Where the section line is while it is being dragged, so that plan and section move together. */
const useDragged = create<{ ends: Partial<Ends> | null }>(() => ({ ends: null }));

export const dragSection = (ends: Partial<Ends> | null): void => useDragged.setState({ ends });

/** The section line that the strip shows, as the project has it. */
export function useSection(): SectionLine {
  const { sections } = useProject();
  const picked = usePicked((state) => state.sectionId);
  return sections.find(({ id }) => id === picked) ?? sections[0];
}

/** The section line as it is drawn now. */
export function useSectionLine(): SectionLine {
  const section = useSection();
  const { ends } = useDragged();
  return ends ? { ...section, ...ends } : section;
}
