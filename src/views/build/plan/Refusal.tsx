import { refusalsAt } from './lineStates';
import type { OpenPlan } from './usePlan';

/** What the market said against a line of the plan that it refused. */
export function Refusal({ open, at }: { open: OpenPlan; at: string }) {
  return refusalsAt(open, at).map((answer) => (
    <span key={answer} role="alert" className="small block over">
      {answer}
    </span>
  ));
}
