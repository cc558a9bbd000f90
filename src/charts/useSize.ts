import { useEffect, useState } from 'react';
import type { RefObject } from 'react';

/** Width of an element in pixels, kept up to date; 0 before the first measurement. */
export function useSize(element: RefObject<HTMLElement | null>): { width: number } {
  const [width, setWidth] = useState(0);
  useEffect(() => {
    if (!element.current) return;
    const observer = new ResizeObserver(([entry]) => setWidth(Math.floor(entry.contentRect.width)));
    observer.observe(element.current);
    return () => observer.disconnect();
  }, [element]);
  return { width };
}
