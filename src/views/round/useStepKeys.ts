import { useKeys } from '../shared/useKeys';
import type { KeyMap } from '../shared/useKeys';
import { STEPS } from './useRoundState';
import type { RoundState } from './useRoundState';

/** Keys that hold in every step of the round: another step, the window. */
export function useStepKeys(state: RoundState, onWindow: () => void): void {
  const keys: KeyMap = { 1: state.setOverview, w: onWindow };
  STEPS.forEach(({ name }, index) => (keys[String(index + 2)] = () => state.setStep(name)));
  useKeys(keys);
}
