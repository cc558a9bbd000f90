import { useRef } from 'react';
import type { ReactNode } from 'react';
import { useSize } from './useSize';

/** Draws what takes all the width there is, once that is known. @param children told the width, px */
export function Measured({ children }: { children: (width: number) => ReactNode }) {
  const frame = useRef<HTMLDivElement>(null);
  const { width } = useSize(frame);
  return <div ref={frame}>{width > 0 && children(width)}</div>;
}
