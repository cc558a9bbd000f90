import type { ReactNode } from 'react';

/** Title of a part and what it is about, in one sentence. */
export function PartHead({ title, children }: { title: string; children?: ReactNode }) {
  return (
    <>
      <h1 className="pageTitle">{title}</h1>
      {children && <p className="note">{children}</p>}
    </>
  );
}
