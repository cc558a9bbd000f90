import type { TermChoices } from '../../contract/choices';
import type { ReviewSettings } from './types';

/** The thresholds of a round: what was chosen, with the target in place of an ACOS that was not. @param targetAcos share */
export const reviewSettings = (choices: TermChoices, targetAcos: number): ReviewSettings => ({
  ...choices,
  maxAcos: choices.maxAcos ?? targetAcos,
  targetAcos,
});
