import type { ReactNode } from 'react';
import { SidePanel } from '../../shared/kit';

/** The right of every step: the evidence of the focused row. */
export function StepEvidence({ children }: { children: ReactNode }) {
  return (
    <SidePanel label="Evidence">
      {children ?? <p className="faint">Focus a row to see its evidence.</p>}
    </SidePanel>
  );
}
