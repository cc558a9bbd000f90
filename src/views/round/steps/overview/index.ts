import { OverviewStep } from '../../overview/OverviewStep';
import type { RoundStep } from '../step';

export const overview: RoundStep = {
  name: 'overview',
  label: 'Overview',
  money: null,
  purpose: null,
  keys: [],
  work: null,
  Step: OverviewStep,
  hasEvidence: false,
};
