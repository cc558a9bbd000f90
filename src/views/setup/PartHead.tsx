import type { ReactNode } from 'react';

/** Title of a part and what it is about, in one sentence. */
export function PartHead({ title, children }: { title: string; children?: ReactNode }) {
  return (
    <>
      <h1 className="serif" style={{ margin: '0 0 4px', fontSize: 20, fontWeight: 500 }}>
        {title}
      </h1>
      {children && (
        <p className="faint" style={{ marginTop: 0 }}>
          {children}
        </p>
      )}
    </>
  );
}
