import { useEffect, useState } from 'react';

/** Whether so much time has passed since this came on screen. */
export function useLater(afterMs: number): boolean {
  const [isLater, setLater] = useState(false);
  useEffect(() => {
    const timer = setTimeout(() => setLater(true), afterMs);
    return () => clearTimeout(timer);
  }, [afterMs]);
  return isLater;
}
