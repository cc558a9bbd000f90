import { useKeys } from '../shared/useKeys';
import type { KeyMap } from '../shared/useKeys';
import type { RoundStep } from './steps/step';
import type { RoundState } from './useRoundState';

/** Keys that hold in every step of the round: another step, the window. */
export function useStepKeys(steps: readonly RoundStep[], state: RoundState, onWindow: () => void): void {
  const keys: KeyMap = { w: onWindow };
  steps.forEach(({ name }, index) => (keys[String(index + 1)] = () => state.setStep(name)));
  useKeys(keys);
}
