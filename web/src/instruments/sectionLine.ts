import type { Project, SectionLine } from '@hosket/core';
import { create } from 'zustand';
import { useProject } from '../store/projectStore.ts';

type Ends = Pick<SectionLine, 'from' | 'to'>;

/** Where the section line is while it is being dragged, so that plan and section move together. */
const useDragged = create<{ ends: Partial<Ends> | null }>(() => ({ ends: null }));

export const dragSection = (ends: Partial<Ends> | null): void => useDragged.setState({ ends });

/** The section line as it is drawn now. */
export function useSectionLine(): SectionLine {
  const section = useProject().sections[0];
  const { ends } = useDragged();
  return ends ? { ...section, ...ends } : section;
}

export const moveSection = (project: Project, id: string, change: Partial<Ends>): Project => ({
  ...project,
  sections: project.sections.map((section) => (section.id === id ? { ...section, ...change } : section)),
});
