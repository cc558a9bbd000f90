import { HOURS_STEP } from '../../../../plans/hours';
import { HourStep, useHourWork } from '../../hours';
import type { HourWork } from '../../hours';
import type { RoundStep } from '../step';
import { SALES_TO_GAIN } from '../../../shared/words';

export const hours: RoundStep<HourWork> = {
  name: HOURS_STEP,
  label: 'Hours',
  money: SALES_TO_GAIN,
  purpose: 'schedule',
  keys: [['a', 'hours: accept the whole step, after a summary']],
  work: { useWork: useHourWork },
  Step: HourStep,
  hasEvidence: true,
};
