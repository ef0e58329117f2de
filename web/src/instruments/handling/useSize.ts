import { useCallback, useState } from 'react';

/** The inner size of an element, kept up to date: [ref, width, height]. */
export function useSize(): [(element: Element | null) => (() => void) | undefined, number, number] {
  const [size, setSize] = useState({ width: 0, height: 0 });
  const ref = useCallback((element: Element | null) => {
    if (!element) return undefined;
    const observer = new ResizeObserver(([entry]) =>
      setSize({ width: entry.contentRect.width, height: entry.contentRect.height }),
    );
    observer.observe(element);
    return () => observer.disconnect();
  }, []);
  return [ref, size.width, size.height];
}
