import type { ReactNode } from 'react';

/** The right of every step: the evidence of the focused row. */
export function StepEvidence({ children }: { children: ReactNode }) {
  return (
    <aside
      aria-label="Evidence"
      style={{ borderLeft: '1px solid var(--hairline)', padding: '12px 16px', overflow: 'auto' }}
    >
      {children ?? <p className="faint">Focus a row to see its evidence.</p>}
    </aside>
  );
}

/** What the evidence is about: its name, and where it lives. */
export function EvidenceName({ name, place }: { name: string; place: ReactNode }) {
  return (
    <>
      <h2 className="serif" style={{ margin: 0, fontSize: 17, fontWeight: 500, overflowWrap: 'anywhere' }}>
        {name}
      </h2>
      <p className="faint" style={{ margin: '2px 0 8px' }}>
        {place}
      </p>
    </>
  );
}
