/** Light or dark: what the builder chose, else what the system says, and follows. */
import { useSyncExternalStore } from 'react';
import { type Theme, useView } from './viewStore.ts';

const dark = () => window.matchMedia('(prefers-color-scheme: dark)');

function follow(changed: () => void): () => void {
  const query = dark();
  query.addEventListener('change', changed);
  return () => query.removeEventListener('change', changed);
}

export function useTheme(): Theme {
  const chosen = useView((view) => view.theme);
  const system = useSyncExternalStore(follow, () => dark().matches);
  return chosen !== 'system' ? chosen : system ? 'evening' : 'plaster';
}

/** The other one than what is shown now. */
export function changeTheme(): void {
  const shown = document.documentElement.dataset.theme;
  useView.setState({ theme: shown === 'evening' ? 'plaster' : 'evening' });
}
