import { useEffect, useState } from 'react';
import type { RefObject } from 'react';

/** Size of an element in pixels, kept up to date; 0 before the first measurement. */
export function useSize(element: RefObject<HTMLElement | null>): { width: number; height: number } {
  const [size, setSize] = useState({ width: 0, height: 0 });
  useEffect(() => {
    if (!element.current) return;
    const observer = new ResizeObserver(([{ contentRect }]) =>
      setSize({ width: Math.floor(contentRect.width), height: Math.floor(contentRect.height) }),
    );
    observer.observe(element.current);
    return () => observer.disconnect();
  }, [element]);
  return size;
}
