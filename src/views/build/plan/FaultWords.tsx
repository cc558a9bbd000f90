import type { PlanFault } from '../../../core/build';

/** What is wrong, or to be told, at one place of a plan. @param isShort its first sentence; the rest is a word on it */
export function FaultWords({ faults, isShort = false }: { faults: readonly PlanFault[]; isShort?: boolean }) {
  return faults.map(({ sentence, weight }) => (
    <span
      key={sentence}
      role={weight === 'wrong' ? 'alert' : undefined}
      title={isShort ? sentence : undefined}
      className={`small ${isShort ? '' : 'block'} ${weight === 'wrong' ? 'over' : 'warning'}`}
    >
      {isShort ? sentence.replace(/\. .*/s, '.') : sentence}
    </span>
  ));
}
