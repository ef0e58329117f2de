import { type RefObject, useEffect, useState } from 'react';

/** Whether what an element holds is longer or wider than the element, so that it must be scrolled. */
export function useOverflows(element: RefObject<HTMLElement | null>): boolean {
  const [overflows, setOverflows] = useState(false);
  useEffect(() => {
    const watched = element.current;
    if (!watched) return;
    const measure = () =>
      setOverflows(watched.scrollHeight > watched.clientHeight + 1 || watched.scrollWidth > watched.clientWidth + 1);
    const sizes = new ResizeObserver(measure);
    sizes.observe(watched);
    const contents = new MutationObserver(measure);
    contents.observe(watched, { childList: true, subtree: true, characterData: true });
    measure();
    return () => {
      sizes.disconnect();
      contents.disconnect();
    };
  }, [element]);
  return overflows;
}
