import { useCallback, useSyncExternalStore } from 'react';

/** Whether a media query holds, now and whenever that changes. */
export function useMedia(query: string): boolean {
  const follow = useCallback(
    (told: () => void) => {
      const list = matchMedia(query);
      list.addEventListener('change', told);
      return () => list.removeEventListener('change', told);
    },
    [query],
  );
  return useSyncExternalStore(follow, () => matchMedia(query).matches);
}
