import type { ReactNode } from 'react';

/** What a part is about, in one sentence. */
export function Head({ children }: { children: ReactNode }) {
  return (
    <p className="serif" style={{ margin: '0 0 8px', fontSize: 17 }}>
      {children}
    </p>
  );
}
