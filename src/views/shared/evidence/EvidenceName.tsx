import type { ReactNode } from 'react';

/** What the evidence is about: its name, and where it lives. */
export function EvidenceName({ name, place }: { name: string; place: ReactNode }) {
  return (
    <>
      <h2 className="serif panelTitle">{name}</h2>
      <p className="note">{place}</p>
    </>
  );
}
