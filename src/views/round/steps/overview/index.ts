import { OverviewStep } from '../../overview/OverviewStep';
import type { RoundStep } from '../step';

export const overview: RoundStep = {
  name: 'overview',
  label: 'Overview',
  money: null,
  sort: null,
  keys: [],
  work: null,
  Step: OverviewStep,
  hasEvidence: false,
};
