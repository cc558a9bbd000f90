import type { ReactNode } from 'react';

/** What a part is about, in one sentence. */
export function Head({ children }: { children: ReactNode }) {
  return <p className="sentence">{children}</p>;
}
