import type { ReactNode } from 'react';
import { SidePanel } from '../../shared/kit';
import { FOCUS_A_ROW } from '../../shared/words';

/** The right of every step: the evidence of the focused row. */
export function StepEvidence({ children }: { children: ReactNode }) {
  return <SidePanel label="Evidence">{children ?? <p className="faint">{FOCUS_A_ROW}</p>}</SidePanel>;
}
